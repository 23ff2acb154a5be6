package org.myrialith.effects;

import java.util.Objects;
import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Place after place lights until all do, then they go dark the same way or back.
 *
 * @param way that it fills
 * @param back whether it empties from where it ended
 * @param times in a loop
 */
public record Fill(int colour, int background, Direction way, boolean back, int times)
    implements Effect {
  private static final int HALF = Waves.TURN / 2;

  /** How it stands in the format. */
  public static final Kind<Fill> KIND =
      Kind.of(
          "fill",
          "fill",
          new Fill(0x30d060, 0, Direction.DATA, true, 1),
          Effect.colour("colour", "Colour", 0x30d060),
          Effect.colour("background", "Background", 0),
          Field.of("way", "Direction", Direction.TYPE).or(Direction.DATA),
          Field.flag("back", "Return", "empties the same way", "back").or(true),
          Effect.times("Repeats"));

  private static final Footprint FOOTPRINT =
      Footprint.of(220, 65, Cost.of(350, 575), Cost.of(760, 570))
          .with(Part.WAYS)
          .reading(Variable.X, Variable.Y, Variable.Z, Variable.INDEX)
          .sharing();

  public Fill {
    Objects.requireNonNull(way, "way");
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int at = turn * times & Waves.TURN - 1;
    int part = at < HALF ? at : at - HALF;
    int front = (int) ((long) part * (way.length(all) + 1) / HALF);
    int along = way.along(place, all);
    boolean lit =
        at < HALF ? along <= front : back ? along <= way.length(all) - front : along > front;
    return lit ? colour : background;
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {
      colour, background, way.ordinal(), way.length(all), back ? 1 : 0, times, all.count()
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
