package org.myrialith.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.InputException;

/** A value against another, such as {@code score >= 10}. */
public record Condition(String name, Comparison comparison, Operand operand) {
  /** Most that have to hold at once. */
  public static final int MOST = 4;

  private static final Pattern ONE =
      Pattern.compile("\\s*([a-z][a-z0-9]{0,19})\\s*(<=|>=|<>|=|<|>)\\s*(\\S+)\\s*");

  /**
   * Reads conditions, all of which have to hold.
   *
   * @param field named in an error
   * @param text such as {@code score >= 10 and lives = 0}; empty for none
   * @throws InputException if it can't be read
   */
  public static List<Condition> read(String field, String text) {
    List<Condition> all = new ArrayList<>();
    for (String part : text.isBlank() ? new String[0] : text.split("\\band\\b|,", -1)) {
      Matcher one = ONE.matcher(part);
      if (!one.matches()) {
        throw new InputException(
            field,
            text,
            "conditions such as “score >= 10 and lives = 0”, with = <> < > <= >= and names in"
                + " lower case");
      }
      Comparison comparison = Comparison.of(one.group(2)).orElseThrow();
      Operand operand = Operand.read(field, text, one.group(3));
      all.add(new Condition(one.group(1), comparison, operand));
    }
    if (all.size() > MOST) {
      throw new InputException(field, text, "at most " + MOST + " conditions");
    }
    return List.copyOf(all);
  }
}
