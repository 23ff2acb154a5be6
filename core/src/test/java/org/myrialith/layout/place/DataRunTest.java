package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.layout.BoxFaces;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;
import org.myrialith.layout.Ring;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Strip;

/** Worked by hand from the shapes. */
class DataRunTest {
  private static List<DataRun> runs(Shape shape) {
    return DataRun.of(Fixture.of("f1", "Trial", shape, 0, 0));
  }

  private static void place(Position at, double x, double y) {
    assertThat(at.xMm()).isCloseTo(x, within(1e-9));
    assertThat(at.yMm()).isCloseTo(y, within(1e-9));
  }

  /** 50 pixels a metre stand 20 mm apart, half of that from the ends of their piece. */
  private static Strip strip() {
    return new Strip(
        List.of(new Strip.Piece(3, 0, false), new Strip.Piece(2, 10, true)),
        1,
        50,
        List.of(new Point(0, 0), new Point(200, 0)));
  }

  @Test
  void aTurnedPieceIsEnteredAtItsFarEnd() {
    List<DataRun> runs = runs(strip());
    assertThat(runs).extracting(DataRun::what).containsExactly("piece 1", "piece 2, reversed");
    assertThat(runs).extracting(DataRun::emitters).containsExactly(3, 2);
    place(runs.get(0).enters(), 10, 0);
    place(runs.get(0).leaves(), 50, 0);
    assertThat(runs.get(0).way()).isEqualTo("right");
    // it lies from 70 to 110 mm
    place(runs.get(1).enters(), 100, 0);
    place(runs.get(1).leaves(), 80, 0);
    assertThat(runs.get(1).way()).isEqualTo("left");
  }

  @Test
  void aReversedFixtureIsRunThroughFromItsEndAndKeepsTheNumbersOfItsPieces() {
    Fixture fixture = Fixture.of("f1", "Trial", strip(), 0, 0);
    List<DataRun> runs = DataRun.of(fixture.with(fixture.mount().backwards()));
    assertThat(runs).extracting(DataRun::what).containsExactly("piece 2, reversed", "piece 1");
    place(runs.get(0).enters(), 80, 0);
    place(runs.get(1).leaves(), 10, 0);
    assertThat(runs.get(1).way()).isEqualTo("left");
  }

  @Test
  void circlesTellWhichWayRoundTheyRun() {
    Ring ring =
        new Ring(List.of(new Ring.Circle(12, 30), new Ring.Circle(8, 20, 0, true)), 0, 360, true);
    List<DataRun> runs = runs(ring);
    assertThat(runs).extracting(DataRun::what).containsExactly("circle 1", "circle 2");
    assertThat(runs).extracting(DataRun::way).containsExactly("clockwise", "anticlockwise");
    place(runs.get(0).enters(), 0, -30);
    Fixture mirrored = Fixture.of("f1", "Trial", ring, 0, 0);
    mirrored = mirrored.with(mirrored.mount().mirroredOver());
    assertThat(DataRun.of(mirrored))
        .extracting(DataRun::way)
        .containsExactly("anticlockwise", "clockwise");
  }

  @Test
  void whatIsOfOnePieceHasNoNameForIt() {
    List<DataRun> runs = runs(new Panel(3, 2, 10, 10, Corner.BOTTOM_RIGHT, false, true, 0));
    assertThat(runs).hasSize(1);
    assertThat(runs.get(0).what()).isEmpty();
    place(runs.get(0).enters(), 20, 10);
    place(runs.get(0).leaves(), 20, 0);
    assertThat(runs.get(0).way()).isEqualTo("left");
  }

  @Test
  void facesAndSegmentsAreCalledByTheirNames() {
    assertThat(runs(BoxFaces.KIND.usual()))
        .extracting(DataRun::what)
        .containsExactly("front", "right", "back", "left", "top", "bottom");
    List<DataRun> digits = runs(SegmentDigits.KIND.usual());
    assertThat(digits.get(0).what()).isEqualTo("hours 1 a");
    assertThat(digits.stream().mapToInt(DataRun::emitters).sum())
        .isEqualTo(SegmentDigits.KIND.usual().count());
  }

  @Test
  void aSingleEmitterSetsOutNowhere() {
    assertThat(runs(LooseEmitters.KIND.usual())).allSatisfy(r -> assertThat(r.way()).isEmpty());
  }
}
