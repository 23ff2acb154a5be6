package org.myrialith.finding;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Set;

/** Numbers as makers write them: three significant figures, SI prefix, unit. */
public final class Quantity {
  /** Units that take an SI prefix; counts, percents and millimetres stay as they are. */
  private static final Set<String> PREFIXED = Set.of("A", "V", "W", "s", "Hz", "bit/s");

  private static final int FIGURES = 3;

  /** Keeps a number and its unit on one line. */
  private static final char SPACE = '\u00a0';

  private static final String[] PREFIXES = {"n", "µ", "m", "", "k", "M", "G"};

  private static final double NOTHING = 1e-12;

  /** A share below it is of no use as a figure (%). */
  private static final double LEAST_PERCENT = 0.01;

  private Quantity() {}

  /** Returns a value with its unit, such as "1.84 A", "9.28 ms" or "168 pixels". */
  public static String text(double exact, String unit) {
    double value = told(exact);
    if (!Double.isFinite(value)) {
      return "no number";
    }
    if (unit.equals("%") && value > 0 && value < LEAST_PERCENT) {
      return "under " + number(LEAST_PERCENT) + SPACE + unit;
    }
    if (!PREFIXED.contains(unit)) {
      String bare = number(value);
      return unit.isEmpty() ? bare : bare + SPACE + (value == 1 ? singular(unit) : unit);
    }
    if (value == 0) {
      return "0" + SPACE + unit;
    }
    double rounded = new BigDecimal(value).round(new MathContext(3)).doubleValue();
    int step = (int) Math.floor(Math.log10(Math.abs(rounded)) / 3 + 1e-12);
    step = Math.max(unit.equals("Hz") ? 0 : -3, Math.min(3, step));
    return measured(scaled(value, step)) + SPACE + PREFIXES[step + 3] + unit;
  }

  /** What is left of sums that cancel, far below all that is built or measured, is nothing. */
  private static double told(double value) {
    return Math.abs(value) < NOTHING ? 0 : value;
  }

  /** Divides by a power of 1000; what is whole but for rounding noise becomes whole. */
  private static double scaled(double value, int step) {
    double scaled = value / Math.pow(1000, step);
    double whole = Math.rint(scaled);
    return Math.abs(scaled - whole) < 1e-9 * Math.abs(scaled) ? whole : scaled;
  }

  /** Returns a number with up to three significant figures; whole numbers keep all their digits. */
  public static String number(double exact) {
    double value = told(exact);
    if (!Double.isFinite(value)) {
      return "no number";
    }
    if (whole(value)) {
      return grouped(Long.toString((long) value));
    }
    return grouped(rounded(value).stripTrailingZeros().toPlainString());
  }

  /** Returns a measured value: whole, or with exactly three significant figures. */
  private static String measured(double value) {
    if (whole(value)) {
      return number(value);
    }
    BigDecimal rounded = rounded(value);
    int scale = Math.max(0, FIGURES - rounded.precision() + rounded.scale());
    return rounded.setScale(scale, RoundingMode.HALF_UP).toPlainString();
  }

  private static boolean whole(double value) {
    return value == Math.rint(value) && Math.abs(value) < 1e15;
  }

  private static BigDecimal rounded(double value) {
    int whole = BigDecimal.valueOf(Math.abs(value)).toBigInteger().toString().length();
    return new BigDecimal(value)
        .round(new MathContext(Math.max(FIGURES, whole), RoundingMode.HALF_UP));
  }

  private static String singular(String unit) {
    return unit.length() > 3 && unit.endsWith("s") ? unit.substring(0, unit.length() - 1) : unit;
  }

  /** Groups digits by a narrow space from five digits on, as ISO 80000-1 has it. */
  private static String grouped(String digits) {
    int dot = digits.indexOf('.');
    int end = dot < 0 ? digits.length() : dot;
    int start = digits.startsWith("-") ? 1 : 0;
    if (end - start < 5) {
      return digits;
    }
    StringBuilder text = new StringBuilder(digits);
    for (int at = end - 3; at > start; at -= 3) {
      text.insert(at, '\u202f');
    }
    return text.toString();
  }
}
