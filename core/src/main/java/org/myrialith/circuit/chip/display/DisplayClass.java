package org.myrialith.circuit.chip.display;

import java.util.List;
import org.myrialith.parts.PartSort;

/** A class of chips that scan digits by themselves. Data are those of the classes, from memory. */
public enum DisplayClass {
  /** Six digits of eight segments, common anode; eight steps; no address: a pair of pins a chip. */
  TWO_WIRE(
      "two-wire",
      "two-wire display driver, 6 digits of 8",
      6,
      8,
      List.of(1, 2, 4, 10, 11, 12, 13, 14),
      16),
  /** Eight digits of sixteen segments, common cathode; sixteen steps; eight addresses. */
  I2C(
      "i2c",
      "I2C display driver, 8 digits of 16",
      8,
      16,
      List.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16),
      16),
  /** Eight digits of eight segments, common cathode; sixteen steps; chips in a chain. */
  THREE_WIRE(
      "three-wire",
      "three-wire display driver, 8 digits of 8",
      8,
      8,
      List.of(1, 3, 5, 7, 9, 11, 13, 15, 17, 19, 21, 23, 25, 27, 29, 31),
      32);

  /** Address of the first chip on I2C, and how many there can be. */
  public static final int FIRST_ADDRESS = 0x70;

  static final int MOST_ADDRESSES = 8;

  /** Fastest clock of an I2C bus that it takes (kHz). */
  static final int MOST_KILOHERTZ = 400;

  /** Current of an idle chip (A). */
  static final double IDLE_AMPS = 1e-3;

  private final String key;
  private final String title;
  private final int digits;
  private final int segments;
  private final List<Integer> steps;
  private final int whole;

  DisplayClass(String key, String title, int digits, int segments, List<Integer> steps, int whole) {
    this.key = key;
    this.title = title;
    this.digits = digits;
    this.segments = segments;
    this.steps = steps;
    this.whole = whole;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the digits of a chip. */
  public int digits() {
    return digits;
  }

  /** Returns the segments of a digit. */
  public int segments() {
    return segments;
  }

  /** Returns the outputs of a chip: digits times segments. */
  public int width() {
    return digits * segments;
  }

  /** Returns the steps of brightness. */
  public int steps() {
    return steps.size();
  }

  /** Returns the share of the time that a segment is fed at a step, its digit's turn counted in. */
  public double duty(int step) {
    return (double) steps.get(step) / whole / digits;
  }

  /** Returns whether chips stand in a chain. */
  public boolean chained() {
    return this == THREE_WIRE;
  }

  /** Returns what is bought. */
  PartSort part() {
    return switch (this) {
      case TWO_WIRE -> PartSort.TWO_WIRE_DRIVER;
      case THREE_WIRE -> PartSort.THREE_WIRE_DRIVER;
      case I2C -> PartSort.I2C_DRIVER;
    };
  }
}
