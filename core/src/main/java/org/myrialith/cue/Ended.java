package org.myrialith.cue;

import org.myrialith.finding.TextRules;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Another cue leaves: its time is over, or another one cleared it.
 *
 * @param cue its identifier
 */
public record Ended(String cue) implements Trigger {
  /** How it stands in the format. */
  public static final Kind<Ended> KIND =
      Kind.of("ended", "the end of another cue", new Ended("u1"), Field.id("cue"));

  public Ended {
    TextRules.id("cue", cue);
  }

  @Override
  public String words() {
    return "end of " + cue;
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return Firing.of(Firing.By.ENDED, numbers.cue(cue), 0);
  }
}
