package org.myrialith.firmware.plan;

import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.pack.Savings;
import org.myrialith.parts.Controller;

/**
 * What the firmware has to say.
 *
 * @param plan empty when there is nothing to play
 * @param smallest class of controller that would do, below the one that was chosen
 * @param smaller ways to frames that take less flash, where they take too much
 */
public record FirmwareStep(
    Optional<FirmwarePlan> plan, Optional<Controller> smallest, Savings smaller)
    implements StepPlan {
  @Override
  public Step step() {
    return Step.FIRMWARE;
  }

  @Override
  public String headline() {
    return plan.map(FirmwarePlan::headline).orElse("nothing yet");
  }

  @Override
  public List<Finding> findings() {
    return plan.map(p -> p.findings(smallest, smaller))
        .orElse(
            List.of(
                Finding.of(
                        Step.FIRMWARE, "no-firmware", Verdict.OPEN, "There is nothing to play yet.")
                    .advising(
                        "Add a fixture and a frame, and correct invalid cues; one-wire lines need the clock they are timed for.")));
  }

  @Override
  public List<Calculation> calculations() {
    return plan.map(FirmwarePlan::calculations).orElse(List.of());
  }
}
