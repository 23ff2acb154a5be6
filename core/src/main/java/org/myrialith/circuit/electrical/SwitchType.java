package org.myrialith.circuit.electrical;

import java.util.Map;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PreferredValues;

/**
 * A transistor between an output and what it switches, on the low side. Data are those of the
 * classes, from memory.
 */
public enum SwitchType {
  NONE("none", "straight", new OutputStage(0, 0, 0, 0, 0, 0), 0, new Package(1, 0)),
  /** 0.2 to 0.4 V lost; driven with a fifteenth of its current (common practice). */
  BIPOLAR(
      "bipolar",
      "through a small bipolar transistor",
      new OutputStage(0, Double.POSITIVE_INFINITY, 300, 600, 600, 40).losing(0.3),
      0,
      new Package(1, 0.5)),
  /** 0.9 V lost at 100 mA, 1.1 at 200, 1.3 at 350; seven in a package, 500 mA each. */
  DARLINGTON(
      "darlington",
      "through a Darlington array",
      new OutputStage(1.6, Double.POSITIVE_INFINITY, 200, 500, 1000, 50).losing(0.75),
      0,
      new Package(7, 1)),
  /** Its on-resistance is given at 2.5 V. */
  MOSFET_LOW(
      "mosfet-2v5",
      "through a MOSFET rated at 2.5 V gate drive",
      new OutputStage(0.08, Double.POSITIVE_INFINITY, 1500, 3000, 3000, 20),
      2.5,
      new Package(1, 1)),
  /** Its on-resistance is given at 4.5 V. */
  MOSFET_LOGIC(
      "mosfet-4v5",
      "through a logic-level MOSFET (rated at 4.5 V)",
      new OutputStage(0.05, Double.POSITIVE_INFINITY, 3000, 8000, 8000, 30),
      4.5,
      new Package(1, 1)),
  /** Its on-resistance is given at 10 V: no logic drives it fully. */
  MOSFET_TEN(
      "mosfet-10v",
      "through a MOSFET rated at 10 V gate drive",
      new OutputStage(0.05, Double.POSITIVE_INFINITY, 5000, 20_000, 20_000, 55),
      10,
      new Package(1, 1));

  /** A small transistor is driven with a fifteenth of what it carries (common practice). */
  private static final double BASE_SHARE = 1 / 15.0;

  /** What an input of a Darlington array takes at 5 V: 3.6 V over 2.7 kohm (A). */
  private static final double DARLINGTON_INPUT = 1.35e-3;

  /** Base to emitter of a small transistor (V). */
  private static final double BASE_VOLTS = 0.7;

  /**
   * How switches come.
   *
   * @param switches in a package
   * @param watts that it may turn into heat without a sink
   */
  public record Package(int switches, double watts) {}

  private final String key;
  private final String title;
  private final OutputStage stage;
  private final double gateVolts;
  private final Package in;

  SwitchType(String key, String title, OutputStage stage, double gateVolts, Package in) {
    this.key = key;
    this.title = title;
    this.stage = stage;
    this.gateVolts = gateVolts;
    this.in = in;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns what it gives; that of nothing where there is none. */
  public OutputStage stage() {
    return stage;
  }

  /** Returns the gate voltage that its on-resistance is given at (V), 0 for one without a gate. */
  public double gateVolts() {
    return gateVolts;
  }

  /** Returns how it comes. */
  public Package in() {
    return in;
  }

  /** Returns what an output gives to let it carry a current (A). */
  public double driveAmps(double carries) {
    return switch (this) {
      case BIPOLAR -> carries * BASE_SHARE;
      case DARLINGTON -> DARLINGTON_INPUT;
      default -> 0;
    };
  }

  /** Returns the resistor before its base (ohm); 0 for one that needs none. */
  public double baseOhms(double carries, double logicVolts, PreferredValues values) {
    return this == BIPOLAR ? values.nearest((logicVolts - BASE_VOLTS) / driveAmps(carries)) : 0;
  }

  /** Returns the heat of one that carries a current (W). */
  public double watts(double carries) {
    return carries * (stage.lostVolts() + carries * stage.sinkOhms());
  }

  /** Returns the parts that switch so many channels, with the resistors before them. */
  public Map<PartSort, Integer> parts(int channels) {
    return switch (this) {
      case NONE -> Map.of();
      case BIPOLAR -> Map.of(PartSort.TRANSISTOR, channels, PartSort.RESISTOR, channels);
      case DARLINGTON ->
          Map.of(PartSort.DARLINGTON_ARRAY, (channels + in.switches() - 1) / in.switches());
      default -> Map.of(PartSort.MOSFET, channels, PartSort.RESISTOR, channels);
    };
  }
}
