package org.myrialith.drive;

import org.myrialith.parts.OutputStage;

/**
 * A class of 8-bit shift registers with latched outputs. Data are those of the class, from memory.
 */
public enum RegisterClass {
  /** 6 mA for full levels, 35 mA at the very most; 70 mA through the supply pins. */
  HC("hc", "8-bit shift register, HC", 8, new OutputStage(55, 55, 20, 35, 70, 6), 0.7, 0),
  HCT("hct", "8-bit shift register, HCT", 8, new OutputStage(55, 55, 20, 35, 70, 5.5), 0, 2.0),
  /** Open drains that sink only, and carry far more. */
  POWER(
      "power",
      "8-bit shift register with power outputs, open drain",
      8,
      new OutputStage(5, Double.POSITIVE_INFINITY, 150, 250, 500, 45),
      0.7,
      0),
  /** One setting resistor a chip, none a channel. */
  SINK(
      "sink", "16-channel sink of constant current", 16, OutputStage.keeping(90, 1440, 17), 0.7, 0);

  /** Most input capacitance of an input of the class (pF). */
  public static final double INPUT_PF = 10;

  /** Longest rise of a clock edge that the class allows at 4.5 V (s). */
  public static final double RISE_SECONDS = 500e-9;

  /** Supply current of an idle chip at most (A). */
  static final double IDLE_AMPS = 80e-6;

  private final String key;
  private final String title;
  private final int width;
  private final OutputStage stage;
  private final double thresholdShare;
  private final double thresholdVolts;

  RegisterClass(
      String key,
      String title,
      int width,
      OutputStage stage,
      double thresholdShare,
      double thresholdVolts) {
    this.key = key;
    this.title = title;
    this.width = width;
    this.stage = stage;
    this.thresholdShare = thresholdShare;
    this.thresholdVolts = thresholdVolts;
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

  /** Returns the level that an input takes for high, at a supply (V). */
  public double highFrom(double supplyVolts) {
    return thresholdShare * supplyVolts + thresholdVolts;
  }
}
