package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.myrialith.gadget.ShapeSamples;

/** Mounts of every kind of shape against a geometry library's transformations. */
class MountTest {
  private static Mount mount(double turn, boolean mirrored, boolean reversed) {
    return new Mount(30, -12, 4, turn, mirrored, reversed, List.of(), Mount.USUAL_EMITTER);
  }

  @Property(tries = 300)
  void everySeatIsMirroredTurnedAndShifted(
      @ForAll long seed,
      @ForAll @IntRange(max = ShapeSamples.KINDS - 1) int kind,
      @ForAll @DoubleRange(min = -360, max = 360) double turn,
      @ForAll boolean mirrored,
      @ForAll boolean reversed) {
    Shape shape = ShapeSamples.shape(new Random(seed), kind);
    Fixture fixture = new Fixture("f1", "F", shape, mount(turn, mirrored, reversed));
    List<Seat> seats = fixture.seats();
    assertThat(seats).hasSize(shape.count());
    AffineTransformation way = new AffineTransformation();
    if (mirrored) {
      way.translate(-shape.middleMm(), 0).scale(-1, 1).translate(shape.middleMm(), 0);
    }
    // y runs down, so a positive angle of the library turns clockwise as the viewer sees it
    way.rotate(Math.toRadians(turn)).translate(30, -12);
    for (int i = 0; i < seats.size(); i++) {
      Place own = shape.place(reversed ? shape.count() - 1 - i : i);
      Coordinate there = way.transform(new Coordinate(own.xMm(), own.yMm()), new Coordinate());
      Seat seat = seats.get(i);
      assertThat(seat.place().xMm()).isCloseTo(there.x, within(1e-6));
      assertThat(seat.place().yMm()).isCloseTo(there.y, within(1e-6));
      assertThat(seat.place()).isEqualTo(fixture.place(i));
      assertThat(seat.place().column()).isBetween(0, fixture.seenColumns() - 1);
      assertThat(seat.place().row()).isBetween(0, fixture.seenRows() - 1);
      Facing facing = seat.spot().facing();
      assertThat(Math.hypot(Math.hypot(facing.x(), facing.y()), facing.z()))
          .isCloseTo(1, within(1e-9));
    }
    assertThat(fixture.pitchMm()).isPositive();
  }

  /** A mirrored panel still shows an upright picture: its cells lie where they are seen. */
  @Test
  void aMirroredPanelSwapsItsColumns() {
    Panel panel = new Panel(3, 1, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture mirrored = new Fixture("f1", "P", panel, mount(0, true, false));
    assertThat(mirrored.place(0).column()).isEqualTo(2);
    assertThat(mirrored.place(0).xMm()).isEqualTo(50);
    assertThat(mirrored.place(2).column()).isZero();
  }

  @Test
  void quarterTurnsHaveNoRoundingNoise() {
    Panel panel = new Panel(3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture turned = new Fixture("f1", "P", panel, mount(90, false, false));
    assertThat(turned.place(2).xMm()).isEqualTo(30);
    assertThat(turned.place(2).yMm()).isEqualTo(8);
  }

  @Test
  void darkIndicesMustBeOfTheFixture() {
    Panel panel = new Panel(3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Mount dark = Mount.at(0, 0).withDark(List.of(2, 5));
    assertThat(new Fixture("f1", "P", panel, dark).dark().cardinality()).isEqualTo(2);
    assertThatThrownBy(() -> new Fixture("f1", "P", panel, dark.withDark(List.of(6))))
        .hasMessageContaining("dark")
        .hasMessageContaining("0 to 5");
  }

  /** A leap is where the chain leaves a piece: it stays there when the data runs backwards. */
  @Property(tries = 100)
  void leapsStayBetweenTheSamePiecesWhenReversed(
      @ForAll long seed, @ForAll @IntRange(max = ShapeSamples.KINDS - 1) int kind) {
    Shape shape = ShapeSamples.shape(new Random(seed), kind);
    Set<Integer> forth = leaps(new Fixture("f1", "F", shape, mount(0, false, false)));
    Set<Integer> back = leaps(new Fixture("f1", "F", shape, mount(0, false, true)));
    Set<Integer> turned = new HashSet<>();
    back.forEach(i -> turned.add(shape.count() - 2 - i));
    assertThat(turned).isEqualTo(forth);
  }

  private static Set<Integer> leaps(Fixture fixture) {
    Set<Integer> leaps = new HashSet<>();
    List<Seat> seats = fixture.seats();
    for (int i = 0; i + 1 < seats.size(); i++) {
      if (seats.get(i).endsPiece()) {
        leaps.add(i);
      }
    }
    return leaps;
  }
}
