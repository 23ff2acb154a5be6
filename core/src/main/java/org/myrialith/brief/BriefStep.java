package org.myrialith.brief;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;

/** What the brief has to say. */
public record BriefStep(Brief brief) implements StepPlan {
  @Override
  public Step step() {
    return Step.BRIEF;
  }

  @Override
  public String headline() {
    return brief.supply().map(s -> Quantity.text(s.amps(), "A")).orElse("no supply");
  }

  @Override
  public List<Finding> findings() {
    if (brief.supply().isEmpty()) {
      return List.of(
          Finding.of(Step.BRIEF, "supply", Verdict.OPEN, "No power source named yet.")
              .advising("Name the power source and its rated current."));
    }
    Supply supply = brief.supply().get();
    Finding named =
        Finding.of(
            Step.BRIEF,
            "supply",
            Verdict.HOLDS,
            phrase(
                "%s: %s at %s.",
                supply.name(),
                Quantity.text(supply.amps(), "A"),
                Quantity.text(supply.volts(), "V")));
    double least = brief.controller().leastVolts(brief.controllerVolts());
    double fed = brief.controllerVolts();
    List<Finding> all = new ArrayList<>();
    if (fed < least) {
      all.add(tooLow(fed, least));
    } else if (fed > Controller.MOST_VOLTS) {
      all.add(tooHigh(fed));
    }
    all.add(named);
    if (brief.controller().straight(fed) && fed >= least) {
      all.add(bare(fed));
    }
    if (brief.controller().portable() && brief.clock() != ClockRate.USUAL) {
      all.add(keepsItsClock());
    }
    return List.copyOf(all);
  }

  /** The rail goes to the pin of 3.3 V, not to the one before the regulator. */
  private static Finding bare(double fed) {
    return Finding.of(
        Step.BRIEF,
        "controller-bare",
        Verdict.HOLDS,
        phrase(
            "The controller is supplied directly from %s: connect it to its 3.3 V pin, not to its regulator input.",
            Quantity.text(fed, "V")));
  }

  private Finding keepsItsClock() {
    return Finding.of(
            Step.BRIEF,
            "own-clock",
            Verdict.TIGHT,
            phrase(
                "%s requested; this class runs at a fixed %s.",
                brief.clock().title(), Quantity.text(brief.controller().clockHz(), "Hz")))
        .mendedBy(
            List.of(new Remedy("Use its usual clock", new Change.UseClock(ClockRate.USUAL.key()))));
  }

  private Finding tooHigh(double fed) {
    return Finding.of(
            Harm.PARTS,
            Step.BRIEF,
            "controller-volts",
            Verdict.BREAKS,
            phrase(
                "Controller supply %s; absolute maximum %s.",
                Quantity.text(fed, "V"), Quantity.text(Controller.MOST_VOLTS, "V")))
        .advising("Insert a converter under Power and supply the controller from it.")
        .restingOn(
            new Calculation(
                "most-volts",
                "Controller supply",
                fed,
                "V",
                "supply node of the controller",
                List.of(
                    Calculation.given("supply node of the controller", fed, "V"),
                    Calculation.given("absolute maximum", Controller.MOST_VOLTS, "V")),
                Source.partClass("data of the class")));
  }

  /** Lowest supply of the class at its clock; of a board with a regulator, what that needs. */
  private String leastFormula(double fed, double least) {
    Controller controller = brief.controller();
    if (controller.portable()) {
      return controller.straight(fed)
          ? Quantity.text(least, "V")
          : "3.3 V + 0.3 V; dropout voltage of the regulator on the board";
    }
    if (controller.clockHz() > 10e6) {
      return "2.7 V + (clock − 10 MHz) ÷ 10 MHz × 1.8 V";
    }
    return controller.clockHz() > 4e6
        ? "1.8 V + (clock − 4 MHz) ÷ 6 MHz × 0.9 V"
        : "1.8 V; up to 4 MHz";
  }

  private Finding tooLow(double fed, double least) {
    return Finding.of(
            Step.BRIEF,
            "controller-volts",
            Verdict.BREAKS,
            phrase(
                "Controller supply %s; at %s it needs %s or more.",
                Quantity.text(fed, "V"),
                Quantity.text(brief.controller().clockHz(), "Hz"),
                Quantity.text(least, "V")))
        .advising("Use a supply of about 5 V, or insert a step-up converter under Power.")
        .mendedBy(slower(fed))
        .restingOn(
            new Calculation(
                "least-volts",
                "Minimum supply of the controller",
                least,
                "V",
                leastFormula(fed, least),
                List.of(
                    Calculation.given("clock", brief.controller().clockHz(), "Hz"),
                    Calculation.given("controller supply", fed, "V")),
                Source.partClass(
                    brief.controller().portable()
                        ? "32-bit controller on a board with a regulator (common practice)"
                        : "8-bit controller: 4 MHz from 1.8 V, 10 MHz from 2.7 V, 20 MHz from 4.5 V")));
  }

  /** Clocks that do with what it gets. */
  private List<Remedy> slower(double fed) {
    return Arrays.stream(ClockRate.values())
        .filter(rate -> rate != brief.clock())
        .filter(rate -> brief.at(rate).controller().leastVolts(fed) <= fed)
        .map(
            rate ->
                new Remedy(
                    phrase(
                        "Run at %s (enough for multiplexed LEDs): needs %s",
                        Quantity.text(brief.at(rate).controller().clockHz(), "Hz"),
                        Quantity.text(brief.at(rate).controller().leastVolts(fed), "V")),
                    new Change.UseClock(rate.key())))
        .toList();
  }

  @Override
  public List<Calculation> calculations() {
    return List.of();
  }
}
