package org.myrialith.parts;

/** What an emitter is, electrically. */
public enum EmitterKind {
  SINGLE("single", "single colour", 1),
  TWO_COLOUR("two-colour", "two colours in one package", 2),
  RGB_PINS("rgb-pins", "RGB with separate pins", 3),
  RGBW_PINS("rgbw-pins", "RGBW with separate pins", 4),
  ONE_WIRE_RGB("one-wire-rgb", "one-wire RGB pixel", 3),
  ONE_WIRE_RGBW("one-wire-rgbw", "one-wire RGBW pixel", 4),
  CLOCKED_RGB("clocked-rgb", "clocked RGB pixel", 3),
  CLOCKED_RGBW("clocked-rgbw", "clocked RGBW pixel", 4),
  FILAMENT("filament", "filament", 1),
  HIGH_POWER("high-power", "high-power", 1),
  LAMP("lamp", "incandescent lamp", 1);

  private final String key;
  private final String title;
  private final int dies;

  EmitterKind(String key, String title, int dies) {
    this.key = key;
    this.title = title;
    this.dies = dies;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns whether it has a chip of its own that takes data. */
  public boolean pixel() {
    return switch (this) {
      case ONE_WIRE_RGB, ONE_WIRE_RGBW, CLOCKED_RGB, CLOCKED_RGBW -> true;
      default -> false;
    };
  }

  /** Returns how many dies or filaments one has: its channels. */
  public int dies() {
    return dies;
  }
}
