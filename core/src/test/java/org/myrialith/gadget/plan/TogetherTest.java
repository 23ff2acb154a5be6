package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Show;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Group;

/** All fixtures as one picture, in a moment. */
class TogetherTest {
  private static int colour(Picture picture, int cell) {
    return picture.value(cell, 0) << 16 | picture.value(cell, 1) << 8 | picture.value(cell, 2);
  }

  @Test
  void eachFixtureIsPaintedOnTheFrameThatItShows() {
    Gadget lantern = DemoGadgets.tideLantern();
    GadgetPlan plan = GadgetPlan.of(lantern);
    int moment = 9;
    Show.Moment seen = plan.show().moments().get(moment);
    StackedView together = StackedView.of(plan, moment, StackedView.ALL);
    assertThat(together.spots()).hasSize(168);
    Gadget painted = together.painted(List.of(0, 127, 128, 167, 167), 0x123456);
    for (int c = 0; c < plan.levels().size(); c++) {
      Clip was = plan.levels().get(c).clip();
      Clip now = painted.programme().clip(was.id()).orElseThrow();
      for (int f = 0; f < was.frames().size(); f++) {
        Frame before = was.frames().get(f);
        Frame after = now.frames().get(f);
        assertThat(after.holdMillis()).isEqualTo(before.holdMillis());
        if (f != seen.frames().get(c)) {
          assertThat(after).isEqualTo(before);
          continue;
        }
        int last = before.picture().columns() * before.picture().rows() - 1;
        for (int cell = 0; cell <= last; cell++) {
          assertThat(colour(after.picture(), cell)).isIn(0x123456, colour(before.picture(), cell));
        }
        assertThat(
                IntStream.rangeClosed(0, last)
                    .filter(cell -> colour(after.picture(), cell) == 0x123456)
                    .count())
            .isEqualTo(2);
      }
    }
    // what is seen of it is what was painted
    byte[] rgb = StackedView.of(GadgetPlan.of(painted), moment, StackedView.ALL).rgb();
    assertThat(rgb[3 * 128] << 16 | rgb[3 * 128 + 1] << 8 | rgb[3 * 128 + 2]).isEqualTo(0x123456);
  }

  @Test
  void aGroupHasItsOwnPlaces() {
    Gadget lantern =
        DemoGadgets.tideLantern()
            .with(new Group("g1", "Ends", List.of(new Group.Member("f2", 38, 39))));
    StackedView ends = StackedView.of(GadgetPlan.of(lantern), 0, "g1");
    assertThat(ends.spots()).extracting(StackedView.Spot::fixture).containsExactly("f2", "f2");
    Gadget painted = ends.painted(ends.all(), 0xff0000);
    assertThat(painted.clipOn("f1")).isEqualTo(lantern.clipOn("f1"));
    Picture strip = painted.clipOn("f2").orElseThrow().frames().get(0).picture();
    assertThat(colour(strip, 38)).isEqualTo(0xff0000);
    assertThat(colour(strip, 39)).isEqualTo(0xff0000);
    assertThat(colour(strip, 37)).isNotEqualTo(0xff0000);
  }

  @Test
  void aDarkGadgetGetsItsFirstFrames() {
    Gadget bare = DemoGadgets.tideLantern().with(org.myrialith.frames.Programme.EMPTY);
    StackedView together = StackedView.of(GadgetPlan.of(bare), 0, StackedView.ALL);
    assertThat(together.rgb()).containsOnly(0);
    Gadget painted = together.painted(List.of(130), 0x00ff00);
    assertThat(painted.clipOn("f1")).isEmpty();
    assertThat(painted.clipOn("f2").orElseThrow().frames()).hasSize(1);
  }

  @Test
  void whatIsNotThereIsNamed() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    assertThatThrownBy(() -> StackedView.of(plan, -1, StackedView.ALL))
        .hasMessageContaining("moment");
    assertThatThrownBy(() -> StackedView.of(plan, 9999, StackedView.ALL))
        .hasMessageContaining("moment");
    assertThatThrownBy(() -> StackedView.of(plan, 0, "g7")).hasMessageContaining("g7");
    StackedView together = StackedView.of(plan, 0, StackedView.ALL);
    assertThatThrownBy(() -> together.painted(List.of(168), 0)).hasMessageContaining("0 to 167");
  }
}
