package org.myrialith.colour;

import java.util.List;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/**
 * What the correction of colour has to say.
 *
 * @param tables for the depths of level that the circuits have, at least one
 * @param lights whether anything is driven that it is about
 */
public record ColourStep(List<LevelTable> tables, boolean lights) implements StepPlan {
  public ColourStep {
    tables = List.copyOf(tables);
  }

  @Override
  public Step step() {
    return Step.COLOUR;
  }

  @Override
  public String headline() {
    return tables.get(0).settings().brightnessPercent() + " %";
  }

  @Override
  public List<Finding> findings() {
    return lights
        ? tables.get(0).findings()
        : List.of(
            Finding.of(
                    Step.COLOUR,
                    "no-light",
                    Verdict.OPEN,
                    "Nothing lights up yet that could be corrected.")
                .advising("Add what lights up, and drive it."));
  }

  @Override
  public List<Reckoning> reckonings() {
    return tables.get(0).reckonings();
  }
}
