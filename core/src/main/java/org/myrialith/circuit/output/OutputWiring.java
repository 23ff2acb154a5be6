package org.myrialith.circuit.output;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PreferredValues;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * How LEDs hang on outputs that are only on or off, each behind a resistor of its own.
 *
 * @param milliamps wanted through an LED (mA)
 * @param resistors series that the resistors are of
 * @param spreadVolts that the forward volts of an LED may be off by, either way (V)
 * @param through what stands between an output and its LEDs
 * @param railVolts that the LEDs hang on; 0 for the supply of the gadget (V)
 * @param moved channels that the maker put on another output than the filling would
 * @param fields that the maker named, besides digits and pieces
 */
@RecordBuilder
public record OutputWiring(
    double milliamps,
    Side side,
    PreferredValues resistors,
    double spreadVolts,
    Filling filling,
    SwitchType through,
    double railVolts,
    List<Moved> moved,
    List<NamedField> fields) {
  /** Allowed current of an LED. */
  public static final Bounds CURRENT = Bounds.measure(0.1, 3000, "mA");

  /** Allowed spread of forward volts. */
  public static final Bounds SPREAD = Bounds.measure(0, 2, "V");

  /** An output that carries lamps and high-power LEDs (mA). */
  private static final double STRONG = 100;

  /** Allowed rail of their own. */
  public static final Bounds RAIL = Bounds.measure(0, 60, "V");

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

  /**
   * Channels under a name: from one of a fixture up to where the next field, digit or piece begins.
   *
   * @param fixture identifier
   * @param channel in the fixture that it begins with, from 0
   */
  public record NamedField(String fixture, int channel, String name) {
    /** How it stands in the format. */
    public static final Description<NamedField> DESCRIPTION =
        Description.of(
            NamedField.class,
            Field.id("fixture"),
            Field.count("channel", "Channel", Moved.NUMBER),
            Field.named("name", "Name"));

    public NamedField {
      Moved.NUMBER.require("channel", channel);
      name = TextRules.name("name", name);
    }
  }

  /** Small currents that any logic output carries. */
  public static final OutputWiring USUAL = of(5, Side.TO_SUPPLY);

  /** How it stands in the format. */
  public static final Description<OutputWiring> DESCRIPTION =
      Description.of(
          OutputWiring.class,
          Field.measure("milliamps", "LED current", CURRENT),
          Field.of("side", "LEDs", Types.Choice.of(Side.values(), Side::key, Side::title))
              .or(Side.TO_SUPPLY),
          Field.of(
                  "resistors",
                  "Resistors per",
                  Types.Choice.of(
                      PreferredValues.values(), PreferredValues::key, PreferredValues::title))
              .or(PreferredValues.E24),
          Field.measure("spreadVolts", "Forward-voltage tolerance ±", SPREAD)
              .or(0.2)
              .explained("largest deviation of an LED of the class"),
          Field.of(
                  "filling",
                  "Outputs",
                  Types.Choice.of(Filling.values(), Filling::key, Filling::title))
              .or(Filling.PACKED),
          Field.of(
                  "through",
                  "Switched",
                  Types.Choice.of(SwitchType.values(), SwitchType::key, SwitchType::title))
              .or(SwitchType.NONE),
          Field.measure("railVolts", "Separate rail", RAIL)
              .or(0.0)
              .explained("supplies the LEDs; 0 = supply of the gadget"),
          Field.rows("moved", "Moved outputs", Moved.DESCRIPTION, 0, MOST_MOVED)
              .or(List.of())
              .explained("channels assigned to an output by hand"),
          Field.rows("fields", "Named outputs", NamedField.DESCRIPTION, 0, MOST_MOVED)
              .or(List.of())
              .explained("channels given a name, which begin at a new byte where needed"));

  public OutputWiring {
    CURRENT.require("milliamps", milliamps);
    Objects.requireNonNull(side, "side");
    Objects.requireNonNull(resistors, "resistors");
    SPREAD.require("spreadVolts", spreadVolts);
    Objects.requireNonNull(filling, "filling");
    Objects.requireNonNull(through, "through");
    RAIL.require("railVolts", railVolts);
    if (through != SwitchType.NONE && side == Side.TO_GROUND) {
      throw new InputException(
          "side", side.title(), "anodes to the supply: a low-side switch only sinks");
    }
    moved = List.copyOf(moved);
    fields = List.copyOf(fields);
  }

  private OutputWiring having(double flows, Filling filled, SwitchType by, double rail) {
    return OutputWiringBuilder.builder(this)
        .milliamps(flows)
        .filling(filled)
        .through(by)
        .railVolts(rail)
        .build();
  }

  /** Returns the usual with another current and side. */
  public static OutputWiring of(double milliamps, Side side) {
    return new OutputWiring(
        milliamps,
        side,
        PreferredValues.E24,
        0.2,
        Filling.PACKED,
        SwitchType.NONE,
        0,
        List.of(),
        List.of());
  }

  /** Returns it with another current. */
  public OutputWiring withMilliamps(double other) {
    return having(other, filling, through, railVolts);
  }

  /** Returns it with outputs filled another way. */
  public OutputWiring filled(Filling other) {
    return having(milliamps, other, through, railVolts);
  }

  /** Returns it through a switch, the LEDs on a rail of their own. */
  public OutputWiring through(SwitchType other, double volts) {
    return having(milliamps, filling, other, volts);
  }

  /** Returns it with other channels moved. */
  public OutputWiring withMoved(List<Moved> other) {
    return OutputWiringBuilder.builder(this).moved(other).build();
  }

  /** Returns it with a field named, or without it where the name is blank. */
  public OutputWiring withField(String fixture, int channel, String name) {
    List<NamedField> all = new ArrayList<>(fields);
    all.removeIf(f -> f.fixture().equals(fixture) && f.channel() == channel);
    if (!name.isBlank()) {
      all.add(new NamedField(fixture, channel, name));
    }
    return OutputWiringBuilder.builder(this).fields(all).build();
  }

  /** Returns the names of fields, by where they begin: fixture, a blank, channel. */
  Map<String, String> named() {
    Map<String, String> all = new HashMap<>();
    fields.forEach(f -> all.put(f.fixture() + " " + f.channel(), f.name()));
    return all;
  }

  /** Returns whether a low output lights. */
  public boolean lowLights() {
    return side == Side.TO_SUPPLY && through == SwitchType.NONE;
  }

  /** Returns whether what it lights hangs on a rail of its own. */
  public boolean ownRail() {
    return railVolts > 0;
  }

  /** Returns what its LEDs hang on (V). */
  public double volts(double supplyVolts) {
    return ownRail() ? railVolts : supplyVolts;
  }

  /** Returns what switches the LEDs, given the outputs. */
  public OutputStage stage(OutputStage outputs) {
    return through == SwitchType.NONE ? outputs : through.stage();
  }

  /** Returns whether outputs may switch emitters of a kind: strong ones need strong outputs. */
  public boolean carries(EmitterKind kind, OutputStage outputs) {
    boolean strong = kind == EmitterKind.HIGH_POWER || kind == EmitterKind.LAMP;
    boolean carries = stage(outputs).planMilliamps() >= STRONG && !outputs.keeps();
    return !kind.pixel() && (!strong || carries);
  }

  /**
   * Checks that outputs can switch what hangs on them that way.
   *
   * @throws InputException when they only sink
   */
  public void requireSide(OutputStage outputs) {
    if (side == Side.TO_GROUND && !outputs.sources()) {
      throw new InputException(
          "side", side.title(), "anodes to the supply: these outputs only sink");
    }
  }

  /** Returns it through a MOSFET that low logic switches, where it is through one at all. */
  public OutputWiring forLowLogic() {
    return through == SwitchType.MOSFET_LOGIC ? through(SwitchType.MOSFET_LOW, railVolts) : this;
  }
}
