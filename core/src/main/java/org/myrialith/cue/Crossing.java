package org.myrialith.cue;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * A sensor goes above or below a mark, and has to come back further before it can do so again.
 *
 * @param above whether above
 * @param percent of the supply at which it fires (%)
 * @param back how much further it has to come back (%)
 */
public record Crossing(String input, int number, boolean above, int percent, int back)
    implements Trigger {
  private static final Bounds PERCENT = Bounds.count(0, 100, "%");
  private static final Bounds BACK = Bounds.count(0, 50, "%");

  /** What a sensor at the whole supply reads. */
  public static final int FULL = 255;

  /** How it stands in the format. */
  public static final Kind<Crossing> KIND =
      Kind.of(
          "crossing",
          "a sensor",
          new Crossing("Light", 1, false, 30, 5),
          Trigger.inputField().or("Light"),
          Trigger.numberField(),
          Field.flag("above", "Light level", "below", "above").or(false),
          Field.count("percent", "Threshold", PERCENT).or(30),
          Field.count("back", "Hysteresis", BACK).or(5));

  public Crossing {
    input = TextRules.name("input", input);
    NUMBER.require("number", number);
    PERCENT.require("percent", percent);
    BACK.require("back", back);
  }

  /** Returns the reading from which on it holds (0 to 255). */
  public int mark() {
    return (percent * FULL + 50) / 100;
  }

  /** Returns the reading from which on it holds no more (0 to 255). */
  public int release() {
    int by = (back * FULL + 50) / 100;
    return Math.max(0, Math.min(FULL, above ? mark() - by : mark() + by));
  }

  @Override
  public String words() {
    return Trigger.named(input, number) + (above ? " above " : " below ") + percent + " %";
  }

  @Override
  public boolean lasts() {
    return true;
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return new Firing(
        above ? Firing.By.ABOVE : Firing.By.BELOW, Firing.Listens.ANALOGUE, mark(), release());
  }
}
