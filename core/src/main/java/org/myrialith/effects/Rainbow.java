package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * All hues, by place.
 *
 * @param waves rainbows at once along the longest side
 * @param degrees the way they run
 * @param lightPercent of full colour (%)
 * @param times how many pass in a loop
 */
public record Rainbow(int waves, int degrees, int lightPercent, int times) implements Effect {
  /** How it stands in the format. */
  public static final Kind<Rainbow> KIND =
      Kind.of(
          "rainbow",
          "rainbow",
          new Rainbow(1, 0, 100, 1),
          Field.count("waves", "Rainbows", TIMES),
          Field.count("degrees", "Direction", Wave.DEGREES),
          Field.count("lightPercent", "Light", SOME),
          Effect.times("Passes"));

  private static final Footprint FOOTPRINT =
      Footprint.of(0, 18, Cost.of(70, 1680), Cost.of(70, 2510))
          .with(Part.DIRECTIONS, Part.PHASES, Part.HUES)
          .reading(Variable.X, Variable.Y);

  public Rainbow {
    TIMES.require("waves", waves);
    Wave.DEGREES.require("degrees", degrees);
    SOME.require("lightPercent", lightPercent);
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int hue = Wave.phase(place, waves, degrees) - turn * times >> 8;
    return Tone.mix(0, Tone.hue(hue), Effect.share(lightPercent));
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {
      Wave.cosine(degrees), Wave.sine(degrees), waves, times, Effect.share(lightPercent)
    };
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
