package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Waves of two colours that run across.
 *
 * @param waves at once along the longest side
 * @param degrees the way they run, from right and clockwise
 * @param times how many pass in a loop
 */
public record Wave(int colour, int background, int waves, int degrees, int times)
    implements Effect {
  /** Allowed directions. */
  public static final Bounds DEGREES = Bounds.count(0, 359, "°");

  /** Returns how far along a direction a place is, in turns of waves. */
  static int phase(Place place, int waves, int degrees) {
    int along = (place.x() * cosine(degrees) + place.y() * sine(degrees)) / Waves.FULL;
    return along * waves * (Waves.TURN / (Places.SIDE + 1));
  }

  static int cosine(int degrees) {
    return Waves.cosine(Waves.degrees(degrees));
  }

  static int sine(int degrees) {
    return Waves.sine(Waves.degrees(degrees));
  }

  /** How it stands in the format. */
  public static final Kind<Wave> KIND =
      Kind.of(
          "wave",
          "wave",
          new Wave(0x00a0ff, 0x001030, 2, 0, 2),
          Effect.colour("colour", "Colour", 0x00a0ff),
          Effect.colour("background", "Background", 0x001030),
          Field.count("waves", "Waves", TIMES),
          Field.count("degrees", "Direction", DEGREES),
          Effect.times("Passes"));

  private static final Footprint FOOTPRINT =
      Footprint.of(9, 30, Cost.of(70, 1375), Cost.of(70, 2200))
          .with(Part.WAVES, Part.TABLED, Part.DIRECTIONS, Part.PHASES)
          .reading(Variable.X, Variable.Y);

  public Wave {
    TIMES.require("waves", waves);
    DEGREES.require("degrees", degrees);
    TIMES.require("times", times);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    return Tone.mix(background, colour, Waves.raised(phase(place, waves, degrees) - turn * times));
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {cosine(degrees), sine(degrees), waves, times, colour, background};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
