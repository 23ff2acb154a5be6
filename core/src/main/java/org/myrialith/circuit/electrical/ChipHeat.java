package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * Outputs that keep a current turn what the LEDs leave into heat.
 *
 * @param key of the finding
 * @param watts of the hottest chip
 * @param formula of that
 */
public record ChipHeat(String key, double watts, String formula) {
  /** Heat that a package without a sink gets rid of (W), common practice. */
  private static final double CHIP_WATTS = 1;

  public Finding finding() {
    boolean cool = watts <= CHIP_WATTS;
    Calculation working =
        new Calculation(
            key,
            "Dissipation of the hottest chip, everything lit",
            watts,
            "W",
            formula,
            List.of(given("without heat sink", CHIP_WATTS, "W")),
            Source.COMMON_PRACTICE);
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                key,
                cool ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "With everything lit, the hottest chip dissipates %s; about %s is allowed.",
                    Quantity.text(watts, "W"), Quantity.text(CHIP_WATTS, "W")))
            .restingOn(working);
    return cool
        ? finding
        : finding.advising(
            "Use a supply closer to the forward voltage, or add series resistors that take part of the heat.");
  }
}
