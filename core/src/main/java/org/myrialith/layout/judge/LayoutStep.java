package org.myrialith.layout.judge;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutNumbers;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Lead;

/**
 * What the layout has to say.
 *
 * @param lines emitters of each line of data in its order; what is on none is in none
 */
public record LayoutStep(Layout layout, LayoutPlan plan, List<List<Emitter>> lines)
    implements StepPlan {
  public LayoutStep {
    lines = List.copyOf(lines);
  }

  @Override
  public Step step() {
    return Step.LAYOUT;
  }

  @Override
  public String headline() {
    return Quantity.text(plan.emitters().size(), "emitters");
  }

  /** Returns the wires along the lines. */
  public List<Lead> leads() {
    return lines.stream().flatMap(line -> LayoutPlan.leads(line).stream()).toList();
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(new LayoutJudgement(layout, plan).findings());
    for (List<Emitter> line : lines) {
      if (!line.isEmpty()) {
        Emitter last = line.get(line.size() - 1);
        all.add(
            Finding.of(
                Step.LAYOUT,
                "data-out",
                Verdict.HOLDS,
                phrase(
                    "Last data output, at %s LED %d: unconnected.",
                    plan.fixtureOf(last).name(), last.index())));
      }
    }
    return List.copyOf(all);
  }

  @Override
  public List<Calculation> calculations() {
    return plan.emitters().isEmpty() ? List.of() : new LayoutNumbers(layout, plan, leads()).all();
  }
}
