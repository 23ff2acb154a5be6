package org.myrialith.describe;

import java.math.BigDecimal;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Numbers as makers type them: with a point or a comma, digits grouped by blanks or not. */
public final class TypedNumber {
  private static final double MOST_WHOLE = 1e15;
  private static final int LONGEST = 400;

  private TypedNumber() {}

  /** Returns the number; empty when the text is none. */
  public static OptionalDouble parse(String text) {
    String bare = text.strip().replace(',', '.').replaceAll("[\\u202f\\u00a0]", "");
    if (bare.length() > LONGEST
        || !bare.matches("[-+]?([0-9]+\\.?[0-9]*|\\.[0-9]+)([eE][-+]?[0-9]{1,3})?")) {
      return OptionalDouble.empty();
    }
    double value = new BigDecimal(bare).doubleValue();
    return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
  }

  /**
   * Returns the number of a field.
   *
   * @throws InputException if it is none or not allowed
   */
  public static double require(String field, String text, Bounds bounds) {
    OptionalDouble value = parse(text);
    if (value.isEmpty() || !bounds.allow(value.getAsDouble())) {
      throw new InputException(field, text.strip(), bounds.allowed());
    }
    return value.getAsDouble();
  }

  /** Returns a whole number of at most nine digits; empty when the text is none. */
  public static OptionalInt whole(String text) {
    String bare = text.strip();
    return bare.matches("-?[0-9]{1,9}")
        ? OptionalInt.of(Integer.parseInt(bare))
        : OptionalInt.empty();
  }

  /**
   * Puts a number when one was typed; otherwise the text, so that the reader can refuse it by name.
   */
  public static void put(ObjectNode node, String field, String text) {
    OptionalDouble value = parse(text);
    if (value.isEmpty()) {
      node.put(field, text.strip());
    } else if (value.getAsDouble() == Math.rint(value.getAsDouble())
        && Math.abs(value.getAsDouble()) < MOST_WHOLE) {
      node.put(field, (long) value.getAsDouble()); // so that an error shows 25, not 25.0
    } else {
      node.put(field, value.getAsDouble());
    }
  }

  /** Adds a number when one was typed; otherwise the text. */
  static void add(ArrayNode list, String text) {
    ObjectNode holder = list.objectNode();
    put(holder, "v", text);
    list.add(holder.get("v"));
  }

  /** Returns a number as it is typed, every digit of it. */
  public static String text(double value) {
    return new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString();
  }
}
