package org.myrialith.frames;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Chase;
import org.myrialith.effects.Direction;
import org.myrialith.effects.Fill;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Place;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;

/** Effects that run over several fixtures as over one. */
class SpreadTest {
  private static Fixture row(String id, int count, double x) {
    return Fixture.of(
        id, id, new Strip(count, 60, List.of(new Point(0, 0), new Point(100, 0))), x, 0);
  }

  /** Two rows in one line, the second to the right of the first. */
  private static Gadget gadget() {
    return Gadget.blank("Rows").with(row("f1", 6, 0)).with(row("f2", 4, 200));
  }

  private static Recipe fill(String over) {
    return new Recipe(
            "f1",
            8,
            100,
            List.of(new Layer(new Fill(0xffffff, 0, Direction.DATA, true, 1), Blend.OVER, 100)))
        .over(over);
  }

  private static long lit(List<Frame> frames, int frame) {
    Picture picture = frames.get(frame).picture();
    long lit = 0;
    for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
      lit += picture.value(cell, 0) > 0 ? 1 : 0;
    }
    return lit;
  }

  @Test
  void theOrderGoesOnFromFixtureToFixture() {
    Gadget gadget = gadget();
    var made = gadget.bakedOver(fill(Recipe.ALL));
    assertThat(made.keySet()).containsExactly("f1", "f2");
    // 10 in all: after a quarter of the loop five of them light, all on the first
    assertThat(lit(made.get("f1"), 2)).isEqualTo(5);
    assertThat(lit(made.get("f2"), 2)).isZero();
    assertThat(lit(made.get("f1"), 3)).isEqualTo(6);
    assertThat(lit(made.get("f2"), 3)).isEqualTo(1);
    // alone, each fills by itself
    assertThat(lit(gadget.bakedOver(fill(Recipe.OWN)).get("f1"), 2)).isEqualTo(3);
  }

  /** A chase on each of two groups of one row, over a still blue: each runs by itself. */
  @Test
  void layersOnGroupsRunBySideAndLeaveTheRest() {
    Gadget gadget =
        gadget()
            .with(new Group("left", "Left", List.of(new Group.Member("f1", 0, 1))))
            .with(new Group("right", "Right", List.of(new Group.Member("f1", 3, 5))));
    Recipe recipe =
        new Recipe(
            "f1",
            6,
            100,
            List.of(
                new Layer(new Fill(0x0000ff, 0x0000ff, Direction.DATA, true, 1), Blend.OVER, 100),
                new Layer(new Chase(0xff0000, 0, 2, 1, 3), Blend.OVER, 100).on("left"),
                new Layer(new Chase(0x00ff00, 0, 3, 1, 2), Blend.OVER, 100).on("right")));
    assertThat(recipe.parted()).isTrue();
    List<Frame> frames = gadget.baked(recipe);
    for (int f = 0; f < 6; f++) {
      Picture picture = frames.get(f).picture();
      assertThat(picture.colour(2, 0)).as("in no group").isEqualTo(0x0000ff);
      long red = IntStream.of(0, 1).filter(i -> picture.value(i, 0) > 0).count();
      long green = IntStream.of(3, 4, 5).filter(i -> picture.value(i, 1) > 0).count();
      assertThat(red).as("frame %d", f).isEqualTo(1);
      assertThat(green).as("frame %d", f).isEqualTo(1);
    }
    // such layers are kept as frames, and a group that is gone is told
    assertThat(gadget.computes(recipe)).isFalse();
    Gadget made = gadget.made(recipe, false).withoutGroup("right");
    assertThat(GadgetPlan.of(made).findings(Step.FRAMES))
        .extracting(finding -> finding.key())
        .contains("effects-group-f1");
    assertThat(gadget.baked(recipe)).isNotEqualTo(made.baked(recipe));
  }

  @Test
  void placesAreThoseOfAllTogether() {
    Gadget gadget = gadget();
    Spread spread = new Spread(gadget.layout(), LayoutPlan.of(gadget.fixtures()));
    List<Place> own = spread.places(fill(Recipe.OWN)).places();
    List<Place> first = spread.places(fill(Recipe.ALL)).places();
    List<Place> second = spread.places(fill(Recipe.ALL).on("f2")).places();
    assertThat(own.get(5).x()).isEqualTo(1023);
    assertThat(first.get(0).x()).isZero();
    assertThat(second.get(3).x()).isEqualTo(1023);
    assertThat(first.get(5).x()).isLessThan(second.get(0).x());
    assertThat(second.get(0).index()).isEqualTo(6);
  }

  @Test
  void aGroupLightsAloneInItsOwnOrder() {
    Group arrow =
        new Group(
            "g1", "Arrow", List.of(new Group.Member("f2", 2, 3), new Group.Member("f1", 0, 1)));
    Gadget gadget = gadget().with(arrow);
    Recipe chase =
        new Recipe(
            "f1",
            4,
            100,
            List.of(new Layer(new Chase(0xffffff, 0, 4, 1, 1), Blend.OVER, 100)),
            "g1",
            true);
    var made = gadget.bakedOver(chase);
    assertThat(made.keySet()).containsExactly("f1", "f2");
    // one place after the other, those of the second fixture first
    for (int frame = 0; frame < 4; frame++) {
      Picture one = made.get("f1").get(frame).picture();
      Picture two = made.get("f2").get(frame).picture();
      int[] lit = {two.value(2, 0), two.value(3, 0), one.value(0, 0), one.value(1, 0)};
      for (int place = 0; place < 4; place++) {
        assertThat(lit[place]).isEqualTo(place == frame ? 255 : 0);
      }
      assertThat(one.value(2, 0) + one.value(5, 0) + two.value(0, 0)).isZero();
    }
  }

  @Test
  void aGroupThatIsGoneIsSaid() {
    Gadget gadget = gadget();
    Recipe lost = fill("g9");
    Gadget with =
        gadget
            .with(new Clip("k1", "Fill", "f1", gadget.baked(lost)))
            .with(gadget.programme().with(lost));
    assertThat(gadget.bakedOver(lost)).isEqualTo(gadget.bakedOver(fill(Recipe.OWN)));
    assertThat(GadgetPlan.of(with.with(with.programme().with(lost))).findings(Step.FRAMES))
        .anyMatch(finding -> finding.key().equals("effects-group-f1"));
  }
}
