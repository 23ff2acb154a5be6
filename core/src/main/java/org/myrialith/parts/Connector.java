package org.myrialith.parts;

import java.util.Locale;

/** What joins wires, and what a contact of it carries for good (common practice). */
public enum Connector {
  NONE("soldered", Double.POSITIVE_INFINITY),
  BREADBOARD("breadboard or jumper wire", 1),
  USB_MICRO("small USB plug, micro", 1.8),
  USB_C("USB-C plug", 3),
  SMALL("wire-to-board plug, 2.5 mm pitch", 3),
  BARREL("barrel plug, 5.5 mm", 5),
  SCREW("screw terminal, 5 mm pitch", 10),
  BLADE("spade, 6.3 mm", 15);

  private final String title;
  private final double carriesAmps;

  Connector(String title, double carriesAmps) {
    this.title = title;
    this.carriesAmps = carriesAmps;
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
}
