package org.myrialith.firmware.effect;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Direction;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Fill;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Life;
import org.myrialith.effects.Lightning;
import org.myrialith.effects.Moving;
import org.myrialith.effects.Places;
import org.myrialith.effects.Sweep;
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
 * @param costs of each effect
 */
public record EffectTime(
    double begin,
    double pixel,
    double channel,
    double rest,
    double mix,
    double blend,
    double plain,
    double data,
    Map<EffectCode, Cost> costs) {
  /**
   * What an effect takes.
   *
   * @param begin once a frame, {@code beginEach} for each thing that moves or strikes, or for each
   *     cell that begins
   * @param pixel for each pixel
   * @param glance for each thing that moves, at each pixel
   * @param look where it is worked out how far it is, {@code close} where it is near enough; of
   *     cells for each of a generation, and for each row
   */
  record Cost(
      double begin, double beginEach, double pixel, double glance, double look, double close) {
    Cost(double begin, double pixel) {
      this(begin, 0, pixel, 0, 0, 0);
    }
  }

  private static final EffectTime MULTIPLYING =
      new EffectTime(
          640,
          215,
          61,
          130,
          201,
          180,
          124,
          640,
          costs(
              new Cost(3760, 170),
              new Cost(1130, 640, 170, 0, 0, 0),
              new Cost(600, 170),
              new Cost(1930, 170),
              new Cost(70, 4130),
              new Cost(70, 1810),
              new Cost(1030, 1750),
              new Cost(70, 1375),
              new Cost(260, 1430),
              new Cost(70, 1680),
              new Cost(70, 1170),
              new Cost(70, 1490),
              new Cost(350, 575),
              new Cost(270, 2250),
              new Cost(330, 1965, 706, 0, 214, 640),
              new Cost(310, 1815, 566, 44.5, 0, 820),
              new Cost(330, 6640, 815, 22.5, 268, 640),
              new Cost(300, 665, 225, 0, 290, 375)));

  private static final EffectTime SMALL =
      new EffectTime(
          640,
          205,
          51,
          126,
          600,
          395,
          130,
          900,
          costs(
              new Cost(8950, 170),
              new Cost(2400, 1890, 170, 0, 0, 0),
              new Cost(1200, 170),
              new Cost(2950, 170),
              new Cost(70, 9050),
              new Cost(70, 4400),
              new Cost(1200, 2270),
              new Cost(70, 2200),
              new Cost(620, 1730),
              new Cost(70, 2510),
              new Cost(70, 2080),
              new Cost(70, 2730),
              new Cost(760, 570),
              new Cost(270, 3600),
              new Cost(300, 5900, 760, 0, 870, 1500),
              new Cost(300, 5850, 605, 40, 0, 1110),
              new Cost(330, 15500, 1050, 22, 900, 1080),
              new Cost(300, 1850, 235, 0, 270, 355)));

  /** By the order of the effects. */
  private static Map<EffectCode, Cost> costs(Cost... all) {
    Map<EffectCode, Cost> costs = new EnumMap<>(EffectCode.class);
    for (EffectCode effect : EffectCode.values()) {
      costs.put(effect, all[effect.ordinal()]);
    }
    return costs;
  }

  /** Most cycles from one look at the timer to the next: the smallest wraps after four times. */
  private static final double UNSEEN = 60_000;

  /** Cycles of telling the board that time passes. */
  private static final double PASS = 110;

  private static final int MOST_UNSEEN_PIXELS = 16;

  /** Returns the mask of pixels at which the board is told that time passes. */
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
    EffectTime time = target.cycles().multiplies() ? MULTIPLYING : SMALL;
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
            time.of(layer, computed.places(), turn, EffectParts.flat(program) ? 1 : pixels, blends);
      }
      all[frame] *= calls;
    }
    return all;
  }

  private double of(Layer layer, Places places, int turn, int pixels, boolean blends) {
    Effect effect = layer.effect();
    Cost cost = costs.get(EffectCode.of(effect));
    double each =
        cost.pixel
            + (layer.percent() < 100 ? mix : 0)
            + (layer.blend() != Blend.OVER ? blend : blends ? plain : 0)
            + (byData(effect) ? data : 0);
    double cycles = cost.begin + pixels * each;
    if (effect instanceof Lightning lightning) {
      return cycles + lightning.times() * cost.beginEach;
    }
    if (effect instanceof Life) {
      int cells = places.columns() * places.rows();
      return cycles
          + (turn == 0 ? cells * cost.beginEach : cells * cost.look + places.rows() * cost.close);
    }
    if (effect instanceof Moving moving) {
      Moving.Effort effort = moving.effort(places, turn);
      double most = (double) pixels * moving.amount(); // of a run of a fixture, not of all
      return cycles
          + moving.amount() * cost.beginEach
          + most * cost.glance
          + Math.min(most, effort.looks()) * cost.look
          + Math.min(most, effort.close()) * cost.close;
    }
    return cycles;
  }

  private static boolean byData(Effect effect) {
    return effect instanceof Sweep sweep && sweep.way() == Direction.DATA
        || effect instanceof Fill fill && fill.way() == Direction.DATA;
  }
}
