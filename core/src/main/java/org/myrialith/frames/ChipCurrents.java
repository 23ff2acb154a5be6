package org.myrialith.frames;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.colour.Levels;

/** What each chip carries when a show lights the most of its outputs at once. */
public final class ChipCurrents {
  private ChipCurrents() {}

  /**
   * Works them out: an output that lights at all counts in full, as those of a grey scale begin
   * together.
   *
   * @param clips of the show, in its order
   * @return the most that each chip carries in any moment (A), by identifier of the circuit; only
   *     circuits with outputs on which something plays
   */
  public static Map<String, double[]> of(Wiring wiring, Show show, List<ClipLevels> clips) {
    Map<String, double[]> all = new HashMap<>();
    for (CircuitPlan plan : wiring.plans()) {
      if (plan instanceof SwitchedPlan switched) {
        List<Integer> own = new ArrayList<>();
        for (int k = 0; k < clips.size(); k++) {
          if (clips.get(k).plan() == plan) {
            own.add(k);
          }
        }
        if (!own.isEmpty()) {
          all.put(plan.circuit().id(), most(switched, show, clips, own));
        }
      }
    }
    return all;
  }

  private static double[] most(
      SwitchedPlan plan, Show show, List<ClipLevels> clips, List<Integer> own) {
    List<double[][]> perFrame = own.stream().map(k -> perFrame(plan, clips.get(k))).toList();
    double[] most = new double[plan.map().chips()];
    if (own.size() == 1) {
      for (double[] chips : perFrame.get(0)) {
        raise(most, chips);
      }
      return most;
    }
    double[] now = new double[most.length];
    show.walk(
        (index, start, hold, frames) -> {
          Arrays.fill(now, 0);
          for (int k = 0; k < own.size(); k++) {
            double[] chips = perFrame.get(k)[frames[own.get(k)]];
            for (int chip = 0; chip < now.length; chip++) {
              now[chip] += chips[chip];
            }
          }
          raise(most, now);
        });
    return most;
  }

  private static void raise(double[] most, double[] chips) {
    for (int chip = 0; chip < most.length; chip++) {
      most[chip] = Math.max(most[chip], chips[chip]);
    }
  }

  private static double[][] perFrame(SwitchedPlan plan, ClipLevels clip) {
    Map<Levels, double[]> known = new HashMap<>();
    return clip.perFrame().stream()
        .map(levels -> known.computeIfAbsent(levels, l -> chips(plan, clip, l)))
        .toArray(double[][]::new);
  }

  private static double[] chips(SwitchedPlan plan, ClipLevels clip, Levels levels) {
    double[] amps = new double[plan.map().chips()];
    int first = clip.stretch().firstChannel();
    for (int i = 0; i < levels.size(); i++) {
      if (levels.at(i) > 0) {
        int load = plan.map().channels().get(first + i).load();
        amps[plan.map().chip(first + i)] += plan.outputAmps(plan.switching().loads().get(load));
      }
    }
    return amps;
  }
}
