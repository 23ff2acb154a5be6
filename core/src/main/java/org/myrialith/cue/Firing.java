package org.myrialith.cue;

/**
 * What makes a cue fire, as numbers.
 *
 * @param by which rule
 * @param listens what its input has to give
 * @param a and {@code b}: what the rule says of them
 */
public record Firing(By by, Listens listens, int a, int b) {
  /** The rules, by their positions in the engine. */
  public enum By {
    POWER_ON,
    /** a: which way of pressing. */
    PRESS,
    /** a: 1 for right; b: edges. */
    TURNED,
    /** a: mark; b: release. */
    ABOVE,
    BELOW,
    /** a: which message. */
    RECEIVED,
    BECOMES,
    /** a: which cue. */
    ENDED,
    /** a: time (ms). */
    IDLE,
    /** a and b: least and most time (s). */
    EVERY
  }

  /** What an input gives that a cue can listen to. */
  public enum Listens {
    NOTHING,
    ON_OFF,
    ROTARY,
    ANALOGUE,
    SERIAL
  }

  /** Numbers of what a trigger names. */
  public interface Numbers {
    /** Returns that of a cue. */
    int cue(String id);

    /** Returns that of a message that comes in. */
    int message(String word);
  }

  /** Fires without listening to an input. */
  static Firing of(By by, int a, int b) {
    return new Firing(by, Listens.NOTHING, a, b);
  }
}
