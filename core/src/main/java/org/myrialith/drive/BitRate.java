package org.myrialith.drive;

/**
 * How fast a class of one-wire pixels takes its bits (data of the class, common practice).
 *
 * <p>High times are those of the exported player at 16 MHz: within 150 ns of the class's own.
 */
public enum BitRate {
  /** 1.25 µs a bit: 6 cycles high for a 0, 13 for a 1, of 20. */
  KHZ_800("800", "800 kHz", 1250, 6, 13),
  /** 2.5 µs a bit: 8 cycles high for a 0, 19 for a 1, of 40. */
  KHZ_400("400", "400 kHz, older strings", 2500, 8, 19);

  private final String key;
  private final String title;
  private final int bitNanos;
  private final int zeroCycles;
  private final int oneCycles;

  BitRate(String key, String title, int bitNanos, int zeroCycles, int oneCycles) {
    this.key = key;
    this.title = title;
    this.bitNanos = bitNanos;
    this.zeroCycles = zeroCycles;
    this.oneCycles = oneCycles;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the time of a bit (ns). */
  public int bitNanos() {
    return bitNanos;
  }

  /** Returns the cycles of a 16 MHz clock that a 0 is high. */
  public int zeroCycles() {
    return zeroCycles;
  }

  /** Returns the cycles of a 16 MHz clock that a 1 is high. */
  public int oneCycles() {
    return oneCycles;
  }
}
