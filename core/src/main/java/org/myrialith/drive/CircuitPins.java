package org.myrialith.drive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.parts.Controller;

/** Which pins circuits stand on. */
public final class CircuitPins {
  private CircuitPins() {}

  /**
   * Returns a circuit on pins that are free: on those that it likes if all of them are, else on the
   * first ones; as it is when there are not enough.
   */
  static Circuit free(Circuit circuit, Set<String> taken, Controller controller) {
    List<String> free =
        new ArrayList<>(controller.pins().stream().filter(p -> !taken.contains(p)).toList());
    if (free.containsAll(circuit.pins()) || free.size() < circuit.pins().size()) {
      return circuit;
    }
    return circuit.onPins(free.subList(0, circuit.pins().size()));
  }

  /** Returns the circuits on a controller: what stands on pins that it does not have moves. */
  public static Circuits fitted(Circuits circuits, Controller controller) {
    Set<String> taken = new HashSet<>();
    // those that can stay come first
    for (Circuit circuit : circuits.circuits()) {
      if (controller.pins().containsAll(circuit.pins())) {
        taken.addAll(circuit.pins());
      }
    }
    Circuits fitted = circuits;
    for (Circuit circuit : circuits.circuits()) {
      if (!controller.pins().containsAll(circuit.pins())) {
        Circuit moved = free(circuit, taken, controller);
        taken.addAll(moved.pins());
        fitted = fitted.with(moved);
      }
    }
    return fitted;
  }
}
