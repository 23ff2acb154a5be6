package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Glow that rises and dies away, from a bed at the bottom.
 *
 * @param cool where it dies away
 * @param hot in its midst
 * @param heightPercent up to where it glows (%)
 * @param times how often it rises in a loop
 */
public record Ember(int cool, int hot, int heightPercent, int times, int seed) implements Effect {
  private static final int GLOWS = 140;
  private static final int HALF = 128;

  /** How it stands in the format. */
  public static final Kind<Ember> KIND =
      Kind.of(
          "ember",
          "ember",
          new Ember(0xa01000, 0xffc040, 80, 4, 1),
          Effect.colour("cool", "Cool", 0xa01000),
          Effect.colour("hot", "Hot", 0xffc040),
          Field.count("heightPercent", "Height", SOME),
          Effect.times("Rise cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(297, 251, Cost.of(70, 4130), Cost.of(70, 9050))
          .with(Part.CHANCES, Part.COURSES, Part.TABLED)
          .reading(Variable.X, Variable.Y, Variable.HEIGHT);

  public Ember {
    SOME.require("heightPercent", heightPercent);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  private int reach(Places all) {
    return Math.max(1, Math.max(all.height(), 1) * heightPercent / 100);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int up = all.height() - place.y();
    int rising = (turn >> 8) * times + place.y();
    int glow = Chance.field(seed, place.x(), rising % (times << 8), times);
    int left = glow + GLOWS - up * (GLOWS + Waves.FULL) / reach(all);
    int heat = Math.max(0, Math.min(Waves.FULL, left));
    return heat < HALF ? Tone.mix(0, cool, 2 * heat) : Tone.mix(cool, hot, 2 * heat - Waves.FULL);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {cool, hot, reach(all), times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
