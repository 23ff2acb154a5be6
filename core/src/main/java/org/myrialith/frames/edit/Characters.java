package org.myrialith.frames.edit;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.layout.SegmentStyle;

/**
 * Which segments show a character: digits, hexadecimal, the letters that can be read, minus, degree
 * (common practice; sixteen segments have the two halves of top and bottom for one).
 */
public final class Characters {
  private static final Map<Character, Set<String>> SEVEN =
      table(
          "0 a b c d e f;1 b c;2 a b d e g;3 a b c d g;4 b c f g;5 a c d f g;6 a c d e f g;7 a b c;"
              + "8 a b c d e f g;9 a b c d f g;A a b c e f g;b c d e f g;C a d e f;c d e g;d b c d e g;"
              + "E a d e f g;F a e f g;G a c d e f;H b c e f g;h c e f g;I e f;J b c d e;L d e f;n c e g;"
              + "O a b c d e f;o c d e g;P a b e f g;q a b c f g;r e g;S a c d f g;t d e f g;U b c d e f;"
              + "u c d e;y b c d f g;- g;_ d;= d g;° a b f g");

  private static final Map<Character, Set<String>> FOURTEEN =
      table(
          "0 a b c d e f j k;1 b c j;2 a b d e g1 g2;3 a b c d g2;4 b c f g1 g2;5 a c d f g1 g2;"
              + "6 a c d e f g1 g2;7 a b c;8 a b c d e f g1 g2;9 a b c d f g1 g2;A a b c e f g1 g2;"
              + "B a b c d g2 i l;C a d e f;D a b c d i l;E a d e f g1;F a e f g1;G a c d e f g2;"
              + "H b c e f g1 g2;I a d i l;J b c d e;K e f g1 j m;L d e f;M b c e f h j;N b c e f h m;"
              + "O a b c d e f;P a b e f g1 g2;Q a b c d e f m;R a b e f g1 g2 m;S a c d f g1 g2;T a i l;"
              + "U b c d e f;V e f j k;W b c e f k m;X h j k m;Y h j l;Z a d j k;- g1 g2;+ g1 g2 i l;"
              + "/ j k;* g1 g2 h i j k l m;_ d;= d g1 g2;° a b f g1 g2");

  private Characters() {}

  private static Map<Character, Set<String>> table(String lines) {
    Map<Character, Set<String>> all = new HashMap<>();
    for (String line : lines.split(";")) {
      Set<String> lit = new LinkedHashSet<>(Arrays.asList(line.substring(2).split(" ")));
      all.put(line.charAt(0), Set.copyOf(lit));
    }
    all.put(' ', Set.of());
    return Map.copyOf(all);
  }

  /**
   * Returns the names of the segments that show a character, in either case if only one can be
   * read; empty when it can't be read on that style, or the style is the maker's own.
   */
  public static Optional<Set<String>> segments(SegmentStyle style, char character) {
    Map<Character, Set<String>> table = style == SegmentStyle.SEVEN ? SEVEN : FOURTEEN;
    if (style == SegmentStyle.CUSTOM) {
      return Optional.empty();
    }
    char upper = String.valueOf(character).toUpperCase(Locale.ROOT).charAt(0);
    char lower = String.valueOf(character).toLowerCase(Locale.ROOT).charAt(0);
    for (char one : new char[] {character, upper, lower}) {
      if (table.containsKey(one)) {
        return Optional.of(style == SegmentStyle.SIXTEEN ? halved(table.get(one)) : table.get(one));
      }
    }
    return Optional.empty();
  }

  /**
   * Returns the names of the segments that show a character, the maker's own first.
   *
   * @param own in the case they were made for, in the other where nothing else is known
   */
  public static Optional<Set<String>> segments(
      SegmentStyle style, Map<Character, Set<String>> own, char character) {
    if (own.containsKey(character)) {
      return Optional.of(own.get(character));
    }
    Optional<Set<String>> known = segments(style, character);
    if (known.isPresent()) {
      return known;
    }
    char other =
        Character.isUpperCase(character)
            ? Character.toLowerCase(character)
            : Character.toUpperCase(character);
    return character == ' ' ? Optional.of(Set.of()) : Optional.ofNullable(own.get(other));
  }

  /**
   * Returns the letters that can't be read on a style in either case, all of them where none can.
   *
   * @param own characters of the maker's
   */
  public static String missing(SegmentStyle style, Map<Character, Set<String>> own) {
    StringBuilder missing = new StringBuilder();
    for (char letter = 'A'; letter <= 'Z'; letter++) {
      if (segments(style, own, letter).isEmpty()) {
        missing.append(letter);
      }
    }
    return missing.toString();
  }

  private static Set<String> halved(Set<String> lit) {
    Set<String> halved = new LinkedHashSet<>();
    for (String segment : lit) {
      if (segment.equals("a") || segment.equals("d")) {
        halved.add(segment + "1");
        halved.add(segment + "2");
      } else {
        halved.add(segment);
      }
    }
    return halved;
  }
}
