package org.myrialith.formats;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

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

  /** Returns the unit of that symbol. */
  public static Optional<LengthUnit> of(String key) {
    return Arrays.stream(values()).filter(unit -> unit.key.equals(key)).findFirst();
  }

  /** Returns the unit that a word means, such as {@code in}, {@code inches} or a double prime. */
  static Optional<LengthUnit> meant(String word) {
    String bare = word.strip().toLowerCase(Locale.ROOT);
    return switch (bare) {
      case "\"", "inch", "inches" -> Optional.of(INCH);
      case "mils", "thou" -> Optional.of(MIL);
      default -> of(bare);
    };
  }

  /** Returns the unit that a header names at its end. */
  static Optional<LengthUnit> namedIn(String header) {
    String bare = header.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
    String last = bare.substring(bare.lastIndexOf(' ') + 1);
    return bare.contains(" ") || last.startsWith("inch") ? meant(last) : Optional.empty();
  }
}
