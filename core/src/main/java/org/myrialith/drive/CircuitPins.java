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

  /** A matrix on free pins; a column for each light where rows have no turns. */
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
    return Grid.ofPins(channels, circuit.hookup()).stream()
        .filter(grid -> grid.rows() + grid.columns() <= free.size())
        .findFirst()
        .map(
            grid ->
                carrying(
                    circuit
                        .with(circuit.hookup().filled(grid.filling()))
                        .on(
                            free.subList(0, grid.rows()),
                            free.subList(grid.rows(), grid.rows() + grid.columns())),
                    layout,
                    brief))
        .orElse(circuit);
  }

  /** A chain of as many rows and columns as it takes. */
  private static ScannedCircuit chain(
      ScannedRegisters circuit, List<SwitchedChannel> channels, Layout layout, Brief brief) {
    boolean turns = circuit.rowSwitch().turns();
    List<Grid> grids =
        turns
            ? Grid.ofChips(channels, circuit.hookup())
            : List.of(Grid.single(channels, circuit.hookup()));
    if (grids.isEmpty() || !ScannedRegisters.COLUMNS.allow(grids.get(0).columns())) {
      return circuit;
    }
    Grid grid = grids.get(0);
    ScannedRegisters made =
        circuit
            .with(circuit.hookup().filled(grid.filling()))
            .of(circuit.sort(), grid.rows(), grid.columns(), circuit.rowSwitch());
    return turns ? carrying(made, layout, brief) : made;
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
