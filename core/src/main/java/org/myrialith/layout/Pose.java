package org.myrialith.layout;

/**
 * Where one emitter sits in space, and where it looks.
 *
 * @param xMm to the right
 * @param yMm down
 * @param zMm towards the viewer
 */
public record Pose(double xMm, double yMm, double zMm, Facing facing) {
  /** Returns a corner of a body, which looks nowhere in particular. */
  static Pose corner(double xMm, double yMm, double zMm) {
    return new Pose(xMm, yMm, zMm, Facing.VIEWER);
  }

  /** Returns the distance to another (mm). */
  public double distanceTo(Pose other) {
    double flat = Math.hypot(other.xMm - xMm, other.yMm - yMm);
    return Math.hypot(flat, other.zMm - zMm);
  }
}
