package org.myrialith.circuit.multiplex;

import java.util.Map;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;

/** What lets the current of a whole row through while it is its turn. */
public enum RowSwitch {
  /** A single row that is always on: its lights are only dimmed. */
  NONE("none", "none: each LED has its own column", null, 0),
  /** The pin itself. */
  PIN("pin", "the pin itself", null, 0.1e-6),
  /** A saturated transistor is slow to let go. */
  TRANSISTOR(
      "transistor",
      "a small transistor",
      new OutputStage(0, 0, 300, 500, 500, 40).losing(0.2),
      5e-6),
  /** Its gate is driven by the pin. */
  MOSFET("mosfet", "a logic-level MOSFET", new OutputStage(0.1, 0.1, 2000, 3000, 3000, 20), 1e-6);

  /** A plain wire to the supply or to ground. */
  private static final OutputStage WIRE =
      new OutputStage(
          0, 0, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, 60);

  private final String key;
  private final String title;
  private final OutputStage stage;
  private final double offSeconds;

  RowSwitch(String key, String title, OutputStage stage, double offSeconds) {
    this.key = key;
    this.title = title;
    this.stage = stage;
    this.offSeconds = offSeconds;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns whether rows have turns. */
  public boolean turns() {
    return this != NONE;
  }

  /** Returns what it gives, given that of a pin. */
  public OutputStage stage(OutputStage pin) {
    return this == NONE ? WIRE : stage == null ? pin : stage;
  }

  /** Returns the time from the pin's edge until nothing flows (s), common practice. */
  public double offSeconds() {
    return offSeconds;
  }

  /** Returns the parts that switch so many rows, with the resistors before them. */
  Map<PartSort, Integer> parts(int rows) {
    return switch (this) {
      case NONE, PIN -> Map.of();
      case TRANSISTOR -> Map.of(PartSort.TRANSISTOR, rows, PartSort.RESISTOR, rows);
      case MOSFET -> Map.of(PartSort.MOSFET, rows, PartSort.RESISTOR, rows);
    };
  }
}
