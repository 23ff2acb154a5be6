package org.myrialith.cue;

import java.util.Locale;
import org.myrialith.schema.Types;

/** How a value is shown. */
public enum ReadoutForm {
  TEXT("characters"),
  BITS("BCD in columns: each digit as four bits, the highest on top"),
  BITS_ACROSS("BCD in rows: each digit as four bits, the highest on the left"),
  BINARY("binary in a row, the highest bit on the left"),
  BINARY_DOWN("binary in a column, the highest bit on top"),
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
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns it in words. */
  public String title() {
    return title;
  }
}
