package org.myrialith.colour;

import java.util.List;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;

/**
 * What the correction of colour has to say.
 *
 * @param tables for the depths of level that the circuits have, at least one
 */
public record ColourStep(List<LevelTable> tables) implements StepPlan {
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
    return tables.get(0).findings();
  }

  @Override
  public List<Reckoning> reckonings() {
    return tables.get(0).reckonings();
  }
}
