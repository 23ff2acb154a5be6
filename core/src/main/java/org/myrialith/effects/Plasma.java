package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Hues that flow through each other.
 *
 * @param waves along the longest side
 * @param lightPercent of full colour (%)
 * @param times how often it flows in a loop
 */
public record Plasma(int waves, int lightPercent, int times) implements Effect {
  /** How it stands in the format. */
  public static final Kind<Plasma> KIND =
      Kind.of(
          "plasma",
          "plasma",
          new Plasma(2, 100, 1),
          Field.count("waves", "Waves", TIMES),
          Field.count("lightPercent", "Light", SOME),
          Effect.times("Flow cycles"));

  private static final Footprint FOOTPRINT =
      Footprint.of(105, 94, Cost.of(70, 1170), Cost.of(70, 2080))
          .with(Part.WAVES, Part.TABLED, Part.SINES, Part.HUES)
          .reading(Variable.X, Variable.Y, Variable.Z);

  public Plasma {
    TIMES.require("waves", waves);
    SOME.require("lightPercent", lightPercent);
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    int unit = waves * (Waves.TURN / (Places.SIDE + 1));
    int flows = turn * times;
    int sum = Waves.sine(place.x() * unit + flows) + Waves.sine(place.y() * unit - flows);
    sum += Waves.sine((place.x() + place.y() + place.z()) * unit / 2 + 2 * flows);
    return Tone.mix(0, Tone.hue(sum / 4 + (flows >> 8)), Effect.share(lightPercent));
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {waves, Effect.share(lightPercent), times};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
