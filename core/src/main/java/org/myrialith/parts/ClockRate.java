package org.myrialith.parts;

import java.util.Locale;

/** What an 8-bit controller is clocked by: the slower, the less it draws and the less it needs. */
public enum ClockRate {
  USUAL("its usual clock", 0),
  MHZ_8("8 MHz, internal oscillator", 8_000_000),
  MHZ_1("1 MHz, internal oscillator divided by 8", 1_000_000);

  private final String title;
  private final int hertz;

  ClockRate(String title, int hertz) {
    this.title = title;
    this.hertz = hertz;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the clock (Hz); 0 for that of the class. */
  int hertz() {
    return hertz;
  }
}
