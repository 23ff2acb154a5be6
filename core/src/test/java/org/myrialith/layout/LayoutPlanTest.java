package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.judge.LayoutJudgement;
import org.myrialith.layout.judge.LayoutJudgementTest;

class LayoutPlanTest {
  private static final Fixture BENT =
      Fixture.of(
          "f2",
          "Bent",
          new Strip(6, 100, List.of(new Point(0, 0), new Point(25, 0), new Point(25, 30))));

  /** All that does not hold, of emitters as small as can be. */
  private static List<Finding> judged(Fixture... fixtures) {
    LayoutPlan plan = LayoutPlan.of(List.of(fixtures));
    Layout layout = LayoutJudgementTest.layout(List.of(fixtures), Site.USUAL, 0.2);
    return new LayoutJudgement(layout, plan)
        .findings().stream().filter(f -> f.verdict() != Verdict.HOLDS).toList();
  }

  @Test
  void aStripFollowsItsBends() {
    // pitch 10 mm, the first half a pitch in: 5, 15, 25 on the first leg; then 10, 20, 30 down the
    // second
    double[][] places = {{5, 0}, {15, 0}, {25, 0}, {25, 10}, {25, 20}, {25, 30}};
    for (int i = 0; i < places.length; i++) {
      assertThat(BENT.position(i).xMm()).isCloseTo(places[i][0], within(1e-9));
      assertThat(BENT.position(i).yMm()).isCloseTo(places[i][1], within(1e-9));
    }
    assertThat(((Strip) BENT.shape()).lengthMm()).isEqualTo(60);
    assertThat(((Strip) BENT.shape()).pathMm()).isEqualTo(55);
  }

  @Test
  void aStripLongerThanItsPathGoesOnStraightAndIsToldOf() {
    Fixture over =
        Fixture.of("f1", "Over", new Strip(5, 100, List.of(new Point(0, 0), new Point(0, 20))));
    assertThat(over.position(4).yMm()).isCloseTo(45, within(1e-9));
    assertThat(judged(over))
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.TIGHT))
        .satisfies(f -> assertThat(f.says()).contains("30\u00a0mm longer"));
  }

  /** A path that turns back on itself at a cutting mark has marks all the same. */
  @Test
  void aStripThatRunsBackOnItselfHasItsMarks() {
    Strip back =
        new Strip(
            List.of(new Strip.Piece(10, 0, false), new Strip.Piece(10, 0, false)),
            1,
            100,
            List.of(new Point(0, 0), new Point(100, 0), new Point(0, 0)));
    assertThat(back.edges())
        .hasSize(4)
        .allSatisfy(
            e -> assertThat(e.points()).allSatisfy(p -> assertThat(p.xMm() + p.yMm()).isFinite()));
    assertThat(back.notes()).allSatisfy(n -> assertThat(n.at().yMm()).isFinite());
  }

  @Test
  void twoEmittersInOnePlaceBreak() {
    Fixture panel =
        Fixture.of("f1", "P", new Panel(3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0), 0, 0);
    Fixture same =
        Fixture.of("f3", "Q", new Panel(1, 1, 10, 10, Corner.TOP_LEFT, false, true, 0), 20.2, 10.2);
    List<Finding> findings = judged(panel, same);
    assertThat(findings)
        .singleElement()
        .satisfies(f -> assertThat(f.key()).isEqualTo("same-place"));
    assertThat(judged(panel, same.movedBy(0.5, 0))).isEmpty();
  }

  @Test
  void nothingIsOpenNotAnError() {
    LayoutPlan empty = LayoutPlan.of(List.of());
    assertThat(empty.box()).isEqualTo(new LayoutPlan.Box(0, 0, 0, 0));
    assertThat(judged())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.OPEN));
  }

  @Test
  void aPathNeedsTwoPointsApart() {
    assertThatThrownBy(() -> Fixture.of("f1", "S", new Strip(5, 60, List.of(new Point(0, 0)))))
        .hasMessageContaining("path");
    assertThatThrownBy(
            () ->
                Fixture.of("f1", "S", new Strip(5, 60, List.of(new Point(1, 1), new Point(1, 1)))))
        .hasMessageContaining("path[1]");
  }
}
