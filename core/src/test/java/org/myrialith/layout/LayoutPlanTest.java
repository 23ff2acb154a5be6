package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;

class LayoutPlanTest {
  private static final Strip BENT =
      new Strip(
          "f2",
          "Bent",
          6,
          100,
          List.of(new Strip.Point(0, 0), new Strip.Point(25, 0), new Strip.Point(25, 30)));

  @Test
  void aStripFollowsItsBends() {
    // pitch 10 mm, the first half a pitch in: 5, 15, 25 on the first leg; then 10, 20, 30 down the
    // second
    double[][] places = {{5, 0}, {15, 0}, {25, 0}, {25, 10}, {25, 20}, {25, 30}};
    for (int i = 0; i < places.length; i++) {
      assertThat(BENT.place(i).xMm()).isCloseTo(places[i][0], within(1e-9));
      assertThat(BENT.place(i).yMm()).isCloseTo(places[i][1], within(1e-9));
    }
    assertThat(BENT.lengthMm()).isEqualTo(60);
    assertThat(BENT.pathMm()).isEqualTo(55);
  }

  @Test
  void aStripLongerThanItsPathGoesOnStraightAndIsToldOf() {
    Strip over =
        new Strip("f1", "Over", 5, 100, List.of(new Strip.Point(0, 0), new Strip.Point(0, 20)));
    assertThat(over.place(4).yMm()).isCloseTo(45, within(1e-9));
    assertThat(LayoutPlan.of(List.of(over), List.of()).findings())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.TIGHT))
        .satisfies(f -> assertThat(f.says()).contains("30\u00a0mm longer"));
  }

  @Test
  void chainIndicesFollowTheOrderOfTheDataLine() {
    Panel panel = new Panel("f1", "P", 3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0, 100, 100);
    LayoutPlan plan = LayoutPlan.of(List.of(panel, BENT), List.of("f2", "f1"));
    assertThat(plan.emitters()).hasSize(12);
    assertThat(plan.emitters().get(0).chain()).isEqualTo(6);
    assertThat(plan.emitters().get(6).chain()).isZero();
    for (int i = 0; i < 12; i++) {
      assertThat(plan.chained().get(i).chain()).isEqualTo(i);
    }
    LayoutPlan loose = LayoutPlan.of(List.of(panel, BENT), List.of("f1"));
    assertThat(loose.emitters().get(6).chain()).isEqualTo(-1);
    assertThat(loose.chained()).hasSize(6);
  }

  @Test
  void twoEmittersInOnePlaceBreak() {
    Panel panel = new Panel("f1", "P", 3, 2, 10, 10, Corner.TOP_LEFT, false, true, 0, 0, 0);
    Panel same = new Panel("f3", "Q", 1, 1, 10, 10, Corner.TOP_LEFT, false, true, 0, 20.2, 10.2);
    List<Finding> findings = LayoutPlan.of(List.of(panel, same), List.of()).findings();
    assertThat(findings)
        .singleElement()
        .satisfies(f -> assertThat(f.key()).isEqualTo("same-place"));
    assertThat(LayoutPlan.of(List.of(panel, same.movedBy(0.5, 0)), List.of()).findings()).isEmpty();
  }

  @Test
  void nothingIsOpenNotAnError() {
    LayoutPlan empty = LayoutPlan.of(List.of(), List.of());
    assertThat(empty.box()).isEqualTo(new LayoutPlan.Box(0, 0, 0, 0));
    assertThat(empty.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.OPEN));
  }

  @Test
  void aPathNeedsTwoPointsApart() {
    assertThatThrownBy(() -> new Strip("f1", "S", 5, 60, List.of(new Strip.Point(0, 0))))
        .hasMessageContaining("path");
    assertThatThrownBy(
            () ->
                new Strip("f1", "S", 5, 60, List.of(new Strip.Point(1, 1), new Strip.Point(1, 1))))
        .hasMessageContaining("path[1]");
  }
}
