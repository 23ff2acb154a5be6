package org.myrialith.circuit.multiplex;

import java.util.stream.IntStream;

/** In what order rows have their turns. */
public enum RowOrder {
  IN_TURN("in-turn", "in order"),
  /** What creeps down the rows is seen less. */
  INTERLACED("interlaced", "odd rows, then even rows");

  private final String key;
  private final String title;

  RowOrder(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the rows in the order of their turns. */
  public int[] of(int rows) {
    return this == IN_TURN
        ? IntStream.range(0, rows).toArray()
        : IntStream.concat(
                IntStream.iterate(0, row -> row < rows, row -> row + 2),
                IntStream.iterate(1, row -> row < rows, row -> row + 2))
            .toArray();
  }
}
