package org.myrialith.cue.table;

/**
 * A value that the engine keeps: one of the maker's, or of the clock.
 *
 * @param wraps whether beyond its ends it goes on at the other
 * @param kept whether it is kept while power is off
 * @param told whether messages set it
 */
public record Value(
    String name, int least, int most, int start, boolean wraps, boolean kept, boolean told) {
  /** A value that cues alone set, and that is forgotten. */
  public Value(String name, int least, int most, int start, boolean wraps) {
    this(name, least, most, start, wraps, false, false);
  }

  /** Returns it beginning otherwise. */
  public Value beginning(int other) {
    return new Value(name, least, most, other, wraps, kept, told);
  }

  /** Returns a number brought within its ends. */
  public int within(int number) {
    if (number >= least && number <= most) {
      return number;
    }
    if (wraps) {
      return least + Math.floorMod(number - least, most - least + 1);
    }
    return number < least ? least : most;
  }
}
