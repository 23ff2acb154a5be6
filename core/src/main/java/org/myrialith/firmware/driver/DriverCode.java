package org.myrialith.firmware.driver;

import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.FirmwareTarget;

/** What the code that sends a circuit takes. */
public final class DriverCode {
  private DriverCode() {}

  /** Returns the time that the player takes for a frame of it, composed and sent (s). */
  public static double seconds(CircuitPlan plan) {
    FirmwareTarget target = FirmwareTarget.of(plan.brief().controller());
    return target.composeSeconds(plan)
        + LineDrivers.seconds(List.of(LineDrivers.of(plan)), plan.brief().controller());
  }

  /** Returns the RAM of it, the frame and what its driver keeps (bytes). */
  public static int ramBytes(CircuitPlan plan) {
    return plan.bufferBytes() + LineDrivers.of(plan).ramBytes();
  }

  /** Returns the flash of it (bytes), read from builds. */
  public static int bytes(CircuitPlan plan) {
    return LineDrivers.of(plan)
        .code(new CodeBill())
        .bytes(FirmwareTarget.of(plan.brief().controller()));
  }
}
