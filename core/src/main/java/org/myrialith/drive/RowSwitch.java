package org.myrialith.drive;

import org.myrialith.parts.OutputStage;

/** What lets the current of a whole row through while it is its turn. */
public enum RowSwitch {
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

  /** Returns what it gives, given that of a pin. */
  OutputStage stage(OutputStage pin) {
    return stage == null ? pin : stage;
  }

  /** Returns the time from the pin's edge until nothing flows (s), common practice. */
  public double offSeconds() {
    return offSeconds;
  }
}
