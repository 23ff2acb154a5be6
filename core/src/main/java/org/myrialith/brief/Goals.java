package org.myrialith.brief;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * What the maker wants the gadget to reach, beside the battery life that goes with a day of it.
 *
 * @param framesPerSecond at least; 0 for no such goal
 * @param milliamps that the supply delivers at most (mA); 0 for no such goal
 */
public record Goals(double framesPerSecond, double milliamps) {
  /** Allowed frame rates; 0 for none. */
  public static final Bounds RATE = Bounds.measure(0, 1000, "fps");

  /** Allowed currents; 0 for none. */
  public static final Bounds CURRENT = Bounds.measure(0, 400_000, "mA");

  /** No goals. */
  public static final Goals NONE = new Goals(0, 0);

  /** How it stands in the format. */
  public static final Description<Goals> DESCRIPTION =
      Description.of(
          Goals.class,
          Field.measure("framesPerSecond", "Frame rate, at least", RATE)
              .or(0.0)
              .explained("0 = no goal"),
          Field.measure("milliamps", "Peak supply current, at most", CURRENT)
              .or(0.0)
              .explained("0 = no goal"));

  public Goals {
    RATE.require("framesPerSecond", framesPerSecond);
    CURRENT.require("milliamps", milliamps);
  }
}
