package org.myrialith.cue.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.Levels;

/**
 * The current of levels that all circuits are sent.
 *
 * @param plans of the circuits
 * @param darkAmps what the dark gadget draws (A)
 */
record SentCurrent(List<CircuitPlan> plans, double darkAmps) {
  /** Returns what is drawn in all, without what separate rails supply (A). */
  double amps(List<Levels> sent) {
    double amps = darkAmps;
    for (int c = 0; c < sent.size(); c++) {
      amps += plans.get(c).litAmps(sums(c, sent.get(c)));
    }
    return amps;
  }

  /** Returns what circuits draw from separate rails, by their identifiers (A). */
  Map<String, Double> railAmps(List<Levels> sent) {
    Map<String, Double> rails = new HashMap<>();
    for (int c = 0; c < sent.size(); c++) {
      CircuitPlan plan = plans.get(c);
      if (plan.ownRail()) {
        rails.put(
            plan.circuit().id(), plan.railDarkAmps() + plan.railLitAmps(sums(c, sent.get(c))));
      }
    }
    return rails;
  }

  private long[] sums(int circuit, Levels levels) {
    CircuitPlan plan = plans.get(circuit);
    long[] sums = new long[plan.groups()];
    for (ChannelRange stretch : plan.stretches()) {
      for (int channel = 0; channel < stretch.channels(); channel++) {
        sums[stretch.group(channel)] += levels.at(stretch.firstChannel() + channel);
      }
    }
    return sums;
  }
}
