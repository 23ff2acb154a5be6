package org.myrialith.effects;

import java.util.Locale;
import org.myrialith.schema.Types;

/** How a layer comes over those below it, channel by channel. */
public enum Blend {
  OVER("over it"),
  ADD("added"),
  LIGHTEN("lighter wins"),
  DARKEN("darker wins"),
  MASK("as a mask");

  static final Types.Choice<Blend> TYPE = Types.Choice.of(values(), Blend::key, Blend::title);

  private final String title;

  Blend(String title) {
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  private int channel(int below, int above) {
    return switch (this) {
      case OVER -> above;
      case ADD -> Math.min(Waves.FULL, below + above);
      case LIGHTEN -> Math.max(below, above);
      case DARKEN -> Math.min(below, above);
      case MASK -> (below * above + Waves.FULL / 2) / Waves.FULL;
    };
  }

  /** Returns two colours one over the other. */
  int of(int below, int above) {
    return Tone.of(
        channel(Tone.red(below), Tone.red(above)),
        channel(Tone.green(below), Tone.green(above)),
        channel(Tone.blue(below), Tone.blue(above)));
  }
}
