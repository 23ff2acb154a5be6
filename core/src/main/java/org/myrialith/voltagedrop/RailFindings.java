package org.myrialith.voltagedrop;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * What is judged of the volts along a chain.
 *
 * @param forWorst whether everything at its most is planned for; else the moment that draws most
 * @param brightnessPercent limit of the gadget
 * @param share what everything lights with at its most under a limit (0 to 1)
 */
public record RailFindings(
    RailPlan plan, boolean forWorst, int brightnessPercent, IntToDoubleFunction share) {
  String key(String name) {
    return name + "-" + plan.settings().circuit();
  }

  RailPlan.Course planned() {
    return forWorst ? plan.worst() : plan.shown().orElse(plan.worst());
  }

  Finding finding(String name, Verdict verdict, String says) {
    return Finding.of(Step.POWER, key(name), verdict, says);
  }

  /** Returns all of them; of what the maker has not told, only what would not do. */
  public List<Finding> all() {
    Finding volts = new RailVolts(this).volts();
    if (!plan.said()) {
      return volts.verdict() == Verdict.HOLDS ? List.of() : List.of(volts);
    }
    List<Finding> all = new ArrayList<>(List.of(volts));
    all.addAll(new RailWires(this).all());
    return all;
  }
}
