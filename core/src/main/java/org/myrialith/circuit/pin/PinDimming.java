package org.myrialith.circuit.pin;

/** Whether the controller dims what hangs on its pins. */
public enum PinDimming {
  NONE("on-off", "on or off"),
  /** Timers of the controller turn pins on and off by themselves. */
  TIMERS("timers", "hardware PWM");

  /** Bits of a level. */
  static final int BITS = 8;

  private final String key;
  private final String title;

  PinDimming(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }
}
