package org.myrialith.power;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * A day of the gadget; the rest of it the controller is dark, and sleeps where the maker's own
 * firmware does. The exported firmware stays awake.
 *
 * @param showHours that the show plays
 * @param darkHours that it is awake and dark
 * @param sleepMilliamps that the controller draws asleep (mA)
 * @param wantedHours of the show that cells are to last for; 0 for none in mind
 * @param ownSleep whether firmware of the maker's own sleeps in the rest of the day
 */
public record DailyUse(
    double showHours,
    double darkHours,
    double sleepMilliamps,
    double wantedHours,
    boolean ownSleep) {
  /** Allowed hours of a day. */
  public static final Bounds HOURS = Bounds.measure(0, 24, "h");

  /** Allowed draw asleep. */
  public static final Bounds SLEEP = Bounds.measure(0, 1000, "mA");

  /** Allowed hours in all. */
  public static final Bounds WANTED = Bounds.measure(0, 100_000, "h");

  /** The show plays all the time. */
  public static final DailyUse ALWAYS = new DailyUse(24, 0, 0.1, 0);

  /** How it stands in the format. */
  public static final Description<DailyUse> DESCRIPTION =
      Description.of(
          DailyUse.class,
          Field.measure("showHours", "Show per day", HOURS).or(24.0),
          Field.measure("darkHours", "Awake and dark", HOURS).or(0.0),
          Field.measure("sleepMilliamps", "Controller asleep", SLEEP).or(0.1),
          Field.measure("wantedHours", "Wanted battery life of the show", WANTED)
              .or(0.0)
              .explained("0 = none"),
          Field.flag(
                  "ownSleep",
                  "Rest of the day",
                  "awake and dark: the exported firmware does not sleep",
                  "asleep, with your own firmware")
              .or(false));

  public DailyUse {
    HOURS.require("showHours", showHours);
    HOURS.require("darkHours", darkHours);
    SLEEP.require("sleepMilliamps", sleepMilliamps);
    WANTED.require("wantedHours", wantedHours);
    if (showHours + darkHours > 24) {
      throw new InputException("darkHours", darkHours, "no more than the show leaves of 24 h");
    }
  }

  /** A day of the exported firmware. */
  public DailyUse(double showHours, double darkHours, double sleepMilliamps, double wantedHours) {
    this(showHours, darkHours, sleepMilliamps, wantedHours, false);
  }

  /** Returns it with firmware of the maker's own that sleeps. */
  public DailyUse sleeping() {
    return new DailyUse(showHours, darkHours, sleepMilliamps, wantedHours, true);
  }

  /** Returns it with another battery life in mind (h of the show); 0 for none. */
  public DailyUse wanting(double hours) {
    return new DailyUse(showHours, darkHours, sleepMilliamps, hours, ownSleep);
  }

  private double restHours() {
    return 24 - showHours - darkHours;
  }

  /** Returns the hours asleep. */
  public double sleepHours() {
    return ownSleep ? restHours() : 0;
  }

  /** Returns the hours awake and dark, with the rest of the day where nothing sleeps. */
  public double awakeHours() {
    return darkHours + (ownSleep ? 0 : restHours());
  }
}
