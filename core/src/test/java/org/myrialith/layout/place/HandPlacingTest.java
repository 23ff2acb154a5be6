package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;

class HandPlacingTest {
  private static Fixture nest(double turn, boolean mirrored, boolean reversed) {
    LooseEmitters loose =
        new LooseEmitters(
            List.of(
                new LooseEmitters.Single(0, 0, 2, "a"),
                new LooseEmitters.Single(30, 10, 0, "b"),
                new LooseEmitters.Single(5, 40, -3, "c")));
    Mount mount = new Mount(100, 50, 7, turn, mirrored, reversed, List.of(1), Mount.USUAL_EMITTER);
    return new Fixture("f1", "Nest", loose, mount);
  }

  /** However it is put up, what is there stays where it is, and the new one is where it was set. */
  @ParameterizedTest
  @CsvSource({"0, false, false", "33, true, false", "-120, true, true", "90, false, true"})
  void settingOneShiftsNoOther(double turn, boolean mirrored, boolean reversed) {
    Fixture before = nest(turn, mirrored, reversed);
    Fixture after = new HandPlacing(before).with(new Point(-12.5, 77));
    assertThat(after.count()).isEqualTo(4);
    for (int i = 0; i < 3; i++) {
      assertThat(after.position(i).xMm()).isCloseTo(before.position(i).xMm(), within(1e-9));
      assertThat(after.position(i).yMm()).isCloseTo(before.position(i).yMm(), within(1e-9));
      assertThat(after.placements().get(i).part()).isEqualTo(before.placements().get(i).part());
      assertThat(after.placements().get(i).pose().zMm())
          .isCloseTo(before.placements().get(i).pose().zMm(), within(1e-9));
    }
    assertThat(after.position(3).xMm()).isCloseTo(-12.5, within(1e-9));
    assertThat(after.position(3).yMm()).isCloseTo(77, within(1e-9));
    assertThat(after.mount().dark()).containsExactly(1);
  }

  @Test
  void theNearestIsMovedAndKeepsItsNameAndHeight() {
    Fixture before = nest(33, true, true);
    Position b = before.position(1);
    Fixture after =
        new HandPlacing(before).moved(new Point(b.xMm() + 1, b.yMm() - 1), new Point(3, 4));
    assertThat(after.position(1).xMm()).isCloseTo(3, within(1e-9));
    assertThat(after.position(1).yMm()).isCloseTo(4, within(1e-9));
    assertThat(((LooseEmitters) after.shape()).emitters().get(1).name()).isEqualTo("b");
    assertThat(after.position(0).xMm()).isCloseTo(before.position(0).xMm(), within(1e-9));
  }

  @Test
  void theFirstStandsAloneAndOtherKindsAreRefused() {
    Fixture first = HandPlacing.first("f9", "Nest", new Point(4, 5));
    assertThat(first.position(0)).isEqualTo(new Position(4, 5, 0, 0));
    Fixture bar = Fixture.of("f1", "Bar", new Bar(3, 10, 0));
    assertThatThrownBy(() -> new HandPlacing(bar)).hasMessageContaining("loose emitters");
    assertThatThrownBy(() -> new HandPlacing(first).with(new Point(1e9, 0)))
        .hasMessageContaining("xMm");
  }
}
