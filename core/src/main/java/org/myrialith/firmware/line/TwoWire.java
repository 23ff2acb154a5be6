package org.myrialith.firmware.line;

import org.myrialith.formats.ValueChangeDump;

/**
 * Bytes on two open wires with pull-ups: start, bytes of eight bits and a ninth on which the chip
 * answers, stop. Mutable, lives within one frame.
 */
public final class TwoWire {
  private static final int DATA = 0;
  private static final int CLOCK = 1;

  private final ValueChangeDump dump;
  private final int first;
  private final double bitNanos;
  private final boolean lowestFirst;
  private double now;

  /**
   * Begins a frame.
   *
   * @param first wire of the dump: the data, the clock after it
   * @param bitNanos time of a bit
   * @param start when it begins (ns)
   */
  public TwoWire(
      ValueChangeDump dump, int first, double bitNanos, boolean lowestFirst, long start) {
    this.dump = dump;
    this.first = first;
    this.bitNanos = bitNanos;
    this.lowestFirst = lowestFirst;
    this.now = start;
  }

  private void set(int wire, boolean high, double waits) {
    dump.set(first + wire, Math.round(now), high);
    now += waits * bitNanos;
  }

  /** Writes some bytes from start to stop. */
  public void write(int... bytes) {
    set(DATA, false, 0.4);
    set(CLOCK, false, 0.1);
    for (int one : bytes) {
      for (int bit = 0; bit < 9; bit++) {
        boolean high = bit == 8 || (one >> (lowestFirst ? bit : 7 - bit) & 1) == 1;
        set(DATA, high, 0.4);
        set(CLOCK, true, 0.5);
        set(CLOCK, false, 0.1);
      }
    }
    set(DATA, false, 0.4);
    set(CLOCK, true, 0.4);
    set(DATA, true, 0.4);
  }

  /** Returns when it ends (ns). */
  public long end() {
    return Math.round(now);
  }
}
