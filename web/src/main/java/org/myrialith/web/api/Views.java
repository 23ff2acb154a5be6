package org.myrialith.web.api;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.store.Project;

/** What the API answers with. */
final class Views {
  private Views() {}

  /** A project in a list. */
  record ProjectView(UUID id, String title, int revision, Instant changedAt) {
    static ProjectView of(Project project) {
      return new ProjectView(
          project.getId(), project.getTitle(), project.getHead(), project.getChangedAt());
    }
  }

  /** Where an edit led. */
  record SavedView(UUID id, int revision) {}

  /** A whole plan. */
  record PlanView(
      String verdict, List<StepView> steps, List<MomentView> moments, List<PackingView> packings) {
    static PlanView of(GadgetPlan plan, boolean levels) {
      return new PlanView(
          plan.verdict().word(),
          Arrays.stream(Step.values()).map(s -> StepView.of(plan, s)).toList(),
          moments(plan, levels),
          plan.firmware()
              .map(
                  f ->
                      f.packings().entrySet().stream()
                          .map(e -> new PackingView(e.getKey().name(), e.getValue()))
                          .toList())
              .orElse(List.of()));
    }

    private static List<MomentView> moments(GadgetPlan plan, boolean levels) {
      List<MomentView> all = new ArrayList<>();
      for (int m = 0; m < plan.show().moments().size(); m++) {
        var moment = plan.show().moments().get(m);
        all.add(
            new MomentView(
                moment.startMillis(),
                moment.holdMillis(),
                plan.power().askedAmps(m),
                plan.power().sentAmps(m),
                levels ? Base64.getEncoder().encodeToString(plan.sent().bytes(m)) : null));
      }
      return all;
    }
  }

  /** One layer. */
  record StepView(
      String step,
      String verdict,
      String headline,
      List<FindingView> findings,
      List<CalculationView> reckonings) {
    static StepView of(GadgetPlan plan, Step step) {
      return new StepView(
          step.title(),
          plan.verdict(step).word(),
          plan.headline(step),
          plan.findings(step).stream().map(FindingView::of).toList(),
          plan.calculations(step).stream().map(CalculationView::of).toList());
    }
  }

  /** One judgement. */
  record FindingView(
      String key,
      String verdict,
      String says,
      String advice,
      List<CalculationView> reckonings,
      List<RemedyView> remedies) {
    static FindingView of(Finding finding) {
      return new FindingView(
          finding.key(),
          finding.verdict().word(),
          finding.says(),
          finding.advice(),
          finding.calculations().stream().map(CalculationView::of).toList(),
          finding.remedies().stream()
              .map(r -> new RemedyView(r.key(), r.label(), r.change()))
              .toList());
    }
  }

  /** One number with its working; names stay those of the first version. */
  record CalculationView(
      String key,
      String name,
      double value,
      String unit,
      String formula,
      List<GivenView> given,
      SourceView source,
      String about) {
    static CalculationView of(Calculation calculation) {
      return new CalculationView(
          calculation.key(),
          calculation.name(),
          calculation.value(),
          calculation.unit(),
          calculation.formula(),
          calculation.given().stream()
              .map(g -> new GivenView(g.name(), g.value(), g.unit()))
              .toList(),
          new SourceView(calculation.source().kind().name(), calculation.source().text()),
          calculation.about());
    }
  }

  /** One value put into a calculation. */
  record GivenView(String name, double value, String unit) {}

  /** What a number rests on. */
  record SourceView(String kind, String text) {}

  /** A change that would mend a finding, by its key. */
  record RemedyView(String key, String label, Change change) {}

  /**
   * One moment: currents in A as asked and as sent; levels in wire order, base 64, when asked for.
   */
  record MomentView(
      long startMillis, int holdMillis, double askedAmps, double sentAmps, String levels) {}

  /** Flash that the frames take in one packing. */
  record PackingView(String packing, int bytes) {}
}
