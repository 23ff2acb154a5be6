package org.myrialith.cue;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Locale;
import java.util.Objects;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * A button, or anything else that is on or off.
 *
 * @param input its name
 * @param number which of several, from 1
 */
public record Press(String input, int number, How how) implements Trigger {
  /** From when on it is held (ms). */
  public static final int LONG_MILLIS = 600;

  /** Until when a second press makes a double one (ms). */
  public static final int DOUBLE_MILLIS = 300;

  /** From one time to the next of one that is held (ms). */
  public static final int AGAIN_MILLIS = 200;

  /** Ways to press it. */
  public enum How {
    DOWN("pressed down"),
    UP("released"),
    SHORT("short press"),
    DOUBLE("double press"),
    LONG("held"),
    AGAIN("held, repeating");

    private final String title;

    How(String title) {
      this.title = title;
    }

    /** Returns the name used in the gadget format. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Returns it in words. */
    public String title() {
      return title;
    }
  }

  /** How it stands in the format. */
  public static final Kind<Press> KIND =
      Kind.of(
          "press",
          "a button",
          new Press("Button", 1, How.SHORT),
          Trigger.inputField(),
          Trigger.numberField(),
          Field.of("how", "Action", Types.Choice.of(How.values(), How::key, How::title))
              .or(How.SHORT)
              .explained(
                  phrase(
                      "short: released within %d ms; double: pressed again within %d ms (a short press waits that long where both are used); held: from %d ms, then every %d ms",
                      LONG_MILLIS, DOUBLE_MILLIS, LONG_MILLIS, AGAIN_MILLIS)));

  public Press {
    input = TextRules.name("input", input);
    NUMBER.require("number", number);
    Objects.requireNonNull(how, "how");
  }

  @Override
  public String words() {
    return Trigger.named(input, number) + " " + how.title();
  }

  @Override
  public boolean lasts() {
    return how == How.DOWN;
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return new Firing(Firing.By.PRESS, Firing.Listens.ON_OFF, how.ordinal(), 0);
  }
}
