package org.myrialith.firmware.effect;

import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Footprint;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Places;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Computed;

/**
 * Cycles of effects that the controller works out, at most: read from this code on simulated 8-bit
 * cores, with a multiplier and without; a 32-bit core takes no more.
 *
 * @param begin once a frame
 * @param pixel for each pixel, {@code channel} for each of its channels
 * @param rest for each pixel whose white is taken from the other channels
 * @param mix for each pixel of a layer that does not come through whole, {@code blend} of one that
 *     is not just laid over, {@code plain} of one that is, where the code tells them apart
 * @param data for each pixel of what runs in the order of the data
 */
public record EffectTime(
    double begin,
    double pixel,
    double channel,
    double rest,
    double mix,
    double blend,
    double plain,
    double data) {
  private static final EffectTime MULTIPLYING =
      new EffectTime(640, 215, 61, 130, 201, 180, 124, 640);

  private static final EffectTime SMALL = new EffectTime(640, 205, 51, 126, 600, 395, 130, 900);

  /** Most cycles from one look at the timer to the next: the smallest wraps after four times. */
  private static final double UNSEEN = 60_000;

  /** Cycles of telling the board that time passes. */
  private static final double PASS = 110;

  private static final int MOST_UNSEEN_PIXELS = 16;

  /** Returns the mask of pixels after which the timer of the board is polled. */
  public static int passMask(FirmwareTarget target, List<ClipLevels> programs) {
    int pixels = MOST_UNSEEN_PIXELS;
    boolean blends = new EffectParts(programs).blends();
    for (ClipLevels program : programs) {
      double most = Arrays.stream(worked(target, program, blends)).max().orElse(0);
      double each = most / Math.max(1, program.cells().length);
      while (pixels > 1 && pixels * each > UNSEEN) {
        pixels /= 2;
      }
    }
    return pixels - 1;
  }

  /**
   * Returns the cycles of each frame of a program, at most.
   *
   * @param blends whether the code tells blends apart
   */
  public static double[] cycles(
      FirmwareTarget target, ClipLevels program, int passMask, boolean blends) {
    int pixels = program.cells().length;
    return Arrays.stream(worked(target, program, blends))
        .map(cycles -> cycles + PASS * (1 + pixels / (passMask + 1.0)))
        .toArray();
  }

  private static double[] worked(FirmwareTarget target, ClipLevels program, boolean blends) {
    boolean multiplies = target.cycles().multiplies();
    EffectTime time = multiplies ? MULTIPLYING : SMALL;
    Computed computed = program.computed().orElseThrow();
    double[] all = new double[computed.recipe().frames()];
    int pixels = program.cells().length;
    boolean rest =
        program.stretch().shows().stream().anyMatch(shows -> shows.asks() == ChannelSource.WHITE);
    double each = time.pixel + time.channel * program.unitBytes() + (rest ? time.rest : 0);
    double common = time.begin + pixels * each;
    double calls = target.cycles().calls();
    for (int frame = 0; frame < all.length; frame++) {
      all[frame] = common;
      int turn = computed.recipe().turn(frame);
      for (Layer layer : computed.recipe().layers()) {
        all[frame] +=
            time.of(
                layer,
                computed.places(),
                turn,
                EffectParts.flat(program) ? 1 : pixels,
                blends,
                multiplies);
      }
      all[frame] *= calls;
    }
    return all;
  }

  private double of(
      Layer layer, Places places, int turn, int pixels, boolean blends, boolean multiplies) {
    Effect effect = layer.effect();
    Footprint.Cost cost = effect.footprint().cost(multiplies);
    double each =
        cost.pixel()
            + (layer.percent() < 100 ? mix : 0)
            + (layer.blend() != Blend.OVER ? blend : blends ? plain : 0)
            + (effect.byData() ? data : 0);
    return cost.begin() + pixels * each + effect.moreCycles(cost, places, turn, pixels);
  }
}
