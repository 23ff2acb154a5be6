package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.finding.Finding;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;

/** A circuit whose lights have their turns: by rows, by pins, or one by one. */
public interface ScannedCircuit extends SwitchedCircuit {
  /** Cycles of working the level of a light into its slots, on a chain or between pins. */
  double NEAR_LIGHT_CYCLES = 46;

  /** Returns how they are to have them. */
  Scan scan();

  /** Returns the circuit scanned otherwise. */
  ScannedCircuit scanned(Scan other);

  /** Returns what lets the current of a row through. */
  RowSwitch rowSwitch();

  /** Returns the circuit with rows through something else. */
  ScannedCircuit through(RowSwitch other);

  /** Returns the rows that there are pins or outputs for. */
  int rows();

  /** Returns the columns that there are pins or outputs for. */
  int columns();

  /** Returns what switches a row on: a pin, or chip and output as "2.0"; empty for nothing. */
  String rowOutput(int row);

  /** Returns what switches a column of a row on. */
  String columnOutput(int row, int column);

  /** Returns what an output that switches a column gives. */
  default OutputStage columnStage(Controller controller) {
    return controller.stage();
  }

  /** Returns whether a 1 in the latch of a column makes it sink; else it makes it high. */
  default boolean oneSinks() {
    return false;
  }

  /** Returns what an output that switches a row gives, or what is before its switch. */
  default OutputStage rowOutputStage(Controller controller) {
    return controller.stage();
  }

  /** Returns what a row is called, given what switches it on. */
  default String rowName(int row, String output) {
    return phrase("row %d, %s", row + 1, output);
  }

  /** Returns the judgements that only this way has. */
  default List<Finding> judged(ScannedPlan plan) {
    return List.of();
  }

  /** Returns what its interrupt has to do. */
  ScanTiming.Interrupt interrupt();

  /** Returns whether a single light has its turn, not a row of them. */
  default boolean alone() {
    return false;
  }

  /** Returns what has turns, in the plural. */
  default String turnWord() {
    return "rows";
  }

  /** Returns the bytes that its interrupt keeps for a slot: rows, columns, ticks. */
  int slotBytes();

  /** Returns the chips that it takes. */
  default int chips() {
    return 0;
  }

  /** Returns its chips by their sorts. */
  default Map<PartSort, Integer> chipParts() {
    return Map.of();
  }

  /** Returns the resistors about its chips. */
  default int chipResistors() {
    return 0;
  }

  /** Returns whether rows and columns stand on a chain of chips, not on pins. */
  default boolean chained() {
    return false;
  }

  /** Returns the cycles of working the level of a light into its slots. */
  default double lightCycles() {
    return NEAR_LIGHT_CYCLES;
  }

  /** Returns the ports beyond the first that a slot is made dark on. */
  default int furtherPorts() {
    return 0;
  }

  /**
   * Returns the resistors that stand before its lights: one a column serves all rows.
   *
   * @param each with one for each path of LEDs
   */
  default int resistors(ScannedPlan plan, int each) {
    if (plan.chipStage().keeps()) {
      return 0;
    }
    boolean alone = plan.switching().loads().stream().allMatch(load -> load.paths() == 1);
    return alone ? Math.min(columns(), plan.map().width()) : each;
  }

  /** Returns where the resistor of a light stands, given what it is; empty for that of rows. */
  default Optional<String> resistorPlace(String part) {
    return Optional.empty();
  }

  /**
   * The same lights with fewer turns.
   *
   * @param title what is wired otherwise
   */
  record Regrouped(String title, int turns) {}

  /** Returns what has fewer turns, if there is a usual way. */
  default Optional<Regrouped> regrouped(int turns) {
    int half = (turns + 1) / 2;
    return turns > 1
        ? Optional.of(new Regrouped(phrase("%d rows, twice the columns", half), half))
        : Optional.empty();
  }

  /** Returns how many pins so many lights want, where that is no matter of rows and columns. */
  default Optional<String> pinsMissing(int lights) {
    return Optional.empty();
  }

  /** Returns notes on its way of wiring. */
  String about(Controller controller);

  /** Returns it through the smallest switch that carries a row, blanked for its turn-off time. */
  default ScannedCircuit carrying(Layout layout, Brief brief) {
    ScannedCircuit last = this;
    for (RowSwitch by : List.of(RowSwitch.PIN, RowSwitch.TRANSISTOR, RowSwitch.MOSFET)) {
      double blank = Math.max(scan().blankMicros(), by.offSeconds() * 1e6);
      last = through(by).scanned(scan().blanked(blank));
      ScannedPlan plan = last.plan(layout, brief);
      if (plan.rowAmps() <= plan.rowStage().planMilliamps() * 1e-3) {
        return last;
      }
    }
    return last;
  }

  @Override
  ScannedPlan plan(Layout layout, Brief brief);

  @Override
  default Map<String, String> timers(Controller controller) {
    OptionalInt timer = controller.scanTimer();
    return timer.isEmpty() || timer.getAsInt() == 0
        ? Map.of()
        : Map.of(Integer.toString(timer.getAsInt()), "multiplexes the rows of " + id());
  }

  /** Returns what lights hang on: the supply, or the high level of pins that feed them (V). */
  default double volts(Brief brief, boolean fedByPins) {
    return hookup().ownRail()
        ? hookup().railVolts()
        : fedByPins ? brief.logicVolts() : brief.volts();
  }
}
