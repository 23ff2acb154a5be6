package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.myrialith.tool.Chance;

/** Rings and arcs against a geometry library's rotation. */
@ExtendWith(InstancioExtension.class)
class RingTest {
  private static Fixture ring(
      double start, double sweep, boolean clockwise, Ring.Circle... circles) {
    return Fixture.of("f1", "Ring", new Ring(List.of(circles), start, sweep, clockwise), 40, -25);
  }

  @RepeatedTest(200)
  void everyPlaceIsTheTopOfItsCircleTurned(@Given long given) {
    Chance chance = new Chance(given);
    int count = chance.whole(1, 60);
    double radius = chance.measure(1, 400);
    double start = chance.measure(-360, 360);
    boolean clockwise = chance.flag();
    Fixture ring =
        ring(start, 360, clockwise, new Ring.Circle(1, 0), new Ring.Circle(count, radius));
    assertThat(ring.position(0).xMm()).isEqualTo(40);
    for (int i = 0; i < count; i++) {
      // y runs down, so a positive angle of the library turns clockwise as the viewer sees it
      double angle = Math.toRadians(start + (clockwise ? 1 : -1) * 360.0 * i / count);
      Coordinate turned =
          AffineTransformation.rotationInstance(angle, 40, -25)
              .transform(new Coordinate(40, -25 - radius), new Coordinate());
      assertThat(ring.position(1 + i).xMm()).isCloseTo(turned.x, within(1e-9));
      assertThat(ring.position(1 + i).yMm()).isCloseTo(turned.y, within(1e-9));
    }
  }

  /** A circle of its own start that runs back is the plain one mirrored, then turned. */
  @RepeatedTest(100)
  void aCircleMayStartFurtherOnAndRunBack(@Given long given) {
    Chance chance = new Chance(given);
    int count = chance.whole(1, 40);
    double turn = chance.measure(-360, 360);
    boolean clockwise = chance.flag();
    Fixture plain = ring(20, 360, !clockwise, new Ring.Circle(count, 50));
    Fixture back = ring(20, 360, clockwise, new Ring.Circle(count, 50, turn, true));
    AffineTransformation on = AffineTransformation.rotationInstance(Math.toRadians(turn), 40, -25);
    for (int i = 0; i < count; i++) {
      Position from = plain.position(i);
      Coordinate wanted = on.transform(new Coordinate(from.xMm(), from.yMm()), new Coordinate());
      assertThat(back.position(i).xMm()).isCloseTo(wanted.x, within(1e-9));
      assertThat(back.position(i).yMm()).isCloseTo(wanted.y, within(1e-9));
    }
  }

  @Test
  void anArcThatRunsBackCoversTheSamePlaces() {
    Fixture there = ring(-90, 180, true, new Ring.Circle(5, 100));
    Fixture back = ring(-90, 180, true, new Ring.Circle(5, 100, 0, true));
    for (int i = 0; i < 5; i++) {
      assertThat(back.position(i).xMm()).isCloseTo(there.position(4 - i).xMm(), within(1e-9));
      assertThat(back.position(i).column()).isEqualTo(there.position(4 - i).column());
    }
  }

  @Test
  void anArcHasAPixelAtEachEnd() {
    Fixture arc = ring(-90, 180, true, new Ring.Circle(5, 100));
    assertThat(arc.position(0).xMm()).isCloseTo(-60, within(1e-9));
    assertThat(arc.position(2).yMm()).isCloseTo(-125, within(1e-9));
    assertThat(arc.position(4).xMm()).isCloseTo(140, within(1e-9));
    assertThat(arc.describe()).isEqualTo("arc of 5");
    // neighbours 45 degrees apart: a chord of 2 r sin 22.5
    assertThat(arc.pitchMm()).isCloseTo(76.54, within(0.01));
  }

  @RepeatedTest(100)
  void noTwoEmittersShareACell(@Given long given) {
    Chance chance = new Chance(given);
    int inner = chance.whole(1, 40);
    int outer = chance.whole(1, 60);
    double turn = chance.measure(-360, 360);
    boolean back = chance.flag();
    Fixture ring =
        ring(
            0,
            360,
            true,
            new Ring.Circle(inner, 20, turn, back),
            new Ring.Circle(outer, 40, -turn, !back),
            new Ring.Circle(1, 0));
    Set<String> cells = new HashSet<>();
    for (int i = 0; i < ring.count(); i++) {
      Position place = ring.position(i);
      assertThat(place.column()).isBetween(0, ring.seenColumns() - 1);
      cells.add(place.column() + "," + place.row());
    }
    assertThat(cells).hasSize(ring.count());
  }

  /**
   * Sparser circles show the column whose emitter of the fullest circle stands nearest in angle.
   */
  @RepeatedTest(200)
  void everyEmitterShowsTheColumnNearestToItsAngle(@Given long given) {
    Chance chance = new Chance(given);
    int outer = chance.whole(2, 40);
    int inner = chance.whole(1, outer - 1);
    boolean whole = chance.flag();
    double turn = whole ? chance.measure(-360, 360) : 0;
    double sweep = whole ? 360 : chance.measure(1, 359);
    Ring ring =
        new Ring(
            List.of(
                new Ring.Circle(inner, 50, turn, chance.flag()),
                new Ring.Circle(outer, 50, 0, false)),
            chance.measure(-360, 360),
            sweep,
            chance.flag());
    for (int i = 0; i < inner; i++) {
      Position at = ring.position(i);
      double least = Double.POSITIVE_INFINITY;
      for (int c = 0; c < outer; c++) {
        least = Math.min(least, apart(at, ring.position(inner + c)));
      }
      Position shown = ring.position(inner + at.column());
      assertThat(shown.column()).isEqualTo(at.column());
      assertThat(apart(at, shown)).isCloseTo(least, within(1e-6));
    }
  }

  private static double apart(Position a, Position b) {
    return Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm());
  }

  @Test
  void circlesOfFourAndTwoAreInStep() {
    Ring ring = new Ring(List.of(new Ring.Circle(4, 40), new Ring.Circle(2, 20)), 0, 360, true);
    assertThat(ring.position(4).column()).isZero();
    assertThat(ring.position(5).column()).isEqualTo(2);
    Ring arc = new Ring(List.of(new Ring.Circle(7, 40), new Ring.Circle(3, 20)), -90, 180, true);
    assertThat(
            List.of(arc.position(7).column(), arc.position(8).column(), arc.position(9).column()))
        .containsExactly(0, 3, 6);
  }

  @Test
  void refusesByName() {
    assertThatThrownBy(() -> new Ring.Circle(8, 0))
        .hasMessageContaining("radiusMm")
        .hasMessageContaining("single one");
    assertThatThrownBy(() -> ring(0, 0, true, new Ring.Circle(3, 4)))
        .hasMessageContaining("sweepDegrees");
    assertThatThrownBy(() -> ring(0, 360, true)).hasMessageContaining("1 to 32 circles");
    assertThatThrownBy(() -> new Ring.Circle(8, Double.NaN)).hasMessageContaining("radiusMm");
  }
}
