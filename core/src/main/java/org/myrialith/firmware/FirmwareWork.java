package org.myrialith.firmware;

import java.util.List;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.frames.Sent;
import org.myrialith.parts.Controller;

/**
 * What firmware is made from.
 *
 * @param sent what goes down the wires
 */
public record FirmwareWork(Controller controller, Sent sent) {
  /** Returns the circuits that have something to send, in their order. */
  List<CircuitPlan> lines() {
    return sent.wiring().plans().stream().filter(p -> p.emitters() > 0).toList();
  }

  /** Returns the target that builds for this controller. */
  FirmwareTarget target() {
    return FirmwareTarget.of(controller);
  }

  /** Returns where the levels of a line begin in the player's buffer (bytes). */
  int firstByte(int circuit) {
    return sent.wiring().plans().subList(0, circuit).stream()
        .mapToInt(CircuitPlan::bufferBytes)
        .sum();
  }
}
