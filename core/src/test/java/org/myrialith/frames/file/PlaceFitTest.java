package org.myrialith.frames.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.ShapeKinds;

/** An image laid over fixtures: each LED shows the part of it that it covers. */
class PlaceFitTest {
  private static final int RED = 0xff0000;
  private static final int GREEN = 0x00ff00;
  private static final int BLUE = 0x0000ff;
  private static final int WHITE = 0xffffff;

  /** Four quarters: red, green above, blue, white below. */
  private static Raster quarters(int side) {
    int[] argb = new int[side * side];
    Arrays.setAll(
        argb,
        at -> {
          boolean right = at % side >= side / 2;
          boolean below = at / side >= side / 2;
          return 0xff000000 | (below ? right ? WHITE : BLUE : right ? GREEN : RED);
        });
    return new Raster(side, side, argb);
  }

  private static Fixture usual(String kind) {
    Fixture any = DemoGadgets.tideLantern().fixtures().get(0);
    return any.with(ShapeKinds.ALL.kind(kind).orElseThrow().usual());
  }

  /** Rings, spirals and polygons are as wide as high: the quarter an LED is in is its colour. */
  @ParameterizedTest
  @ValueSource(strings = {"ring", "spiral", "polygon"})
  void anLedShowsTheQuarterThatItIsIn(String kind) {
    Fixture fixture = usual(kind);
    Picture picture = Fit.PLACES.onto(fixture).apply(quarters(400));
    List<Emitter> emitters = LayoutPlan.of(List.of(fixture)).emitters();
    LayoutPlan.Box box = LayoutPlan.of(List.of(fixture)).box();
    double x = box.leftMm() + box.widthMm() / 2;
    double y = box.topMm() + box.heightMm() / 2;
    double margin = fixture.pitchMm();
    int seen = 0;
    for (Emitter emitter : emitters) {
      double dx = emitter.position().xMm() - x;
      double dy = emitter.position().yMm() - y;
      boolean first =
          emitters.stream()
              .filter(
                  e ->
                      e.position().column() == emitter.position().column()
                          && e.position().row() == emitter.position().row())
              .findFirst()
              .orElseThrow()
              .equals(emitter);
      if (!first || Math.abs(dx) < margin || Math.abs(dy) < margin) {
        continue; // shows a cell that another gives its colour to, or a border
      }
      int expected = dy > 0 ? dx > 0 ? WHITE : BLUE : dx > 0 ? GREEN : RED;
      assertThat(picture.colour(emitter.position().column(), emitter.position().row()))
          .as("%.1f %.1f", dx, dy)
          .isEqualTo(expected);
      seen++;
    }
    assertThat(seen).isGreaterThan(3);
  }

  /** A strip lies across the middle of an image: left half of one colour, right of the other. */
  @Test
  void aStripTakesTheMiddleOfTheImage() {
    Fixture strip = usual("strip");
    int side = 300;
    int[] argb = new int[side * side];
    Arrays.setAll(
        argb,
        at -> {
          boolean band = Math.abs(at / side - side / 2) < side / 4;
          return 0xff000000 | (!band ? WHITE : at % side < side / 2 ? RED : BLUE);
        });
    Picture picture = Fit.PLACES.onto(strip).apply(new Raster(side, side, argb));
    assertThat(picture.colour(0, 0)).isEqualTo(RED);
    assertThat(picture.colour(picture.columns() - 1, 0)).isEqualTo(BLUE);
  }

  /** A panel of even sides has no LED on a border of the quarters. */
  @Test
  void eachQuarterOfAPanelShowsItsOwnColour() {
    Fixture panel = usual("panel");
    Picture placed = Fit.PLACES.onto(panel).apply(quarters(480));
    for (int row = 0; row < placed.rows(); row++) {
      for (int column = 0; column < placed.columns(); column++) {
        boolean right = column >= placed.columns() / 2;
        boolean below = row >= placed.rows() / 2;
        int expected = below ? right ? WHITE : BLUE : right ? GREEN : RED;
        assertThat(placed.colour(column, row)).as("%d %d", column, row).isEqualTo(expected);
      }
    }
  }
}
