package org.myrialith.effects;

import java.util.Objects;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * An effect over those below it.
 *
 * @param percent of it that comes through (%)
 * @param on identifier of the group whose lights alone show it, laid out over them; {@link
 *     #EVERYWHERE} for all that the effects are spread over
 */
public record Layer(Effect effect, Blend blend, int percent, String on) {
  /** All that the effects are spread over. */
  public static final String EVERYWHERE = "";

  /** How it stands in the format. */
  public static final Description<Layer> DESCRIPTION =
      Description.of(
          Layer.class,
          Field.of("effect", "Effect", EffectKinds.ALL),
          Field.of("blend", "Blend", Blend.TYPE).or(Blend.OVER),
          Field.count("percent", "Opacity", Effect.PERCENT).or(100),
          Field.words("on", "LEDs", Types.Words.Rule.ANY)
              .or(EVERYWHERE)
              .explained("empty for all LEDs, or the id of the group whose LEDs show it"));

  /** An effect that all lights show. */
  public Layer(Effect effect, Blend blend, int percent) {
    this(effect, blend, percent, EVERYWHERE);
  }

  public Layer {
    Objects.requireNonNull(effect, "effect");
    Objects.requireNonNull(blend, "blend");
    Effect.PERCENT.require("percent", percent);
    if (!on.isEmpty()) {
      TextRules.id("on", on);
    }
  }

  /** Returns it on the lights of a group, or with {@link #EVERYWHERE} on all. */
  public Layer on(String group) {
    return new Layer(effect, blend, percent, group);
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
