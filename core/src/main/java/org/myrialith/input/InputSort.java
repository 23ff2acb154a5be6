package org.myrialith.input;

/**
 * Sorts of inputs that want pins of the controller. Times are of a player that reads them by itself
 * (common practice, and data of the classes from memory).
 */
public enum InputSort {
  BUTTONS_UP("buttons-up", "buttons to ground, internal pull-ups"),
  BUTTONS_DOWN("buttons-down", "buttons to plus, 10 kohm pull-down each"),
  KNOB("knob", "rotary encoders"),
  REGISTERS("registers", "parallel-in registers, 8-bit"),
  TOUCH("touch", "touch pads"),
  LIGHT("light", "light sensors, analogue"),
  MOTION("motion", "motion sensors (PIR), high on motion"),
  GRID("grid", "sensor grid, rows and columns"),
  CLOCK_CHIP("clock-chip", "clock chip on I2C"),
  SERIAL("serial", "serial port"),
  OTHER("other", "other, one pin each");

  /** Reading a pin. */
  private static final double PIN_SECONDS = 1e-6;

  /** A bit out of a register: a clock, and the pin read. */
  private static final double CLOCKED_SECONDS = 1.5e-6;

  /** A pad charges through 1 Mohm. */
  private static final double TOUCH_SECONDS = 500e-6;

  /** 13 clocks of 125 kHz. */
  private static final double ANALOGUE_SECONDS = 104e-6;

  /** From a row's turn until its columns are read. */
  private static final double ROW_SECONDS = 10e-6;

  /** Eight bytes at 100 kHz, with address and register. */
  private static final double CLOCK_SECONDS = 11 * 9 * 10e-6;

  private static final int REGISTER_PINS = 4;
  private static final int REGISTER_WIDTH = 8;

  private final String key;
  private final String title;

  InputSort(String key, String title) {
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

  /** Returns the rows of a grid with the fewest wires; its columns are the other pins. */
  public static int rows(int count) {
    return (int) Math.max(1, Math.floor(Math.sqrt(count)));
  }

  /** Returns the pins that so many of them want. */
  public int pins(int count) {
    return switch (this) {
      case BUTTONS_UP, BUTTONS_DOWN, TOUCH, LIGHT, MOTION, OTHER -> count;
      case KNOB -> 2 * count;
      case REGISTERS -> REGISTER_PINS;
      case GRID -> rows(count) + (count + rows(count) - 1) / rows(count);
      case CLOCK_CHIP, SERIAL -> 2;
    };
  }

  /** Returns the chips that so many of them want. */
  public int chips(int count) {
    return this == REGISTERS ? (count + REGISTER_WIDTH - 1) / REGISTER_WIDTH : 0;
  }

  /** Returns the time that one look at all of them takes (s). */
  public double seconds(int count) {
    return switch (this) {
      case BUTTONS_UP, BUTTONS_DOWN, MOTION, OTHER -> count * PIN_SECONDS;
      case KNOB -> 2 * count * PIN_SECONDS;
      case REGISTERS -> chips(count) * REGISTER_WIDTH * CLOCKED_SECONDS;
      case TOUCH -> count * TOUCH_SECONDS;
      case LIGHT -> count * ANALOGUE_SECONDS;
      case GRID -> rows(count) * ROW_SECONDS;
      case CLOCK_CHIP -> CLOCK_SECONDS;
      case SERIAL -> 0;
    };
  }

  /** Returns whether a look may be wrong, so that several have to agree. */
  public boolean bounces() {
    return switch (this) {
      case LIGHT, MOTION, CLOCK_CHIP, SERIAL, OTHER -> false;
      default -> true;
    };
  }
}
