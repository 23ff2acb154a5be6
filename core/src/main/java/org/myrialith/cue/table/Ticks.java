package org.myrialith.cue.table;

/**
 * How often the engine looks at everything.
 *
 * @param tickMillis from one look to the next (ms)
 * @param fadeMillis from one step of a fade to the next (ms)
 */
public record Ticks(int tickMillis, int fadeMillis) {
  /** Below this a fade looks even (ms; common practice: 50 steps in a second). */
  private static final int SMOOTH_MILLIS = 20;

  /** Share of the time that asking may take. */
  private static final double SHARE = 0.5;

  private static final int MOST_MILLIS = 20;

  /** Cycles of a tick, for each cue and each input (8-bit classes, read in the simulator). */
  private static final int BARE = 900;

  private static final int EACH_CUE = 300;
  private static final int EACH_INPUT = 200;

  /** Returns the time of asking all cues and looking at all inputs (s). */
  public static double askingSeconds(int clockHz, int cues, int inputs) {
    return (BARE + (double) EACH_CUE * cues + (double) EACH_INPUT * inputs) / clockHz;
  }

  /**
   * Returns what a controller keeps up with.
   *
   * @param clockHz of the controller (Hz)
   * @param cues and {@code inputs}: how many are asked each time
   * @param frameSeconds that composing and sending a whole frame take (s)
   */
  public static Ticks of(int clockHz, int cues, int inputs, double frameSeconds) {
    double asking = askingSeconds(clockHz, cues, inputs);
    int tick = 1;
    while (asking > SHARE * tick * 1e-3 && tick < MOST_MILLIS) {
      tick++;
    }
    // a fade leaves half of the time to what else is due
    int fade = Math.max(SMOOTH_MILLIS, (int) Math.ceil(frameSeconds * 2000));
    return new Ticks(tick, (fade + tick - 1) / tick * tick);
  }
}
