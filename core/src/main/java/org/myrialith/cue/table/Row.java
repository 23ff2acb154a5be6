package org.myrialith.cue.table;

import org.myrialith.cue.Cue;

/**
 * A cue as numbers.
 *
 * @param kind what makes it fire
 * @param sense which input; -1 for none
 * @param a and {@code b}: by kind: press: its way; turned: 1 for right, and edges; crossing: mark
 *     and release (255 ones' for below are told by kind); received: which message; ended: the cue;
 *     idle and every: times
 * @param whens terms of what it becomes, {@code onlys} those that have to hold, {@code thens}
 *     changes
 * @param scene which one it shows; -1 for none
 */
public record Row(
    Cue cue, Kind kind, int sense, int a, int b, Terms whens, Terms onlys, Terms thens, int scene) {
  /** What makes a cue fire, by its position in the engine. */
  public enum Kind {
    POWER_ON,
    PRESS,
    TURNED,
    ABOVE,
    BELOW,
    RECEIVED,
    BECOMES,
    ENDED,
    IDLE,
    EVERY
  }

  /** A stretch of the list of terms. */
  public record Terms(int first, int count) {}
}
