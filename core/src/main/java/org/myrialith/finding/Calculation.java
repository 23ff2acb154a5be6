package org.myrialith.finding;

import java.util.List;
import java.util.Objects;

/**
 * One number with its working.
 *
 * <p>A formula is an expression that a pocket calculator follows: names of what is put in, numbers
 * with their units, {@code + − × ÷ ^ √ ²}, and the words {@code round up, round down, nearest
 * whole, largest of, smallest of, next E24 value, sum of all values, largest of all values}. Behind
 * "; " comes a remark. What no such expression gives begins with {@link #FOUND_BY} and says how it
 * was found.
 *
 * @param key stable name within the plan, lower case with dashes
 * @param name what it is, in words
 * @param value the number, in {@code unit}
 * @param unit SI-derived unit or a counted thing; empty for a bare ratio
 * @param formula the working in symbols, with every symbol named in {@code given}
 * @param given the values put in
 * @param source what the working rests on
 * @param about name of the fixture or circuit it is about; empty when it is about the whole
 */
public record Calculation(
    String key,
    String name,
    double value,
    String unit,
    String formula,
    List<Given> given,
    Source source,
    String about) {

  /**
   * One value put into a calculation.
   *
   * @param name symbol or words
   * @param value the number, in {@code unit}
   */
  public record Given(String name, double value, String unit) {
    /** Returns the value with its unit, three significant figures. */
    public String text() {
      return Quantity.text(value, unit);
    }
  }

  /** How a formula begins that is no expression but a procedure. */
  public static final String FOUND_BY = "found by ";

  public Calculation {
    Objects.requireNonNull(key, "key");
    given = List.copyOf(given);
  }

  /** A number about the whole. */
  public Calculation(
      String key,
      String name,
      double value,
      String unit,
      String formula,
      List<Given> given,
      Source source) {
    this(key, name, value, unit, formula, given, source, "");
  }

  /** Returns it as a number about one fixture or circuit. */
  public Calculation about(String one) {
    return new Calculation(key, name, value, unit, formula, given, source, one);
  }

  /** Returns whether its formula is an expression of what is put in. */
  public boolean calculated() {
    return !formula.startsWith(FOUND_BY);
  }

  /** Returns a value put in. */
  public static Given given(String name, double value, String unit) {
    return new Given(name, value, unit);
  }

  /** Returns the value with its unit, three significant figures. */
  public String text() {
    return Quantity.text(value, unit);
  }
}
