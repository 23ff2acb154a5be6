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

  /** Returns what has to be soldered in, such as "150 ohm"; empty for nothing. */
  String part();

  /** Returns the working. */
  Reckoning reckoning(String key, String name);
}
