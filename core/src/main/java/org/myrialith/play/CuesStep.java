package org.myrialith.play;

import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;

/**
 * What the cues have to say.
 *
 * @param plan empty while there are none
 */
public record CuesStep(Optional<CuePlan> plan) implements StepPlan {
  @Override
  public Step step() {
    return Step.CUES;
  }

  @Override
  public String headline() {
    return plan.map(p -> p.sheet().cues().size())
        .map(cues -> cues == 1 ? "1 cue" : cues + " cues")
        .orElse("no cues");
  }

  @Override
  public List<Finding> findings() {
    return plan.map(CuePlan::findings).orElse(List.of());
  }

  @Override
  public List<Reckoning> reckonings() {
    return List.of();
  }
}
