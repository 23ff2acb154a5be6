package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Lights that run along the data, each with a tail.
 *
 * @param every places from one to the next
 * @param length of one with its tail, in places
 * @param times how often one takes the place of the next in a loop
 */
public record Chase(int colour, int background, int every, int length, int times)
    implements Effect {
  /** Allowed numbers of places. */
  public static final Bounds EVERY = Bounds.count(1, 1000);

  /** How it stands in the format. */
  public static final Kind<Chase> KIND =
      Kind.of(
          "chase",
          "chase",
          new Chase(0xff6000, 0x000000, 8, 4, 4),
          Effect.colour("colour", "Colour", 0xff6000),
          Effect.colour("background", "Background", 0x000000),
          Field.count("every", "Spacing", EVERY),
          Field.count("length", "Tail length", EVERY),
          Effect.times("Steps"));

  private static final Footprint FOOTPRINT =
      Footprint.of(479, 168, Cost.of(1030, 1750), Cost.of(1200, 2270))
          .reading(Variable.INDEX)
          .sharing();

  public Chase {
    EVERY.require("every", every);
    EVERY.require("length", length);
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int period = every << 8;
    int head = (int) ((long) turn * times * every >> 8) % period;
    int behind = (head - (place.index() << 8) % period + period) % period;
    int tail = length << 8;
    return behind >= tail
        ? background
        : Tone.mix(background, colour, Waves.FULL - behind * Waves.FULL / tail);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, every, length, times};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
