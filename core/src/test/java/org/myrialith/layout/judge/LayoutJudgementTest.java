package org.myrialith.layout.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Facing;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Pose;
import org.myrialith.layout.Shape;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.Site;
import org.myrialith.layout.Stack;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
public class LayoutJudgementTest {
  private static final GeometryFactory JTS = new GeometryFactory();

  private static LayoutPlan plan(Shape... shapes) {
    List<Fixture> fixtures = new ArrayList<>();
    for (Shape shape : shapes) {
      String id = "f" + (fixtures.size() + 1);
      fixtures.add(Fixture.of(id, "Fixture " + (fixtures.size() + 1), shape));
    }
    return LayoutPlan.of(fixtures);
  }

  private static List<Finding> judge(LayoutPlan plan, Site site, double bodyMm) {
    Layout layout = layout(plan.fixtures(), site, bodyMm);
    return new LayoutStep(layout, plan, List.of(plan.emitters())).findings();
  }

  /** A layout whose emitters have bodies of one size. */
  public static Layout layout(List<Fixture> fixtures, Site site, double bodyMm) {
    EmitterClass usual = EmitterClasses.of(Mount.USUAL_EMITTER).orElseThrow();
    EmitterClass sized =
        new EmitterClass(usual.id(), usual.name(), usual.kind(), usual.dies(), 120, bodyMm, bodyMm);
    return new Layout(fixtures, List.of(), List.of(sized), site);
  }

  private static Finding finding(List<Finding> findings, String key) {
    return findings.stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key + " is not among " + findings));
  }

  private static Panel grid(int columns, int rows, double pitch) {
    return new Panel(columns, rows, pitch, pitch, Corner.TOP_LEFT, false, true, 0);
  }

  private static LayoutPlan cloud(long seed, int count) {
    Random random = new Random(seed);
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      singles.add(
          new LooseEmitters.Single(
              random.nextDouble() * 60 - 30,
              random.nextDouble() * 60 - 30,
              random.nextDouble() * 20 - 10,
              ""));
    }
    return plan(
        new LooseEmitters(singles.subList(0, count / 2)),
        new LooseEmitters(singles.subList(count / 2, count)));
  }

  /** Every pair and no other, against comparing all with all. */
  @RepeatedTest(60)
  void neighboursAreThoseThatComparingAllWithAllFinds(@Given long given) {
    Chance chance = new Chance(given);
    int count = chance.whole(4, 300);
    long seed = chance.seed();
    List<Emitter> emitters = cloud(seed, count).emitters();
    double[] half = {1.5, 0.4};
    long[] wanted = new long[3];
    for (int i = 0; i < emitters.size(); i++) {
      for (int j = 0; j < i; j++) {
        double needed = half[emitters.get(i).fixture()] + half[emitters.get(j).fixture()];
        double apart = emitters.get(i).pose().distanceTo(emitters.get(j).pose());
        if (apart < needed + 0.05) {
          wanted[apart < 0.5 ? 0 : apart < needed - 0.05 ? 1 : 2]++;
        }
      }
    }
    Neighbours found = Neighbours.of(emitters, f -> half[f], 0.5, 0.05);
    assertThat(found.samePlace().map(Neighbours.Sort::count).orElse(0L)).isEqualTo(wanted[0]);
    assertThat(found.overlapping().map(Neighbours.Sort::count).orElse(0L)).isEqualTo(wanted[1]);
    assertThat(found.touching().map(Neighbours.Sort::count).orElse(0L)).isEqualTo(wanted[2]);
  }

  @Test
  void overlapTouchAndOnePlaceAreToldApart() {
    List<Finding> apart = judge(plan(grid(4, 4, 6)), Site.USUAL, 5);
    assertThat(apart).extracting(Finding::key).doesNotContain("overlap", "touch", "same-place");
    Finding touch = finding(judge(plan(grid(2, 1, 5)), Site.USUAL, 5), "touch");
    assertThat(touch.verdict()).isEqualTo(Verdict.TIGHT);
    Finding overlap = finding(judge(plan(grid(4, 4, 4)), Site.USUAL, 5), "overlap");
    assertThat(overlap.verdict()).isEqualTo(Verdict.BREAKS);
    // 24 sides of the grid of 4 × 4; its diagonals are 5.66 mm
    assertThat(overlap.says()).startsWith("24 pairs of emitters overlap");
    Finding same =
        finding(judge(plan(grid(1, 1, 10), grid(2, 1, 10)), Site.USUAL, 1), "same-place");
    assertThat(same.says()).contains("Two fixtures at the same place", "Fixture 1", "Fixture 2");
    assertThat(same.verdict()).isEqualTo(Verdict.BREAKS);
  }

  /** More than a thousand pairs that touch do not hide the two that overlap. */
  @Test
  void eachSortOfPairIsCountedForItself() {
    LayoutPlan apart = plan(grid(40, 30, 5), grid(2, 1, 4));
    List<Fixture> moved =
        List.of(apart.fixtures().get(0), apart.fixtures().get(1).movedBy(500, 500));
    List<Finding> findings = judge(LayoutPlan.of(moved), Site.USUAL, 5);
    assertThat(finding(findings, "touch").says()).startsWith("2330 pairs");
    assertThat(finding(findings, "overlap").says()).startsWith("1 pair of emitters overlaps");
  }

  /** A library's covers() counts what lies on the line as within. */
  @Test
  void everySideOfAnOutlineIsWithin() {
    Enclosure.Outline square =
        new Enclosure.Outline(
            List.of(new Point(0, 0), new Point(90, 0), new Point(90, 60), new Point(0, 60)));
    assertThat(
            finding(judge(plan(grid(10, 7, 10)), Site.USUAL.within(square), 0.5), "enclosure")
                .verdict())
        .isEqualTo(Verdict.HOLDS);
  }

  @Test
  void emittersAboveEachOtherAreNotInOnePlace() {
    List<Finding> findings = judge(plan(new Stack(2, 2, 3, 20, 15, 5)), Site.USUAL, 5);
    assertThat(findings).extracting(Finding::key).doesNotContain("overlap", "touch", "same-place");
  }

  /** Inside an outline with a bay, by a geometry library. */
  @RepeatedTest(40)
  void whatLiesOutsideIsCountedAsALibraryCounts(@Given long given) {
    Chance chance = new Chance(given);
    long seed = chance.seed();
    Enclosure.Outline outline =
        new Enclosure.Outline(
            List.of(
                new Point(-20, -25),
                new Point(25, -10),
                new Point(2, 3),
                new Point(20, 25),
                new Point(-28, 14)));
    Coordinate[] ring =
        outline.outline().stream()
            .map(p -> new Coordinate(p.xMm(), p.yMm()))
            .toArray(Coordinate[]::new);
    Geometry polygon = JTS.createPolygon(ring);
    LayoutPlan plan = cloud(seed, 50);
    long out =
        plan.emitters().stream()
            .filter(
                e ->
                    !polygon.covers(
                        JTS.createPoint(new Coordinate(e.pose().xMm(), e.pose().yMm()))))
            .count();
    assertThat(out).isBetween(1L, 49L);
    Finding finding = finding(judge(plan, Site.USUAL.within(outline), 0.5), "enclosure");
    assertThat(finding.says()).startsWith(out + " of 50 emitters are outside");
  }

  @Test
  void rectanglesCirclesAndBoxesHoldWhatTheyShould() {
    Enclosure.Rectangle front = new Enclosure.Rectangle(0, 0, 30, 20);
    Pose edge = new Pose(30, 20, 0, Facing.VIEWER);
    assertThat(front.holds(edge)).isTrue();
    assertThat(front.holds(new Pose(30.1, 20, 0, Facing.VIEWER))).isFalse();
    Enclosure.Box box = new Enclosure.Box(front, 10);
    assertThat(box.holds(edge)).isTrue();
    assertThat(box.holds(new Pose(5, 5, -10.5, Facing.VIEWER))).isFalse();
    assertThat(box.holds(new Pose(5, 5, 0.5, Facing.VIEWER))).isFalse();
    Enclosure.Circle circle = new Enclosure.Circle(10, 10, 5);
    assertThat(circle.holds(new Pose(13, 14, 0, Facing.VIEWER))).isTrue();
    assertThat(circle.holds(new Pose(13.1, 14, 0, Facing.VIEWER))).isFalse();
    Finding holds = finding(judge(plan(grid(3, 2, 10)), Site.USUAL.within(front), 1), "enclosure");
    assertThat(holds.verdict()).isEqualTo(Verdict.HOLDS);
  }

  /**
   * 20/20 acuity, one arc minute: pitch × 3438 (from memory); a metre for each millimetre of pitch
   * (common practice).
   */
  @ParameterizedTest
  @CsvSource({"10, 34.38", "2.5, 8.59", "33.3, 114.48"})
  void pixelsMergeFromOneArcMinute(double pitch, double metres) {
    assertThat(Legibility.mergesFromMm(pitch) / 1000).isCloseTo(metres, within(0.01));
    Finding reads = finding(judge(plan(grid(8, 8, pitch)), Site.USUAL, 1), "reads");
    assertThat(reads.verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(reads.calculations().get(0).value()).isCloseTo(pitch, within(1e-9));
    assertThat(reads.calculations().get(1).value()).isCloseTo(metres, within(0.01));
  }

  @Test
  void aGridThatIsLookedAtFromTooNearIsSaid() {
    LayoutPlan plan = plan(grid(8, 8, 10));
    assertThat(finding(judge(plan, Site.USUAL.viewedFrom(9_900), 1), "reads").verdict())
        .isEqualTo(Verdict.TIGHT);
    assertThat(finding(judge(plan, Site.USUAL.viewedFrom(10_000), 1), "reads").verdict())
        .isEqualTo(Verdict.HOLDS);
  }

  /** 20 and 16 arc minutes, ISO 9241-303 (from memory): 56 mm are 20 minutes high from 9.63 m. */
  @ParameterizedTest
  @CsvSource({"9600, HOLDS", "9650, TIGHT", "12000, TIGHT", "12100, BREAKS"})
  void charactersAreJudgedByTheirAngle(double distance, Verdict verdict) {
    LayoutPlan plan = plan(ShapeKinds.ALL.kind("segments").orElseThrow().usual());
    Finding finding = finding(judge(plan, Site.USUAL.viewedFrom(distance), 1), "character-height");
    assertThat(finding.verdict()).isEqualTo(verdict);
    double minutes = finding.calculations().get(0).value();
    assertThat(minutes).isCloseTo(Math.toDegrees(Math.atan(56 / distance)) * 60, within(1e-6));
  }

  @Test
  void aDiffuserMeltsTheSpotsAtAboutOnePitch() {
    LayoutPlan plan = plan(grid(8, 8, 10));
    Site near = new Site(0, 9, 25, 5000, new Enclosure.Unbounded());
    Site far = new Site(0, 10, 25, 5000, new Enclosure.Unbounded());
    assertThat(finding(judge(plan, near, 1), "diffuser").verdict()).isEqualTo(Verdict.TIGHT);
    assertThat(finding(judge(plan, far, 1), "diffuser").verdict()).isEqualTo(Verdict.HOLDS);
  }

  @Test
  void innerEmittersOfAStackAreToTestBeforeBuilding() {
    Finding finding =
        finding(judge(plan(new Stack(4, 5, 3, 20, 20, 20)), Site.USUAL, 5), "enclosed-f1");
    // 2 × 3 × 1 have a neighbour on every side
    assertThat(finding.says()).startsWith("6 of the emitters");
    assertThat(finding.advice()).contains("Test every emitter");
  }

  @Test
  void theOpenDataOutIsNamed() {
    Finding finding =
        finding(judge(plan(grid(3, 2, 10), grid(2, 2, 9)), Site.USUAL, 1), "data-out");
    assertThat(finding.says()).contains("Fixture 2 LED 3");
  }

  @Test
  void aBoxSaysWhatRoomItLeavesForACell() {
    Finding finding =
        finding(
            judge(plan(ShapeKinds.ALL.kind("box").orElseThrow().usual()), Site.USUAL, 3),
            "inside-f1");
    assertThat(finding.says()).contains("36.8 × 36.8 × 36.8");
    assertThat(finding.advice()).contains("lithium");
  }

  @Test
  void nothingIsAnOpenQuestion() {
    assertThat(judge(plan(), Site.USUAL, 1))
        .extracting(Finding::key, Finding::verdict)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("no-fixtures", Verdict.OPEN));
  }
}
