package org.myrialith.finding;

/** Limits on words that a maker enters. */
public final class Text {
  /** Longest name or title (characters). */
  public static final int NAME = 80;

  /** Longest note (characters). */
  public static final int NOTES = 4000;

  private Text() {}

  /**
   * Returns the name without space at its ends.
   *
   * @throws InputException if it is blank, longer than {@link #NAME}, or has control characters
   */
  public static String name(String field, String value) {
    String bare = value.strip();
    if (bare.isEmpty() || bare.length() > NAME || bare.chars().anyMatch(Character::isISOControl)) {
      throw new InputException(field, value, "1 to " + NAME + " characters on one line");
    }
    return bare;
  }

  /**
   * Returns the note, line ends as {@code \n}.
   *
   * @throws InputException if it is longer than {@link #NOTES} or has a NUL
   */
  public static String notes(String field, String value) {
    String bare = value.replace("\r\n", "\n").strip();
    if (bare.length() > NOTES || bare.indexOf('\0') >= 0) {
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
    if (!value.matches("[a-z][a-z0-9-]{0,39}")) {
      throw new InputException(
          field, value, "a lower-case letter, then letters, digits, dashes, 40 at most");
    }
    return value;
  }
}
