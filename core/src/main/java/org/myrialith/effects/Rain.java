package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Drops that fall, each with a tail.
 *
 * @param amount drops at once
 * @param tailPercent of the height (%)
 * @param times how often each falls in a loop
 */
public record Rain(int colour, int background, int amount, int tailPercent, int times, int seed)
    implements Moving {
  /** Parts to either side that a drop reaches. */
  private static final int WIDE = 64;

  /** How it stands in the format. */
  public static final Kind<Rain> KIND =
      Kind.of(
          "rain",
          "rain",
          new Rain(0x60a0ff, 0x000000, 8, 30, 2, 1),
          Effect.colour("colour", "Colour", 0x60a0ff),
          Effect.colour("background", "Background", 0x000000),
          Field.count("amount", "Drops", Bubbles.AMOUNT),
          Field.count("tailPercent", "Tail", SOME),
          Effect.times("Fall cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(
              293,
              212,
              new Cost(310, 1815, 566, 44.5, 0, 820),
              new Cost(300, 5850, 605, 40, 0, 1110))
          .with(Part.CHANCES, Part.PICKS, Part.FALLING)
          .reading(Variable.X, Variable.Y, Variable.WIDTH, Variable.HEIGHT)
          .sharing();

  public Rain {
    Bubbles.AMOUNT.require("amount", amount);
    SOME.require("tailPercent", tailPercent);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  private int tail(Places all) {
    return Math.max(1, Math.max(all.height(), WIDE) * tailPercent / 100);
  }

  /** Where the drops are. */
  private record Drops(int[] x, int[] y, int tail) {
    int behind(int drop, Place place) {
      return y[drop] - place.y();
    }

    int beside(int drop, Place place) {
      return Math.abs(place.x() - x[drop]);
    }

    boolean reaches(int drop, Place place) {
      int behind = behind(drop, place);
      return behind >= 0 && behind < tail && beside(drop, place) < WIDE;
    }
  }

  private Drops drops(Places all, int turn) {
    int tail = tail(all);
    int[] x = new int[amount];
    int[] y = new int[amount];
    for (int drop = 0; drop < amount; drop++) {
      int falls = times + (Chance.bits(seed, drop, 2) & 1);
      int at = turn * falls + Chance.below(Waves.TURN - 1, seed, drop, 1) & Waves.TURN - 1;
      y[drop] = (int) ((long) at * (all.height() + tail) >> 16);
      x[drop] = Chance.below(all.width() + 1, seed, drop, 0);
    }
    return new Drops(x, y, tail);
  }

  @Override
  public Effort effort(Places all, int turn) {
    Drops drops = drops(all, turn);
    long close = 0;
    for (Place place : all.places()) {
      for (int drop = 0; place != null && drop < amount; drop++) {
        close += drops.reaches(drop, place) ? 1 : 0;
      }
    }
    return new Effort(0, close);
  }

  @Override
  public Frame frame(Places all, int turn) {
    Drops drops = drops(all, turn);
    return place -> {
      int most = 0;
      for (int drop = 0; drop < amount; drop++) {
        if (drops.reaches(drop, place)) {
          int level = Waves.FULL - drops.behind(drop, place) * Waves.FULL / drops.tail;
          most = Math.max(most, level * (WIDE - drops.beside(drop, place)) / WIDE);
        }
      }
      return Tone.mix(background, colour, most);
    };
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, amount, tail(all), times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
