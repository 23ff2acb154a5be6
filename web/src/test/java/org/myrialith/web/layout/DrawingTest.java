package org.myrialith.web.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.LayoutPlan;

class DrawingTest {
  private static final Drawing LANTERN = drawn();

  /** A tenth of a millimetre wide. */
  private static final BasicStroke HAIR =
      new BasicStroke(0.1f, BasicStroke.CAP_SQUARE, BasicStroke.JOIN_ROUND);

  private static Drawing drawn() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    return Drawing.of(plan.layout(), plan.wiring().lines(), new Enclosure.Unbounded());
  }

  @Test
  void everyEmitterIsADotAndEveryTurnACornerOfTheWay() {
    assertThat(LANTERN.pieces()).hasSize(2);
    assertThat(LANTERN.pieces().get(0).dots().split("M")).hasSize(129);
    // eight rows of sixteen, forth and back: two ends each
    assertThat(LANTERN.pieces().get(0).path().split("[ML]")).hasSize(17);
    assertThat(LANTERN.pieces().get(0).path()).startsWith("M0 0L150 0L150 10L0 10L0 20");
    assertThat(LANTERN.links()).containsExactly("M0 70L-26.67 100");
  }

  @Test
  void theWayMeetsEveryEmitter() {
    for (Gadget gadget :
        List.of(DemoGadgets.tideLantern(), DemoGadgets.quayClock(), DemoGadgets.reefShelf())) {
      GadgetPlan plan = GadgetPlan.of(gadget);
      Drawing drawing = Drawing.of(plan.layout(), plan.wiring().lines(), new Enclosure.Unbounded());
      for (Drawing.Piece piece : drawing.pieces()) {
        Path2D way = drawn(piece.path());
        Shape stroke = HAIR.createStrokedShape(way);
        for (double[] dot : points(piece.dots())) {
          assertThat(stroke)
              .as("%s at %s", piece.name(), Arrays.toString(dot))
              .matches(s -> s.contains(dot[0], dot[1]));
        }
      }
    }
  }

  private static List<double[]> points(String path) {
    return Pattern.compile("[ML]([-\\d.]+) ([-\\d.]+)")
        .matcher(path)
        .results()
        .map(m -> new double[] {Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2))})
        .toList();
  }

  private static Path2D drawn(String path) {
    Path2D way = new Path2D.Double();
    for (String piece : path.substring(1).split("M")) {
      List<double[]> corners = points("M" + piece);
      way.moveTo(corners.get(0)[0], corners.get(0)[1]);
      // one that stands alone is a dot
      way.lineTo(corners.get(0)[0] + 1e-3, corners.get(0)[1]);
      corners.forEach(c -> way.lineTo(c[0], c[1]));
    }
    return way;
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
            LayoutPlan.of(Gadget.blank("Empty").fixtures()), List.of(), new Enclosure.Unbounded());
    assertThat(empty.pieces()).isEmpty();
    assertThat(empty.viewBox()).doesNotContain("NaN", "Infinity");
  }
}
