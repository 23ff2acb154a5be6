package org.myrialith.scan;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.drive.ScanTiming;
import org.myrialith.drive.ScannedPlan;

/**
 * What a camera gets of each light in each of its frames.
 *
 * @param shares by frame and channel: light that falls on its line, as a share of what an even
 *     light of its mean would give; 0 for one that is dark
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
        for (int frame = 0; frame < frames && light.lit > 0; frame++) {
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
    private final List<ScanTiming.Slot> slots = new ArrayList<>();
    private final double period;
    private final double lit;

    Light(ScanTiming timing, List<ScanTiming.Slot> own, int level) {
      own.stream().filter(slot -> timing.lit(level, slot)).forEach(slots::add);
      period = 1 / timing.wholeHz();
      lit = slots.stream().mapToDouble(ScanTiming.Slot::seconds).sum();
    }

    /** How long it was lit until then (s). */
    double until(double seconds) {
      double whole = Math.floor(seconds / period);
      double within = seconds - whole * period;
      double all = whole * lit;
      for (ScanTiming.Slot slot : slots) {
        all += Math.max(0, Math.min(slot.seconds(), within - slot.startSeconds()));
      }
      return all;
    }
  }

  private double most(boolean largest) {
    double found = largest ? 0 : Double.MAX_VALUE;
    for (double[] frame : shares) {
      for (int channel = 0; channel < frame.length; channel++) {
        if (shares.length > 0 && lights(channel)) {
          found = largest ? Math.max(found, frame[channel]) : Math.min(found, frame[channel]);
        }
      }
    }
    return found == Double.MAX_VALUE ? 0 : found;
  }

  /** Whether a light is seen in any frame; one that no frame has seen is in none of them. */
  private boolean lights(int channel) {
    for (double[] frame : shares) {
      if (frame[channel] > 0) {
        return true;
      }
    }
    return false;
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
