package org.myrialith.brief;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
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
          Finding.of(Step.BRIEF, "supply", Verdict.OPEN, "No supply is named yet.")
              .advising("Name the supply and its rated current."));
    }
    Supply supply = brief.supply().get();
    Finding named =
        Finding.of(
            Step.BRIEF,
            "supply",
            Verdict.HOLDS,
            phrase(
                "%s gives %s at %s.",
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
            "The controller runs straight on %s: connect it to its 3.3 V pin, not to the input of its regulator.",
            Quantity.text(fed, "V")));
  }

  private Finding keepsItsClock() {
    return Finding.of(
            Step.BRIEF,
            "own-clock",
            Verdict.TIGHT,
            phrase(
                "Asked for is %s; this class keeps its own of %s.",
                brief.clock().title(), Quantity.text(brief.controller().clockHz(), "Hz")))
        .mendedBy(
            List.of(new Remedy("Use its usual clock", new Change.UseClock(ClockRate.USUAL.key()))));
  }

  private Finding tooHigh(double fed) {
    return Finding.of(
            Step.BRIEF,
            "controller-volts",
            Verdict.BREAKS,
            phrase(
                "The controller gets %s; %s is the very most that it stands.",
                Quantity.text(fed, "V"), Quantity.text(Controller.MOST_VOLTS, "V")))
        .advising("Put a converter between, under Power, and hang the controller on it.")
        .restingOn(
            new Calculation(
                "most-volts",
                "What the controller gets",
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
                "The controller gets %s; at %s it needs %s or more.",
                Quantity.text(fed, "V"),
                Quantity.text(brief.controller().clockHz(), "Hz"),
                Quantity.text(least, "V")))
        .advising("Use a supply of about 5 V, or a step-up converter between, under Power.")
        .mendedBy(slower(fed))
        .restingOn(
            new Calculation(
                "least-volts",
                "Least volts of the controller",
                least,
                "V",
                leastFormula(fed, least),
                List.of(
                    Calculation.given("clock", brief.controller().clockHz(), "Hz"),
                    Calculation.given("it gets", fed, "V")),
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
                        "Run it at %s, which lights by turns can: %s is enough",
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
