package org.myrialith.layout;

import java.util.Objects;
import org.myrialith.finding.Bounds;

/**
 * A row of emitters, straight or bent to an arc. The origin is its middle, the top of the arc.
 *
 * @param count emitters
 * @param pitchMm from one to the next, measured along the bar
 * @param bendDegrees the angle between its ends; 0 is straight, positive bends both ends down
 */
public record Bar(int count, double pitchMm, double bendDegrees) implements Shape {
  /** Allowed count. */
  public static final Bounds COUNT = Bounds.count(1, 2048);

  /** Allowed pitch. */
  public static final Bounds PITCH = Bounds.measure(0.5, 500, "mm");

  /** Allowed bend. */
  public static final Bounds BEND = Bounds.measure(-350, 350, "°");

  public Bar {
    COUNT.require("count", count);
    PITCH.require("pitchMm", pitchMm);
    BEND.require("bendDegrees", bendDegrees);
  }

  @Override
  public Place place(int index) {
    Objects.checkIndex(index, count);
    double along = (index - (count - 1) / 2.0) * pitchMm;
    double whole = (count - 1) * pitchMm;
    if (bendDegrees == 0 || count == 1) {
      return new Place(along, 0, index, 0);
    }
    double radius = whole / Math.toRadians(bendDegrees);
    double angle = along / radius;
    return new Place(radius * Math.sin(angle), radius * (1 - Math.cos(angle)), index, 0);
  }

  @Override
  public double middleMm() {
    return 0;
  }

  @Override
  public String describe() {
    return (bendDegrees == 0 ? "bar of " : "curved bar of ") + count;
  }
}
