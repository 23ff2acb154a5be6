package org.myrialith.drive;

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

  /**
   * Returns a matrix on as few free pins as its lights need: a row for each field where each begins
   * one, else as square as can be.
   */
  public static ScannedPins enough(
      ScannedPins circuit, Circuits circuits, Layout layout, Brief brief) {
    List<SwitchedChannel> channels = circuit.plan(layout, brief).map().channels();
    Set<String> taken = circuits.takenPins();
    List<String> free =
        circuit.able(brief.controller()).stream()
            .filter(pin -> !taken.contains(pin) || circuit.pins().contains(pin))
            .toList();
    int columns = columns(circuit, channels);
    int rows =
        circuit.hookup().filling() == Filling.FIELD_A_BYTE
            ? rows(channels, columns)
            : (channels.size() + columns - 1) / columns;
    return free.size() < rows + columns
        ? circuit
        : carrying(
            circuit.on(free.subList(0, rows), free.subList(rows, rows + columns)), layout, brief);
  }

  /** Through the least switch that carries a row, blanked for as long as it takes to let go. */
  private static ScannedPins carrying(ScannedPins circuit, Layout layout, Brief brief) {
    ScannedPins last = circuit;
    for (RowSwitch by : RowSwitch.values()) {
      double blank = Math.max(circuit.blankMicros(), by.offSeconds() * 1e6);
      last = circuit.through(by).scanned(circuit.refreshHz(), circuit.depth(), blank);
      double carries = by.stage(brief.controller().stage()).planMilliamps() * 1e-3;
      if (last.plan(layout, brief).rowAmps() <= carries) {
        return last;
      }
    }
    return last;
  }

  private static int columns(ScannedPins circuit, List<SwitchedChannel> channels) {
    int square = (int) Math.ceil(Math.sqrt(Math.max(1, channels.size())));
    int longest = 0;
    int length = 0;
    for (SwitchedChannel channel : channels) {
      length = channel.startsField() ? 1 : length + 1;
      longest = Math.max(longest, length);
    }
    boolean fields = circuit.hookup().filling() == Filling.FIELD_A_BYTE;
    return fields && longest <= 2 * square ? Math.max(1, longest) : square;
  }

  private static int rows(List<SwitchedChannel> channels, int columns) {
    int next = 0;
    for (SwitchedChannel channel : channels) {
      next = channel.startsField() ? (next + columns - 1) / columns * columns : next;
      next++;
    }
    return Math.max(1, (next + columns - 1) / columns);
  }

  /** Returns a circuit of pins on as many as it has channels, as far as there are free ones. */
  public static DirectPins enough(
      DirectPins circuit, Circuits circuits, Layout layout, Brief brief) {
    Set<String> taken = circuits.takenPins();
    int channels = circuit.plan(layout, brief).channels();
    List<String> pins = new ArrayList<>(circuit.pins());
    for (String pin : circuit.able(brief.controller())) {
      if (pins.size() < channels && !taken.contains(pin)) {
        pins.add(pin);
      }
    }
    return circuit.onPins(pins);
  }
}
