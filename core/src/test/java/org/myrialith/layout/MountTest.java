package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.myrialith.gadget.format.ShapeSamples;
import org.myrialith.tool.Chance;

/** Mounts of every kind of shape against a geometry library's transformations. */
@ExtendWith(InstancioExtension.class)
class MountTest {
  private static Mount mount(double turn, boolean mirrored, boolean reversed) {
    return new Mount(30, -12, 4, turn, mirrored, reversed, List.of(), Mount.USUAL_EMITTER);
  }

  @RepeatedTest(300)
  void everySeatIsMirroredTurnedAndShifted(@Given long given) {
    Chance chance = new Chance(given);
    long seed = chance.seed();
    int kind = chance.whole(0, ShapeSamples.KINDS - 1);
    double turn = chance.measure(-360, 360);
    boolean mirrored = chance.flag();
    boolean reversed = chance.flag();
    Shape shape = ShapeSamples.shape(new Random(seed), kind);
    Fixture fixture = new Fixture("f1", "F", shape, mount(turn, mirrored, reversed));
    List<Placement> seats = fixture.placements();
    assertThat(seats).hasSize(shape.count());
    AffineTransformation way = new AffineTransformation();
    if (mirrored) {
      way.translate(-shape.middleMm(), 0).scale(-1, 1).translate(shape.middleMm(), 0);
    }
    // y runs down, so a positive angle of the library turns clockwise as the viewer sees it
    way.rotate(Math.toRadians(turn)).translate(30, -12);
    for (int i = 0; i < seats.size(); i++) {
      Position own = shape.position(reversed ? shape.count() - 1 - i : i);
      Coordinate there = way.transform(new Coordinate(own.xMm(), own.yMm()), new Coordinate());
      Placement seat = seats.get(i);
      assertThat(seat.position().xMm()).isCloseTo(there.x, within(1e-6));
      assertThat(seat.position().yMm()).isCloseTo(there.y, within(1e-6));
      assertThat(seat.position()).isEqualTo(fixture.position(i));
      assertThat(seat.position().column()).isBetween(0, fixture.seenColumns() - 1);
      assertThat(seat.position().row()).isBetween(0, fixture.seenRows() - 1);
      Facing facing = seat.pose().facing();
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
    assertThat(mirrored.position(0).column()).isEqualTo(2);
    assertThat(mirrored.position(0).xMm()).isEqualTo(50);
    assertThat(mirrored.position(2).column()).isZero();
  }

  @Test
  void quarterTurnsHaveNoRoundingNoise() {
    Panel panel = new Panel(3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture turned = new Fixture("f1", "P", panel, mount(90, false, false));
    assertThat(turned.position(2).xMm()).isEqualTo(30);
    assertThat(turned.position(2).yMm()).isEqualTo(8);
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
  @RepeatedTest(100)
  void leapsStayBetweenTheSamePiecesWhenReversed(@Given long given) {
    Chance chance = new Chance(given);
    long seed = chance.seed();
    int kind = chance.whole(0, ShapeSamples.KINDS - 1);
    Shape shape = ShapeSamples.shape(new Random(seed), kind);
    Set<Integer> forth = leaps(new Fixture("f1", "F", shape, mount(0, false, false)));
    Set<Integer> back = leaps(new Fixture("f1", "F", shape, mount(0, false, true)));
    Set<Integer> turned = new HashSet<>();
    back.forEach(i -> turned.add(shape.count() - 2 - i));
    assertThat(turned).isEqualTo(forth);
  }

  private static Set<Integer> leaps(Fixture fixture) {
    Set<Integer> leaps = new HashSet<>();
    List<Placement> seats = fixture.placements();
    for (int i = 0; i + 1 < seats.size(); i++) {
      if (seats.get(i).endsPiece()) {
        leaps.add(i);
      }
    }
    return leaps;
  }
}
