package org.myrialith.cue.table;

import org.myrialith.cue.Cue;
import org.myrialith.cue.Firing;

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
    Cue cue,
    Firing.By kind,
    int sense,
    int a,
    int b,
    Terms whens,
    Terms onlys,
    Terms thens,
    int scene) {
  /** A stretch of the list of terms. */
  public record Terms(int first, int count) {}
}
