package org.myrialith.play;

import java.util.List;
import org.myrialith.cues.Readout;

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

  /** Returns whether it shows a value. */
  boolean shows(int value) {
    return cells.stream().anyMatch(cell -> cell.value() == value);
  }

  /** Returns whether it ever blinks by itself or by its colons. */
  public boolean blinking() {
    return blinks.count() > 0 || cells.stream().anyMatch(c -> c.sort() == Cell.Sort.COLON);
  }
}
