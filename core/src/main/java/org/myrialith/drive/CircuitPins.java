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
  private static final int CHIP = 8;

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

  /** Returns a circuit of turns on as many pins, rows and columns as its lights need. */
  public static ScannedCircuit enough(
      ScannedCircuit circuit, Circuits circuits, Layout layout, Brief brief) {
    List<SwitchedChannel> channels = circuit.plan(layout, brief).map().channels();
    Set<String> taken = circuits.takenPins();
    List<String> free =
        circuit.able(brief.controller()).stream()
            .filter(pin -> !taken.contains(pin) || circuit.pins().contains(pin))
            .toList();
    if (circuit instanceof ScannedPins pins) {
      return matrix(pins, channels, free, layout, brief);
    }
    if (circuit instanceof ScannedRegisters registers) {
      return chain(registers, channels, layout, brief);
    }
    int wanted = Charlieplex.pinsFor(channels.size());
    return wanted > free.size() || wanted > Charlieplex.MOST_PINS
        ? circuit
        : (ScannedCircuit) circuit.onPins(free.subList(0, wanted));
  }

  /**
   * A matrix on as few free pins as its lights need: a row for each field where each begins one,
   * else as square as can be; a column for each light where rows have no turns.
   */
  private static ScannedCircuit matrix(
      ScannedPins circuit,
      List<SwitchedChannel> channels,
      List<String> free,
      Layout layout,
      Brief brief) {
    if (!circuit.rowSwitch().turns()) {
      return free.size() < channels.size()
          ? circuit
          : circuit.on(List.of(), free.subList(0, channels.size()));
    }
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

  /** As many rows of eight columns as it takes, up to eight; then more columns. */
  private static ScannedCircuit chain(
      ScannedRegisters circuit, List<SwitchedChannel> channels, Layout layout, Brief brief) {
    int lights = Math.max(1, channels.size());
    int longest = longest(channels);
    boolean fields =
        circuit.hookup().filling() == Filling.FIELD_A_BYTE
            && longest <= CHIP
            && rows(channels, longest) <= ScannedRegisters.ROWS.max();
    int rows =
        !circuit.rowSwitch().turns()
            ? 1
            : fields ? rows(channels, longest) : Math.min(CHIP, (lights + CHIP - 1) / CHIP);
    boolean bytes =
        !circuit.rowSwitch().turns() && circuit.hookup().filling() == Filling.FIELD_A_BYTE;
    int columns =
        bytes
            ? CHIP * rows(channels, CHIP)
            : fields && rows > 1 ? longest : (lights + rows - 1) / rows;
    if (!ScannedRegisters.COLUMNS.allow(columns)) {
      return circuit;
    }
    ScannedRegisters made = circuit.of(circuit.sort(), rows, columns, circuit.rowSwitch());
    return made.rowSwitch().turns() ? carrying(made, layout, brief) : made;
  }

  /** Through the least switch that carries a row, blanked for as long as it takes to let go. */
  private static ScannedCircuit carrying(ScannedCircuit circuit, Layout layout, Brief brief) {
    ScannedCircuit last = circuit;
    for (RowSwitch by : List.of(RowSwitch.PIN, RowSwitch.TRANSISTOR, RowSwitch.MOSFET)) {
      double blank = Math.max(circuit.scan().blankMicros(), by.offSeconds() * 1e6);
      last = circuit.through(by).scanned(circuit.scan().blanked(blank));
      ScannedPlan plan = last.plan(layout, brief);
      if (plan.rowAmps() <= plan.rowStage().planMilliamps() * 1e-3) {
        return last;
      }
    }
    return last;
  }

  private static int columns(ScannedPins circuit, List<SwitchedChannel> channels) {
    int square = (int) Math.ceil(Math.sqrt(Math.max(1, channels.size())));
    int longest = longest(channels);
    boolean fields = circuit.hookup().filling() == Filling.FIELD_A_BYTE;
    return fields && longest <= 2 * square ? Math.max(1, longest) : square;
  }

  /** The channels of the longest field. */
  private static int longest(List<SwitchedChannel> channels) {
    int longest = 0;
    int length = 0;
    for (SwitchedChannel channel : channels) {
      length = channel.startsField() ? 1 : length + 1;
      longest = Math.max(longest, length);
    }
    return longest;
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
