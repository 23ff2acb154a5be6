package org.myrialith.effects;

import java.util.Objects;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;

/**
 * An effect over those below it.
 *
 * @param percent of it that comes through (%)
 */
public record Layer(Effect effect, Blend blend, int percent) {
  /** How it stands in the format. */
  public static final Description<Layer> DESCRIPTION =
      Description.of(
          Layer.class,
          Field.of("effect", "Effect", EffectKinds.ALL),
          Field.of("blend", "Comes", Blend.TYPE).or(Blend.OVER),
          Field.count("percent", "by", Effect.PERCENT).or(100));

  public Layer {
    Objects.requireNonNull(effect, "effect");
    Objects.requireNonNull(blend, "blend");
    Effect.PERCENT.require("percent", percent);
  }

  /** Returns how much of it comes through (0 to 255). */
  public int share() {
    return Effect.share(percent);
  }

  /** Returns a colour with it over it. */
  int over(int below, int own) {
    return Tone.mix(below, blend.of(below, own), share());
  }
}
