package org.myrialith.cue.plan;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * What is judged of the currents of cues.
 *
 * @param draws what each scene draws at most
 * @param crossings what two of them draw while one comes over the other
 * @param tried the part of a trial by hand in which most was sent
 * @param givesAmps what the supply gives; empty while none is named (A)
 */
record CueCurrents(
    List<CuesStep.Draw> draws,
    SceneOverlap crossings,
    Optional<InputTrial.Part> tried,
    Optional<Double> givesAmps) {
  private static final String WITHIN =
      ", plan for these frames so that the limiter stays within the supply, or use a larger supply.";

  List<Finding> findings() {
    return givesAmps.map(this::findings).orElse(List.of());
  }

  private List<Finding> findings(double gives) {
    List<Finding> all = new ArrayList<>();
    draws.stream()
        .max(Comparator.comparingDouble(CuesStep.Draw::amps))
        .ifPresent(draw -> all.add(current(draw, gives)));
    crossings.pairs().stream()
        .findFirst()
        .filter(pair -> pair.amps() > gives)
        .ifPresent(pair -> all.add(crossing(pair, gives)));
    tried.filter(part -> part.peakAmps() > gives).ifPresent(part -> all.add(sent(part, gives)));
    return all;
  }

  List<Calculation> calculations() {
    List<Calculation> all = new ArrayList<>(draws.stream().map(CueCurrents::calculation).toList());
    crossings.pairs().stream().limit(1).forEach(pair -> all.add(calculation(pair)));
    if (crossings.pairs().size() > 1) {
      all.add(together());
    }
    tried.ifPresent(part -> all.add(calculation(part)));
    return List.copyOf(all);
  }

  /** What was really sent, and not only might be. */
  private static Finding sent(InputTrial.Part part, double gives) {
    return Finding.of(
            Harm.PARTS,
            Step.CUES,
            "hands-current",
            Verdict.BREAKS,
            phrase(
                "%s: %s drawn; supply rating %s.",
                part.name(), Quantity.text(part.peakAmps(), "A"), Quantity.text(gives, "A")))
        .advising("Let cues clear what is on before they show" + WITHIN)
        .restingOn(calculation(part));
  }

  private static Finding crossing(SceneOverlap.Pair pair, double gives) {
    return Finding.of(
            Harm.PARTS,
            Step.CUES,
            "cues-crossing",
            Verdict.TIGHT,
            phrase(
                "With one shown over the other, %s draw at most %s; supply rating %s.",
                pair.names(), Quantity.text(pair.amps(), "A"), Quantity.text(gives, "A")))
        .advising("Let one clear the other before it shows" + WITHIN)
        .restingOn(calculation(pair));
  }

  private static Calculation calculation(SceneOverlap.Pair pair) {
    return new Calculation(
        "crossing-" + pair.one() + "-" + pair.other(),
        pair.names() + " at once draw at most",
        pair.amps(),
        "A",
        Calculation.FOUND_BY
            + "adding to the dark gadget, per fixture, the scene that draws more where both have frames, else both; no more than the limiter allows",
        List.of(),
        Source.ARITHMETIC);
  }

  private static Finding current(CuesStep.Draw draw, double gives) {
    boolean over = draw.amps() > gives;
    return Finding.of(
            Harm.PARTS,
            Step.CUES,
            "cues-current",
            over ? Verdict.BREAKS : Verdict.HOLDS,
            phrase(
                "Highest scene current: %s, at most %s; supply rating %s.",
                draw.name(), Quantity.text(draw.amps(), "A"), Quantity.text(gives, "A")))
        .restingOn(calculation(draw));
  }

  private static Calculation calculation(CuesStep.Draw draw) {
    return new Calculation(
        "scene-" + draw.id(),
        draw.name() + " draws at most",
        draw.amps(),
        "A",
        "frames + values; frames as sent, all LEDs of its values",
        List.of(given("frames", draw.framesAmps(), "A"), given("values", draw.valuesAmps(), "A")),
        Source.ARITHMETIC);
  }

  private Calculation together() {
    return new Calculation(
        "scenes-together",
        "All scenes at once draw at most",
        crossings.allAmps(),
        "A",
        Calculation.FOUND_BY
            + "adding to the dark gadget, per fixture, the frames that draw most, and all values; no more than the limiter allows",
        List.of(),
        Source.ARITHMETIC);
  }

  private static Calculation calculation(InputTrial.Part part) {
    return new Calculation(
        "hands-draw",
        "Highest current with inputs in use",
        part.peakAmps(),
        "A",
        Calculation.FOUND_BY
            + "trying all inputs and adding what is sent at each moment; highest with: "
            + part.name(),
        List.of(),
        Source.ARITHMETIC);
  }
}
