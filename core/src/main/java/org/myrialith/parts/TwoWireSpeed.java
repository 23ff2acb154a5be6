package org.myrialith.parts;

/** How fast two open wires with pull-ups are clocked by the exported player. */
public enum TwoWireSpeed {
  /** I2C at 100 kHz: low 4.7 µs, high 4.0 µs beside the rise, rise 1 µs at most (UM10204). */
  STANDARD(26, 29, 1000e-9),
  /** I2C at 400 kHz: low 1.3 µs, high 0.6 µs beside the rise, rise 0.3 µs at most (UM10204). */
  FAST(6, 5, 300e-9),
  /** I2C up to 1 MHz: low 0.5 µs, high 0.26 µs beside the rise, rise 0.12 µs at most (UM10204). */
  FAST_PLUS(1, 2, 120e-9),
  /** Display drivers: 250 kHz at most (data of the class). */
  DISPLAY(9, 9, 1000e-9);

  /** Cycles of a bit beside the two waits. */
  private static final int BIT_CYCLES = 13;

  private static final int WAIT_CYCLES = 3;

  /** Settings of a pin for a bit in portable C: low takes two, to be an output and to be low. */
  private static final double WIRE_PINS = 4.5;

  /** Cycles of a call of the byte routine, and of start and stop, beside the waits. */
  private static final int BYTE_CYCLES = 13;

  private static final int FRAME_CYCLES = 21;

  private final int low;
  private final int high;
  private final double riseSeconds;

  TwoWireSpeed(int low, int high, double riseSeconds) {
    this.low = low;
    this.high = high;
    this.riseSeconds = riseSeconds;
  }

  /** Returns the turns of three cycles that the clock rests low. */
  public int low() {
    return low;
  }

  /** Returns the turns of three cycles that the clock rests high. */
  public int high() {
    return high;
  }

  /** Returns the longest rise that is allowed (s). */
  public double riseSeconds() {
    return riseSeconds;
  }

  /** Returns the whole microseconds that the clock rests low in portable C. */
  public int lowMicros() {
    return switch (this) {
      case STANDARD -> 5;
      case FAST, DISPLAY -> 2;
      case FAST_PLUS -> 1;
    };
  }

  /** Returns the whole microseconds that the clock rests high in portable C. */
  public int highMicros() {
    return switch (this) {
      case STANDARD -> 6;
      case FAST, FAST_PLUS -> 1; // and the time of setting a pin
      case DISPLAY -> 2;
    };
  }

  /** Returns the time of a bit (s). */
  public double bitSeconds(Controller controller) {
    return controller.portable()
        ? WIRE_PINS * controller.pinSeconds() + (lowMicros() + highMicros()) * 1e-6
        : (BIT_CYCLES + WAIT_CYCLES * (low + high)) * controller.cycleSeconds();
  }

  /** Returns the time of a write from its start to where the next may start (s). */
  public double writeSeconds(int bytes, Controller controller) {
    if (controller.portable()) {
      double ends =
          2 * WIRE_PINS * controller.pinSeconds() + 2 * (lowMicros() + highMicros()) * 1e-6;
      return bytes * 9 * bitSeconds(controller) + ends;
    }
    double cycles = bytes * BYTE_CYCLES + FRAME_CYCLES + 2 * WAIT_CYCLES * (low + high);
    return bytes * 9 * bitSeconds(controller) + cycles * controller.cycleSeconds();
  }

  /** Returns the rest after a stop, which the last write of a frame need not wait for (s). */
  public double restSeconds(Controller controller) {
    return controller.portable()
        ? lowMicros() * 1e-6
        : WAIT_CYCLES * low * controller.cycleSeconds();
  }
}
