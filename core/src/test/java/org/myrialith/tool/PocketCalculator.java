package org.myrialith.tool;

import com.ezylang.evalex.BaseException;
import com.ezylang.evalex.Expression;
import com.ezylang.evalex.config.ExpressionConfiguration;
import com.ezylang.evalex.data.EvaluationValue;
import com.ezylang.evalex.functions.AbstractFunction;
import com.ezylang.evalex.functions.FunctionParameter;
import com.ezylang.evalex.parser.Token;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.Calculation;

/**
 * Reads a number's formula as text, puts in the values that are shown with it, each turned into SI
 * base units by its unit, and has a general expression library evaluate it.
 */
public final class PocketCalculator {
  /** Units with what one of them is in SI base units: SI brochure, 9th edition, tables 2 to 8. */
  private static final Map<String, Double> UNITS =
      Map.ofEntries(
          Map.entry("%", 0.01),
          Map.entry("% of 10°", 0.01),
          Map.entry("°", Math.PI / 180),
          Map.entry("°/s", Math.PI / 180),
          Map.entry("arc minutes", Math.PI / 10_800),
          Map.entry("ms", 1e-3),
          Map.entry("µs", 1e-6),
          Map.entry("ns", 1e-9),
          Map.entry("h", 3600.0),
          Map.entry("min", 60.0),
          Map.entry("d", 86_400.0),
          Map.entry("s/h", 1.0 / 3600),
          Map.entry("min/d", 60.0 / 86_400),
          Map.entry("s/d", 1.0 / 86_400),
          Map.entry("1/min", 1.0 / 60),
          Map.entry("h/d", 1.0 / 24),
          Map.entry("mA", 1e-3),
          Map.entry("µA", 1e-6),
          Map.entry("mAh", 3.6),
          Map.entry("mWh", 3.6),
          Map.entry("mm", 1e-3),
          Map.entry("mm/m", 1e-3),
          Map.entry("mm²", 1e-6),
          Map.entry("MHz", 1e6),
          Map.entry("kohm", 1e3),
          Map.entry("pF", 1e-12),
          Map.entry("pF/cm", 1e-10),
          Map.entry("µF", 1e-6),
          Map.entry("mA/MHz/V", 1e-9),
          Map.entry("ppm", 1e-6));

  private static final Pattern LITERAL =
      Pattern.compile("([0-9]+(?:\\.[0-9]+)?)[ \u00a0]?([%°]|[µa-zA-Z]+(?:/[a-zA-Z]+)*²?)");

  private static final char FIRST_MARK = '\u4e00';

  private static final List<String> BASE = List.of("V", "A", "s", "Hz", "ohm", "sr", "m");

  private static final ExpressionConfiguration CONFIGURATION =
      ExpressionConfiguration.defaultConfiguration()
          .withAdditionalFunctions(
              Map.entry("NEAREST", new Nearest()),
              Map.entry("UP", new Up()),
              Map.entry("DOWN", new Down()),
              Map.entry("SERIES12", new NextOfSeries(12)),
              Map.entry("SERIES24", new NextOfSeries(24)),
              Map.entry("SERIES96", new NextOfSeries(96)));

  private PocketCalculator() {}

  /** Returns what one of a unit is in SI base units; counted things are counted. */
  public static double si(String unit) {
    return UNITS.getOrDefault(unit, 1.0);
  }

  /**
   * Returns the value of a number's formula in SI base units.
   *
   * @throws IllegalArgumentException if it names what is not put in, or can't be read
   */
  public static double evaluate(Calculation number) {
    String text = number.formula();
    List<Calculation.Given> given = new ArrayList<>(number.given());
    given.sort(Comparator.comparingInt((Calculation.Given g) -> g.name().length()).reversed());
    List<String> all = new ArrayList<>();
    for (int at = 0; at < given.size(); at++) {
      // one character, so that no shorter name is found within it
      String mark = String.valueOf((char) (FIRST_MARK + at));
      text = named(text, given.get(at).name(), mark);
      all.add(mark);
    }
    text = text.split("; ", 2)[0];
    text =
        text.replace(
            "sum of all values",
            "(0" + "+".repeat(all.isEmpty() ? 0 : 1) + String.join("+", all) + ")");
    text = text.replace("largest of all values", "MAX(" + String.join(",", all) + ")");
    text = operators(literals(text));
    for (int at = 0; at < given.size(); at++) {
      text = text.replace(all.get(at), " x" + at + " ");
    }
    Expression expression = new Expression(text, CONFIGURATION);
    for (int at = 0; at < given.size(); at++) {
      expression.with("x" + at, given.get(at).value() * si(given.get(at).unit()));
    }
    try {
      return expression.evaluate().getNumberValue().doubleValue();
    } catch (BaseException | RuntimeException e) {
      throw new IllegalArgumentException(text + ": " + e.getMessage(), e);
    }
  }

  private static String named(String text, String name, String by) {
    return text.replaceAll(
        "(?<![\\p{L}0-9])" + Pattern.quote(name) + "(?![\\p{L}0-9])", Matcher.quoteReplacement(by));
  }

  private static String literals(String text) {
    return LITERAL
        .matcher(text)
        .replaceAll(
            found ->
                UNITS.containsKey(found.group(2))
                        || List.of("V", "A", "s", "Hz", "ohm", "sr", "m").contains(found.group(2))
                    ? "(" + found.group(1) + " * " + si(found.group(2)) + ")"
                    : Matcher.quoteReplacement(found.group()));
  }

  private static String operators(String text) {
    return text.replace("×", "*")
        .replace("÷", "/")
        .replace("−", "-")
        .replace("²", "^2")
        .replace("³", "^3")
        .replace("√", "SQRT")
        .replace("π", "PI")
        .replace("round up(", "UP(")
        .replace("round down(", "DOWN(")
        .replace("largest of(", "MAX(")
        .replace("smallest of(", "MIN(")
        .replace("ln(", "LOG(")
        .replace("sin(", "SINR(")
        .replace("cos(", "COSR(")
        .replace("arctan(", "ATANR(")
        .replaceAll("\\btan\\(", "TANR(")
        .replace("nearest whole(", "NEAREST(")
        .replaceAll("next E([0-9]+) value\\(", "SERIES$1(");
  }

  /** A function of one number. */
  @FunctionParameter(name = "value")
  private abstract static class OfOne extends AbstractFunction {
    abstract double of(double value);

    @Override
    public EvaluationValue evaluate(
        Expression expression, Token token, EvaluationValue... parameters) {
      return expression.convertValue(of(parameters[0].getNumberValue().doubleValue()));
    }
  }

  @FunctionParameter(name = "value")
  private static final class Nearest extends OfOne {
    @Override
    double of(double value) {
      return Math.floor(value + 0.5);
    }
  }

  /** What is whole but for the last digits of a double stays as it is. */
  @FunctionParameter(name = "value")
  private static final class Up extends OfOne {
    @Override
    double of(double value) {
      return Math.ceil(value - 1e-6);
    }
  }

  @FunctionParameter(name = "value")
  private static final class Down extends OfOne {
    @Override
    double of(double value) {
      return Math.floor(value + 1e-6);
    }
  }

  /**
   * The least value of a series that is not below. IEC 60063 (from memory): E12 and E24 by table,
   * E96 as {@code 10^(n ÷ 96)} in three digits; no value below 1 ohm.
   */
  @FunctionParameter(name = "value")
  private static final class NextOfSeries extends OfOne {
    private static final String E24 =
        "1.0 1.1 1.2 1.3 1.5 1.6 1.8 2.0 2.2 2.4 2.7 3.0 3.3 3.6 3.9 4.3 4.7 5.1 5.6 6.2 6.8 7.5 8.2 9.1";

    private final int steps;

    NextOfSeries(int steps) {
      this.steps = steps;
    }

    private double digits(int step) {
      return steps == 96
          ? Math.rint(100 * Math.pow(10, step / 96.0)) / 100
          : Double.parseDouble(E24.split(" ")[step * 24 / steps]);
    }

    @Override
    double of(double least) {
      for (int power = 0; power < 8; power++) {
        for (int step = 0; step < steps; step++) {
          double value = digits(step) * Math.pow(10, power);
          if (value >= least * (1 - 1e-9)) {
            return value;
          }
        }
      }
      return Double.NaN;
    }
  }
}
