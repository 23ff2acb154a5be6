package org.myrialith.parts;

import java.util.Arrays;
import java.util.Optional;

/**
 * A class of 8-bit shift registers with latched outputs. Data are those of the class, from memory.
 */
public enum RegisterClass {
  /** 6 mA for full levels, 35 mA at the very most; 70 mA through the supply pins. */
  HC("hc", "8-bit shift register, HC", 8, new OutputStage(55, 55, 20, 35, 70, 6)),
  HCT("hct", "8-bit shift register, HCT", 8, new OutputStage(55, 55, 20, 35, 70, 5.5)),
  /** Open drains that sink only, and carry far more. */
  POWER(
      "power",
      "8-bit power shift register, open drain",
      8,
      new OutputStage(5, Double.POSITIVE_INFINITY, 150, 250, 500, 45)),
  /** One setting resistor a chip, none a channel. */
  SINK(
      "sink",
      "16-channel constant-current LED driver",
      16,
      1,
      GreyClock.NONE,
      OutputStage.keeping(90, 1440, 17, 15 * 1.25)),
  /** Counts the grey-scale clock itself, and starts anew with each blank. */
  GREY_12(
      "grey-12",
      "16-channel constant-current LED driver, 12-bit PWM",
      16,
      12,
      GreyClock.BLANKED,
      OutputStage.keeping(120, 1920, 17, 31.5 * 1.24)),
  /** Grey scale from an oscillator of its own, some 4 MHz. */
  GREY_24(
      "grey-24",
      "24-channel constant-current LED driver, 12-bit PWM, internal oscillator",
      24,
      12,
      GreyClock.OWN,
      OutputStage.keeping(30, 720, 30, 41 * 1.21)),
  /** Counts a grey-scale clock over and over by itself. */
  GREY_16(
      "grey-16",
      "16-channel constant-current LED driver, 16-bit PWM",
      16,
      16,
      GreyClock.RUNS,
      OutputStage.keeping(90, 1440, 17, 15 * 1.25));

  /** Most input capacitance of an input of the class (pF). */
  public static final double INPUT_PF = 10;

  /** Wire on a board or in a cable (pF a mm): 1 pF a cm (common practice). */
  public static final double WIRE_PF_PER_MM = 0.1;

  /** Longest rise of a clock edge that the class allows at 4.5 V (s). */
  public static final double RISE_SECONDS = 500e-9;

  /** Supply current of an idle chip at most (A). */
  public static final double IDLE_AMPS = 80e-6;

  private final String key;
  private final String title;
  private final int width;
  private final int depth;
  private final GreyClock greyClock;
  private final OutputStage stage;

  RegisterClass(
      String key, String title, int width, int depth, GreyClock greyClock, OutputStage stage) {
    this.key = key;
    this.title = title;
    this.width = width;
    this.depth = depth;
    this.greyClock = greyClock;
    this.stage = stage;
  }

  RegisterClass(String key, String title, int width, OutputStage stage) {
    this(key, title, width, 1, GreyClock.NONE, stage);
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

  /** Returns the bits of a channel: 1 for on or off. */
  public int depth() {
    return depth;
  }

  /** Returns where its grey scale comes from. */
  public GreyClock greyClock() {
    return greyClock;
  }

  /**
   * Returns whether a 1 in the latch turns the output transistor on, so that it sinks: open drains
   * and constant-current sinks. Outputs of HC and HCT are high then.
   */
  public boolean oneSinks() {
    return !stage.sources();
  }

  /** Returns what an output gives. */
  public OutputStage stage() {
    return stage;
  }

  /** Returns the class of that key. */
  public static Optional<RegisterClass> of(String key) {
    return Arrays.stream(values()).filter(c -> c.key.equals(key)).findFirst();
  }

  /** Returns what is bought. */
  public PartSort part() {
    return switch (this) {
      case HC, HCT -> PartSort.REGISTER;
      case POWER -> PartSort.POWER_REGISTER;
      case SINK -> PartSort.SINK;
      case GREY_12, GREY_16 -> PartSort.GREY_SINK;
      case GREY_24 -> PartSort.GREY_SINK_24;
    };
  }
}
