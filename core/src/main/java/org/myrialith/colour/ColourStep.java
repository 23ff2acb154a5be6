package org.myrialith.colour;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/**
 * What the correction of colour has to say.
 *
 * @param table of what can be dimmed
 * @param dims whether anything is driven that can be dimmed
 * @param switches whether anything is driven that is only on or off
 */
public record ColourStep(LevelTable table, boolean dims, boolean switches) implements StepPlan {

  @Override
  public Step step() {
    return Step.COLOUR;
  }

  @Override
  public String headline() {
    return dims || !switches ? table.settings().brightnessPercent() + " %" : "on or off";
  }

  @Override
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (dims) {
      findings.addAll(table.findings());
    }
    if (switches) {
      findings.add(switched());
    }
    if (findings.isEmpty()) {
      findings.add(
          Finding.of(
                  Step.COLOUR,
                  "no-light",
                  Verdict.OPEN,
                  "Nothing lights up yet that could be corrected.")
              .advising("Add what lights up, and drive it."));
    }
    return List.copyOf(findings);
  }

  private Finding switched() {
    String says =
        phrase(
            "What is only on or off is lit where at least %d of 255 is asked; curve and brightness limit have no say there.",
            LevelTable.LIT_FROM);
    return table.settings().brightnessPercent() < 100
        ? Finding.of(Step.COLOUR, "on-or-off", Verdict.TIGHT, says)
            .advising(
                "The brightness limit does not dim it: its resistors and how many light at once decide.")
        : Finding.of(Step.COLOUR, "on-or-off", Verdict.HOLDS, says);
  }

  @Override
  public List<Reckoning> reckonings() {
    return dims || !switches ? table.reckonings() : List.of();
  }
}
