package org.myrialith.layout.place;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;

/**
 * Finds room on the bench for one more box: beside or below what is there, where the whole stays
 * most like the drawing.
 *
 * @param taken boxes that are there
 * @param gapMm to keep between boxes
 */
public record FreePlace(List<LayoutPlan.Box> taken, double gapMm) {
  /** The drawing is about so many times as wide as high. */
  private static final double DRAWN_SHAPE = 16.0 / 9;

  private static final double WIDE_GAP = 0.07;

  private static final double ROUNDING_MM = 1e-6;

  public FreePlace {
    taken = List.copyOf(taken);
  }

  /**
   * Returns the room that the fixtures of a gadget leave. Large gadgets get wider gaps, so that
   * names have their place in the drawing.
   *
   * @param leastMm to keep between them
   */
  public static FreePlace beside(List<Fixture> fixtures, double leastMm) {
    LayoutPlan.Box whole = LayoutPlan.of(fixtures).extent();
    double wide = WIDE_GAP * Math.max(whole.widthMm(), DRAWN_SHAPE * whole.heightMm());
    return new FreePlace(
        fixtures.stream().map(f -> LayoutPlan.of(List.of(f)).extent()).toList(),
        Math.rint(Math.max(leastMm, wide)));
  }

  /** Returns the left top corner for a box of that size (mm); 0, 0 when nothing is there. */
  public Point forBox(double widthMm, double heightMm) {
    Point best = new Point(0, 0);
    double least = Double.POSITIVE_INFINITY;
    for (Point corner : corners()) {
      LayoutPlan.Box box = new LayoutPlan.Box(corner.xMm(), corner.yMm(), widthMm, heightMm);
      double size = sizeWith(box);
      if (size < least && taken.stream().noneMatch(t -> tooNear(t, box))) {
        least = size;
        best = corner;
      }
    }
    return best;
  }

  private List<Point> corners() {
    List<Point> corners = new ArrayList<>();
    for (LayoutPlan.Box box : taken) {
      corners.add(new Point(box.leftMm() + box.widthMm() + gapMm, box.topMm()));
      corners.add(new Point(box.leftMm(), box.topMm() + box.heightMm() + gapMm));
    }
    return corners;
  }

  private boolean tooNear(LayoutPlan.Box a, LayoutPlan.Box b) {
    double near = gapMm - ROUNDING_MM;
    return a.leftMm() - near < b.leftMm() + b.widthMm()
        && b.leftMm() - near < a.leftMm() + a.widthMm()
        && a.topMm() - near < b.topMm() + b.heightMm()
        && b.topMm() - near < a.topMm() + a.heightMm();
  }

  /** How wide the drawing of everything and that box gets. */
  private double sizeWith(LayoutPlan.Box box) {
    double left = box.leftMm();
    double top = box.topMm();
    double right = box.leftMm() + box.widthMm();
    double bottom = box.topMm() + box.heightMm();
    for (LayoutPlan.Box each : taken) {
      left = Math.min(left, each.leftMm());
      top = Math.min(top, each.topMm());
      right = Math.max(right, each.leftMm() + each.widthMm());
      bottom = Math.max(bottom, each.topMm() + each.heightMm());
    }
    return Math.max(right - left, (bottom - top) * DRAWN_SHAPE);
  }
}
