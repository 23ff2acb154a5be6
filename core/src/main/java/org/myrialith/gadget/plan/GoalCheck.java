package org.myrialith.gadget.plan;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.myrialith.cue.plan.CuesStep;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.supply.BatteryLife;

/** How far a gadget is from its goals. */
public record GoalCheck(GadgetPlan plan) {
  /** Nearer than that it is tight, not broken. */
  private static final double NEAR = 0.9;

  /**
   * Returns the figure that the gadget reaches, in the unit of the goal; empty as long as there is
   * nothing to work it out from.
   */
  public OptionalDouble figure(Goal goal) {
    return switch (goal) {
      case BATTERY_LIFE -> batteryHours();
      case CURRENT -> peakAmps();
      case FRAME_RATE -> framesPerSecond();
    };
  }

  private boolean shows() {
    return plan.power().plays();
  }

  private OptionalDouble batteryHours() {
    return plan.tree().stream()
        .filter(tree -> tree.supply().kind().runsEmpty() && shows())
        .mapToDouble(tree -> new BatteryLife(tree).showHours())
        .findFirst();
  }

  /** Of the supply, with what converters lose, in the moment that draws most of all scenes. */
  private OptionalDouble peakAmps() {
    if (!shows() || plan.wiring().emitters() == 0) {
      return OptionalDouble.empty();
    }
    double own =
        plan.tree()
            .map(tree -> tree.peak().node(SupplyTree.SUPPLY).amps())
            .orElseGet(() -> plan.power().playedPeakAmps());
    double scenes =
        plan.step(Step.CUES) instanceof CuesStep cues
            ? cues.draws().stream().mapToDouble(CuesStep.Draw::amps).max().orElse(0)
            : 0;
    return OptionalDouble.of(Math.max(own, scenes));
  }

  private OptionalDouble framesPerSecond() {
    return plan.calculations(Step.CIRCUITS).stream()
        .filter(number -> number.key().equals("player-refresh"))
        .mapToDouble(Calculation::value)
        .findFirst();
  }

  /** Returns the judgements of the goals that a step works out, beside those of its own. */
  List<Finding> findings(Step step) {
    List<Finding> all = new ArrayList<>();
    for (Goal goal : List.of(Goal.CURRENT, Goal.FRAME_RATE)) { // battery life is judged with cells
      if (goal.step() == step && goal.wanted(plan.gadget()) > 0) {
        all.add(judged(goal, goal.wanted(plan.gadget())));
      }
    }
    return all;
  }

  private Finding judged(Goal goal, double wanted) {
    String key = goal.findingKey();
    String limit = phrase("goal %s", Quantity.text(wanted, goal.unit()));
    OptionalDouble figure = figure(goal);
    if (figure.isEmpty()) {
      return Finding.of(
              goal.step(),
              key,
              Verdict.OPEN,
              phrase("%s: %s. There are no frames yet to check it with.", goal.title(), limit))
          .advising("Connect a fixture and draw frames.");
    }
    double reached = figure.getAsDouble();
    boolean met = goal.reached(reached, wanted);
    Verdict near = goal.share(reached, wanted) >= NEAR ? Verdict.TIGHT : Verdict.BREAKS;
    Finding finding =
        Finding.of(
                goal.step(),
                key,
                met ? Verdict.HOLDS : near,
                phrase(
                    "%s %s; %s.",
                    goal.title(), Quantity.text(reached, goal.unit()), told(goal, limit)))
            .restingOn(working(goal, key, reached, wanted));
    return met ? finding : finding.advising("See the ranked changes under Brief.");
  }

  private static String told(Goal goal, String limit) {
    return limit + (goal == Goal.CURRENT ? " at most" : " at least");
  }

  private Calculation working(Goal goal, String key, double reached, double wanted) {
    return new Calculation(
        key,
        phrase("%s, share of the goal", goal.title()),
        100 * goal.share(reached, wanted),
        "%",
        goal == Goal.CURRENT ? "goal ÷ reached × 100" : "reached ÷ goal × 100",
        List.of(given("reached", reached, goal.unit()), given("goal", wanted, goal.unit())),
        Source.OWN_ENTRY);
  }
}
