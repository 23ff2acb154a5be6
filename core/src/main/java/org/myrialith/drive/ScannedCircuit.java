package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Finding;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** A circuit whose lights have their turns: by rows, by pins, or one by one. */
public sealed interface ScannedCircuit extends SwitchedCircuit
    permits ScannedPins, ScannedRegisters, Charlieplex {
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

  @Override
  ScannedPlan plan(Layout layout, Brief brief);

  @Override
  default Map<String, String> timers(Controller controller) {
    OptionalInt timer = controller.scanTimer();
    return timer.isEmpty() || timer.getAsInt() == 0
        ? Map.of()
        : Map.of(Integer.toString(timer.getAsInt()), "scans the rows of " + id());
  }

  /** Returns what lights hang on: the supply, or the high level of pins that feed them (V). */
  default double volts(Brief brief, boolean fedByPins) {
    return hookup().ownRail()
        ? hookup().railVolts()
        : fedByPins ? brief.logicVolts() : brief.volts();
  }
}
