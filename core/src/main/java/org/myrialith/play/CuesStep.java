package org.myrialith.play;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/**
 * What the cues have to say.
 *
 * @param plan empty while there are none
 * @param draws what each scene draws at most
 * @param givesAmps what the supply gives; empty while none is named (A)
 */
public record CuesStep(Optional<CuePlan> plan, List<Draw> draws, Optional<Double> givesAmps)
    implements StepPlan {
  /**
   * What a scene draws at most.
   *
   * @param framesAmps its frames as they are sent, with all else dark (A)
   * @param valuesAmps more, with all lights of its values lit (A)
   */
  public record Draw(String id, String name, double framesAmps, double valuesAmps) {
    double amps() {
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

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(plan.map(CuePlan::findings).orElse(List.of()));
    draws.stream()
        .max(Comparator.comparingDouble(Draw::amps))
        .filter(draw -> givesAmps.isPresent())
        .ifPresent(draw -> all.add(current(draw, givesAmps.get())));
    return all;
  }

  private static Finding current(Draw draw, double gives) {
    boolean over = draw.amps() > gives;
    return Finding.of(
            Step.CUES,
            "cues-current",
            over ? Verdict.BREAKS : Verdict.HOLDS,
            phrase(
                "Of all scenes %s draws most, at most %s; the supply gives %s.",
                draw.name(), Quantity.text(draw.amps(), "A"), Quantity.text(gives, "A")))
        .restingOn(reckoning(draw));
  }

  private static Reckoning reckoning(Draw draw) {
    return new Reckoning(
        "scene-" + draw.id(),
        draw.name() + " draws at most",
        draw.amps(),
        "A",
        "its frames as they are sent + all lights of its values",
        List.of(given("frames", draw.framesAmps(), "A"), given("values", draw.valuesAmps(), "A")),
        Source.ARITHMETIC);
  }

  /** Two scenes at once: while one comes over the other, or side by side. */
  private Reckoning crossing() {
    List<Draw> most =
        draws.stream().sorted(Comparator.comparingDouble(Draw::amps).reversed()).limit(2).toList();
    return new Reckoning(
        "scenes-crossing",
        "Any two scenes at once draw less than",
        most.stream().mapToDouble(Draw::amps).sum(),
        "A",
        "the two that draw most, each with all else dark",
        most.stream().map(draw -> given(draw.name(), draw.amps(), "A")).toList(),
        Source.ARITHMETIC);
  }

  @Override
  public List<Reckoning> reckonings() {
    List<Reckoning> all = new ArrayList<>(draws.stream().map(CuesStep::reckoning).toList());
    if (draws.size() > 1) {
      all.add(crossing());
    }
    return List.copyOf(all);
  }
}
