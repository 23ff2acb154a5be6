package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Lights that wander in space, glow and fade, each in its own time.
 *
 * @param amount of them
 * @param sizePercent as far as one shines (%)
 * @param times glows of each in a loop
 */
public record Fireflies(
    int colour, int background, int amount, int sizePercent, int times, int seed)
    implements Moving {
  /** Places that each passes by in a loop. */
  private static final int STOPS = 5;

  /** How it stands in the format. */
  public static final Kind<Fireflies> KIND =
      Kind.of(
          "fireflies",
          "fireflies",
          new Fireflies(0xd0ff50, 0x000400, 5, 22, 2, 1),
          Effect.colour("colour", "Colour", 0xd0ff50),
          Effect.colour("background", "Background", 0x000400),
          Field.count("amount", "Fireflies", Bubbles.AMOUNT),
          Field.count("sizePercent", "Glow size", SOME),
          Effect.times("Glow cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(
              531,
              227,
              new Cost(330, 6640, 815, 22.5, 268, 640),
              new Cost(330, 15500, 1050, 22, 900, 1080))
          .with(
              Part.CHANCES,
              Part.PICKS,
              Part.COURSES,
              Part.WAVES,
              Part.TABLED,
              Part.SHARES,
              Part.NEARNESS)
          .reading(
              Variable.X, Variable.Y, Variable.Z, Variable.WIDTH, Variable.HEIGHT, Variable.DEPTH)
          .sharing();

  public Fireflies {
    Bubbles.AMOUNT.require("amount", amount);
    SOME.require("sizePercent", sizePercent);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  private int reach() {
    return Math.max(1, Places.SIDE * sizePercent / 100);
  }

  /** Where they are, and how they glow. */
  private record Swarm(int reach, int[] glow, int[][] at) {
    int near(int fly, Place place) {
      int[] there = at[fly];
      return Nearness.of(place.x() - there[0], place.y() - there[1], place.z() - there[2], reach);
    }

    int level(int fly, Place place) {
      return near(fly, place) * glow[fly] / Waves.FULL;
    }
  }

  private Swarm swarm(Places all, int turn) {
    int reach = reach();
    int[] glow = new int[amount];
    int[][] at = new int[amount][];
    int way = (turn >> 8) * STOPS;
    for (int fly = 0; fly < amount; fly++) {
      int light = Waves.raised(turn * times + Chance.below(Waves.TURN - 1, seed, fly, 0));
      glow[fly] = light * light / Waves.FULL;
      at[fly] =
          new int[] {
            Chance.course(seed, 3 * fly, way, STOPS) * all.width() / Waves.FULL,
            Chance.course(seed, 3 * fly + 1, way, STOPS) * all.height() / Waves.FULL,
            Chance.course(seed, 3 * fly + 2, way, STOPS) * all.depth() / Waves.FULL
          };
    }
    return new Swarm(reach, glow, at);
  }

  @Override
  public Effort effort(Places all, int turn) {
    Swarm swarm = swarm(all, turn);
    long looks = 0;
    long close = 0;
    for (Place place : all.places()) {
      int most = 0;
      for (int fly = 0; place != null && fly < amount; fly++) {
        if (swarm.glow[fly] > most) {
          looks++;
          close += swarm.near(fly, place) > 0 ? 1 : 0;
          most = Math.max(most, swarm.level(fly, place));
        }
      }
    }
    return new Effort(looks, close);
  }

  @Override
  public Frame frame(Places all, int turn) {
    Swarm swarm = swarm(all, turn);
    return place -> {
      int most = 0;
      for (int fly = 0; fly < amount; fly++) {
        if (swarm.glow[fly] > most) {
          most = Math.max(most, swarm.level(fly, place));
        }
      }
      return Tone.mix(background, colour, most);
    };
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, amount, reach(), times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
