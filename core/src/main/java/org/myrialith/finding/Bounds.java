package org.myrialith.finding;

import static org.myrialith.finding.Phrase.phrase;

/**
 * The range that a field allows, ends included.
 *
 * @param unit shown with the range; empty for counts
 * @param whole whether only whole numbers are taken
 */
public record Bounds(double min, double max, String unit, boolean whole) {

  /** Returns bounds of a measure. */
  public static Bounds measure(double min, double max, String unit) {
    return new Bounds(min, max, unit, false);
  }

  /** Returns bounds of a whole number. */
  public static Bounds count(int min, int max) {
    return new Bounds(min, max, "", true);
  }

  /** Returns bounds of a whole number with a unit. */
  public static Bounds count(int min, int max, String unit) {
    return new Bounds(min, max, unit, true);
  }

  /** Returns whether the number is finite, in range, and whole where it must be. */
  public boolean allow(double value) {
    return value >= min && value <= max && (!whole || value == Math.rint(value));
  }

  /** Returns the range in words, such as "a whole number from 1 to 256". */
  public String allowed() {
    String unitText = unit.isEmpty() ? "" : " " + unit;
    return phrase(
        "%s from %s to %s%s",
        whole ? "a whole number" : "a number",
        Quantity.number(min),
        Quantity.number(max),
        unitText);
  }

  /**
   * Returns the value.
   *
   * @throws InputException if it is not allowed, NaN and infinities included
   */
  public double require(String field, double value) {
    if (!allow(value)) {
      throw new InputException(field, Quantity.number(value), allowed());
    }
    return value;
  }

  /**
   * Returns the value.
   *
   * @throws InputException if it is not allowed
   */
  public int require(String field, int value) {
    require(field, (double) value);
    return value;
  }
}
