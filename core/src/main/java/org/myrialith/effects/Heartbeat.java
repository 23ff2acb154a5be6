package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Two beats, the second weaker, and a rest.
 *
 * @param lowPercent what is left between beats (%)
 * @param times heartbeats in a loop
 */
public record Heartbeat(int colour, int lowPercent, int times) implements OneTone {
  private static final int SECOND = Waves.TURN / 4;
  private static final int RISE = Waves.TURN / 16;
  private static final int FALL = Waves.TURN / 5;

  private static int beat(int since) {
    return since < RISE
        ? since * Waves.FULL / RISE
        : Math.max(0, Waves.FULL - (since - RISE) * Waves.FULL / FALL);
  }

  /** How it stands in the format. */
  public static final Kind<Heartbeat> KIND =
      Kind.of(
          "heartbeat",
          "heartbeat",
          new Heartbeat(0xff2020, 8, 1),
          Effect.colour("colour", "Colour", 0xff2020),
          Field.count("lowPercent", "Minimum", PERCENT),
          Effect.times("Heartbeats"));

  private static final Footprint FOOTPRINT =
      Footprint.of(248, 115, Cost.of(1930, 170), Cost.of(2950, 170)).with(Part.SHARES).sharing();

  public Heartbeat {
    PERCENT.require("lowPercent", lowPercent);
    TIMES.require("times", times);
  }

  @Override
  public int tone(int turn) {
    int at = turn * times & Waves.TURN - 1;
    int beat = Math.max(beat(at), beat(at - SECOND & Waves.TURN - 1) * 5 / 8);
    int low = Effect.share(lowPercent);
    return Tone.mix(0, colour, low + (Waves.FULL - low) * beat / Waves.FULL);
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, Effect.share(lowPercent), times};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }
}
