package org.myrialith.layout;

/** A point of a line, flat (mm). */
public record Point(double xMm, double yMm) {
  double distanceTo(Point other) {
    return Math.hypot(other.xMm - xMm, other.yMm - yMm);
  }

  /** Returns the point at a share of the way to another. */
  Point towards(Point other, double share) {
    return new Point(xMm + (other.xMm - xMm) * share, yMm + (other.yMm - yMm) * share);
  }
}
