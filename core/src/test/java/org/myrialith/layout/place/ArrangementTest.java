package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.myrialith.gadget.format.ShapeSamples;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Position;
import org.myrialith.layout.Shape;

/** Acts on several fixtures, held against the transformations of a geometry library. */
class ArrangementTest {
  private static final GeometryFactory JTS = new GeometryFactory();

  /** A fixture of every kind, put up anyhow, but no quarter turn that a panel treats by itself. */
  private static List<Fixture> everyKind(long seed) {
    Random random = new Random(seed);
    List<Fixture> all = new ArrayList<>();
    for (int kind = 0; kind < ShapeSamples.KINDS; kind++) {
      Shape shape = ShapeSamples.shape(random, kind);
      Mount mount =
          new Mount(
              random.nextDouble() * 300,
              random.nextDouble() * 300,
              0,
              10 + random.nextDouble() * 70,
              random.nextBoolean(),
              random.nextBoolean(),
              List.of(),
              Mount.USUAL_EMITTER);
      all.add(new Fixture("f" + kind, "Kind " + kind, shape, mount));
    }
    return all;
  }

  private static Geometry points(Fixture fixture) {
    Coordinate[] all = new Coordinate[fixture.count()];
    for (int i = 0; i < all.length; i++) {
      Position place = fixture.position(i);
      all[i] = new Coordinate(place.xMm(), place.yMm());
    }
    return JTS.createMultiPointFromCoords(all);
  }

  private static Envelope box(List<Fixture> fixtures) {
    Envelope box = new Envelope();
    fixtures.forEach(f -> box.expandToInclude(points(f).getEnvelopeInternal()));
    return box;
  }

  private static void assertCarried(
      List<Fixture> before, List<Fixture> after, AffineTransformation by) {
    assertThat(after).hasSameSizeAs(before);
    for (int f = 0; f < before.size(); f++) {
      assertThat(after.get(f).id()).isEqualTo(before.get(f).id());
      Coordinate[] wanted = by.transform(points(before.get(f))).getCoordinates();
      Coordinate[] found = points(after.get(f)).getCoordinates();
      for (int i = 0; i < wanted.length; i++) {
        assertThat(found[i].distance(wanted[i]))
            .as("%s, LED %d", before.get(f).name(), i)
            .isLessThan(1e-6);
      }
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {-30, 17.5, 90, 180, 270})
  void turningCarriesEveryEmitterRoundTheCommonMiddle(double degrees) {
    List<Fixture> picked = everyKind(1);
    Coordinate middle = box(picked).centre();
    // y runs down in a layout, so what a library calls counter-clockwise is clockwise on screen
    assertCarried(
        picked,
        new Arrangement(picked).turned(degrees),
        AffineTransformation.rotationInstance(Math.toRadians(degrees), middle.x, middle.y));
  }

  @Test
  void mirrorsSwapSidesAboutTheCommonMiddle() {
    for (int seed = 2; seed < 12; seed++) {
      List<Fixture> picked = everyKind(seed);
      Coordinate middle = box(picked).centre();
      assertCarried(
          picked,
          new Arrangement(picked).mirroredLeftToRight(),
          AffineTransformation.reflectionInstance(middle.x, 0, middle.x, 1));
      assertCarried(
          picked,
          new Arrangement(picked).mirroredTopToBottom(),
          AffineTransformation.reflectionInstance(0, middle.y, 1, middle.y));
    }
  }

  /** One rule: what is turned takes its picture along, by whatever angle. */
  @ParameterizedTest
  @ValueSource(doubles = {45, 90, 180})
  void aPictureTurnsWithItsPanel(double degrees) {
    Fixture panel =
        Fixture.of("f1", "Panel", new Panel(5, 2, 10, 7, Corner.TOP_LEFT, false, true, 0), 20, 30);
    Fixture turned = new Arrangement(List.of(panel)).turned(degrees).get(0);
    for (int i = 0; i < panel.count(); i++) {
      assertThat(turned.position(i).column()).isEqualTo(panel.position(i).column());
      assertThat(turned.position(i).row()).isEqualTo(panel.position(i).row());
    }
  }

  /** And another: what is mirrored, either way, keeps its picture to be read as before. */
  @Test
  void aPictureStaysUprightWhenItsPanelIsMirrored() {
    Fixture panel =
        Fixture.of("f1", "Panel", new Panel(5, 2, 10, 7, Corner.TOP_LEFT, false, true, 0), 20, 30);
    Arrangement picked = new Arrangement(List.of(panel));
    for (Fixture mirrored :
        List.of(picked.mirroredLeftToRight().get(0), picked.mirroredTopToBottom().get(0))) {
      for (int i = 0; i < panel.count(); i++) {
        Position at = mirrored.position(i);
        assertThat(at.column() * 10 + 20.0).isCloseTo(at.xMm(), within(1e-9));
        assertThat(at.row() * 7 + 30.0).isCloseTo(at.yMm(), within(1e-9));
      }
    }
    assertThat(picked.mirroredTopToBottom().get(0).position(0).yMm()).isCloseTo(37, within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(Arrangement.Line.class)
  void alignedFixturesShareALine(Arrangement.Line line) {
    List<Fixture> picked = everyKind(3);
    Envelope all = box(picked);
    for (Fixture fixture : new Arrangement(picked).aligned(line)) {
      Envelope own = box(List.of(fixture));
      double found =
          switch (line) {
            case LEFT -> own.getMinX() - all.getMinX();
            case CENTRE -> own.centre().x - all.centre().x;
            case RIGHT -> own.getMaxX() - all.getMaxX();
            case TOP -> own.getMinY() - all.getMinY();
            case MIDDLE -> own.centre().y - all.centre().y;
            case BOTTOM -> own.getMaxY() - all.getMaxY();
          };
      assertThat(found).isCloseTo(0, within(1e-9));
    }
  }

  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void distributedMiddlesStandAtEqualSteps(boolean across) {
    List<Fixture> after = new Arrangement(everyKind(4)).distributed(across);
    double[] middles =
        after.stream()
            .map(f -> box(List.of(f)).centre())
            .mapToDouble(c -> across ? c.x : c.y)
            .sorted()
            .toArray();
    double step = (middles[middles.length - 1] - middles[0]) / (middles.length - 1);
    for (int i = 1; i < middles.length; i++) {
      assertThat(middles[i] - middles[i - 1]).isCloseTo(step, within(1e-9));
    }
    assertThat(after).extracting(Fixture::id).startsWith("f0", "f1", "f2");
  }

  @Test
  void snappingPutsFirstEmittersOnTheGridAndOnAnothersPitch() {
    List<Fixture> picked = everyKind(5);
    for (Fixture fixture : new Arrangement(picked).snapped(2.5)) {
      assertThat(Math.IEEEremainder(fixture.position(0).xMm(), 2.5)).isCloseTo(0, within(1e-9));
      assertThat(Math.IEEEremainder(fixture.position(0).yMm(), 2.5)).isCloseTo(0, within(1e-9));
    }
    Fixture other =
        Fixture.of("o", "Other", new Panel(3, 3, 7, 7, Corner.TOP_LEFT, false, true, 0), 1.1, 2.2);
    for (Fixture fixture : new Arrangement(picked).snappedTo(other)) {
      double steps = (fixture.position(0).xMm() - other.position(0).xMm()) / 7;
      assertThat(steps).isCloseTo(Math.rint(steps), within(1e-9));
      assertThat(Math.abs(points(fixture).getCoordinate().x - other.position(0).xMm()))
          .isLessThan(10_000);
    }
    assertThatThrownBy(() -> new Arrangement(picked).snapped(0)).hasMessageContaining("grid");
  }

  @Test
  void arraysStepOnAndGoRound() {
    List<Fixture> picked = everyKind(6).subList(0, 2);
    List<Fixture> line = new Arrangement(picked).inLine(3, 12, -5);
    assertThat(line).hasSize(6);
    assertCarried(picked, line.subList(4, 6), AffineTransformation.translationInstance(36, -15));
    List<Fixture> round = new Arrangement(picked).around(5, 10, 20, 60, true);
    assertCarried(
        picked,
        round.subList(8, 10),
        AffineTransformation.rotationInstance(Math.toRadians(300), 10, 20));
    List<Fixture> upright = new Arrangement(picked.subList(0, 1)).around(1, 10, 20, 90, false);
    Coordinate from = box(picked.subList(0, 1)).centre();
    Coordinate to =
        AffineTransformation.rotationInstance(Math.PI / 2, 10, 20)
            .transform(from, new Coordinate());
    assertThat(box(upright).centre().distance(to)).isLessThan(1e-9);
    assertThat(upright.get(0).mount().turnDegrees()).isEqualTo(picked.get(0).mount().turnDegrees());
    assertThatThrownBy(() -> new Arrangement(picked).inLine(64, 1, 1))
        .hasMessageContaining("copies")
        .hasMessageContaining("1 to 63");
    assertThatThrownBy(() -> new Arrangement(picked).inLine(0, 1, 1))
        .hasMessageContaining("copies");
  }

  @Test
  void aFixtureThatWouldLeaveTheBenchIsRefusedByName() {
    assertThatThrownBy(() -> new Arrangement(everyKind(7)).moved(1e6, 0))
        .hasMessageContaining("xMm");
  }
}
