package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Rings and arcs against a geometry library's rotation. */
class RingTest {
  private static Fixture ring(
      double start, double sweep, boolean clockwise, Ring.Circle... circles) {
    return Fixture.of("f1", "Ring", new Ring(List.of(circles), start, sweep, clockwise), 40, -25);
  }

  @Property(tries = 200)
  void everyPlaceIsTheTopOfItsCircleTurned(
      @ForAll @IntRange(min = 1, max = 60) int count,
      @ForAll @DoubleRange(min = 1, max = 400) double radius,
      @ForAll @DoubleRange(min = -360, max = 360) double start,
      @ForAll boolean clockwise) {
    Fixture ring =
        ring(start, 360, clockwise, new Ring.Circle(1, 0), new Ring.Circle(count, radius));
    assertThat(ring.place(0).xMm()).isEqualTo(40);
    for (int i = 0; i < count; i++) {
      // y runs down, so a positive angle of the library turns clockwise as the viewer sees it
      double angle = Math.toRadians(start + (clockwise ? 1 : -1) * 360.0 * i / count);
      Coordinate turned =
          AffineTransformation.rotationInstance(angle, 40, -25)
              .transform(new Coordinate(40, -25 - radius), new Coordinate());
      assertThat(ring.place(1 + i).xMm()).isCloseTo(turned.x, within(1e-9));
      assertThat(ring.place(1 + i).yMm()).isCloseTo(turned.y, within(1e-9));
    }
  }

  /** A circle of its own start that runs back is the plain one mirrored, then turned. */
  @Property(tries = 100)
  void aCircleMayStartFurtherOnAndRunBack(
      @ForAll @IntRange(min = 1, max = 40) int count,
      @ForAll @DoubleRange(min = -360, max = 360) double turn,
      @ForAll boolean clockwise) {
    Fixture plain = ring(20, 360, !clockwise, new Ring.Circle(count, 50));
    Fixture back = ring(20, 360, clockwise, new Ring.Circle(count, 50, turn, true));
    AffineTransformation on = AffineTransformation.rotationInstance(Math.toRadians(turn), 40, -25);
    for (int i = 0; i < count; i++) {
      Place from = plain.place(i);
      Coordinate wanted = on.transform(new Coordinate(from.xMm(), from.yMm()), new Coordinate());
      assertThat(back.place(i).xMm()).isCloseTo(wanted.x, within(1e-9));
      assertThat(back.place(i).yMm()).isCloseTo(wanted.y, within(1e-9));
    }
  }

  @Test
  void anArcThatRunsBackCoversTheSamePlaces() {
    Fixture there = ring(-90, 180, true, new Ring.Circle(5, 100));
    Fixture back = ring(-90, 180, true, new Ring.Circle(5, 100, 0, true));
    for (int i = 0; i < 5; i++) {
      assertThat(back.place(i).xMm()).isCloseTo(there.place(4 - i).xMm(), within(1e-9));
      assertThat(back.place(i).column()).isEqualTo(there.place(4 - i).column());
    }
  }

  @Test
  void anArcHasAPixelAtEachEnd() {
    Fixture arc = ring(-90, 180, true, new Ring.Circle(5, 100));
    assertThat(arc.place(0).xMm()).isCloseTo(-60, within(1e-9));
    assertThat(arc.place(2).yMm()).isCloseTo(-125, within(1e-9));
    assertThat(arc.place(4).xMm()).isCloseTo(140, within(1e-9));
    assertThat(arc.describe()).isEqualTo("arc of 5");
    // neighbours 45 degrees apart: a chord of 2 r sin 22.5
    assertThat(arc.pitchMm()).isCloseTo(76.54, within(0.01));
  }

  @Property(tries = 100)
  void noTwoEmittersShareACell(
      @ForAll @IntRange(min = 1, max = 40) int inner,
      @ForAll @IntRange(min = 1, max = 60) int outer,
      @ForAll @DoubleRange(min = -360, max = 360) double turn,
      @ForAll boolean back) {
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
      Place place = ring.place(i);
      assertThat(place.column()).isBetween(0, ring.seenColumns() - 1);
      cells.add(place.column() + "," + place.row());
    }
    assertThat(cells).hasSize(ring.count());
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
