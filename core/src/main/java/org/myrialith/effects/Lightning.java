package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.schema.Kind;

/**
 * Strikes at odd times, each a few flashes that die away.
 *
 * @param times strikes in a loop
 */
public record Lightning(int colour, int background, int times, int seed) implements OneTone {
  /** Each for a 128th of the loop. */
  private static final int[] FLASHES = {255, 120, 20, 220, 90, 40, 15};

  /** How it stands in the format. */
  public static final Kind<Lightning> KIND =
      Kind.of(
          "lightning",
          "lightning",
          new Lightning(0xdfe8ff, 0x000010, 3, 1),
          Effect.colour("colour", "Colour", 0xdfe8ff),
          Effect.colour("background", "Background", 0x000010),
          Effect.times("Strikes"),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(135, 29, new Cost(1130, 640, 170, 0, 0, 0), new Cost(2400, 1890, 170, 0, 0, 0))
          .with(Part.SHARES, Part.CHANCES, Part.PICKS)
          .sharing();

  public Lightning {
    TIMES.require("times", times);
    SEED.require("seed", seed);
  }

  @Override
  public int tone(int turn) {
    int most = 0;
    for (int strike = 0; strike < times; strike++) {
      int start = Chance.below(Waves.TURN - 1, seed, strike, 0);
      int since = turn - start & Waves.TURN - 1;
      int flash = since >> 9;
      if (flash < FLASHES.length) {
        most = Math.max(most, FLASHES[flash] * (160 + Chance.below(96, seed, strike, 1)) / 255);
      }
    }
    return Tone.mix(background, colour, Math.min(Waves.FULL, most));
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, times, seed};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }

  @Override
  public double moreCycles(Cost cost, Places all, int turn, int pixels) {
    return times * cost.beginEach();
  }
}
