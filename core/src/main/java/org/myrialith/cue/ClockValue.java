package org.myrialith.cue;

import java.util.Locale;
import java.util.Optional;

/** What the gadget's own clock says; it can be compared, shown and set like any value. */
public enum ClockValue {
  SECOND(0, 59, 0),
  MINUTE(0, 59, 0),
  HOUR(0, 23, 12),
  WEEKDAY(1, 7, 4),
  DAY(1, 31, 1),
  MONTH(1, 12, 1),
  YEAR(2000, 2099, 2026);

  private final int least;
  private final int most;
  private final int start;

  ClockValue(int least, int most, int start) {
    this.least = least;
    this.most = most;
    this.start = start;
  }

  /** Returns the one of that name. */
  public static Optional<ClockValue> of(String name) {
    for (ClockValue value : values()) {
      if (value.key().equals(name)) {
        return Optional.of(value);
      }
    }
    return Optional.empty();
  }

  /** Returns the name by which it is called. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns its least value. */
  public int least() {
    return least;
  }

  /** Returns its most. */
  public int most() {
    return most;
  }

  /** Returns what it is when power comes on: noon of a Thursday, 1 January 2026. */
  public int start() {
    return start;
  }
}
