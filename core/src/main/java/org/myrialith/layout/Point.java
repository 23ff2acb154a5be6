package org.myrialith.layout;

import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/** A point of a line, flat (mm). */
public record Point(double xMm, double yMm) {
  /** How it stands in the format. */
  public static final Description<Point> DESCRIPTION =
      Description.of(
          Point.class,
          Field.measure("xMm", "x", Fixture.PLACE),
          Field.measure("yMm", "y", Fixture.PLACE));

  /** Returns how far away another is (mm). */
  public double distanceTo(Point other) {
    return Math.hypot(other.xMm - xMm, other.yMm - yMm);
  }

  /** Returns the point at a share of the way to another. */
  Point towards(Point other, double share) {
    return new Point(xMm + (other.xMm - xMm) * share, yMm + (other.yMm - yMm) * share);
  }
}
