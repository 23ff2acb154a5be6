package org.myrialith.play;

/**
 * How often the engine looks at everything.
 *
 * @param tickMillis from one look to the next (ms)
 * @param fadeMillis from one step of a fade to the next (ms)
 */
public record Ticks(int tickMillis, int fadeMillis) {
  /** Below this a fade looks even (ms; common practice: 50 steps in a second). */
  private static final int SMOOTH_MILLIS = 20;

  private static final int MEGAHERTZ = 1_000_000;

  /**
   * Returns what a controller keeps up with.
   *
   * @param clockHz of the controller (Hz)
   * @param frameSeconds that composing and sending a whole frame take (s)
   */
  public static Ticks of(int clockHz, double frameSeconds) {
    int tick = clockHz >= 16 * MEGAHERTZ ? 1 : clockHz >= 8 * MEGAHERTZ ? 2 : 10;
    // a fade leaves half of the time to what else is due
    int fade = Math.max(SMOOTH_MILLIS, (int) Math.ceil(frameSeconds * 2000));
    return new Ticks(tick, (fade + tick - 1) / tick * tick);
  }
}
