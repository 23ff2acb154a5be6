package org.myrialith.layout;

/**
 * A direction of length 1.
 *
 * @param x to the right
 * @param y down
 * @param z towards the viewer
 */
public record Facing(double x, double y, double z) {
  /** Straight at the viewer. */
  public static final Facing VIEWER = new Facing(0, 0, 1);

  /** Up. */
  public static final Facing UP = new Facing(0, -1, 0);
}
