package org.myrialith.layout.judge;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;

/** The judgements on a layout. */
public record LayoutJudgement(Layout layout, LayoutPlan plan) {
  /** Two centres nearer than this are one place (mm): no package is smaller. */
  private static final double SAME_PLACE_MM = 0.5;

  /** Bodies nearer than this touch (mm). */
  private static final double TOUCH_MM = 0.05;

  /** Returns all of them. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (plan.fixtures().isEmpty()) {
      findings.add(
          Finding.of(Step.LAYOUT, "no-fixtures", Verdict.OPEN, "No fixtures yet.")
              .advising("Add a fixture: a panel, a strip, digits or another kind."));
      return findings;
    }
    bodies(findings);
    outside().ifPresent(findings::add);
    for (Fixture fixture : plan.fixtures()) {
      findings.addAll(fixture.shape().findings(fixture));
    }
    findings.addAll(new Legibility(plan, layout.site()).findings());
    return List.copyOf(findings);
  }

  private String names(Emitter emitter) {
    return phrase("%s, LED %d", plan.fixtureOf(emitter).name(), emitter.index());
  }

  private void bodies(List<Finding> findings) {
    double[] half =
        plan.fixtures().stream()
            .mapToDouble(f -> Math.max(layout.emitterOf(f).slimMm(), SAME_PLACE_MM) / 2)
            .toArray();
    Neighbours found = Neighbours.of(plan.emitters(), f -> half[f], SAME_PLACE_MM, TOUCH_MM);
    found.samePlace().ifPresent(sort -> findings.add(samePlace(sort.first())));
    found
        .overlapping()
        .ifPresent(s -> findings.add(body("overlap", Verdict.BREAKS, "overlap", "overlaps", s)));
    found
        .touching()
        .ifPresent(s -> findings.add(body("touch", Verdict.TIGHT, "touch", "touches", s)));
  }

  private Finding samePlace(Neighbours.Pair pair) {
    boolean two = pair.one().fixture() != pair.two().fixture();
    return Finding.of(
            Step.LAYOUT,
            "same-place",
            Verdict.BREAKS,
            phrase(
                "%s at the same place: %s and %s, at x %s, y %s.",
                two ? "Two fixtures" : "Two emitters",
                names(pair.one()),
                names(pair.two()),
                Quantity.text(pair.two().position().xMm(), "mm"),
                Quantity.text(pair.two().position().yMm(), "mm")))
        .advising("Move one of them.");
  }

  private Finding body(
      String key, Verdict verdict, String verb, String single, Neighbours.Sort sort) {
    Neighbours.Pair first = sort.first();
    boolean one = sort.count() == 1;
    return Finding.of(
            Step.LAYOUT,
            key,
            verdict,
            phrase(
                "%s %s: %s and %s, %s apart.",
                one ? "1 pair of emitters" : Quantity.number(sort.count()) + " pairs of emitters",
                one ? single : verb + ", first",
                names(first.one()),
                names(first.two()),
                Quantity.text(first.apartMm(), "mm")))
        .advising("Move them apart, or choose a class with a smaller package.")
        .restingOn(
            new Calculation(
                key + "-needed",
                "Spacing that the packages need",
                first.neededMm(),
                "mm",
                "needed; half the shorter side of one package + half that of the other; rotated corners are not considered",
                List.of(
                    given("needed", first.neededMm(), "mm"), given("apart", first.apartMm(), "mm")),
                Source.partClass("package size of the class")));
  }

  private Optional<Finding> outside() {
    List<Emitter> out =
        plan.emitters().stream().filter(e -> !layout.site().enclosure().holds(e.pose())).toList();
    if (layout.site().enclosure() instanceof Enclosure.Unbounded) {
      return Optional.empty();
    }
    if (out.isEmpty()) {
      return Optional.of(
          Finding.of(
              Step.LAYOUT, "enclosure", Verdict.HOLDS, "All emitters are inside the enclosure."));
    }
    return Optional.of(
        Finding.of(
                Step.LAYOUT,
                "enclosure",
                Verdict.BREAKS,
                phrase(
                    "%s of %s emitters are outside the enclosure, first %s.",
                    Quantity.number(out.size()),
                    Quantity.number(plan.emitters().size()),
                    names(out.get(0))))
            .advising("Move them inside, or use a larger enclosure."));
  }
}
