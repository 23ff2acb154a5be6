package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;

/** What is seen lit: however fixtures are put up, the emitters of an area lie on it. */
class LitAreaTest {
  private static final EmitterClass LED = EmitterClasses.of("single-red").orElseThrow();

  private static final SegmentDigits USUAL = SegmentDigits.KIND.usual();

  @ParameterizedTest
  @CsvSource({"0, false, false", "90, false, true", "33, true, false", "-120, true, true"})
  void emittersLieOnTheirBar(double degrees, boolean mirrored, boolean reversed) {
    Mount mount = Mount.at(40, -25).turnedBy(degrees);
    mount = mirrored ? mount.mirroredOver() : mount;
    mount = reversed ? mount.backwards() : mount;
    Fixture digits = Fixture.of("f1", "Digits", USUAL).with(mount);
    List<LitArea> bars = LitArea.of(digits, LED);
    // four digits of seven segments, two LEDs in each
    assertThat(bars).hasSize(28);
    for (LitArea bar : bars) {
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
    assertThat(LitArea.of(Fixture.of("f1", "Bar", Bar.KIND.usual()), LED)).isEmpty();
  }

  /** Two LEDs under each of ten panes of two digits: each lies under its own sheet. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 90, 33})
  void emittersLieUnderTheirPane(double degrees) {
    Fixture panes =
        Fixture.of("f1", "Panes", Panes.KIND.usual()).with(Mount.at(12, 9).turnedBy(degrees));
    List<LitArea> areas = LitArea.of(panes, LED);
    assertThat(areas).hasSize(20);
    for (LitArea area : areas) {
      assertThat(area.lengthMm()).isCloseTo(40, within(1e-6));
      assertThat(area.thicknessMm()).isCloseTo(3, within(1e-6));
      for (int index : area.emitters()) {
        Position at = panes.position(index);
        double there = Math.hypot(at.xMm() - area.from().xMm(), at.yMm() - area.from().yMm());
        double on = Math.hypot(at.xMm() - area.to().xMm(), at.yMm() - area.to().yMm());
        assertThat(there + on).isCloseTo(40, within(1e-6));
      }
    }
  }

  /** A lamp is as wide as its bulb. */
  @Test
  void lampsAreBulbs() {
    EmitterClass lamp = EmitterClasses.of("lamp").orElseThrow();
    Fixture lamps = Fixture.of("f1", "Lamps", LampDigits.KIND.usual());
    List<LitArea> areas = LitArea.of(lamps, lamp);
    assertThat(areas).hasSize(lamps.count()).allMatch(LitArea::round);
    assertThat(areas.get(0).thicknessMm()).isEqualTo(lamp.packageWidthMm());
  }
}
