package org.myrialith.demo;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.FrameSource;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.supply.BatteryLife;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;

/** Demos whose frames are made hold what they promise. */
class MadeDemosTest {
  @Test
  void theBadgeShowsItsEffectForAWeekendOnACoinCell() {
    Gadget badge = DemoGadgets.duneBadge();
    Recipe recipe = badge.programme().recipeOn("f1").orElseThrow();
    assertThat(badge.clipOn("f1").orElseThrow().frames()).isEqualTo(badge.baked(recipe));
    GadgetPlan plan = GadgetPlan.of(badge);
    assertThat(plan.findings(Step.POWER))
        .filteredOn(f -> f.key().startsWith("cell-pulse") || f.key().equals("cell-life"))
        .hasSize(2)
        .extracting(Finding::verdict)
        .containsOnly(Verdict.HOLDS);
    BatteryLife life = new BatteryLife(plan.tree().orElseThrow());
    assertThat(life.showHours()).isBetween(20.0, 300.0);
    assertThat(plan.firmware()).isPresent();
    // all lit at once would be too much, and is not played
    assertThat(plan.findings(Step.POWER))
        .extracting(Finding::verdict)
        .doesNotContain(Verdict.BREAKS);
    Gadget worst = badge.with(badge.power().plannedFor(PlanningBasis.WORST_CASE));
    assertThat(GadgetPlan.of(worst).verdict(Step.POWER)).isEqualTo(Verdict.BREAKS);
  }

  @Test
  void theSignScrollsItsTextWithinItsSupply() {
    Gadget sign = DemoGadgets.gullSign();
    Caption caption = sign.programme().captionOn("f1").orElseThrow();
    CaptionPlan text = CaptionPlan.of(caption, sign.programme().fonts(), 32, 8);
    assertThat(sign.clipOn("f1").orElseThrow().frames()).isEqualTo(FrameSource.frames(text));
    assertThat(text.missing()).isEmpty();
    GadgetPlan plan = GadgetPlan.of(sign);
    assertThat(plan.power().judge(plan.power().peakAmps())).isEqualTo(Verdict.HOLDS);
    assertThat(plan.firmware().orElseThrow().fits()).isTrue();
  }
}
