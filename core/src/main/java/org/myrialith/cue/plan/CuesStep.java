package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/**
 * What the cues have to say.
 *
 * @param plan empty while there are none
 * @param draws what each scene draws at most
 * @param crossings what two of them draw while one comes over the other
 * @param trial what hands set off; empty while the cues can't be obeyed
 * @param givesAmps what the supply gives; empty while none is named (A)
 */
public record CuesStep(
    Optional<CuePlan> plan,
    List<Draw> draws,
    SceneOverlap crossings,
    Optional<InputTrial> trial,
    Optional<Double> givesAmps)
    implements StepPlan {
  /**
   * What a scene draws at most.
   *
   * @param framesAmps its frames as they are sent, with all else dark (A)
   * @param valuesAmps more, with all lights of its values lit (A)
   * @param shown whether any cue shows it
   */
  public record Draw(String id, String name, double framesAmps, double valuesAmps, boolean shown) {
    /** Returns both together (A). */
    public double amps() {
      return framesAmps + valuesAmps;
    }
  }

  public CuesStep {
    draws = List.copyOf(draws);
  }

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

  private CueCurrents currents() {
    return new CueCurrents(draws, crossings, trial.flatMap(InputTrial::most), givesAmps);
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(plan.map(CuePlan::findings).orElse(List.of()));
    all.addAll(currents().findings());
    boolean flashes = all.stream().anyMatch(finding -> finding.key().startsWith("flashes-"));
    if (!flashes) {
      trial.ifPresent(tried -> all.addAll(handsFlash(tried)));
    }
    trial.filter(tried -> !tried.whole()).ifPresent(tried -> all.add(triedInPart(tried)));
    return all;
  }

  private static List<Finding> handsFlash(InputTrial trial) {
    List<Finding> all = new ArrayList<>();
    for (int p = 0; p < trial.parts().size(); p++) {
      InputTrial.Part part = trial.parts().get(p);
      if (part.flashes()) {
        all.add(
            CueFlashes.flashing(
                "flashes-hands-" + p, part.name(), part.flashingShare(), trial.from()));
      }
    }
    return all;
  }

  private static Finding triedInPart(InputTrial trial) {
    return Finding.of(
            Step.CUES,
            "tried-in-part",
            Verdict.OPEN,
            phrase(
                "Input sequences were tried for %s only: the cues have very many states.",
                Quantity.text(trial.millis() / 1000.0, "s")))
        .advising("Try the remaining inputs yourself, and watch for flashes.");
  }

  @Override
  public List<Calculation> calculations() {
    return currents().calculations();
  }
}
