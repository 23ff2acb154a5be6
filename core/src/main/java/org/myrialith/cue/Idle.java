package org.myrialith.cue;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Nothing was pressed or turned for a while.
 *
 * @param seconds the while (s)
 */
public record Idle(int seconds) implements Trigger {
  private static final Bounds SECONDS = Bounds.count(1, 86_400, "s");

  /** How it stands in the format. */
  public static final Kind<Idle> KIND =
      Kind.of(
          "idle", "idle for", new Idle(30), Field.count("seconds", "Idle time", SECONDS).or(30));

  public Idle {
    SECONDS.require("seconds", seconds);
  }

  @Override
  public String words() {
    return "idle for " + seconds + " s";
  }

  @Override
  public boolean lasts() {
    return true;
  }

  @Override
  public Firing firing(Firing.Numbers numbers) {
    return Firing.of(Firing.By.IDLE, seconds * 1000, 0);
  }
}
