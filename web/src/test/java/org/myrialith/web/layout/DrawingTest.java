package org.myrialith.web.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.LayoutPlan;

class DrawingTest {
  private static final Drawing LANTERN = drawn();

  private static Drawing drawn() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    return Drawing.of(plan.layout(), plan.wiring().lines(), new Enclosure.Unbounded());
  }

  @Test
  void everyEmitterIsADotAndAStepOfTheWay() {
    assertThat(LANTERN.pieces()).hasSize(2);
    assertThat(LANTERN.pieces().get(0).dots().split("M")).hasSize(129);
    assertThat(LANTERN.pieces().get(0).path().split("L")).hasSize(128);
    assertThat(LANTERN.pieces().get(0).path()).startsWith("M0.00 0.00L10.00 0.00");
    assertThat(LANTERN.links()).containsExactly("M0.00 70.00L-26.67 100.00");
  }

  @Test
  void everythingLiesWithinTheView() {
    double[] view =
        Arrays.stream(LANTERN.viewBox().split(" ")).mapToDouble(Double::parseDouble).toArray();
    for (Drawing.Piece piece : LANTERN.pieces()) {
      assertThat(piece.left()).isGreaterThanOrEqualTo(view[0]);
      assertThat(piece.labelY() - LANTERN.unit()).isGreaterThanOrEqualTo(view[1]);
      assertThat(piece.left() + piece.width()).isLessThanOrEqualTo(view[0] + view[2]);
      assertThat(piece.top() + piece.height()).isLessThanOrEqualTo(view[1] + view[3]);
    }
    assertThat(LANTERN.ruler().x() + LANTERN.ruler().lengthMm()).isLessThan(view[0] + view[2]);
    assertThat(LANTERN.ruler().y()).isLessThan(view[1] + view[3]);
  }

  @Test
  void arrowsAreFewAndPointAlongTheData() {
    for (Drawing.Piece piece : LANTERN.pieces()) {
      assertThat(piece.arrows()).hasSizeBetween(5, 33);
      for (String arrow : piece.arrows()) {
        double[] at =
            Arrays.stream(arrow.substring(1).split("[ML ]+"))
                .mapToDouble(Double::parseDouble)
                .toArray();
        double left = Math.hypot(at[2] - at[0], at[3] - at[1]);
        double right = Math.hypot(at[2] - at[4], at[3] - at[5]);
        assertThat(left).isCloseTo(right, within(0.03));
      }
    }
  }

  @Test
  void nothingIsDrawnForNothing() {
    Drawing empty =
        Drawing.of(
            LayoutPlan.of(Gadget.blank("Empty").fixtures()),
            java.util.List.of(),
            new Enclosure.Unbounded());
    assertThat(empty.pieces()).isEmpty();
    assertThat(empty.viewBox()).doesNotContain("NaN", "Infinity");
  }
}
