package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Segments as bars: however digits are put up, the emitters of a bar lie on it. */
class SegmentBarTest {
  private static final SegmentDigits USUAL = SegmentDigits.KIND.usual();

  @ParameterizedTest
  @CsvSource({"0, false, false", "90, false, true", "33, true, false", "-120, true, true"})
  void emittersLieOnTheirBar(double degrees, boolean mirrored, boolean reversed) {
    Mount mount = Mount.at(40, -25).turnedBy(degrees);
    mount = mirrored ? mount.mirroredOver() : mount;
    mount = reversed ? mount.backwards() : mount;
    Fixture digits = Fixture.of("f1", "Digits", USUAL).with(mount);
    List<SegmentBar> bars = SegmentBar.of(digits);
    // four digits of seven segments, two LEDs in each
    assertThat(bars).hasSize(28);
    for (SegmentBar bar : bars) {
      assertThat(bar.emitters()).hasSize(2);
      for (int index : bar.emitters()) {
        Position at = digits.position(index);
        double there = Math.hypot(at.xMm() - bar.from().xMm(), at.yMm() - bar.from().yMm());
        double on = Math.hypot(at.xMm() - bar.to().xMm(), at.yMm() - bar.to().yMm());
        assertThat(there + on).isCloseTo(bar.lengthMm(), within(1e-6));
      }
    }
    assertThat(bars.stream().flatMap(bar -> bar.emitters().stream())).doesNotHaveDuplicates();
  }

  @Test
  void otherFixturesHaveNone() {
    assertThat(SegmentBar.of(Fixture.of("f1", "Bar", Bar.KIND.usual()))).isEmpty();
  }
}
