package org.myrialith.cue;

import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * A message comes in: a line of text.
 *
 * @param word the whole line, without the end of the line
 */
public record Received(String input, String word) implements Trigger {
  /** Longest line that is listened to (characters). */
  public static final int MOST_LETTERS = 24;

  private static final String PATTERN = "[!-~]([ -~]{0,22}[!-~])?";

  /** How it stands in the format. */
  public static final Kind<Received> KIND =
      Kind.of(
          "received",
          "a message",
          new Received("Serial", "on"),
          Trigger.inputField().or("Serial"),
          Field.words("word", "Message", Types.Words.Rule.ANY).or("on"));

  public Received {
    input = TextRules.name("input", input);
    word = word.strip();
    if (!word.matches(PATTERN) || word.indexOf('=') >= 0) {
      throw new InputException(
          "word",
          word,
          "1 to 24 letters, digits, signs and blanks of ASCII; no = (that sets a value)");
    }
  }

  @Override
  public String words() {
    return input + " receives “" + word + "”";
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return new Firing(Firing.By.RECEIVED, Firing.Listens.SERIAL, numbers.message(word), 0);
  }
}
