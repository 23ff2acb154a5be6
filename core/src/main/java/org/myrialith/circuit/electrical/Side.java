package org.myrialith.circuit.electrical;

import org.myrialith.parts.OutputStage;

/** Where the other end of what an output switches goes to. */
public enum Side {
  /** Anodes to the supply: the output sinks and a low level lights. */
  TO_SUPPLY("to-supply", "anodes to the supply (outputs sink)"),
  /** Cathodes to ground: the output sources and a high level lights. */
  TO_GROUND("to-ground", "cathodes to ground (outputs source)");

  private final String key;
  private final String title;

  Side(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns what a stage loses when it lights (ohm). */
  public double ohms(OutputStage stage) {
    return this == TO_SUPPLY ? stage.sinkOhms() : stage.sourceOhms();
  }
}
