package org.myrialith.circuit.pixel;

/**
 * How fast a class of one-wire pixels takes its bits (data of the class, common practice).
 *
 * <p>High times are those of the exported player at 16 MHz, and at 8 MHz: within 150 ns of the
 * class's own.
 */
public enum BitRate {
  /** 1.25 µs a bit: 6 cycles high for a 0, 13 for a 1, of 20; 3 and 6 of 10 at 8 MHz. */
  KHZ_800("800", "800 kHz", 1250, 6, 13, 3, 6),
  /** 2.5 µs a bit: 8 cycles high for a 0, 19 for a 1, of 40; 4 and 10 of 20 at 8 MHz. */
  KHZ_400("400", "400 kHz, older strings", 2500, 8, 19, 4, 10);

  /** The slowest clock of an 8-bit controller that has cycles enough (Hz). */
  public static final int SLOW_HZ = 8_000_000;

  private final String key;
  private final String title;
  private final int bitNanos;
  private final int zeroCycles;
  private final int oneCycles;
  private final int slowZeroCycles;
  private final int slowOneCycles;

  BitRate(
      String key,
      String title,
      int bitNanos,
      int zeroCycles,
      int oneCycles,
      int slowZeroCycles,
      int slowOneCycles) {
    this.slowZeroCycles = slowZeroCycles;
    this.slowOneCycles = slowOneCycles;
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

  /** Returns the cycles that a 0 is high, at 16 or at 8 MHz. */
  public int zeroCycles(int hertz) {
    return hertz == SLOW_HZ ? slowZeroCycles : zeroCycles;
  }

  /** Returns the cycles that a 1 is high, at 16 or at 8 MHz. */
  public int oneCycles(int hertz) {
    return hertz == SLOW_HZ ? slowOneCycles : oneCycles;
  }
}
