package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Places that light up here and there, and fade.
 *
 * @param amount of the places that light at a time (%)
 * @param times how often each may in a loop
 */
public record Sparkle(int colour, int background, int amount, int times, int seed)
    implements Effect {
  /** How it stands in the format. */
  public static final Kind<Sparkle> KIND =
      Kind.of(
          "sparkle",
          "sparkle",
          new Sparkle(0xffffff, 0x000008, 25, 6, 1),
          Effect.colour("colour", "Colour", 0xffffff),
          Effect.colour("background", "Background", 0x000008),
          Field.count("amount", "Share of places", PERCENT),
          Effect.times("Sparkle cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(166, 2, Cost.of(70, 1810), Cost.of(70, 4400))
          .with(Part.CHANCES, Part.PICKS)
          .reading(Variable.INDEX);

  public Sparkle {
    PERCENT.require("amount", amount);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int at = turn * times + Chance.below(Waves.TURN - 1, seed, place.index(), 0);
    int chance = (at >>> 16) % times;
    boolean lit = Chance.below(100, seed, place.index(), chance + 1) < amount;
    return lit ? Tone.mix(background, colour, Waves.triangle(at)) : background;
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, amount, times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
