package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.finding.Calculation;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.parts.EmitterKind;

class LayoutNumbersTest {
  private static double number(LayoutNumbers numbers, String key) {
    return numbers.all().stream()
        .filter(r -> r.key().equals(key))
        .findFirst()
        .map(Calculation::value)
        .orElseThrow(() -> new AssertionError(key + " is not among " + numbers.all()));
  }

  private static LayoutNumbers of(int dies, Site site, Fixture... fixtures) {
    EmitterClass usual = EmitterClasses.of(Mount.USUAL_EMITTER).orElseThrow();
    EmitterKind kind = dies == 1 ? EmitterKind.SINGLE : usual.kind();
    EmitterClass counted =
        new EmitterClass(
            usual.id(), usual.name(), kind, usual.dies().subList(0, kind.dies()), 120, 5, 5);
    Layout layout = new Layout(List.of(fixtures), List.of(), List.of(counted), site);
    LayoutPlan plan = LayoutPlan.of(List.of(fixtures));
    return new LayoutNumbers(layout, plan, LayoutPlan.leads(plan.emitters()));
  }

  @Test
  void countsSizesAndChannelsAreThoseOfAHandCount() {
    Fixture digits =
        Fixture.of("f1", "Digits", ShapeKinds.ALL.kind("segments").orElseThrow().usual());
    LayoutNumbers single = of(1, Site.USUAL, digits);
    // four digits of 7 segments with 2 emitters each, and a colon of two on one pin
    assertThat(number(single, "emitters")).isEqualTo(58);
    assertThat(number(single, "channels")).isEqualTo(29);
    assertThat(number(of(3, Site.USUAL, digits), "channels")).isEqualTo(174);
  }

  @Test
  void densitiesAreTold() {
    assertThat(number(of(1, Site.USUAL, Fixture.of("f1", "Bar", new Bar(4, 8, 0))), "per-metre-f1"))
        .isCloseTo(125, within(1e-9));
  }

  @Test
  void wireHasTheSlackThatIsAskedFor() {
    Panel dot = new Panel(1, 1, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture first = Fixture.of("f1", "A", dot);
    Fixture second = Fixture.of("f2", "B", dot, 300, 400);
    Fixture third = Fixture.of("f3", "C", dot, 300, 520);
    LayoutNumbers usual = of(3, Site.USUAL, first, second, third);
    assertThat(number(usual, "lead-f2")).isCloseTo(625, within(1e-9));
    assertThat(number(usual, "wire")).isCloseTo(775, within(1e-9));
    Site tight = new Site(0, 0, 0, 5000, new Enclosure.Unbounded());
    assertThat(number(of(3, tight, first, second, third), "wire")).isCloseTo(620, within(1e-9));
  }

  @Test
  void stripToBuyAndOffcutsFollowThePieces() {
    Strip strip =
        new Strip(
            List.of(
                new Strip.Piece(180, 0, false),
                new Strip.Piece(180, 5, false),
                new Strip.Piece(120, 5, true)),
            1,
            60,
            List.of(new Point(0, 0), new Point(9000, 0)));
    LayoutNumbers numbers = of(3, Site.USUAL, Fixture.of("f1", "Line", strip));
    // pieces of 3, 3 and 2 m from rolls of 5 m: two rolls, 2 m left
    assertThat(number(numbers, "buy-60")).isEqualTo(2);
    assertThat(number(numbers, "offcut-60")).isCloseTo(2000, within(1e-6));
    assertThat(number(numbers, "piece-f1-2")).isCloseTo(2000, within(1e-6));
  }

  /**
   * First fit decreasing needs at most 11/9 of the best and 6/9 (Dósa 2007, from memory); the best
   * by trying every way.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void rollsAreNearTheFewestThatAnyWayOfCuttingNeeds(long seed) {
    Random random = new Random(seed);
    List<Double> pieces = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      pieces.add(200 + random.nextDouble() * 4000);
    }
    int best = fewest(pieces, 0, new ArrayList<>(), Integer.MAX_VALUE);
    int found = LayoutNumbers.rolls(pieces, 5000);
    assertThat(found).isBetween(best, (int) Math.floor(11.0 / 9 * best + 6.0 / 9));
  }

  private static int fewest(List<Double> pieces, int next, List<Double> rolls, int best) {
    if (rolls.size() >= best) {
      return best;
    }
    if (next == pieces.size()) {
      return rolls.size();
    }
    for (int i = 0; i < rolls.size(); i++) {
      if (rolls.get(i) >= pieces.get(next)) {
        rolls.set(i, rolls.get(i) - pieces.get(next));
        best = fewest(pieces, next + 1, rolls, best);
        rolls.set(i, rolls.get(i) + pieces.get(next));
      }
    }
    rolls.add(5000 - pieces.get(next));
    best = fewest(pieces, next + 1, rolls, best);
    rolls.remove(rolls.size() - 1);
    return best;
  }

  @Test
  void aPieceLongerThanARollIsJoined() {
    assertThat(LayoutNumbers.rolls(List.of(12_000.0, 2500.0), 5000)).isEqualTo(3);
    assertThat(LayoutNumbers.rolls(List.of(5000.0, 5000.0), 5000)).isEqualTo(2);
    assertThat(LayoutNumbers.rolls(List.of(), 5000)).isZero();
  }

  @Test
  void everyKindTellsItsOwnNumbers() {
    int i = 0;
    for (var entry : ShapeKinds.ALL.kinds()) {
      Fixture fixture = Fixture.of("f" + ++i, entry.key(), entry.usual());
      LayoutNumbers numbers = of(3, Site.USUAL, fixture);
      assertThat(number(numbers, "emitters")).isEqualTo(fixture.count());
      assertThat(numbers.all())
          .allSatisfy(
              r -> {
                assertThat(r.value()).isFinite();
                assertThat(r.formula()).isNotBlank();
              })
          .extracting(Calculation::key)
          .doesNotHaveDuplicates();
    }
  }
}
