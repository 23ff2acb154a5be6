package org.myrialith.cues;

import java.util.Locale;
import org.myrialith.describe.Types;

/** How a value is shown. */
public enum ReadoutForm {
  TEXT("characters"),
  BITS("each digit as four bits, the highest on top"),
  BAR("a bar from the first light on"),
  POINTER("one light");

  static final Types.Choice<ReadoutForm> TYPE =
      Types.Choice.of(values(), ReadoutForm::key, ReadoutForm::title);

  private final String title;

  ReadoutForm(String title) {
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
