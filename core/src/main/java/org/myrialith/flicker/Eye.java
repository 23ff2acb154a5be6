package org.myrialith.flicker;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * An eye that sweeps across.
 *
 * @param degreesPerSecond that it turns
 * @param eyeMm from it to the lights
 */
public record Eye(double degreesPerSecond, double eyeMm) {
  /** Allowed speed: a jump of the eye reaches some 900 degrees a second. */
  public static final Bounds SPEED = Bounds.measure(0, 1000, "°/s");

  /** Allowed distance. */
  public static final Bounds DISTANCE = Bounds.measure(50, 100_000, "mm");

  /** A small jump, from an arm's length (common practice). */
  public static final Eye USUAL = new Eye(100, 600);

  /** How it stands in the format. */
  public static final Description<Eye> DESCRIPTION =
      Description.of(
          Eye.class,
          Field.measure("degreesPerSecond", "Eye speed", SPEED)
              .or(USUAL.degreesPerSecond)
              .explained("following: 30; jumping: 300 and more"),
          Field.measure("eyeMm", "Eye distance", DISTANCE).or(USUAL.eyeMm));

  public Eye {
    SPEED.require("degreesPerSecond", degreesPerSecond);
    DISTANCE.require("eyeMm", eyeMm);
  }

  /** Returns how far along the lights it gets in a time (mm). */
  public double sweptMm(double seconds) {
    return eyeMm * Math.toRadians(degreesPerSecond) * seconds;
  }
}
