package org.myrialith.circuit.electrical;

import org.myrialith.finding.Calculation;

/** What stands between a supply and an output, and the current through it. */
public sealed interface LoadModel
    permits SeriesResistor,
        Filament,
        ConstantCurrentSink,
        DriverChipLoad,
        MultiplexedLoad,
        MultiplexedSink {
  /** Returns the volts that it is supplied with (V). */
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
   * Returns the share of its current that flows at another supply voltage (1 for the same).
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

  /** Returns what flows in its turn with so many of its row lit together, at most (A). */
  default double rowAmps(int together) {
    return mostAmps();
  }

  /** Returns what a cold filament takes; of all else what flows (A). */
  default double inrushAmps() {
    return amps();
  }

  /** Returns whether it flows in pulses that something else than a resistor here sets. */
  default boolean pulsed() {
    return false;
  }

  /** Returns whether an output keeps the current. */
  default boolean keeps() {
    return false;
  }

  /** Returns it lit for a share of the time, its row through some resistance (ohm). */
  default LoadModel byTurns(double duty, double rowOhms) {
    return this;
  }

  /** Returns it with as many equal resistors in the way, none smaller than that (ohm). */
  default LoadModel through(int equal, double least) {
    return this;
  }

  /** Returns what has to be soldered in, such as "150 ohm"; empty for nothing. */
  String part();

  /** Returns the working. */
  Calculation calculation(String key, String name);
}
