package org.myrialith.web.api;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Step;
import org.myrialith.firmware.pack.Packing;
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
                          .map(e -> new PackingView(e.getKey(), e.getValue()))
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
      List<Reckoning> reckonings) {
    static StepView of(GadgetPlan plan, Step step) {
      return new StepView(
          step.title(),
          plan.verdict(step).word(),
          plan.headline(step),
          plan.findings(step).stream().map(FindingView::of).toList(),
          plan.reckonings(step));
    }
  }

  /** One judgement. */
  record FindingView(
      String key,
      String verdict,
      String says,
      String advice,
      List<Reckoning> reckonings,
      List<RemedyView> remedies) {
    static FindingView of(Finding finding) {
      return new FindingView(
          finding.key(),
          finding.verdict().word(),
          finding.says(),
          finding.advice(),
          finding.reckonings(),
          finding.remedies().stream()
              .map(r -> new RemedyView(r.key(), r.label(), r.change()))
              .toList());
    }
  }

  /** A change that would mend a finding, by its key. */
  record RemedyView(String key, String label, Change change) {}

  /**
   * One moment: currents in A as asked and as sent; levels in wire order, base 64, when asked for.
   */
  record MomentView(
      long startMillis, int holdMillis, double askedAmps, double sentAmps, String levels) {}

  /** Flash that the frames take in one packing. */
  record PackingView(Packing packing, int bytes) {}
}
