package org.myrialith.cue;

import java.util.Locale;
import org.myrialith.schema.Types;

/** How a value is shown. */
public enum ReadoutForm {
  TEXT("characters"),
  BITS("BCD in columns: four bits per digit, highest on top"),
  BITS_ACROSS("BCD in rows: four bits per digit, highest on the left"),
  BINARY("binary in a row, highest bit on the left"),
  BINARY_DOWN("binary in a column, highest bit on top"),
  BAR("bar graph from the first LED"),
  POINTER("one LED");

  static final Types.Choice<ReadoutForm> TYPE =
      Types.Choice.of(values(), ReadoutForm::key, ReadoutForm::title);

  private final String title;

  ReadoutForm(String title) {
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
