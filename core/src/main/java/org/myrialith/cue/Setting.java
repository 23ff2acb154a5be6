package org.myrialith.cue;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.InputException;

/** How a cue changes a value, such as {@code score + 1}. */
public record Setting(String name, How how, Operand operand) {
  /** Most of a cue. */
  public static final int MOST = 4;

  /** Ways to change a value. */
  public enum How {
    SET,
    ADD,
    SUBTRACT,
    ANY
  }

  private static final Pattern ONE =
      Pattern.compile("\\s*([a-z][a-z0-9]{0,19})\\s*([=+-])\\s*(\\S+)\\s*");

  /**
   * Reads settings, done one after the other.
   *
   * @param field named in an error
   * @param text such as {@code score + 1, lives = 3, face = any}; empty for none
   * @throws InputException if it can't be read
   */
  public static List<Setting> read(String field, String text) {
    List<Setting> all = new ArrayList<>();
    for (String part : text.isBlank() ? new String[0] : text.split(",", -1)) {
      Matcher one = ONE.matcher(part);
      if (!one.matches()) {
        throw new InputException(
            field, text, "changes such as “score + 1, lives = 3, face = any”, names in lower case");
      }
      all.add(setting(field, text, one));
    }
    if (all.size() > MOST) {
      throw new InputException(field, text, "at most " + MOST + " changes");
    }
    return List.copyOf(all);
  }

  private static Setting setting(String field, String text, Matcher one) {
    String sign = one.group(2);
    String word = one.group(3);
    if (sign.equals("=") && word.equals("any")) {
      return new Setting(one.group(1), How.ANY, new Operand("", 0));
    }
    How how = sign.equals("=") ? How.SET : sign.equals("+") ? How.ADD : How.SUBTRACT;
    return new Setting(one.group(1), how, Operand.read(field, text, word));
  }
}
