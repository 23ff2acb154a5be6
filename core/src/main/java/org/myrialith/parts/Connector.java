package org.myrialith.parts;

import java.util.Locale;

/**
 * What joins wires, and what a contact of it carries for good. Its resistance is that of a contact
 * that has been plugged often: the limits that data sheets of the classes give (common practice).
 */
public enum Connector {
  NONE("soldered", Double.POSITIVE_INFINITY, 0),
  BREADBOARD("breadboard or jumper wire", 1, 0.05),
  USB_MICRO("small USB plug, micro", 1.8, 0.03),
  USB_C("USB-C plug", 3, 0.04),
  SMALL("wire-to-board plug, 2.5 mm pitch", 3, 0.02),
  BARREL("barrel plug, 5.5 mm", 5, 0.03),
  SCREW("screw terminal, 5 mm pitch", 10, 0.005),
  BLADE("spade, 6.3 mm", 15, 0.003);

  private final String title;
  private final double carriesAmps;
  private final double ohms;

  Connector(String title, double carriesAmps, double ohms) {
    this.title = title;
    this.carriesAmps = carriesAmps;
    this.ohms = ohms;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns what it carries for good (A); of what is soldered no limit of its own. */
  public double carriesAmps() {
    return carriesAmps;
  }

  /** Returns the resistance of a contact (ohm): plus has one, minus another. */
  public double ohms() {
    return ohms;
  }
}
