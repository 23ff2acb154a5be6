package org.myrialith.text;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Scripts whose letters change with their neighbours, which fonts of dots do not do. */
final class Joined {
  private static final Set<Character.UnicodeScript> SCRIPTS =
      Set.of(
          Character.UnicodeScript.ARABIC,
          Character.UnicodeScript.SYRIAC,
          Character.UnicodeScript.MONGOLIAN,
          Character.UnicodeScript.NKO,
          Character.UnicodeScript.DEVANAGARI,
          Character.UnicodeScript.BENGALI,
          Character.UnicodeScript.GUJARATI,
          Character.UnicodeScript.GURMUKHI,
          Character.UnicodeScript.TAMIL,
          Character.UnicodeScript.TELUGU,
          Character.UnicodeScript.KANNADA,
          Character.UnicodeScript.MALAYALAM,
          Character.UnicodeScript.SINHALA,
          Character.UnicodeScript.KHMER,
          Character.UnicodeScript.MYANMAR,
          Character.UnicodeScript.TIBETAN);

  private Joined() {}

  /** Returns the first such script of a text, in words. */
  static Optional<String> script(String text) {
    return text.codePoints()
        .mapToObj(Character.UnicodeScript::of)
        .filter(SCRIPTS::contains)
        .findFirst()
        .map(Joined::title);
  }

  private static String title(Character.UnicodeScript script) {
    String name = script.name().toLowerCase(Locale.ROOT);
    return Character.toUpperCase(name.charAt(0)) + name.substring(1);
  }
}
