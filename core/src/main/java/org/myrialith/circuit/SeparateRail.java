package org.myrialith.circuit;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.SupplyTree;

/** What hangs on a rail of its own is not the supply's to carry: that is told. */
public final class SeparateRail {
  private SeparateRail() {}

  /**
   * Returns what is open about it.
   *
   * @param amps of everything lit
   */
  public static Finding finding(CircuitPlan plan, String key, double volts, double amps) {
    Calculation working =
        new Calculation(
            key + "-current",
            "Current of the separate rail, everything lit",
            amps,
            "A",
            Calculation.FOUND_BY
                + "adding the currents of all loads of the rail; power is rail × current",
            List.of(given("rail", volts, "V"), given("power", volts * amps, "W")),
            Source.ARITHMETIC);
    String draws =
        phrase(
            "Everything lit: %s from a separate rail of %s (%s).",
            Quantity.text(amps, "A"), Quantity.text(volts, "V"), Quantity.text(volts * amps, "W"));
    Optional<String> node = node(plan);
    if (node.isPresent()) {
      return Finding.of(
              Step.CIRCUITS,
              key,
              Verdict.HOLDS,
              phrase("%s It is supplied from %s.", draws, node.get()))
          .restingOn(working);
    }
    return Finding.of(Step.CIRCUITS, key, Verdict.OPEN, draws)
        .advising(
            "The gadget's own supply does not feed this rail: choose a source for it under Power, with its ground joined to the controller's ground.")
        .restingOn(working);
  }

  /** The node of the supply tree that its lights hang on, as far as it is told. */
  private static Optional<String> node(CircuitPlan plan) {
    return plan.brief().tree().own().stream()
        .filter(draw -> draw.name().equals(plan.circuit().id()))
        .map(SupplyTree.Draw::on)
        .findFirst();
  }
}
