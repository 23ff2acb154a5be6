package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * All of it swells and fades.
 *
 * @param lowPercent what is left between breaths (%)
 * @param times breaths in a loop
 */
public record Breathing(int colour, int lowPercent, int times) implements OneTone {
  /** How it stands in the format. */
  public static final Kind<Breathing> KIND =
      Kind.of(
          "breathing",
          "breathing",
          new Breathing(0x40c0ff, 5, 1),
          Effect.colour("colour", "Colour", 0x40c0ff),
          Field.count("lowPercent", "Minimum", PERCENT),
          Effect.times("Breaths"));

  private static final Footprint FOOTPRINT =
      Footprint.of(83, 18, Cost.of(600, 170), Cost.of(1200, 170))
          .with(Part.SHARES, Part.WAVES, Part.TABLED)
          .sharing();

  public Breathing {
    PERCENT.require("lowPercent", lowPercent);
    TIMES.require("times", times);
  }

  @Override
  public int tone(int turn) {
    int low = Effect.share(lowPercent);
    int level = low + (Waves.FULL - low) * Waves.raised(turn * times) / Waves.FULL;
    return Tone.mix(0, colour, level);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, Effect.share(lowPercent), times};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
