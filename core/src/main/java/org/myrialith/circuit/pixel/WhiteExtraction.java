package org.myrialith.circuit.pixel;

/** What the white of an RGBW pixel does when a picture has only red, green and blue. */
public enum WhiteExtraction {
  /** It gives what the three share, and they give the rest: less current, and a cleaner white. */
  TAKES_OVER("takes-over", "takes the shared part of the colour"),
  /** It is never lit. */
  DARK("dark", "stays dark");

  private final String key;
  private final String title;

  WhiteExtraction(String key, String title) {
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
