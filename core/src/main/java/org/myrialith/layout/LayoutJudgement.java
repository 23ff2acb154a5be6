package org.myrialith.layout;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * The judgements on a layout.
 *
 * @param bodyMm the shorter side of the package of a fixture's emitters (mm)
 */
public record LayoutJudgement(LayoutPlan plan, Site site, ToDoubleFunction<Fixture> bodyMm) {
  /** Two centres nearer than this are one place (mm): no package is smaller. */
  private static final double SAME_PLACE_MM = 0.5;

  /** Bodies nearer than this touch (mm). */
  private static final double TOUCH_MM = 0.05;

  /** Returns all of them. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (plan.fixtures().isEmpty()) {
      findings.add(
          Finding.of(Step.LAYOUT, "no-fixtures", Verdict.OPEN, "Nothing lights up yet.")
              .advising("Add what lights up: a panel, a strip, digits or another kind."));
      return findings;
    }
    bodies(findings);
    outside().ifPresent(findings::add);
    for (Fixture fixture : plan.fixtures()) {
      if (fixture.shape() instanceof Strip strip
          && strip.reachMm() > strip.pathMm() + strip.pitchMm()) {
        findings.add(tooLong(fixture, strip));
      } else if (fixture.shape() instanceof Stack stack && stack.enclosed() > 0) {
        findings.add(enclosed(fixture, stack));
      } else if (fixture.shape() instanceof BoxFaces box) {
        findings.add(inside(fixture, box));
      }
    }
    findings.addAll(new Viewing(plan, site).findings());
    dataOut().ifPresent(findings::add);
    return List.copyOf(findings);
  }

  private String names(Emitter emitter) {
    return "%s index %d".formatted(plan.fixtureOf(emitter).name(), emitter.index());
  }

  private void bodies(List<Finding> findings) {
    double[] half =
        plan.fixtures().stream()
            .mapToDouble(f -> Math.max(bodyMm.applyAsDouble(f), SAME_PLACE_MM) / 2 + TOUCH_MM / 2)
            .toArray();
    List<Neighbours.Pair> pairs = Neighbours.tooNear(plan.emitters(), f -> half[f]);
    pairs.stream()
        .filter(p -> p.apartMm() < SAME_PLACE_MM)
        .findFirst()
        .ifPresent(p -> findings.add(samePlace(p)));
    List<Neighbours.Pair> overlapping =
        pairs.stream()
            .filter(p -> p.apartMm() >= SAME_PLACE_MM)
            .filter(p -> p.apartMm() < p.neededMm() - 2 * TOUCH_MM)
            .toList();
    List<Neighbours.Pair> touching =
        pairs.stream().filter(p -> p.apartMm() >= p.neededMm() - 2 * TOUCH_MM).toList();
    if (!overlapping.isEmpty()) {
      findings.add(body("overlap", Verdict.BREAKS, "overlap", overlapping));
    }
    if (!touching.isEmpty()) {
      findings.add(body("touch", Verdict.TIGHT, "touch", touching));
    }
  }

  private Finding samePlace(Neighbours.Pair pair) {
    boolean two = pair.one().fixture() != pair.two().fixture();
    return Finding.of(
            Step.LAYOUT,
            "same-place",
            Verdict.BREAKS,
            "%s claim one place: %s and %s, at x %s, y %s."
                .formatted(
                    two ? "Two fixtures" : "Two emitters",
                    names(pair.one()),
                    names(pair.two()),
                    Quantity.text(pair.two().place().xMm(), "mm"),
                    Quantity.text(pair.two().place().yMm(), "mm")))
        .advising("Move one of them.");
  }

  private Finding body(String key, Verdict verdict, String verb, List<Neighbours.Pair> pairs) {
    Neighbours.Pair first = pairs.get(0);
    String how = pairs.size() == Neighbours.MOST_PAIRS ? "or more " : "";
    return Finding.of(
            Step.LAYOUT,
            key,
            verdict,
            "%s %spair%s of emitters %s, %s and %s among them: %s apart."
                .formatted(
                    Quantity.number(pairs.size()),
                    how,
                    pairs.size() == 1 ? "" : "s",
                    pairs.size() == 1 ? verb + "s" : verb,
                    names(first.one()),
                    names(first.two()),
                    Quantity.text(first.apartMm(), "mm")))
        .advising("Move them apart, or choose a class with a smaller package.")
        .restingOn(
            new Reckoning(
                key + "-needed",
                "Room that their packages need",
                first.neededMm() - TOUCH_MM,
                "mm",
                "half the shorter side of one package + half that of the other; turned corners are not judged",
                List.of(given("apart", first.apartMm(), "mm")),
                Source.partClass("package size of the class")));
  }

  private Optional<Finding> outside() {
    List<Emitter> out =
        plan.emitters().stream().filter(e -> !site.enclosure().holds(e.spot())).toList();
    if (site.enclosure() instanceof Enclosure.Unbounded) {
      return Optional.empty();
    }
    if (out.isEmpty()) {
      return Optional.of(
          Finding.of(
              Step.LAYOUT, "enclosure", Verdict.HOLDS, "All emitters lie within the enclosure."));
    }
    return Optional.of(
        Finding.of(
                Step.LAYOUT,
                "enclosure",
                Verdict.BREAKS,
                "%s of %s emitters lie outside the enclosure, %s first."
                    .formatted(
                        Quantity.number(out.size()),
                        Quantity.number(plan.emitters().size()),
                        names(out.get(0))))
            .advising("Move them in, or take a larger enclosure."));
  }

  private static Finding tooLong(Fixture fixture, Strip strip) {
    return new Finding(
        "strip-over-" + fixture.id(),
        Step.LAYOUT,
        Verdict.TIGHT,
        "%s is %s longer than its path and goes on straight past the end."
            .formatted(fixture.name(), Quantity.text(strip.reachMm() - strip.pathMm(), "mm")),
        "Lengthen the path, or take fewer pixels.",
        List.of(
            LayoutNumbers.cutLength(fixture, strip),
            new Reckoning(
                "path-" + fixture.id(),
                "Length of the path of " + fixture.name(),
                strip.pathMm(),
                "mm",
                "sum of the legs",
                List.of(),
                Source.ARITHMETIC)),
        List.of());
  }

  private static Finding enclosed(Fixture fixture, Stack stack) {
    return Finding.of(
            Step.LAYOUT,
            "enclosed-" + fixture.id(),
            Verdict.TIGHT,
            "%s of the emitters of %s can't be reached once it is built."
                .formatted(Quantity.number(stack.enclosed()), fixture.name()))
        .advising("Test every emitter, then every layer, before the next goes on.")
        .restingOn(
            new Reckoning(
                "enclosed-count-" + fixture.id(),
                "Emitters with neighbours on all sides",
                stack.enclosed(),
                "emitters",
                "(columns − 2) × (rows − 2) × (layers − 2)",
                List.of(
                    given("columns", stack.columns(), ""),
                    given("rows", stack.rows(), ""),
                    given("layers", stack.layers(), "")),
                Source.COMMON_PRACTICE));
  }

  private static Finding inside(Fixture fixture, BoxFaces box) {
    double[] room = box.insideMm();
    return Finding.of(
            Step.LAYOUT,
            "inside-" + fixture.id(),
            Verdict.HOLDS,
            "%s leaves %s × %s × %s inside for a cell and the controller."
                .formatted(
                    fixture.name(),
                    Quantity.number(room[0]),
                    Quantity.number(room[1]),
                    Quantity.text(room[2], "mm")))
        .advising(
            "Test each face before you fold it shut. A lithium cell wants a protection circuit and must not be pinched; a coin cell must stay behind a screw where children play.");
  }

  private Optional<Finding> dataOut() {
    if (plan.chained().isEmpty()) {
      return Optional.empty();
    }
    Emitter last = plan.chained().get(plan.chained().size() - 1);
    return Optional.of(
        Finding.of(
            Step.LAYOUT,
            "data-out",
            Verdict.HOLDS,
            "The data ends at %s; its data-out stays open.".formatted(names(last))));
  }
}
