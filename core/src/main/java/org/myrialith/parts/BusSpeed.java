package org.myrialith.parts;

import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/** How fast an I2C bus is asked to be: a mode of the bus (UM10204), or that of its chips. */
public enum BusSpeed {
  USUAL("usual", "usual for its chips", 0),
  KHZ_100("100", "100 kHz", 100),
  KHZ_400("400", "400 kHz", 400),
  KHZ_1000("1000", "1 MHz", 1000);

  private final String key;
  private final String title;
  private final int kilohertz;

  BusSpeed(String key, String title, int kilohertz) {
    this.key = key;
    this.title = title;
    this.kilohertz = kilohertz;
  }

  /** How it stands in the format. */
  public static Field<BusSpeed> field() {
    return Field.of(
            "busSpeed",
            "Bus speed",
            Types.Choice.of(BusSpeed.values(), BusSpeed::key, BusSpeed::title))
        .or(USUAL)
        .explained("maximum; slower for long wires, faster where all chips allow it");
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the most that it asks for (kHz), 0 for what is usual. */
  public int kilohertz() {
    return kilohertz;
  }

  /**
   * Returns how the exported player clocks it.
   *
   * @param usual of the chips
   */
  public TwoWireSpeed or(TwoWireSpeed usual) {
    return switch (this) {
      case USUAL -> usual;
      case KHZ_100 -> TwoWireSpeed.STANDARD;
      case KHZ_400 -> TwoWireSpeed.FAST;
      case KHZ_1000 -> TwoWireSpeed.FAST_PLUS;
    };
  }
}
