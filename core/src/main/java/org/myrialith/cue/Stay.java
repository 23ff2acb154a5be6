package org.myrialith.cue;

import java.util.Locale;
import org.myrialith.schema.Types;

/** How long a cue stays on. */
public enum Stay {
  UNTIL_CLEARED("until cleared"),
  ONCE("for one run of its frames"),
  TIMED("for a time"),
  WHILE("while its trigger lasts");

  static final Types.Choice<Stay> TYPE = Types.Choice.of(values(), Stay::key, Stay::title);

  private final String title;

  Stay(String title) {
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns it in words. */
  public String title() {
    return title;
  }
}
