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
 * @param crossings what two of them draw while one comes over the other
 * @param trial what hands set off; empty while the cues can't be obeyed
 * @param givesAmps what the supply gives; empty while none is named (A)
 */
public record CuesStep(
    Optional<CuePlan> plan,
    List<Draw> draws,
    Crossings crossings,
    Optional<HandTrial> trial,
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

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(plan.map(CuePlan::findings).orElse(List.of()));
    draws.stream()
        .max(Comparator.comparingDouble(Draw::amps))
        .filter(draw -> givesAmps.isPresent())
        .ifPresent(draw -> all.add(current(draw, givesAmps.get())));
    crossings.pairs().stream()
        .findFirst()
        .filter(pair -> givesAmps.isPresent() && pair.amps() > givesAmps.get())
        .ifPresent(pair -> all.add(crossing(pair, givesAmps.get())));
    trial
        .flatMap(HandTrial::most)
        .filter(part -> givesAmps.isPresent() && part.peakAmps() > givesAmps.get())
        .ifPresent(part -> all.add(sent(part, givesAmps.get())));
    boolean flashes = all.stream().anyMatch(finding -> finding.key().startsWith("flashes-"));
    if (!flashes) {
      trial.ifPresent(tried -> all.addAll(handsFlash(tried)));
    }
    trial.filter(tried -> !tried.whole()).ifPresent(tried -> all.add(triedInPart(tried)));
    return all;
  }

  private static List<Finding> handsFlash(HandTrial trial) {
    List<Finding> all = new ArrayList<>();
    for (int p = 0; p < trial.parts().size(); p++) {
      HandTrial.Part part = trial.parts().get(p);
      if (part.flashes()) {
        all.add(CueFlashes.flashing("flashes-hands-" + p, part.name(), part.flashingShare()));
      }
    }
    return all;
  }

  /** What was really sent, and not only might be. */
  private static Finding sent(HandTrial.Part part, double gives) {
    return Finding.of(
            Step.CUES,
            "hands-current",
            Verdict.BREAKS,
            phrase(
                "%s: %s are drawn; the supply gives %s.",
                part.name(), Quantity.text(part.peakAmps(), "A"), Quantity.text(gives, "A")))
        .advising(
            "Let cues clear what is on before they come, plan for these frames so that the limiter keeps within the supply, or use a larger one.")
        .restingOn(reckoning(part));
  }

  private static Finding triedInPart(HandTrial trial) {
    return Finding.of(
            Step.CUES,
            "tried-in-part",
            Verdict.OPEN,
            phrase(
                "What hands set off was looked through for %s only: there is much that changes.",
                Quantity.text(trial.millis() / 1000.0, "s")))
        .advising("Try the other inputs yourself, and look for flashes.");
  }

  private static Finding crossing(Crossings.Pair pair, double gives) {
    return Finding.of(
            Step.CUES,
            "cues-crossing",
            Verdict.TIGHT,
            phrase(
                "While one comes over the other, %s draw at most %s; the supply gives %s.",
                pair.names(), Quantity.text(pair.amps(), "A"), Quantity.text(gives, "A")))
        .advising(
            "Let the one clear the other before it comes, plan for these frames so that the limiter keeps within the supply, or use a larger one.")
        .restingOn(reckoning(pair));
  }

  private static Reckoning reckoning(Crossings.Pair pair) {
    return new Reckoning(
        "crossing-" + pair.one() + "-" + pair.other(),
        pair.names() + " at once draw at most",
        pair.amps(),
        "A",
        "the dark gadget + of each fixture the one that draws more where both have frames, else both; within what the limiter lets through",
        List.of(),
        Source.ARITHMETIC);
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

  private Reckoning together() {
    return new Reckoning(
        "scenes-together",
        "All scenes at once draw at most",
        crossings.allAmps(),
        "A",
        "the dark gadget + of each fixture the frames that draw most, and all values; within what the limiter lets through",
        List.of(),
        Source.ARITHMETIC);
  }

  private static Reckoning reckoning(HandTrial.Part part) {
    return new Reckoning(
        "hands-draw",
        "Most that was drawn while hands worked the inputs",
        part.peakAmps(),
        "A",
        "what was sent at each moment of a trial of all inputs; most of it: " + part.name(),
        List.of(),
        Source.ARITHMETIC);
  }

  @Override
  public List<Reckoning> reckonings() {
    List<Reckoning> all = new ArrayList<>(draws.stream().map(CuesStep::reckoning).toList());
    crossings.pairs().stream().limit(1).forEach(pair -> all.add(reckoning(pair)));
    if (crossings.pairs().size() > 1) {
      all.add(together());
    }
    trial.flatMap(HandTrial::most).ifPresent(part -> all.add(reckoning(part)));
    return List.copyOf(all);
  }
}
