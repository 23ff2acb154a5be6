package org.myrialith.formats;

import java.util.Locale;

/** A unit of length in a file. */
public enum LengthUnit {
  MILLIMETRE("mm", 1),
  /** Exactly 25.4 mm (international yard and pound agreement, 1959). */
  INCH("in", 25.4),
  /** A thousandth of an inch. */
  MIL("mil", 0.0254),
  CENTIMETRE("cm", 10);

  private final String key;
  private final double millimetres;

  LengthUnit(String key, double millimetres) {
    this.key = key;
    this.millimetres = millimetres;
  }

  /** Returns its symbol. */
  public String key() {
    return key;
  }

  /** Returns how long it is (mm). */
  public double millimetres() {
    return millimetres;
  }

  /** Returns the unit of that symbol, or null. */
  public static LengthUnit of(String key) {
    for (LengthUnit unit : values()) {
      if (unit.key.equals(key)) {
        return unit;
      }
    }
    return null;
  }

  /** Returns the unit that a header names at its end, or null. */
  static LengthUnit namedIn(String header) {
    String bare = header.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
    String last = bare.substring(bare.lastIndexOf(' ') + 1);
    return last.startsWith("inch") ? INCH : bare.contains(" ") ? of(last) : null;
  }
}
