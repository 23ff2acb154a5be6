package org.myrialith.effects;

import java.util.Objects;
import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * A plane of light that goes through, flat or in space.
 *
 * @param way that it goes
 * @param widthPercent of the way (%)
 * @param times in a loop
 */
public record Sweep(int colour, int background, Direction way, int widthPercent, int times)
    implements Effect {
  /** How it stands in the format. */
  public static final Kind<Sweep> KIND =
      Kind.of(
          "sweep",
          "sweep",
          new Sweep(0x40ffb0, 0, Direction.RIGHT, 20, 1),
          Effect.colour("colour", "Colour", 0x40ffb0),
          Effect.colour("background", "Background", 0),
          Field.of("way", "Direction", Direction.TYPE).or(Direction.RIGHT),
          Field.count("widthPercent", "Width", SOME),
          Effect.times("Repeats"));

  private static final Footprint FOOTPRINT =
      Footprint.of(294, 96, Cost.of(260, 1430), Cost.of(620, 1730))
          .with(Part.WAYS)
          .reading(Variable.X, Variable.Y, Variable.Z, Variable.INDEX)
          .sharing();

  public Sweep {
    Objects.requireNonNull(way, "way");
    SOME.require("widthPercent", widthPercent);
    TIMES.require("times", times);
  }

  private int wide(Places all) {
    return Math.max(1, Math.max(way.length(all), 1) * widthPercent / 100);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int length = way.length(all);
    int wide = wide(all);
    int at = turn * times & Waves.TURN - 1;
    int middle = (int) ((long) at * (length + 2 * wide) >> 16) - wide;
    int off = Math.abs(way.along(place, all) - middle);
    return off >= wide
        ? background
        : Tone.mix(background, colour, Waves.FULL - off * Waves.FULL / wide);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {
      colour, background, way.ordinal(), way.length(all), wide(all), times, all.count()
    };
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }

  @Override
  public boolean byData() {
    return way == Direction.DATA;
  }
}
