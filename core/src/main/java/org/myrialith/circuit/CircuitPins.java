package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.brief.Brief;
import org.myrialith.layout.Layout;
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
        new ArrayList<>(circuit.able(controller).stream().filter(p -> !taken.contains(p)).toList());
    int wanted = circuit.pins().size();
    int clocked = circuit.clockedPin();
    List<String> clocks = free.stream().filter(controller.clockPins()::contains).toList();
    boolean right = clocked < 0 || clocks.isEmpty() || clocks.contains(circuit.pins().get(clocked));
    if (free.containsAll(circuit.pins()) && right || free.size() < wanted) {
      return circuit;
    }
    if (clocked >= 0 && !clocks.isEmpty()) {
      free.remove(clocks.get(0));
      free.add(clocked, clocks.get(0));
    }
    return circuit.onPins(free.subList(0, wanted));
  }

  /** Returns the circuits on a controller: what stands on pins that it does not have moves. */
  public static Circuits fitted(Circuits circuits, Controller controller) {
    Set<String> taken = new HashSet<>(circuits.inputs().pins());
    // those that can stay come first
    for (Circuit circuit : circuits.circuits()) {
      if (circuit.able(controller).containsAll(circuit.pins())) {
        taken.addAll(circuit.pins());
      }
    }
    Circuits fitted = circuits;
    for (Circuit circuit : circuits.circuits()) {
      if (!circuit.able(controller).containsAll(circuit.pins())) {
        Circuit moved = free(circuit, taken, controller);
        taken.addAll(moved.pins());
        fitted = fitted.with(moved);
      }
    }
    return fitted;
  }

  /** Returns a circuit on as many free pins, rows and columns as its lights need. */
  public static Circuit enough(Circuit circuit, Circuits circuits, Layout layout, Brief brief) {
    Set<String> taken = circuits.takenPins();
    List<String> free =
        circuit.able(brief.controller()).stream()
            .filter(pin -> !taken.contains(pin) || circuit.pins().contains(pin))
            .toList();
    return circuit.enough(free, layout, brief);
  }
}
