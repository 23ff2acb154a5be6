package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * A flame behind glass: all of it flickers together, and gets redder as it gets darker.
 *
 * @param depth of the flicker (%)
 * @param times flickers in a loop
 */
public record Candle(int colour, int depth, int times, int seed) implements OneTone {
  /** How it stands in the format. */
  public static final Kind<Candle> KIND =
      Kind.of(
          "candle",
          "candle",
          new Candle(0xff8a30, 45, 16, 1),
          Effect.colour("colour", "Colour", 0xff8a30),
          Field.count("depth", "Depth", PERCENT),
          Effect.times("Flicker cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(260, 201, Cost.of(3760, 170), Cost.of(8950, 170))
          .with(Part.SHARES, Part.CHANCES, Part.COURSES, Part.TABLED)
          .sharing();

  public Candle {
    PERCENT.require("depth", depth);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  @Override
  public int tone(int turn) {
    int slow = Chance.course(seed, 0, (turn >> 8) * times, times);
    int quick = Chance.course(seed, 1, (turn >> 8) * times * 3, times * 3);
    int down = (slow * 2 + quick) / 3 * Effect.share(depth) / Waves.FULL;
    int redder = Tone.of(Tone.red(colour), Tone.green(colour) * 3 / 4, Tone.blue(colour) / 2);
    return Tone.mix(0, Tone.mix(colour, redder, down), Waves.FULL - down);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, Effect.share(depth), times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
