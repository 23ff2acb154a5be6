package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Bubbles that rise, each as it pleases.
 *
 * @param amount bubbles at once
 * @param sizePercent of a bubble (%)
 * @param times how often each rises in a loop
 */
public record Bubbles(int colour, int background, int amount, int sizePercent, int times, int seed)
    implements Moving {
  /** Allowed bubbles. */
  public static final Bounds AMOUNT = Bounds.count(1, 32);

  /** How it stands in the format. */
  public static final Kind<Bubbles> KIND =
      Kind.of(
          "bubbles",
          "bubbles",
          new Bubbles(0xc0f0ff, 0x002040, 6, 14, 1, 1),
          Effect.colour("colour", "Colour", 0xc0f0ff),
          Effect.colour("background", "Background", 0x002040),
          Field.count("amount", "Bubbles", AMOUNT),
          Field.count("sizePercent", "Size", SOME),
          Effect.times("Rise cycles"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(
              67, 0, new Cost(330, 1965, 706, 0, 214, 640), new Cost(300, 5900, 760, 0, 870, 1500))
          .with(
              Part.CHANCES,
              Part.PICKS,
              Part.WAVES,
              Part.TABLED,
              Part.SINES,
              Part.FALLING,
              Part.NEARNESS)
          .reading(Variable.X, Variable.Y, Variable.WIDTH, Variable.HEIGHT)
          .sharing();

  public Bubbles {
    AMOUNT.require("amount", amount);
    SOME.require("sizePercent", sizePercent);
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  private int reach() {
    return Math.max(1, Places.SIDE * sizePercent / 100);
  }

  /** Where bubbles are. */
  private record Swarm(int reach, int[] x, int[] y) {
    int level(Place place) {
      int most = 0;
      for (int bubble = 0; bubble < x.length; bubble++) {
        most = Math.max(most, Nearness.of(place.x() - x[bubble], place.y() - y[bubble], 0, reach));
      }
      return most;
    }
  }

  /** The nearest one alone shines. */
  @Override
  public Effort effort(Places all, int turn) {
    Swarm swarm = swarm(all, turn);
    long close = all.places().stream().filter(p -> p != null && swarm.level(p) > 0).count();
    return new Effort((long) amount * all.places().size(), close);
  }

  @Override
  public Frame frame(Places all, int turn) {
    Swarm swarm = swarm(all, turn);
    return place -> Tone.mix(background, colour, swarm.level(place));
  }

  private Swarm swarm(Places all, int turn) {
    int reach = reach();
    int[] x = new int[amount];
    int[] y = new int[amount];
    for (int bubble = 0; bubble < amount; bubble++) {
      int rises = times + (Chance.bits(seed, bubble, 2) & 1);
      int at = turn * rises + Chance.below(Waves.TURN - 1, seed, bubble, 1) & Waves.TURN - 1;
      y[bubble] = all.height() + reach - (int) ((long) at * (all.height() + 2 * reach) >> 16);
      int sway = Waves.sine(at * 2) * reach >> 10;
      x[bubble] = Chance.below(all.width() + 1, seed, bubble, 0) + sway;
    }
    return new Swarm(reach, x, y);
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
