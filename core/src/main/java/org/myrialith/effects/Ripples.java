package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Rings in space that run out from a point.
 *
 * @param xPercent of the width (%)
 * @param yPercent of the height (%)
 * @param zPercent of the depth (%)
 * @param waves rings at once along the longest side
 * @param times how many run out in a loop
 */
public record Ripples(
    int colour, int background, int xPercent, int yPercent, int zPercent, int waves, int times)
    implements Effect {
  /** How it stands in the format. */
  public static final Kind<Ripples> KIND =
      Kind.of(
          "ripples",
          "ripples",
          new Ripples(0x80d8ff, 0x001020, 50, 50, 50, 3, 3),
          Effect.colour("colour", "Colour", 0x80d8ff),
          Effect.colour("background", "Background", 0x001020),
          Field.count("xPercent", "Centre from the left", PERCENT),
          Field.count("yPercent", "Centre from the top", PERCENT),
          Field.count("zPercent", "Centre from the back", PERCENT).or(50),
          Field.count("waves", "Rings", TIMES),
          Effect.times("Ripples"));

  private static final Footprint FOOTPRINT =
      Footprint.of(407, 117, Cost.of(70, 1490), Cost.of(70, 2730))
          .with(Part.WAVES, Part.TABLED)
          .reading(Variable.X, Variable.Y, Variable.Z);

  public Ripples {
    PERCENT.require("xPercent", xPercent);
    PERCENT.require("yPercent", yPercent);
    PERCENT.require("zPercent", zPercent);
    TIMES.require("waves", waves);
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int dx = place.x() - all.width() * xPercent / 100;
    int dy = place.y() - all.height() * yPercent / 100;
    int dz = place.z() - all.depth() * zPercent / 100;
    int away = Waves.root(dx * dx + dy * dy + dz * dz);
    int phase = away * waves * (Waves.TURN / (Places.SIDE + 1)) - turn * times;
    return Tone.mix(background, colour, Waves.raised(phase));
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {
      colour,
      background,
      all.width() * xPercent / 100,
      all.height() * yPercent / 100,
      all.depth() * zPercent / 100,
      waves,
      times
    };
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
