package org.myrialith.cue;

import java.util.Optional;
import org.myrialith.finding.InputException;

/**
 * A number, or a value by its name.
 *
 * @param name empty for a number
 */
public record Operand(String name, int number) {
  private static final String NAME = "[a-z][a-z0-9]{0,19}";

  static Operand read(String field, String whole, String word) {
    if (word.matches(NAME)) {
      return new Operand(word, 0);
    }
    try {
      int number = Integer.parseInt(word);
      Variable.VALUE.require(field, number);
      return new Operand("", number);
    } catch (NumberFormatException e) {
      throw new InputException(
          field, whole, "numbers from -9999 to 9999 and names of values; not “" + word + "”");
    }
  }

  /** Returns the name of the value that it is. */
  public Optional<String> named() {
    return name.isEmpty() ? Optional.empty() : Optional.of(name);
  }
}
