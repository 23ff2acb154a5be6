package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

/**
 * Equal straight boards round a regular polygon, one of them with the controller. The origin is the
 * middle; the middle of module 1 is straight up, the others follow clockwise.
 *
 * <p>The boards are rectangles whose inner corners meet, or stand {@code gapMm} apart along the
 * inner polygon. With n sides, board length L and width w:
 *
 * <pre>
 * inner side      a = L + gap
 * inner apothem   r = a / (2 tan(π/n))
 * joint           (gap + w tan(π/n)) · cos(π/n)   straight, between the middles of the board ends
 * outer radius    √((r + w)² + (L/2)²)
 * </pre>
 *
 * @param sides of the polygon
 * @param pixelsPerModule evenly along the middle of a board, half a pitch from its ends
 * @param moduleLengthMm along the side
 * @param moduleWidthMm across it
 * @param gapMm between inner corners, measured along the inner sides
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
    return (moduleLengthMm + gapMm) / (2 * Math.tan(half()));
  }

  /** Returns the straight distance between the middles of two board ends that meet (mm). */
  public double jointMm() {
    return (gapMm + moduleWidthMm * Math.tan(half())) * Math.cos(half());
  }

  /** Returns the diameter of the circle that just holds all boards (mm). */
  public double outerDiameterMm() {
    return 2 * Math.hypot(innerApothemMm() + moduleWidthMm, moduleLengthMm / 2);
  }

  @Override
  public int count() {
    return sides * pixelsPerModule;
  }

  @Override
  public double pitchMm() {
    // half a pitch on both sides of a joint: neighbours on one board are never farther apart
    return moduleLengthMm / pixelsPerModule;
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
  public Place place(int index) {
    Objects.checkIndex(index, count());
    int way = clockwise ? 1 : -1;
    int module = Math.floorMod(controllerModule - 1 + way * (index / pixelsPerModule), sides);
    double pitch = moduleLengthMm / pixelsPerModule;
    double along = (index % pixelsPerModule + 0.5) * pitch - moduleLengthMm / 2;
    Point at = onModule(module, way * along, moduleWidthMm / 2);
    return new Place(at.xMm(), at.yMm(), index, 0);
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
  public String describe() {
    return "polygon of " + sides + " modules, " + count() + " pixels";
  }
}
