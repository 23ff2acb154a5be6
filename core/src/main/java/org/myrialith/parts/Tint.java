package org.myrialith.parts;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * The light of a die as shares of the red, green and blue of a screen, the brightest of them 1. For
 * the eye only: dominant wavelengths of a class are brought to the nearest colour that a screen
 * shows (common practice).
 */
public record Tint(double red, double green, double blue) {
  /** White, and whatever has no colour that is known. */
  public static final Tint WHITE = new Tint(1, 1, 1);

  /** Words of a colour; the first that stands in a name counts. */
  private static final Map<String, Tint> BY_WORD = new LinkedHashMap<>();

  static {
    BY_WORD.put("warm", new Tint(1, 0.78, 0.5));
    BY_WORD.put("cool", new Tint(0.86, 0.93, 1));
    BY_WORD.put("white", WHITE);
    BY_WORD.put("orange", new Tint(1, 0.22, 0));
    BY_WORD.put("amber", new Tint(1, 0.42, 0));
    BY_WORD.put("yellow", new Tint(1, 0.75, 0));
    BY_WORD.put("red", new Tint(1, 0, 0));
    BY_WORD.put("green", new Tint(0, 1, 0));
    BY_WORD.put("blue", new Tint(0, 0, 1));
  }

  /** Returns the tint of a colour in a word or two. */
  public static Tint of(String colour) {
    String words = colour.toLowerCase(Locale.ROOT);
    return BY_WORD.entrySet().stream()
        .filter(e -> words.contains(e.getKey()))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(WHITE);
  }
}
