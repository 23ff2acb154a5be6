package org.myrialith.firmware.pack;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.myrialith.frames.ClipLevels;

/**
 * Where the units of a stretch stand in its picture, so that what belongs together in the picture
 * can be packed side by side. Equal by what it holds. Immutable.
 */
public final class Order {
  /** Nothing is known: units as they are wired. */
  static final Order WIRED = new Order(new int[0], 1);

  /** Enough for any picture here. */
  private static final int ROW_BITS = 15;

  private final int[] cells;
  private final int columns;

  private Order(int[] cells, int columns) {
    this.cells = cells;
    this.columns = columns;
  }

  /** Ways to go over a picture. */
  enum Way {
    /** As wired. */
    WIRED,
    /** Column by column, each from the top. */
    COLUMNS,
    /** Row by row, each from the left. */
    ROWS
  }

  public static Order of(ClipLevels clip) {
    return of(clip.cells(), clip.stretch().fixture().seenColumns());
  }

  /** The cell of each unit, in a picture of so many columns. */
  public static Order of(int[] cells, int columns) {
    return new Order(cells, columns);
  }

  /** Returns the units in the order of a way; none where that is as they are wired. */
  public int[] units(Way way) {
    if (way == Way.WIRED) {
      return new int[0];
    }
    int[] units =
        IntStream.range(0, cells.length)
            .mapToLong(unit -> key(way, unit) << 32 | unit)
            .sorted()
            .mapToInt(both -> (int) both)
            .toArray();
    boolean wired = IntStream.range(0, units.length).allMatch(i -> units[i] == i);
    return wired ? new int[0] : units;
  }

  /** What they are sorted by; those that are never lit come first. */
  private long key(Way way, int unit) {
    int cell = cells[unit];
    if (cell < 0) {
      return 0;
    }
    return 1 + (way == Way.ROWS ? cell : (long) (cell % columns) << ROW_BITS | cell / columns);
  }

  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof Order order
            && columns == order.columns
            && Arrays.equals(cells, order.cells);
  }

  @Override
  public int hashCode() {
    return cells.length * 31 + columns; // told apart by more than that only now and then
  }
}
