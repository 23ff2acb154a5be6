package org.myrialith.flicker;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;

/**
 * What a camera gets of each light in each of its frames.
 *
 * @param shares by frame and channel: light that falls on its line, as a share of what an even
 *     light of its mean would give; no number for one that is dark
 */
public record Exposures(double[][] shares) {
  /** Frames after which a beat has shown itself, as a rule. */
  public static final int FRAMES = 30;

  /**
   * Works them out. The scan begins with the first frame; its turns and the frames part from there.
   *
   * @param down of each channel, share of the picture's height above it
   */
  public static Exposures of(
      ScannedPlan plan, Levels levels, double[] down, Camera camera, int frames) {
    List<List<ScanTiming.Slot>> byTurn = new ArrayList<>();
    for (int turn = 0; turn < plan.timing().turns(); turn++) {
      byTurn.add(new ArrayList<>());
    }
    plan.timing().slots().forEach(slot -> byTurn.get(slot.row()).add(slot));
    double[][] shares = new double[frames][levels.size()];
    for (int channel = 0; channel < levels.size(); channel++) {
      int output = plan.map().outputs().get(channel);
      int turn = output / plan.lightsOfATurn();
      if (turn < byTurn.size()) {
        Light light = new Light(plan.timing(), byTurn.get(turn), levels.at(channel));
        for (int frame = 0; frame < frames; frame++) {
          double opens = camera.opensSeconds(frame, down[channel]);
          double got = light.until(opens + camera.shutterSeconds()) - light.until(opens);
          shares[frame][channel] = got / (camera.shutterSeconds() * light.lit / light.period);
        }
      }
    }
    return new Exposures(shares);
  }

  /** One light, over and over. */
  private static final class Light {
    private final double[] starts;
    private final double[] ends;

    /** How long it was lit before each of its slots (s). */
    private final double[] before;

    private final double period;
    private final double lit;

    Light(ScanTiming timing, List<ScanTiming.Slot> own, int level) {
      List<ScanTiming.Slot> slots = own.stream().filter(s -> timing.lit(level, s)).toList();
      starts = slots.stream().mapToDouble(ScanTiming.Slot::startSeconds).toArray();
      ends = slots.stream().mapToDouble(s -> s.startSeconds() + s.seconds()).toArray();
      before = new double[starts.length];
      double all = 0;
      for (int slot = 0; slot < starts.length; slot++) {
        before[slot] = all;
        all += ends[slot] - starts[slot];
      }
      period = 1 / timing.wholeHz();
      lit = all;
    }

    /** How long it was lit until then (s). */
    double until(double seconds) {
      double whole = Math.floor(seconds / period);
      double within = seconds - whole * period;
      int found = Arrays.binarySearch(starts, within);
      int slot = found >= 0 ? found : -found - 2;
      double since = slot < 0 ? 0 : before[slot] + Math.min(within, ends[slot]) - starts[slot];
      return whole * lit + since;
    }
  }

  private double most(boolean largest) {
    double found = largest ? 0 : Double.MAX_VALUE;
    for (double[] frame : shares) {
      for (double share : frame) {
        if (!Double.isNaN(share)) {
          found = largest ? Math.max(found, share) : Math.min(found, share);
        }
      }
    }
    return found == Double.MAX_VALUE ? 0 : found;
  }

  /** Returns the brightest light of any frame, 1 for as bright as it is. */
  public double brightest() {
    return most(true);
  }

  /** Returns the dimmest light of any frame that lights at all. */
  public double dimmest() {
    return most(false);
  }

  /** Returns how much bands stand out: (brightest − dimmest) ÷ (brightest + dimmest). */
  public double contrast() {
    double sum = brightest() + dimmest();
    return sum == 0 ? 0 : (brightest() - dimmest()) / sum;
  }
}
