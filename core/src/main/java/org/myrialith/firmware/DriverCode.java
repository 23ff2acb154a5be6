package org.myrialith.firmware;

import org.myrialith.drive.CircuitPlan;

/** What the code that sends a circuit takes. */
public final class DriverCode {
  private DriverCode() {}

  /** Returns the flash of it (bytes), read from builds. */
  public static int bytes(CircuitPlan plan) {
    return LineDriver.of(plan).codeBytes();
  }
}
