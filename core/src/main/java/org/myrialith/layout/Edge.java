package org.myrialith.layout;

import java.util.List;

/**
 * A line on the bench.
 *
 * @param kind what is done along it
 * @param points at least two; a closed line ends where it began
 */
public record Edge(Kind kind, List<Point> points) {
  /** What is done along a line. */
  public enum Kind {
    CUT,
    FOLD,
    /** Shows what lights; nothing is done along it. */
    GUIDE
  }

  public Edge {
    points = List.copyOf(points);
  }

  /** Returns the outline of a rectangle. */
  static Edge cutRectangle(double left, double top, double right, double bottom) {
    return new Edge(
        Kind.CUT,
        List.of(
            new Point(left, top),
            new Point(right, top),
            new Point(right, bottom),
            new Point(left, bottom),
            new Point(left, top)));
  }
}
