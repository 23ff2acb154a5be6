package org.myrialith.flicker;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/** What is seen of lights that have their turns, and of what moves. */
public record ScanStep(ScanSettings settings, Wiring wiring) implements StepPlan {
  @Override
  public Step step() {
    return Step.SCAN;
  }

  /** Returns the circuits whose lights have their turns. */
  public List<ScannedPlan> scanned() {
    return wiring.plans().stream()
        .filter(plan -> plan.channels() > 0)
        .filter(ScannedPlan.class::isInstance)
        .map(ScannedPlan.class::cast)
        .toList();
  }

  /** Returns where the lights of a circuit are. */
  public Places places(CircuitPlan plan) {
    return Places.of(wiring.layout(), plan);
  }

  @Override
  public String headline() {
    Optional<ScannedPlan> slowest =
        scanned().stream().min(Comparator.comparingDouble(plan -> plan.timing().refreshHz()));
    if (slowest.isPresent()) {
      return Quantity.text(Math.floor(slowest.get().timing().refreshHz()), "Hz");
    }
    return settings.strobe().there()
        ? Quantity.text(settings.strobe().hertz(), "Hz")
        : settings.bar().there() ? Quantity.text(settings.bar().movesHz(), "Hz") : "no scan";
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    List<ScannedPlan> plans = scanned();
    for (ScannedPlan plan : plans) {
      String about = plans.size() > 1 ? plan.circuit().name() : "";
      new SeenFindings(plan, places(plan), settings).all().forEach(f -> all.add(f.about(about)));
    }
    if (settings.strobe().there()) {
      all.addAll(new StrobeFindings(settings.strobe()).all());
    }
    if (settings.bar().there()) {
      all.addAll(new BarFindings(settings.bar(), wiring.plans()).all());
    }
    if (all.isEmpty()) {
      all.add(
          Finding.of(
              Step.SCAN,
              "no-turns",
              Verdict.HOLDS,
              "No multiplexed LEDs in this gadget: pixels and driver chips refresh themselves."));
    }
    return List.copyOf(all);
  }

  @Override
  public List<Calculation> calculations() {
    return findings().stream().flatMap(f -> f.calculations().stream()).toList();
  }
}
