package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.myrialith.tool.Chance;

/** Polygons, bars, digits, stacks, boxes, panes and strips in pieces. */
@ExtendWith(InstancioExtension.class)
class ShapesTest {
  private static final GeometryFactory JTS = new GeometryFactory();

  private static List<Geometry> boards(ModulePolygon polygon) {
    return polygon.edges().stream()
        .map(
            e ->
                (Geometry)
                    JTS.createPolygon(
                        e.points().stream()
                            .map(p -> new Coordinate(p.xMm(), p.yMm()))
                            .toArray(Coordinate[]::new)))
        .toList();
  }

  /** Outer size, gaps and joints measured on the boards themselves by a geometry library. */
  @RepeatedTest(100)
  void aPolygonOfModulesMeasuresAsComputed(@Given long given) {
    Chance chance = new Chance(given);
    int sides = chance.whole(3, 40);
    double length = chance.measure(10, 200);
    double width = chance.measure(1, 30);
    double gap = chance.measure(0, 20);
    ModulePolygon polygon = new ModulePolygon(sides, 4, length, width, gap, 1, true);
    List<Geometry> boards = boards(polygon);
    Geometry all = JTS.createGeometryCollection(boards.toArray(Geometry[]::new));
    assertThat(2 * new MinimumBoundingCircle(all).getRadius())
        .isCloseTo(polygon.outerDiameterMm(), within(1e-6));
    assertThat(all.getCentroid().getX()).isCloseTo(0, within(1e-6));
    Coordinate[] first = boards.get(0).getCoordinates();
    Coordinate[] second = boards.get(1).getCoordinates();
    double joint = middle(first[1], first[2]).distance(middle(second[0], second[3]));
    assertThat(joint).isCloseTo(polygon.jointMm(), within(1e-9));
    // inner corners stand apart by the gap
    assertThat(DistanceOp.distance(boards.get(0), boards.get(1))).isCloseTo(gap, within(1e-9));
    // the least distance of two emitters, all against all
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < polygon.count(); i++) {
      for (int j = 0; j < i; j++) {
        Position a = polygon.position(i);
        Position b = polygon.position(j);
        least = Math.min(least, Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm()));
      }
    }
    assertThat(polygon.spacingMm()).isCloseTo(least, within(1e-9));
    for (int i = 0; i < polygon.count(); i++) {
      Position place = polygon.position(i);
      Coordinate at = new Coordinate(place.xMm(), place.yMm());
      assertThat(boards.get(i / 4).distance(JTS.createPoint(at))).isCloseTo(0, within(1e-9));
    }
  }

  private static Coordinate middle(Coordinate a, Coordinate b) {
    return new Coordinate((a.x + b.x) / 2, (a.y + b.y) / 2);
  }

  /** Inner angle (n - 2) 180 / n: common practice, twelve sides 150 degrees. */
  @ParameterizedTest
  @CsvSource({"3, 60", "4, 90", "6, 120", "12, 150"})
  void innerAngles(int sides, double degrees) {
    assertThat(new ModulePolygon(sides, 1, 50, 10, 0, 1, true).innerAngleDegrees())
        .isCloseTo(degrees, within(1e-9));
  }

  @Test
  void theDataOfAPolygonEntersAtTheModuleWithTheController() {
    ModulePolygon polygon = new ModulePolygon(6, 3, 60, 10, 0, 4, false);
    assertThat(polygon.part(0)).isEqualTo("module 4, controller");
    assertThat(polygon.part(3)).isEqualTo("module 3");
    // module 4 of 6 lies straight below the middle
    assertThat(polygon.position(1).xMm()).isCloseTo(0, within(1e-9));
    assertThat(polygon.position(1).yMm()).isPositive();
    assertThat(polygon.leapsAfter(2)).isTrue();
    assertThat(polygon.leapsAfter(3)).isFalse();
  }

  @Test
  void aStripInPiecesKeepsItsGapsAndTurnsOnePieceRound() {
    Strip strip =
        new Strip(
            List.of(
                new Strip.Piece(3, 0, false),
                new Strip.Piece(2, 25, true),
                new Strip.Piece(1, 5, false)),
            1,
            100,
            List.of(new Point(0, 0), new Point(100, 0)));
    // by hand: pitch 10; 5 15 25, gap to 55, turned: 70 before 60, its end at 75, gap to 80: 85
    double[] x = {5, 15, 25, 70, 60, 85};
    int[] column = {0, 1, 2, 4, 3, 5};
    for (int i = 0; i < x.length; i++) {
      assertThat(strip.position(i).xMm()).isCloseTo(x[i], within(1e-9));
      assertThat(strip.position(i).column()).isEqualTo(column[i]);
    }
    assertThat(strip.lengthMm()).isEqualTo(60);
    assertThat(strip.reachMm()).isEqualTo(90);
    assertThat(strip.leapsAfter(2)).isTrue();
    assertThat(strip.leapsAfter(4)).isTrue();
    assertThat(strip.leapsAfter(3)).isFalse();
    assertThat(strip.edges()).hasSize(6);
  }

  @Test
  void aStripIsCutOnlyAtItsMarks() {
    List<Point> path = List.of(new Point(0, 0), new Point(100, 0));
    assertThatThrownBy(() -> new Strip(List.of(new Strip.Piece(4, 0, false)), 3, 60, path))
        .hasMessageContaining("pieces[0].pixels")
        .hasMessageContaining("multiple of 3");
    assertThatThrownBy(() -> new Strip.Piece(0, 0, false)).hasMessageContaining("1 to 8192");
    assertThatThrownBy(() -> new Strip.Piece(3, -1, false)).hasMessageContaining("gapMm");
  }

  @Test
  void aBentBarIsAnArcOfTheSamePitch() {
    Bar bar = new Bar(7, 10, 90);
    double radius = 60 / (Math.PI / 2);
    for (int i = 0; i < 7; i++) {
      Position place = bar.position(i);
      assertThat(Math.hypot(place.xMm(), place.yMm() - radius)).isCloseTo(radius, within(1e-9));
    }
    assertThat(bar.position(3).yMm()).isCloseTo(0, within(1e-9));
    assertThat(bar.position(0).yMm()).isPositive();
    assertThat(new Bar(7, 10, 0).position(6).xMm()).isEqualTo(30);
  }

  private static SegmentDigits digits(SegmentStyle style, int leds, boolean point) {
    return new SegmentDigits(
        style,
        60,
        30,
        0,
        6,
        List.of(new SegmentDigits.Module(2, "hours"), new SegmentDigits.Module(2, "minutes")),
        45,
        20,
        leds,
        true,
        point,
        List.of(2),
        style == SegmentStyle.CUSTOM
            ? List.of(new Segment("arm", 0, 0, 30, 60), new Segment("dot", 15, 30, 15, 30))
            : List.of(),
        List.of(new SegmentDigits.Indicator(-15, 5, "alarm")));
  }

  /** 7, 14 and 16 segments, a point each, a colon of two, an indicator: counted by hand. */
  @ParameterizedTest
  @CsvSource({
    "SEVEN, 1, 35, 34",
    "SEVEN, 3, 91, 34",
    "FOURTEEN, 2, 119, 62",
    "SIXTEEN, 1, 71, 70",
    "CUSTOM, 5, 31, 14"
  })
  void digitsHaveTheirSegmentsPointsAndColons(
      SegmentStyle style, int leds, int emitters, int switched) {
    SegmentDigits digits = digits(style, leds, true);
    assertThat(digits.count()).isEqualTo(emitters);
    assertThat(digits.placements()).hasSize(emitters);
    assertThat(digits.switched()).isEqualTo(switched);
    // every switched thing is one cell of the picture, and no two share one
    Set<String> cells =
        digits.placements().stream()
            .map(s -> s.position().column() + " " + s.position().row())
            .collect(Collectors.toSet());
    assertThat(cells).hasSize(switched);
  }

  /** The LEDs of a segment lie on its line, between its ends. */
  @ParameterizedTest
  @CsvSource({"SEVEN", "FOURTEEN", "SIXTEEN", "CUSTOM"})
  void segmentsAreSeenWhereTheirLedsAre(SegmentStyle style) {
    SegmentDigits digits = digits(style, 3, true);
    for (SegmentDigits.Line line : digits.lines()) {
      List<Position> leds =
          digits.placements().stream()
              .map(Placement::position)
              .filter(at -> at.column() == line.column() && at.row() == line.row())
              .toList();
      assertThat(leds).hasSize(3);
      double length =
          Math.hypot(line.to().xMm() - line.from().xMm(), line.to().yMm() - line.from().yMm());
      for (Position led : leds) {
        double one = Math.hypot(led.xMm() - line.from().xMm(), led.yMm() - line.from().yMm());
        double other = Math.hypot(led.xMm() - line.to().xMm(), led.yMm() - line.to().yMm());
        assertThat(one + other).isCloseTo(length, within(1e-9));
      }
    }
  }

  @Test
  void aSevenSegmentDigitHasItsLettersWhereDataSheetsHaveThem() {
    SegmentDigits digits = digits(SegmentStyle.SEVEN, 1, false);
    String[] names = {"a", "b", "c", "d", "e", "f", "g"};
    double[][] middles = {{15, 0}, {30, 15}, {30, 45}, {15, 60}, {0, 45}, {0, 15}, {15, 30}};
    for (int i = 0; i < names.length; i++) {
      assertThat(digits.part(i)).isEqualTo("hours 1 " + names[i]);
      assertThat(digits.position(i).xMm()).isCloseTo(middles[i][0], within(1e-9));
      assertThat(digits.position(i).yMm()).isCloseTo(middles[i][1], within(1e-9));
    }
    // third digit: two pitches of 45 and the gap of 20 between the modules
    assertThat(digits.position(16).xMm()).isCloseTo(2 * 45 + 20 + 15, within(1e-9));
    assertThat(digits.part(14)).isEqualTo("hours 2 colon");
  }

  @Test
  void theSlantLeansToTheRightAndTheGapShortensSegments() {
    SegmentDigits upright = digits(SegmentStyle.SEVEN, 3, false);
    SegmentDigits leaning =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            60,
            30,
            10,
            6,
            upright.modules(),
            45,
            20,
            3,
            true,
            false,
            List.of(),
            List.of(),
            List.of());
    // segment a lies 60 mm over the base line: it shifts by 60 tan 10 degrees
    assertThat(leaning.position(1).xMm() - upright.position(1).xMm())
        .isCloseTo(10.58, within(0.01));
    // three emitters over 30 - 6 mm stand 8 mm apart
    assertThat(upright.position(1).xMm() - upright.position(0).xMm()).isCloseTo(8, within(1e-9));
  }

  @Test
  void lampDigitsHaveLampsWhereTheMaskHasThem() {
    LampDigits lamps = new LampDigits(List.of("##", "#.", "##"), 2, 40, 30);
    assertThat(lamps.count()).isEqualTo(10);
    assertThat(lamps.position(5)).isEqualTo(new Position(110, 0, 2, 0));
    assertThat(lamps.position(2)).isEqualTo(new Position(0, 40, 0, 1));
    assertThat(lamps.characterMm()).isEqualTo(80);
    assertThatThrownBy(() -> new LampDigits(List.of("##", "#"), 1, 40, 0))
        .hasMessageContaining("mask[1]");
    assertThatThrownBy(() -> new LampDigits(List.of(".."), 1, 40, 0))
        .hasMessageContaining("at least one lamp");
  }

  @Test
  void aStackRisesLayerByLayer() {
    Stack stack = new Stack(4, 4, 4, 20, 25, 12);
    assertThat(stack.count()).isEqualTo(64);
    assertThat(stack.pose(0).zMm()).isEqualTo(12);
    assertThat(stack.pose(63)).isEqualTo(new Pose(60, 60, 87, Facing.VIEWER));
    assertThat(stack.enclosed()).isEqualTo(8);
    assertThat(stack.part(16)).isEqualTo("layer 2");
    assertThat(new Stack(2, 9, 9, 20, 25, 12).enclosed()).isZero();
  }

  /** Each face is folded back along its hinges by a rotation library. */
  @Test
  void theNetFoldsToTheBox() {
    double w = 40;
    double h = 44;
    double d = 50;
    BoxFaces box = new BoxFaces(w, h, d, 1.6, 8, List.of("3", "2", "6", "5", "4", "3x2"));
    for (int i = 0; i < box.count(); i++) {
      Position flat = box.position(i);
      Vector3D at = Vector3D.of(flat.xMm(), flat.yMm(), 0);
      Vector3D facing = Vector3D.of(0, 0, 1);
      for (Hinge hinge : hinges(box.part(i), w, h)) {
        at = hinge.fold(at);
        facing = hinge.turn.apply(facing);
      }
      Pose spot = box.pose(i);
      assertThat(Vector3D.of(spot.xMm(), spot.yMm(), spot.zMm()).distance(at))
          .as(box.part(i))
          .isCloseTo(0, within(1e-9));
      Facing looks = spot.facing();
      assertThat(Vector3D.of(looks.x(), looks.y(), looks.z()).distance(facing))
          .as(box.part(i))
          .isCloseTo(0, within(1e-9));
    }
  }

  private record Hinge(Vector3D on, QuaternionRotation turn) {
    static Hinge of(double x, double y, Vector3D axis, double degrees) {
      return new Hinge(
          Vector3D.of(x, y, 0), QuaternionRotation.fromAxisAngle(axis, Math.toRadians(degrees)));
    }

    Vector3D fold(Vector3D point) {
      return turn.apply(point.subtract(on)).add(on);
    }
  }

  /** The hinges from the outermost inwards; all faces fold away from the viewer. */
  private static List<Hinge> hinges(String face, double w, double h) {
    Vector3D down = Vector3D.of(0, 1, 0);
    Vector3D across = Vector3D.of(1, 0, 0);
    List<Hinge> hinges = new ArrayList<>();
    switch (face) {
      case "right" -> hinges.add(Hinge.of(w, 0, down, 90));
      case "back" -> {
        hinges.add(Hinge.of(w + 50, 0, down, 90));
        hinges.add(Hinge.of(w, 0, down, 90));
      }
      case "left" -> hinges.add(Hinge.of(0, 0, down, -90));
      case "top" -> hinges.add(Hinge.of(0, 0, across, 90));
      case "bottom" -> hinges.add(Hinge.of(0, h, across, -90));
      default -> {}
    }
    return hinges;
  }

  @Test
  void wordsStandBesideWhatTheyName() {
    BoxFaces box = new BoxFaces(40, 44, 50, 1.6, 8, List.of("3", "2", "6", "5", "4", "1"));
    assertThat(box.notes())
        .extracting(Note::text)
        .containsExactly("front", "right", "back", "left", "top", "bottom");
    assertThat(box.notes().get(3).at()).isEqualTo(new Point(-25, 3));
    Strip strip =
        new Strip(
            List.of(new Strip.Piece(2, 5, false), new Strip.Piece(2, 10, false)),
            1,
            100,
            List.of(new Point(0, 0), new Point(100, 0)));
    assertThat(strip.notes()).extracting(Note::text).containsExactly("1", "2");
    assertThat(strip.notes().get(1).at().xMm()).isCloseTo(35, within(1e-9));
    assertThat(strip.notes().get(1).at().yMm()).isNegative();
    // a turned fixture carries its words along
    Fixture turned =
        new Fixture(
            "f1",
            "Die",
            box,
            new Mount(10, 20, 0, 90, false, false, List.of(), Mount.USUAL_EMITTER));
    assertThat(turned.notes().get(3).at().xMm()).isCloseTo(7, within(1e-9));
    assertThat(turned.notes().get(3).at().yMm()).isCloseTo(-5, within(1e-9));
  }

  /** Opposite faces of a die add up to seven: 21 pips in all (common practice). */
  @Test
  void aDieHasTwentyOnePips() {
    BoxFaces die = new BoxFaces(40, 40, 40, 2, 9, List.of("1", "2", "6", "5", "3", "4"));
    assertThat(die.count()).isEqualTo(21);
    assertThat(die.insideMm()).containsExactly(36, 36, 36);
    assertThatThrownBy(() -> new BoxFaces(40, 40, 40, 2, 9, List.of("1", "2", "6", "x", "3", "4")))
        .hasMessageContaining("left");
    assertThatThrownBy(() -> new BoxFaces(40, 40, 40, 2, 30, List.of("1", "2", "6", "5", "3", "4")))
        .hasMessageContaining("smaller pitch");
    assertThatThrownBy(() -> new BoxFaces(40, 40, 40, 20, 9, List.of("1", "2", "6", "5", "3", "4")))
        .hasMessageContaining("thicknessMm");
  }

  @Test
  void panesStandBehindEachOtherOverTheirEmitters() {
    Panes panes = new Panes(2, 10, 3, 4.5, 30, 50, 3, 36);
    assertThat(panes.count()).isEqualTo(60);
    assertThat(panes.depthMm()).isCloseTo(43.5, within(1e-9));
    // the second digit's third pane, middle emitter: 36 + 15 across, 9 behind the front
    int index = 30 + 2 * 3 + 1;
    assertThat(panes.position(index)).isEqualTo(new Position(51, -9, 1, 2));
    assertThat(panes.pose(index)).isEqualTo(new Pose(51, 50, -9, Facing.UP));
    assertThatThrownBy(() -> new Panes(2, 10, 3, 2, 30, 50, 3, 36))
        .hasMessageContaining("panePitchMm");
    assertThatThrownBy(() -> new Panes(2, 10, 3, 4, 30, 50, 3, 20))
        .hasMessageContaining("digitPitchMm");
  }

  @Test
  void looseEmittersKeepTheirNames() {
    LooseEmitters loose =
        new LooseEmitters(
            List.of(
                new LooseEmitters.Single(1, 2, 3, "left eye"),
                new LooseEmitters.Single(4, 6, 3, " ")));
    assertThat(loose.part(0)).isEqualTo("left eye");
    assertThat(loose.part(1)).isEmpty();
    assertThat(loose.spacingMm()).isEqualTo(5);
    assertThatThrownBy(() -> new LooseEmitters(List.of())).hasMessageContaining("emitters");
  }

  @Test
  void refusesByName() {
    assertThatThrownBy(() -> new ModulePolygon(2, 4, 50, 10, 0, 1, true))
        .hasMessageContaining("sides")
        .hasMessageContaining("3 to 128");
    assertThatThrownBy(() -> new ModulePolygon(5, 4, 50, 10, -1, 1, true))
        .hasMessageContaining("gapMm");
    assertThatThrownBy(() -> new ModulePolygon(5, 4, 50, 10, 0, 6, true))
        .hasMessageContaining("controllerModule");
    assertThatThrownBy(() -> new Stack(0, 1, 1, 10, 10, 10)).hasMessageContaining("columns");
    assertThatThrownBy(() -> new Bar(3, Double.NaN, 0)).hasMessageContaining("pitchMm");
    assertThatThrownBy(() -> digits(SegmentStyle.SEVEN, 9, true))
        .hasMessageContaining("ledsPerSegment");
  }
}
