package org.myrialith.power.supply;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * What is planned for the controller beside what the bare chip draws: on cells a board with its
 * regulator and lamps takes more than the show.
 */
public record ControllerCurrent(TreePlan plan) {
  /** A board's own parts at their least: so many times what the chip draws. */
  private static final double BOARD = 1.5;

  /** Returns what the bare chip draws at its clock and volts (mA), in whole hundredths, up. */
  public static double of(Brief brief) {
    double milliamps = brief.controller().awakeMilliamps(brief.controllerVolts());
    return Math.ceil(milliamps * 100 - 1e-9) / 100;
  }

  private Calculation working(double bare) {
    Brief brief = plan.brief();
    return new Calculation(
        "controller-draw",
        "Bare controller current",
        bare * 1e-3,
        "A",
        "round up(current per MHz and V × clock × supply × 100000) ÷ 100000; in hundredths of a mA",
        List.of(
            given("current per MHz and V", brief.controller().milliampsEach(), "mA/MHz/V"),
            given("clock", brief.controller().clockHz(), "Hz"),
            given("supply", brief.logicVolts(), "V"),
            given("planned", plan.settings().controllerMilliamps() * 1e-3, "A")),
        Source.partClass("highest current of the class, awake"));
  }

  Optional<Finding> judged() {
    double bare = of(plan.brief());
    double planned = plan.settings().controllerMilliamps();
    boolean board = planned > BOARD * bare;
    boolean less = planned < bare / BOARD;
    if (!board && !less) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of(
                Step.POWER,
                "controller-draw",
                Verdict.TIGHT,
                phrase(
                    board
                        ? "Controller current set to %s, as for a board with regulator and LEDs; the bare chip draws up to %s at %s."
                        : "Controller current set to %s; the bare chip alone may draw %s at %s.",
                    Quantity.text(planned * 1e-3, "A"),
                    Quantity.text(bare * 1e-3, "A"),
                    Quantity.text(plan.brief().controller().clockHz(), "Hz")))
            .restingOn(working(bare))
            .mendedBy(
                List.of(
                    new Remedy(
                        phrase("Set it to %s, the bare chip", Quantity.text(bare * 1e-3, "A")),
                        new Change.PlanControllerDraw(bare)))));
  }
}
