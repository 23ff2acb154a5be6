package org.myrialith.schema;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Numbers as makers type them: with a point or a comma, digits grouped by blanks or not. */
public final class TypedNumber {
  private static final double MOST_WHOLE = 1e15;
  private static final int LONGEST = 400;

  private static final Pattern WITH_UNIT =
      Pattern.compile("([-+]?[0-9.,\\u202f\\u00a0]{1,40})\\s*(\\p{L}{1,12}|%|°|\"|″)");

  /** 4k7 is 4.7 kohm, 2R2 is 2.2 ohm (IEC 60062). */
  private static final Pattern RESISTOR_CODE = Pattern.compile("([0-9]{1,4})([kR])([0-9]{1,3})");

  /** Units that stand for each other, each with its worth in the first of its line. */
  private static final List<Map<String, String>> UNITS =
      List.of(
          Map.of(
              "mm", "1", "cm", "10", "m", "1000", "µm", "0.001", "in", "25.4", "inch", "25.4", "\"",
              "25.4", "″", "25.4"),
          Map.of("mA", "1", "A", "1000", "µA", "0.001", "uA", "0.001"),
          Map.of("V", "1", "mV", "0.001", "volt", "1", "volts", "1"),
          Map.of("ms", "1", "s", "1000", "µs", "0.001", "us", "0.001"),
          Map.of("mcd", "1", "cd", "1000"),
          Map.of("mAh", "1", "Ah", "1000"),
          Map.of("Wh", "1", "mWh", "0.001"),
          Map.of("Hz", "1", "kHz", "1000", "MHz", "1000000"),
          Map.of(
              "ohm", "1", "Ω", "1", "R", "1", "kohm", "1000", "kΩ", "1000", "k", "1000", "Mohm",
              "1000000"),
          Map.of("W", "1", "mW", "0.001"),
          Map.of("h", "1", "d", "24", "days", "24"),
          Map.of("°", "1", "deg", "1"));

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
   * Returns the number in a unit: "5V" and "5 V" are 5 where volts are asked for, "3 m" is 3000
   * where millimetres are; empty when the text is no number, or one of something else.
   *
   * @param unit asked for, empty for a bare count
   */
  public static OptionalDouble parse(String text, String unit) {
    OptionalDouble bare = parse(text);
    if (bare.isPresent()) {
      return bare;
    }
    Matcher code = RESISTOR_CODE.matcher(text.strip());
    if (code.matches() && factor("k", unit) != null) {
      return parse(code.group(1) + "." + code.group(3) + " " + code.group(2), unit);
    }
    Matcher parts = WITH_UNIT.matcher(text.strip());
    if (!parts.matches()) {
      return bare;
    }
    String typed = parts.group(2);
    OptionalDouble number = parse(parts.group(1));
    if (number.isEmpty() || typed.equals(unit)) {
      return number;
    }
    BigDecimal from = factor(typed, unit);
    BigDecimal to = factor(unit, unit);
    if (from == null || to == null) {
      return OptionalDouble.empty();
    }
    BigDecimal value = new BigDecimal(Double.toString(number.getAsDouble())).multiply(from);
    return OptionalDouble.of(value.divide(to, MathContext.DECIMAL64).doubleValue());
  }

  /** What a unit is worth in the base unit of the table that knows the other one. */
  private static BigDecimal factor(String unit, String asked) {
    for (Map<String, String> table : UNITS) {
      if (table.containsKey(asked) && table.containsKey(unit)) {
        return new BigDecimal(table.get(unit));
      }
    }
    return null;
  }

  /**
   * Returns the number of a field.
   *
   * @throws InputException if it is none or not allowed
   */
  public static double require(String field, String text, Bounds bounds) {
    OptionalDouble value = parse(text, bounds.unit());
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
    put(node, field, text, "");
  }

  /** Puts a number that may have been typed with a unit. */
  public static void put(ObjectNode node, String field, String text, String unit) {
    OptionalDouble value = parse(text, unit);
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
