package org.myrialith.circuit.chip.expander;

import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.TwoWireSpeed;

/**
 * A class of port expanders on an I2C bus: how it is told what its outputs are. Data are those of
 * the classes, from memory.
 */
public enum ExpanderClass {
  /** One byte after the address; outputs only sink, what is high is a mere 0.1 mA. */
  QUASI_8(
      "quasi-8",
      "8-bit port expander, quasi-bidirectional",
      8,
      new OutputStage(40, Double.POSITIVE_INFINITY, 10, 25, 100, 5.5),
      new Registers(-1, -1),
      TwoWireSpeed.STANDARD,
      100),
  /** Directions at 0 and 1, outputs from 12 hex, both ports in one write. */
  REGISTER_A(
      "register-a",
      "16-bit port expander, outputs from register 0x12",
      16,
      new OutputStage(60, 60, 20, 25, 125, 5.5),
      new Registers(0x12, 0x00),
      TwoWireSpeed.FAST,
      1700),
  /** Outputs at 2 and 3, directions at 6 and 7. */
  REGISTER_B(
      "register-b",
      "16-bit port expander, outputs from register 0x02",
      16,
      new OutputStage(40, 100, 10, 25, 160, 5.5),
      new Registers(0x02, 0x06),
      TwoWireSpeed.FAST,
      400),
  /**
   * Counts of 12 bits from an oscillator of its own: on and off, two bytes each, from register 6.
   */
  PWM_16(
      "pwm-16",
      "16-channel 12-bit PWM chip",
      16,
      new OutputStage(10, 40, 20, 25, 400, 5.5),
      new Registers(0x06, -1),
      TwoWireSpeed.FAST,
      1000);

  /** Address that an expander has with its address pins low. */
  public static final int FIRST_ADDRESS = 0x20;

  /** The other one of those that are made with two. */
  static final int SECOND_ADDRESS = 0x38;

  /** Chips that three address pins tell apart. */
  public static final int MOST_CHIPS = 8;

  /** First address of PWM chips, and how many its six address pins tell apart. */
  private static final int PWM_ADDRESS = 0x40;

  private static final int PWM_CHIPS = 62;

  /** What PWM chips are told to turn at: 25 MHz ÷ 4096 ÷ 6 (Hz). */
  public static final double PWM_HERTZ = 25e6 / 4096 / 6;

  /**
   * Where a chip takes what.
   *
   * @param outputs register of the outputs, -1 when a byte behind the address is all
   * @param directions register of the directions, 0 for an output; -1 when there is none
   */
  public record Registers(int outputs, int directions) {}

  private final String key;
  private final String title;
  private final int width;
  private final OutputStage stage;
  private final Registers registers;
  private final TwoWireSpeed speed;
  private final int mostKilohertz;

  ExpanderClass(
      String key,
      String title,
      int width,
      OutputStage stage,
      Registers registers,
      TwoWireSpeed speed,
      int mostKilohertz) {
    this.mostKilohertz = mostKilohertz;
    this.key = key;
    this.title = title;
    this.width = width;
    this.stage = stage;
    this.registers = registers;
    this.speed = speed;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the outputs of a chip. */
  public int width() {
    return width;
  }

  /** Returns what an output gives. */
  public OutputStage stage() {
    return stage;
  }

  /** Returns where it takes what. */
  public Registers registers() {
    return registers;
  }

  /** Returns the fastest clock that it takes (kHz). */
  int mostKilohertz() {
    return mostKilohertz;
  }

  /** Returns how fast its bus usually runs. */
  public TwoWireSpeed speed() {
    return speed;
  }

  /** Returns the bits of a channel: 1 for on or off. */
  public int depth() {
    return this == PWM_16 ? 12 : 1;
  }

  /** Returns the address that a chip has with its address pins low. */
  public int firstAddress() {
    return this == PWM_16 ? PWM_ADDRESS : FIRST_ADDRESS;
  }

  /** Returns the chips that its address pins tell apart. */
  public int mostChips() {
    return this == PWM_16 ? PWM_CHIPS : MOST_CHIPS;
  }

  /** Returns the bytes of a write to one chip, address and register among them. */
  public int writeBytes() {
    int data = this == PWM_16 ? 4 * width : width / 8;
    return 1 + (registers.outputs < 0 ? 0 : 1) + data;
  }

  /** Returns what is bought. */
  PartSort part() {
    return switch (this) {
      case QUASI_8 -> PartSort.EXPANDER_8;
      case REGISTER_A, REGISTER_B -> PartSort.EXPANDER_16;
      case PWM_16 -> PartSort.PWM_16;
    };
  }
}
