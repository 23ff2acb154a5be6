package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Source;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Equal straight boards round a regular polygon, one of them with the controller. The origin is the
 * middle; the middle of module 1 is straight up, the others follow clockwise.
 *
 * <p>The boards are rectangles whose inner corners meet, or stand {@code gapMm} apart, measured
 * straight from corner to corner. With n sides, board length L and width w:
 *
 * <pre>
 * gap along sides g = gap / cos(π/n)
 * inner side      a = L + g
 * inner apothem   r = a / (2 tan(π/n))
 * joint           gap + w sin(π/n)   straight, between the middles of the board ends
 * outer radius    √((r + w)² + (L/2)²)
 * </pre>
 *
 * @param sides of the polygon
 * @param pixelsPerModule evenly along the middle of a board, half a pitch from its ends
 * @param moduleLengthMm along the side
 * @param moduleWidthMm across it
 * @param gapMm between the inner corners of neighbours, straight
 * @param controllerModule the one with the controller, from 1; the data enters there
 * @param clockwise the way the data runs
 */
public record ModulePolygon(
    int sides,
    int pixelsPerModule,
    double moduleLengthMm,
    double moduleWidthMm,
    double gapMm,
    int controllerModule,
    boolean clockwise)
    implements Shape {
  private static final double NOTE_IN_MM = 4;

  /** Allowed sides. */
  public static final Bounds SIDES = Bounds.count(3, 128);

  /** Numbers of modules, from 1. */
  public static final Bounds SIDES_FROM_ONE = Bounds.count(1, 128);

  /** Allowed pixels of a module. */
  public static final Bounds PIXELS = Bounds.count(1, 256);

  /** Allowed length of a module. */
  public static final Bounds LENGTH = Bounds.measure(2, 1000, "mm");

  /** Allowed width of a module. */
  public static final Bounds WIDTH = Bounds.measure(1, 200, "mm");

  /** Allowed gap. */
  public static final Bounds GAP = Bounds.measure(0, 200, "mm");

  /** How it stands in the format. */
  public static final Kind<ModulePolygon> KIND =
      Kind.of(
          "polygon",
          "polygon",
          new ModulePolygon(12, 5, 50, 10, 0, 1, true),
          Field.count("sides", "Sides", SIDES),
          Field.count("pixelsPerModule", "Pixels per module", PIXELS)
              .explained("evenly along the centre line of a board, half a pitch from its ends"),
          Field.measure("moduleLengthMm", "Module length", LENGTH),
          Field.measure("moduleWidthMm", "Module width", WIDTH),
          Field.measure("gapMm", "Gap between inner corners", GAP)
              .explained("straight, from the inner corner of a board to that of its neighbour"),
          Field.count("controllerModule", "Controller on module", SIDES_FROM_ONE)
              .explained("where the data enters, counted clockwise from the top"),
          Field.of("direction", "Data direction", Ring.WAY).in("clockwise"));

  public ModulePolygon {
    SIDES.require("sides", sides);
    PIXELS.require("pixelsPerModule", pixelsPerModule);
    LENGTH.require("moduleLengthMm", moduleLengthMm);
    WIDTH.require("moduleWidthMm", moduleWidthMm);
    GAP.require("gapMm", gapMm);
    Bounds.count(1, sides).require("controllerModule", controllerModule);
    if (sides * pixelsPerModule > Fixture.MOST_EMITTERS) {
      throw new InputException(
          "pixelsPerModule",
          sides + " × " + pixelsPerModule,
          "at most " + Fixture.MOST_EMITTERS + " pixels in a polygon");
    }
  }

  private double half() {
    return Math.PI / sides;
  }

  /** Returns the angle between two neighbouring sides (degrees). */
  public double innerAngleDegrees() {
    return (sides - 2) * 180.0 / sides;
  }

  /** Returns the distance from the middle to the inner side of a board (mm). */
  public double innerApothemMm() {
    return (moduleLengthMm + gapAlongMm()) / (2 * Math.tan(half()));
  }

  /** Returns the gap measured along the inner sides, round the corner of the polygon (mm). */
  public double gapAlongMm() {
    return gapMm / Math.cos(half());
  }

  /** Returns the straight distance between the middles of two board ends that meet (mm). */
  public double jointMm() {
    return gapMm + moduleWidthMm * Math.sin(half());
  }

  /** Returns the diameter of the circle that just holds all boards (mm). */
  public double outerDiameterMm() {
    return 2 * Math.hypot(innerApothemMm() + moduleWidthMm, moduleLengthMm / 2);
  }

  @Override
  public boolean spansArea() {
    return true;
  }

  @Override
  public int count() {
    return sides * pixelsPerModule;
  }

  @Override
  public double spacingMm() {
    // across a joint: half a pitch on both sides and the joint itself, seen round the corner
    double across = jointMm() + moduleLengthMm / pixelsPerModule * Math.cos(half());
    return pixelsPerModule == 1 ? across : Math.min(moduleLengthMm / pixelsPerModule, across);
  }

  private Point onModule(double module, double along, double out) {
    double angle = module * 2 * half();
    double apothem = innerApothemMm() + out;
    return new Point(
        along * Math.cos(angle) + apothem * Math.sin(angle),
        along * Math.sin(angle) - apothem * Math.cos(angle));
  }

  /** Names the module with the controller, inside the polygon. */
  @Override
  public List<Note> notes() {
    return List.of(new Note("controller", onModule(controllerModule - 1, 0, -NOTE_IN_MM)));
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count());
    int way = clockwise ? 1 : -1;
    int module = Math.floorMod(controllerModule - 1 + way * (index / pixelsPerModule), sides);
    double pitch = moduleLengthMm / pixelsPerModule;
    double along = (index % pixelsPerModule + 0.5) * pitch - moduleLengthMm / 2;
    Point at = onModule(module, way * along, moduleWidthMm / 2);
    return new Position(at.xMm(), at.yMm(), index, 0);
  }

  @Override
  public String part(int index) {
    int way = clockwise ? 1 : -1;
    int module = Math.floorMod(controllerModule - 1 + way * (index / pixelsPerModule), sides);
    return "module " + (module + 1) + (module + 1 == controllerModule ? ", controller" : "");
  }

  @Override
  public boolean leapsAfter(int index) {
    return (index + 1) % pixelsPerModule == 0;
  }

  @Override
  public double middleMm() {
    return 0;
  }

  @Override
  public List<Edge> edges() {
    List<Edge> boards = new ArrayList<>();
    double half = moduleLengthMm / 2;
    for (int module = 0; module < sides; module++) {
      boards.add(
          new Edge(
              Edge.Kind.CUT,
              List.of(
                  onModule(module, -half, 0),
                  onModule(module, half, 0),
                  onModule(module, half, moduleWidthMm),
                  onModule(module, -half, moduleWidthMm),
                  onModule(module, -half, 0))));
    }
    return boards;
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    Calculation.Given n = Calculation.given("sides n", sides, "");
    Calculation.Given gap = Calculation.given("gap between inner corners", gapMm, "mm");
    Calculation.Given width = Calculation.given("module width w", moduleWidthMm, "mm");
    return List.of(
        new Calculation(
            "inner-angle-" + fixture.id(),
            "Inner angle of " + fixture.name(),
            innerAngleDegrees(),
            "°",
            "(sides n − 2) × 180° ÷ sides n",
            List.of(n),
            Source.ARITHMETIC),
        LayoutNumbers.length(
            "outer-" + fixture.id(),
            "Outer diameter of " + fixture.name(),
            outerDiameterMm(),
            "2 × √((inner apothem r + module width w)² + (module length L ÷ 2)²)",
            Calculation.given("inner apothem r", innerApothemMm(), "mm"),
            width,
            Calculation.given("module length L", moduleLengthMm, "mm")),
        LayoutNumbers.length(
            "joint-" + fixture.id(),
            "Length of a joint of " + fixture.name(),
            jointMm(),
            "gap between inner corners + module width w × sin(π ÷ sides n); straight between the centres of the board ends",
            gap,
            width,
            n),
        LayoutNumbers.length(
            "gap-along-" + fixture.id(),
            "Gap of " + fixture.name() + " along the sides",
            gapAlongMm(),
            "gap between inner corners ÷ cos(π ÷ sides n); measured round the corner of the inner polygon",
            gap,
            n));
  }

  @Override
  public String describe() {
    return "polygon of " + sides + " modules, " + count() + " pixels";
  }
}
