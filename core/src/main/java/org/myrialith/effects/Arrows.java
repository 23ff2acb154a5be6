package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Arrowheads that run one behind the other.
 *
 * @param degrees the way they run, from right and clockwise
 * @param everyPercent from one to the next, of the longest side (%)
 * @param times how many pass in a loop
 */
public record Arrows(int colour, int background, int degrees, int everyPercent, int times)
    implements Effect {
  /** How it stands in the format. */
  public static final Kind<Arrows> KIND =
      Kind.of(
          "arrows",
          "running arrows",
          new Arrows(0xffb000, 0x000000, 0, 40, 2),
          Effect.colour("colour", "Colour", 0xffb000),
          Effect.colour("background", "Background", 0x000000),
          Field.count("degrees", "Direction", Wave.DEGREES),
          Field.count("everyPercent", "Spacing", SOME),
          Effect.times("Passes"));

  private static final Footprint FOOTPRINT =
      Footprint.of(393, 196, Cost.of(270, 2250), Cost.of(270, 3600))
          .with(Part.DIRECTIONS)
          .reading(Variable.X, Variable.Y, Variable.WIDTH, Variable.HEIGHT)
          .sharing();

  public Arrows {
    Wave.DEGREES.require("degrees", degrees);
    SOME.require("everyPercent", everyPercent);
    TIMES.require("times", times);
  }

  private int every() {
    return Math.max(2, Places.SIDE * everyPercent / 100);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int cosine = Wave.cosine(degrees);
    int sine = Wave.sine(degrees);
    int x = place.x() - all.width() / 2;
    int y = place.y() - all.height() / 2;
    int along = (x * cosine + y * sine) / Waves.FULL;
    int across = (y * cosine - x * sine) / Waves.FULL;
    int every = every();
    int on = (int) ((long) (turn * times & Waves.TURN - 1) * every >> 16);
    int behind = Math.floorMod(on - along - Math.abs(across), every);
    return behind < every / 2 ? colour : background;
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, Wave.cosine(degrees), Wave.sine(degrees), every(), times};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
