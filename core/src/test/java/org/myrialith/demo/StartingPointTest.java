package org.myrialith.demo;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.plan.GadgetPlan;

/** What a maker starts from is complete: nothing breaks, and there is firmware that fits. */
class StartingPointTest {
  @ParameterizedTest
  @EnumSource
  void eachIsReadyToBeTakenAway(StartingPoint start) {
    GadgetPlan plan = GadgetPlan.of(start.gadget());
    assertThat(plan.findings()).extracting(Finding::verdict).doesNotContain(Verdict.BREAKS);
    assertThat(plan.firmware().orElseThrow().fits()).isTrue();
    assertThat(plan.firmwareFiles()).containsKeys("README.txt", "gadget.json");
    assertThat(start.gadget().title()).isEqualTo(start.title());
    assertThat(StartingPoint.of(start.key())).contains(start);
  }

  @Test
  void anotherKeyIsNone() {
    assertThat(StartingPoint.of("")).isEmpty();
    assertThat(StartingPoint.of("CLOCK")).isEmpty();
  }
}
