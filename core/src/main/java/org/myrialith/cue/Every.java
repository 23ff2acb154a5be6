package org.myrialith.cue;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Again and again, by chance where the two times differ.
 *
 * @param least and {@code most}: from one time to the next (ms)
 */
public record Every(int least, int most) implements Trigger {
  private static final Bounds MILLIS = Bounds.count(10, 3_600_000, "ms");

  /** How it stands in the format. */
  public static final Kind<Every> KIND =
      Kind.of(
          "every",
          "every so often",
          new Every(5000, 5000),
          Field.count("least", "From", MILLIS).or(5000),
          Field.count("most", "to", MILLIS).or(5000));

  public Every {
    MILLIS.require("least", least);
    Bounds.count(least, (int) MILLIS.max(), "ms").require("most", most);
  }

  @Override
  public String words() {
    return least == most ? "every " + least + " ms" : "every " + least + " to " + most + " ms";
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return Firing.of(Firing.By.EVERY, least, most);
  }
}
