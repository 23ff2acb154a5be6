package org.myrialith.cue;

import java.util.Locale;
import org.myrialith.schema.Types;

/** What a cue ends as it fires. */
public enum Clears {
  NOTHING("nothing"),
  SAME("whatever is on at its priority"),
  LOWER("whatever is on at its priority and below"),
  ALL("everything");

  static final Types.Choice<Clears> TYPE = Types.Choice.of(values(), Clears::key, Clears::title);

  private final String title;

  Clears(String title) {
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

  /** Returns whether it ends what is on at a priority. */
  public boolean clears(int own, int other) {
    return switch (this) {
      case NOTHING -> false;
      case SAME -> other == own;
      case LOWER -> other <= own;
      case ALL -> true;
    };
  }
}
