package org.myrialith.cue.table;

import java.util.List;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.cue.Readout;

/**
 * A readout as numbers, on one target.
 *
 * @param cells in their order
 * @param on levels of a unit that is lit
 * @param blinks terms under which it blinks
 */
public record ReadoutTable(
    Readout readout, int target, List<Cell> cells, int[] on, Row.Terms blinks) {
  public ReadoutTable {
    cells = List.copyOf(cells);
  }

  /** Returns what all its lights draw when they are lit, each once (A). */
  public double amps(List<CircuitPlan> plans, int circuit, ChannelRange stretch) {
    CircuitPlan plan = plans.get(circuit);
    long[] sums = new long[plan.groups()];
    cells.stream()
        .flatMapToInt(cell -> IntStream.of(cell.units()))
        .filter(unit -> unit >= 0)
        .distinct()
        .forEach(
            unit -> {
              for (int channel = 0; channel < on.length; channel++) {
                sums[stretch.group(unit * on.length + channel)] += on[channel];
              }
            });
    return plan.litAmps(sums);
  }

  /** Returns whether it shows a value. */
  boolean shows(int value) {
    return cells.stream().anyMatch(cell -> cell.value() == value);
  }

  /** Returns whether it ever blinks by itself or by its colons. */
  public boolean blinking() {
    return blinks.count() > 0 || cells.stream().anyMatch(c -> c.sort() == Cell.Sort.COLON);
  }
}
