package org.myrialith.power;

import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

/**
 * A day of the gadget; the rest of it the controller sleeps.
 *
 * @param showHours that the show plays
 * @param darkHours that it is awake and dark
 * @param sleepMilliamps that the controller draws asleep (mA)
 * @param wantedHours of the show that cells are to last for; 0 for none in mind
 */
public record Day(double showHours, double darkHours, double sleepMilliamps, double wantedHours) {
  /** Allowed hours of a day. */
  public static final Bounds HOURS = Bounds.measure(0, 24, "h");

  /** Allowed draw asleep. */
  public static final Bounds SLEEP = Bounds.measure(0, 1000, "mA");

  /** Allowed hours in all. */
  public static final Bounds WANTED = Bounds.measure(0, 100_000, "h");

  /** The show plays all the time. */
  public static final Day ALWAYS = new Day(24, 0, 0.1, 0);

  /** How it stands in the format. */
  public static final Description<Day> DESCRIPTION =
      Description.of(
          Day.class,
          Field.measure("showHours", "Show, of a day", HOURS).or(24.0),
          Field.measure("darkHours", "Awake and dark", HOURS).or(0.0),
          Field.measure("sleepMilliamps", "Controller asleep", SLEEP).or(0.1),
          Field.measure("wantedHours", "To last for, of the show", WANTED)
              .or(0.0)
              .explained("0 for none in mind"));

  public Day {
    HOURS.require("showHours", showHours);
    HOURS.require("darkHours", darkHours);
    SLEEP.require("sleepMilliamps", sleepMilliamps);
    WANTED.require("wantedHours", wantedHours);
    if (showHours + darkHours > 24) {
      throw new InputException("darkHours", darkHours, "no more than what the show leaves of 24 h");
    }
  }

  /** Returns the hours asleep. */
  public double sleepHours() {
    return 24 - showHours - darkHours;
  }
}
