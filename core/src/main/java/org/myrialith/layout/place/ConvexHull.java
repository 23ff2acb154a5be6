package org.myrialith.layout.place;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import org.myrialith.layout.Point;

/** The tightest outline without a dent round some points (Andrew's monotone chain). */
public final class ConvexHull {
  private ConvexHull() {}

  /**
   * Returns its corners, once round; for points on one line the two ends, for none nothing.
   *
   * @param points in any order
   */
  public static List<Point> of(List<Point> points) {
    List<Point> sorted =
        points.stream()
            .distinct()
            .sorted(Comparator.comparingDouble(Point::xMm).thenComparingDouble(Point::yMm))
            .toList();
    if (sorted.size() < 3) {
      return sorted;
    }
    List<Point> hull = half(sorted);
    List<Point> backwards = new ArrayList<>(sorted);
    Collections.reverse(backwards);
    hull.addAll(half(backwards));
    return hull;
  }

  /** One side, without its last corner, which is the first of the other. */
  private static List<Point> half(List<Point> sorted) {
    List<Point> side = new ArrayList<>();
    for (Point point : sorted) {
      while (side.size() > 1
          && turn(side.get(side.size() - 2), side.get(side.size() - 1), point) <= 0) {
        side.remove(side.size() - 1);
      }
      side.add(point);
    }
    side.remove(side.size() - 1);
    return side;
  }

  private static double turn(Point a, Point b, Point c) {
    return (b.xMm() - a.xMm()) * (c.yMm() - a.yMm()) - (b.yMm() - a.yMm()) * (c.xMm() - a.xMm());
  }
}
