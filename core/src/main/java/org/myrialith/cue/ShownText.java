package org.myrialith.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.InputException;

/**
 * A text with values in it, such as {@code {hour:2}:{minute:02}}.
 *
 * @param pieces in their order
 */
public record ShownText(List<Piece> pieces) {
  /** Most characters that it shows. */
  public static final int MOST_CELLS = 32;

  private static final int MOST_DIGITS = 4;

  private static final Pattern ONE =
      Pattern.compile(
          "\\{([a-z][a-z0-9]{0,19})([+-][0-9]{1,3})?(?::(?:(0?)(12|[1-4])|(ap)|last([1-3])|(ones|tens|hundreds|thousands)))?\\}");

  private static final List<String> PLACES = List.of("ones", "tens", "hundreds", "thousands");

  private static final String ALLOWED =
      "text with values such as {score}, {score:3} for three places, {minute:02} with leading"
          + " zeros, {hour:12} for hours to twelve and {hour:ap} for A or P, {year:last2} for its last"
          + " two digits, {score:tens} for one digit, {hour+5:02} for five more, from the greatest"
          + " on with the least; 1 to 4 places";

  /** A piece of it. */
  public sealed interface Piece {}

  /** A character that stands as it is. */
  public record Letter(char character) implements Piece {}

  /**
   * A value.
   *
   * @param places digits; 0 for as many as its values need
   * @param zeros whether with leading zeros
   * @param how it is read
   * @param offset that is added before it is shown; beyond its ends it goes on at the other
   */
  public record Value(String name, int places, boolean zeros, How how, int offset)
      implements Piece {}

  /** How a value is read. */
  public enum How {
    /** As it is. */
    PLAIN,
    /** As an hour of half a day: twelve, then one to eleven, twice. */
    TWELVE,
    /** A before noon, P from then on. */
    HALF,
    /** Its last digits, whatever stands before them. */
    LAST,
    /** One of its digits, by the place that {@link Value#places} is. */
    ONE
  }

  public ShownText {
    pieces = List.copyOf(pieces);
  }

  /**
   * Reads a pattern.
   *
   * @param field named in an error
   * @throws InputException if it can't be read
   */
  public static ShownText read(String field, String text) {
    List<Piece> pieces = new ArrayList<>();
    Matcher values = ONE.matcher(text);
    int at = 0;
    int cells = 0;
    while (at < text.length()) {
      if (text.charAt(at) == '{') {
        if (!values.find(at) || values.start() != at) {
          throw new InputException(field, text, ALLOWED);
        }
        Value value = value(values);
        pieces.add(value);
        cells += value.how == How.ONE ? 1 : value.places == 0 ? MOST_DIGITS + 1 : value.places;
        at = values.end();
      } else if (text.charAt(at) == '}' || Character.isSurrogate(text.charAt(at))) {
        throw new InputException(field, text, ALLOWED);
      } else {
        pieces.add(new Letter(text.charAt(at)));
        cells++;
        at++;
      }
    }
    if (pieces.isEmpty() || cells > MOST_CELLS) {
      throw new InputException(field, text, "1 to " + MOST_CELLS + " characters, as it is shown");
    }
    return new ShownText(pieces);
  }

  private static Value value(Matcher one) {
    String name = one.group(1);
    int offset = one.group(2) == null ? 0 : Integer.parseInt(one.group(2));
    if (one.group(5) != null) {
      return new Value(name, 1, false, How.HALF, offset);
    }
    if (one.group(6) != null) {
      return new Value(name, Integer.parseInt(one.group(6)), true, How.LAST, offset);
    }
    if (one.group(7) != null) {
      return new Value(name, PLACES.indexOf(one.group(7)) + 1, true, How.ONE, offset);
    }
    boolean zeros = "0".equals(one.group(3));
    if ("12".equals(one.group(4))) {
      return new Value(name, 2, zeros, How.TWELVE, offset);
    }
    int places = one.group(4) == null ? 0 : Integer.parseInt(one.group(4));
    return new Value(name, places, zeros, How.PLAIN, offset);
  }

  /** Returns the names of the values in it. */
  public List<String> names() {
    return pieces.stream()
        .filter(Value.class::isInstance)
        .map(piece -> ((Value) piece).name())
        .distinct()
        .toList();
  }
}
