package org.myrialith.parts;

/**
 * Where the grey scale of a sink comes from: what is counted while an output is on. Data are those
 * of the classes, from memory.
 */
public enum GreyClock {
  /** No grey scale: on or off. */
  NONE(0, 1),
  /** An oscillator in the chip. */
  OWN(4e6, 1),
  /** A clock of the controller, counted over and over; on-times are spread over 64 parts. */
  RUNS(Controller.CLOCK_HZ / 4.0, 64),
  /**
   * A clock of the controller, counted once after each blank, which has to come from it as well.
   */
  BLANKED(Controller.CLOCK_HZ / 8.0, 1);

  private final double hertz;
  private final int parts;

  GreyClock(double hertz, int parts) {
    this.hertz = hertz;
    this.parts = parts;
  }

  /** Returns over how many parts of a turn an on-time is spread. */
  public int parts() {
    return parts;
  }

  /** Returns how fast it runs (Hz), 0 for none. */
  public double hertz() {
    return hertz;
  }

  /** Returns whether the controller has to give it. */
  public boolean fromController() {
    return this == RUNS || this == BLANKED;
  }
}
