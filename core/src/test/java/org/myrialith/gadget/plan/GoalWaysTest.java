package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.brief.Goals;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.edit.AppliedChange;
import org.myrialith.gadget.format.GadgetSamples;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.Supply;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class GoalWaysTest {
  private static Gadget wanting(Gadget gadget, Goals goals) {
    return gadget.with(gadget.brief().with(goals));
  }

  private static Optional<Finding> finding(Gadget gadget, Goal goal) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(goal.findingKey()))
        .findFirst();
  }

  /** What a way says of itself is what the gadget comes to when it is applied. */
  @RepeatedTest(25)
  void whatIsSaidToReachTheGoalReachesIt(@Given long given) {
    Gadget gadget = GadgetSamples.fromSeed(new Chance(given).seed());
    double now = new GoalCheck(GadgetPlan.of(gadget)).figure(Goal.CURRENT).orElse(0);
    if (now < 1e-3) {
      return;
    }
    Gadget wanting = wanting(gadget, new Goals(0, 0.6 * now * 1e3));
    GadgetPlan plan = GadgetPlan.of(wanting);
    assertThat(finding(wanting, Goal.CURRENT).orElseThrow().verdict()).isEqualTo(Verdict.BREAKS);
    List<GoalWays.Way> ways = new GoalWays(plan, Goal.CURRENT).all();
    for (GoalWays.Way way : ways) {
      Gadget after = new GoalWays(plan, Goal.CURRENT).applied(way);
      Finding there = finding(after, Goal.CURRENT).orElseThrow();
      assertThat(there.verdict() == Verdict.HOLDS).as(there.says()).isEqualTo(way.reaches());
      assertThat(way.figure()).isLessThan(now);
    }
    assertThat(ways.stream().map(way -> way.reaches() ? 0 : 1).toList()).isSorted();
  }

  /** The brightness limit that is offered is the largest: one percent more is too much. */
  @Test
  void noBrighterLimitWouldDo() {
    Gadget lantern = wanting(DemoGadgets.tideLantern(), new Goals(0, 1500));
    GadgetPlan plan = GadgetPlan.of(lantern);
    GoalWays.Way way = new GoalWays(plan, Goal.CURRENT).of("brightness-34").orElseThrow();
    assertThat(way.reaches()).isTrue();
    assertThat(way.figure()).isLessThanOrEqualTo(1.5);
    Gadget more = new Change.LimitBrightness(35).accept(new AppliedChange(lantern));
    assertThat(finding(more, Goal.CURRENT).orElseThrow().verdict()).isNotEqualTo(Verdict.HOLDS);
  }

  /**
   * A pixel of the usual class takes 24 bits of 1.25 us (data sheet of the class): no controller is
   * quicker than the longest of the lines.
   */
  @Test
  void noControllerOutrunsTheDataLine() {
    Gadget lantern = wanting(DemoGadgets.tideLantern(), new Goals(1000, 0));
    List<GoalWays.Way> ways = new GoalWays(GadgetPlan.of(lantern), Goal.FRAME_RATE).all();
    int longest =
        GadgetPlan.of(lantern).wiring().plans().stream()
            .mapToInt(p -> p.emitters())
            .max()
            .orElse(0);
    double line = longest * 24 * 1.25e-6;
    assertThat(ways).isNotEmpty();
    assertThat(ways)
        .allSatisfy(
            way -> {
              assertThat(way.reaches()).isFalse();
              assertThat(way.figure()).isLessThan(1 / line);
            });
  }

  /** Three alkaline cells hold several times what a coin cell does (common practice). */
  @Test
  void cellsThatLastLongerAreNamed() {
    Gadget badge = DemoGadgets.duneBadge();
    Gadget wanting = badge.with(badge.power().with(badge.power().day().wanting(200)));
    assertThat(finding(wanting, Goal.BATTERY_LIFE).orElseThrow().verdict())
        .isEqualTo(Verdict.BREAKS);
    GoalWays ways = new GoalWays(GadgetPlan.of(wanting), Goal.BATTERY_LIFE);
    GoalWays.Way alkaline = ways.of("supply-3-aa-alkaline").orElseThrow();
    assertThat(alkaline.reaches()).isTrue();
    Gadget after = ways.applied(alkaline);
    assertThat(after.brief().supply().map(Supply::name)).contains("3 AA alkaline");
    assertThat(new GoalCheck(GadgetPlan.of(after)).figure(Goal.BATTERY_LIFE).orElseThrow())
        .isCloseTo(alkaline.figure(), within(1e-6));
    assertThat(finding(after, Goal.BATTERY_LIFE).orElseThrow().verdict()).isEqualTo(Verdict.HOLDS);
  }

  @Test
  void withoutFramesAGoalIsOpenAndWithoutGoalsNothingIsSaid() {
    Gadget blank = wanting(Gadget.blank("Empty"), new Goals(60, 500));
    assertThat(finding(blank, Goal.CURRENT).orElseThrow().verdict()).isEqualTo(Verdict.OPEN);
    assertThat(finding(blank, Goal.FRAME_RATE).orElseThrow().verdict()).isEqualTo(Verdict.OPEN);
    assertThat(new GoalWays(GadgetPlan.of(blank), Goal.CURRENT).all()).isEmpty();
    assertThat(finding(DemoGadgets.tideLantern(), Goal.CURRENT)).isEmpty();
  }
}
