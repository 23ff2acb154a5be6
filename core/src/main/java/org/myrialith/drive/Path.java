package org.myrialith.drive;

import org.myrialith.finding.Reckoning;

/** What stands between a supply and an output, and the current through it. */
public sealed interface Path
    permits SeriesResistor, Filament, ConstantCurrent, ScannedCurrent, ByTurns, KeptByTurns {
  /** Returns the volts that it hangs on (V). */
  double volts();

  /** Returns the least volts at which it lights (V). */
  double leastVolts();

  /** Returns whether any current flows. */
  boolean lights();

  /** Returns what flows with typical parts (A). */
  double amps();

  /** Returns what flows at most, once it is lit (A). */
  double mostAmps();

  /**
   * Returns what is left of its current when it hangs on other volts (0 to 1; above for more).
   *
   * @param less so much less than it was planned for (V)
   */
  default double shareAt(double less) {
    return volts() - less >= leastVolts() ? 1 : 0;
  }

  /** Returns the same of its light, which goes with the current of LEDs. */
  default double lightAt(double less) {
    return shareAt(less);
  }

  /** Returns what has to be soldered in, such as "150 ohm"; empty for nothing. */
  String part();

  /** Returns the working. */
  Reckoning reckoning(String key, String name);
}
