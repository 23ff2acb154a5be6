package org.myrialith.power.supply;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.power.PowerPlan;
import org.myrialith.voltagedrop.RailFindings;
import org.myrialith.voltagedrop.RailPlan;

/**
 * The currents, and what of the volts gets to the pixels.
 *
 * @param rails of the circuits that are chains of pixels
 * @param tree what stands between the supply and what it feeds; empty as long as none is named
 * @param valued whether values are shown that are no frames
 */
public record PowerStep(
    PowerPlan plan, List<RailPlan> rails, Optional<TreePlan> tree, boolean valued)
    implements StepPlan {
  @Override
  public Step step() {
    return Step.POWER;
  }

  @Override
  public String headline() {
    return valued ? "from " + plan.headline().replace(" dark", "") : plan.headline();
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(plan.findings());
    if (valued) {
      all.add(
          Finding.of(
              Step.POWER,
              "values-apart",
              Verdict.HOLDS,
              "Values shown by the scene are not in these currents; Cues shows its current with all their LEDs lit."));
    }
    all.addAll(ofTree());
    for (RailPlan rail : rails) {
      String about = rails.size() > 1 ? rail.circuit().circuit().name() : "";
      ofRail(rail).forEach(f -> all.add(f.about(about)));
    }
    return List.copyOf(all);
  }

  /** Of an empty gadget there is nothing to judge. */
  private List<Finding> ofTree() {
    return plan.load().emitters() == 0
        ? List.of()
        : tree.map(t -> new TreeFindings(t).all()).orElse(List.of());
  }

  private List<Finding> ofRail(RailPlan rail) {
    boolean worst = plan.limiter().isEmpty();
    return new RailFindings(rail, worst, plan.colour().brightnessPercent(), this::share).all();
  }

  /** What white gives of the full level under a brightness limit. */
  private double share(int percent) {
    return LevelTable.of(plan.colour().withBrightness(percent)).whiteShare();
  }

  @Override
  public List<Calculation> calculations() {
    return Stream.concat(
            plan.calculations().stream(),
            Stream.concat(ofTree().stream(), rails.stream().flatMap(r -> ofRail(r).stream()))
                .flatMap(f -> f.calculations().stream()))
        .toList();
  }
}
