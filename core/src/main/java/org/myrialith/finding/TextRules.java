package org.myrialith.finding;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Limits on words that a maker enters. Lengths count characters as people do, not code units. */
public final class TextRules {
  /** Longest name or title (characters). */
  public static final int NAME = 80;

  /** Longest note (characters). */
  public static final int NOTES = 4000;

  /** What an identifier looks like. */
  public static final String ID_PATTERN = "^[a-z][a-z0-9-]{0,39}$";

  private static final Pattern LETTER = Pattern.compile("\\X", Pattern.DOTALL);

  private TextRules() {}

  private static int length(String text) {
    return text.codePointCount(0, text.length());
  }

  /** Half of a character, as is left when a text is cut in two. */
  private static boolean torn(String text) {
    return text.codePoints()
        .anyMatch(c -> c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE);
  }

  /** Something that can be seen: not only blanks, marks of direction and joiners. */
  private static boolean visible(int c) {
    int type = Character.getType(c);
    return !Character.isWhitespace(c)
        && !Character.isSpaceChar(c)
        && type != Character.FORMAT
        && type != Character.CONTROL
        && type != Character.UNASSIGNED
        && c != 0x3164
        && c != 0x115f
        && c != 0x1160
        && c != 0x2800;
  }

  /**
   * Returns the name without space at its ends.
   *
   * @throws InputException if nothing of it can be seen, it is longer than {@link #NAME}, has
   *     control characters, or half a character
   */
  public static String name(String field, String value) {
    String bare = value.strip();
    boolean seen = bare.codePoints().anyMatch(TextRules::visible);
    boolean control =
        bare.chars().anyMatch(c -> Character.isISOControl(c) || c == 0x2028 || c == 0x2029);
    if (!seen || length(bare) > NAME || control || torn(bare)) {
      throw new InputException(field, value, "1 to " + NAME + " characters on one line");
    }
    return bare;
  }

  /** Returns a name cut to its longest, between characters. */
  public static String shortened(String name) {
    String bare = name.strip();
    return length(bare) <= NAME
        ? bare
        : bare.substring(0, bare.offsetByCodePoints(0, NAME)).strip();
  }

  /**
   * Returns the note, line ends as {@code \n}.
   *
   * @throws InputException if it is longer than {@link #NOTES}, has a NUL or half a character
   */
  public static String notes(String field, String value) {
    String bare = value.replace("\r\n", "\n").strip();
    if (length(bare) > NOTES || bare.indexOf('\0') >= 0 || torn(bare)) {
      throw new InputException(field, value, "at most " + NOTES + " characters");
    }
    return bare;
  }

  /**
   * Returns the identifier: a letter, then letters, digits and dashes, 40 at most.
   *
   * @throws InputException if it has another shape
   */
  public static String id(String field, String value) {
    if (!value.matches(ID_PATTERN)) {
      throw new InputException(
          field, value, "a lower-case letter, then letters, digits, dashes, 40 at most");
    }
    return value;
  }

  /**
   * Returns a text of that many characters at most, an ellipsis where it was cut: between letters
   * as a reader takes them, never within one that takes several characters (UAX 29).
   */
  public static String cut(String text, int most) {
    if (length(text) <= most) {
      return text;
    }
    int end = 0;
    Matcher letters = LETTER.matcher(text);
    while (letters.find() && length(text.substring(0, letters.end())) < most) {
      end = letters.end();
    }
    return text.substring(0, end) + "…";
  }
}
