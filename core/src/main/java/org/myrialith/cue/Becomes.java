package org.myrialith.cue;

import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Conditions come to hold: of values, or of the clock, such as {@code hour = 7 and minute = 30}.
 *
 * @param values conditions as the maker wrote them, at least one
 */
public record Becomes(String values) implements Trigger {
  /** How it stands in the format. */
  public static final Kind<Becomes> KIND =
      Kind.of(
          "becomes",
          "a value or the clock",
          new Becomes("hour = 7 and minute = 30"),
          Field.words("values", "Value", Types.Words.Rule.ANY)
              .explained("conditions, such as score >= 10 and lives = 0"));

  public Becomes {
    values = values.strip();
    if (Condition.read("values", values).isEmpty()) {
      throw new InputException("values", values, "a condition such as “score >= 10”");
    }
  }

  /** Returns them read. */
  public List<Condition> conditions() {
    return Condition.read("values", values);
  }

  @Override
  public String words() {
    return values;
  }

  @Override
  public boolean lasts() {
    return true;
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return Firing.of(Firing.By.BECOMES, 0, 0);
  }
}
