package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.formats.ValueChangeDump;

/** Gives lights their turns: what is on its wires, whatever begins a slot. */
sealed interface TurnsDriver extends LineDriver permits ScanDriver, PolledScanDriver {
  @Override
  ScannedPlan plan();

  /** Returns what a slot does to the wires. */
  default ScanWires on() {
    return ScanWires.of(plan());
  }

  /** Returns whether there are wires for all lights, and time for their slots. */
  default boolean able() {
    return plan().timing().fits()
        && plan().circuit().rows() >= Math.max(1, plan().map().chips())
        && plan().circuit().columns() > 0;
  }

  @Override
  default String title() {
    return plan().circuit().rowSwitch().turns()
        ? phrase("%s by turns", Quantity.text(plan().timing().turns(), plan().circuit().turnWord()))
        : "lights dimmed by turns";
  }

  @Override
  default double sendCycles() {
    return 90;
  }

  @Override
  default List<String> wires() {
    return on().names();
  }

  @Override
  default String rests() {
    return on().rests();
  }

  /** All of its bits once. */
  @Override
  default long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    return able() ? on().wave(dump, first, start, levels) : start;
  }

  @Override
  default List<String> wiring() {
    return on().wiring();
  }
}
