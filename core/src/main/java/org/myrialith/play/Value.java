package org.myrialith.play;

/**
 * A value that the engine keeps: one of the maker's, or of the clock.
 *
 * @param wraps whether beyond its ends it goes on at the other
 */
public record Value(String name, int least, int most, int start, boolean wraps) {
  /** Returns a number brought within its ends. */
  int within(int number) {
    if (number >= least && number <= most) {
      return number;
    }
    if (wraps) {
      return least + Math.floorMod(number - least, most - least + 1);
    }
    return number < least ? least : most;
  }
}
