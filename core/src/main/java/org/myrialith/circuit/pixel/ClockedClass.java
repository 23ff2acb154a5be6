package org.myrialith.circuit.pixel;

/**
 * How a class of clocked pixels tells one frame from the next (data of the class, common practice).
 */
public enum ClockedClass {
  /**
   * Zeros before the pixels, a head with a brightness field in each, zeros behind that push the
   * levels to the last one.
   */
  FRAME_STARTED("frame-started", "frame-started, with brightness field", 0),
  /** Levels only; a pause of the clock makes them show. */
  PAUSE_LATCHED("pause-latched", "pause-latched", 500);

  private final String key;
  private final String title;
  private final int pauseMicros;

  ClockedClass(String key, String title, int pauseMicros) {
    this.key = key;
    this.title = title;
    this.pauseMicros = pauseMicros;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the pause after a frame (µs). */
  public int pauseMicros() {
    return pauseMicros;
  }

  /** Returns whether each pixel is sent a head with a brightness field. */
  public boolean headed() {
    return this == FRAME_STARTED;
  }
}
