package org.myrialith.drive;

import java.util.List;
import java.util.Objects;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;
import org.myrialith.parts.PreferredValues;

/**
 * How LEDs hang on outputs that are only on or off, each behind a resistor of its own.
 *
 * @param milliamps wanted through an LED (mA)
 * @param resistors series that the resistors are of
 * @param spreadVolts that the forward volts of an LED may be off by, either way (V)
 * @param moved channels that the maker put on another output than the filling would
 */
public record Hookup(
    double milliamps,
    Side side,
    PreferredValues resistors,
    double spreadVolts,
    Filling filling,
    List<Moved> moved) {
  /** Allowed current of an LED. */
  public static final Bounds CURRENT = Bounds.measure(0.1, 3000, "mA");

  /** Allowed spread of forward volts. */
  public static final Bounds SPREAD = Bounds.measure(0, 2, "V");

  /** Most channels that are moved by hand. */
  public static final int MOST_MOVED = 2000;

  /**
   * A channel that the maker put somewhere.
   *
   * @param fixture identifier
   * @param channel in the fixture, from 0
   * @param output of the circuit, from 0: eight or sixteen of each chip, the nearest chip first
   */
  public record Moved(String fixture, int channel, int output) {
    /** Allowed numbers. */
    static final Bounds NUMBER = Bounds.count(0, 65_535);

    /** How it stands in the format. */
    public static final Description<Moved> DESCRIPTION =
        Description.of(
            Moved.class,
            Field.id("fixture"),
            Field.count("channel", "Channel", NUMBER),
            Field.count("output", "Output", NUMBER));

    public Moved {
      NUMBER.require("channel", channel);
      NUMBER.require("output", output);
    }
  }

  /** Small currents that any logic output carries. */
  public static final Hookup USUAL = of(5, Side.TO_SUPPLY);

  /** How it stands in the format. */
  public static final Description<Hookup> DESCRIPTION =
      Description.of(
          Hookup.class,
          Field.measure("milliamps", "Through an LED", CURRENT),
          Field.of("side", "LEDs", Types.Choice.of(Side.values(), Side::key, Side::title))
              .or(Side.TO_SUPPLY),
          Field.of(
                  "resistors",
                  "Resistors of",
                  Types.Choice.of(
                      PreferredValues.values(), PreferredValues::key, PreferredValues::title))
              .or(PreferredValues.E24),
          Field.measure("spreadVolts", "Forward volts, ±", SPREAD)
              .or(0.2)
              .explained("how far an LED of the class may be off"),
          Field.of(
                  "filling",
                  "Outputs",
                  Types.Choice.of(Filling.values(), Filling::key, Filling::title))
              .or(Filling.PACKED),
          Field.rows("moved", "Moved", Moved.DESCRIPTION, 0, MOST_MOVED)
              .or(List.of())
              .explained("channels put on another output by hand"));

  public Hookup {
    CURRENT.require("milliamps", milliamps);
    Objects.requireNonNull(side, "side");
    Objects.requireNonNull(resistors, "resistors");
    SPREAD.require("spreadVolts", spreadVolts);
    Objects.requireNonNull(filling, "filling");
    moved = List.copyOf(moved);
  }

  /** Returns the usual with another current and side. */
  public static Hookup of(double milliamps, Side side) {
    return new Hookup(milliamps, side, PreferredValues.E24, 0.2, Filling.PACKED, List.of());
  }

  /** Returns it with another current. */
  public Hookup withMilliamps(double other) {
    return new Hookup(other, side, resistors, spreadVolts, filling, moved);
  }

  /** Returns it with outputs filled another way. */
  public Hookup filled(Filling other) {
    return new Hookup(milliamps, side, resistors, spreadVolts, other, moved);
  }

  /** Returns it with other channels moved. */
  public Hookup withMoved(List<Moved> other) {
    return new Hookup(milliamps, side, resistors, spreadVolts, filling, other);
  }
}
