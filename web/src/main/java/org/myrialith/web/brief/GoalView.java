package org.myrialith.web.brief;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.gadget.plan.Goal;
import org.myrialith.gadget.plan.GoalCheck;
import org.myrialith.gadget.plan.GoalWays;

/**
 * A goal of the gadget on the page.
 *
 * @param key in addresses
 * @param wanted with its unit
 * @param figure that is reached, in words
 * @param missed whether there is something to rank
 * @param ways that reach it, when they are asked for
 * @param ranked whether they are asked for
 */
record GoalView(
    String key,
    String title,
    String wanted,
    String figure,
    Verdict verdict,
    boolean missed,
    List<Row> ways,
    boolean ranked) {

  /**
   * A way to it.
   *
   * @param costs what gets worse by it; one entry that says so where nothing does
   */
  record Row(String key, String label, String figure, boolean reaches, List<String> costs) {}

  static Goal goal(String key) {
    return Arrays.stream(Goal.values())
        .filter(goal -> goal.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new InputException("goal", key, "one of the goals listed"));
  }

  /**
   * Returns the goals that a gadget has.
   *
   * @param ranked key of the one whose ways are asked for; empty for none
   */
  static List<GoalView> of(GadgetPlan plan, String ranked) {
    return Arrays.stream(Goal.values())
        .filter(goal -> goal.wanted(plan.gadget()) > 0)
        .map(goal -> of(plan, goal, goal.key().equals(ranked)))
        .toList();
  }

  private static GoalView of(GadgetPlan plan, Goal goal, boolean ranked) {
    OptionalDouble figure = new GoalCheck(plan).figure(goal);
    GoalWays ways = new GoalWays(plan, goal);
    boolean missed = ways.missed();
    return new GoalView(
        goal.key(),
        goal.title(),
        (goal == Goal.CURRENT ? "at most " : "at least ")
            + Quantity.text(goal.wanted(plan.gadget()), goal.unit()),
        figure.isPresent() ? Quantity.text(figure.getAsDouble(), goal.unit()) : "not known yet",
        figure.isEmpty() ? Verdict.OPEN : missed ? Verdict.BREAKS : Verdict.HOLDS,
        missed,
        ranked ? ways.all().stream().map(way -> row(goal, way)).toList() : List.of(),
        ranked);
  }

  private static Row row(Goal goal, GoalWays.Way way) {
    return new Row(
        way.remedy().key(),
        way.remedy().label(),
        Quantity.text(way.figure(), goal.unit()),
        way.reaches(),
        way.costs());
  }
}
