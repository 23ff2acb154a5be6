package org.myrialith.frames.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.tool.Chance;

/** Strokes on lights by where they are. */
@ExtendWith(InstancioExtension.class)
class PlaceStrokeTest {
  private static PlaceStroke stroke(Stroke.Tool tool, int size, Integer... places) {
    return new PlaceStroke(tool, List.of(places), 0xff0000, size, Stroke.Mirror.NONE);
  }

  /** A ring of 12 about the middle, 30 mm out, the first at the right; a light in the middle. */
  private static PlaceStroke.Lights ring(int... lit) {
    double[] x = new double[13];
    double[] y = new double[13];
    for (int i = 0; i < 12; i++) {
      x[i] = 30 * Math.cos(i * Math.PI / 6);
      y[i] = 30 * Math.sin(i * Math.PI / 6);
    }
    int[] colours = new int[13];
    IntStream.of(lit).forEach(i -> colours[i] = 0x00ff00);
    return new PlaceStroke.Lights(x, y, colours);
  }

  /** On lights in rows and columns it is what the same act is on the cells of a picture. */
  @RepeatedTest(300)
  void onAPanelItIsTheStrokeOnItsCells(@Given long given) {
    Chance chance = new Chance(given);
    Random random = new Random(chance.seed());
    int columns = chance.whole(2, 14);
    int rows = chance.whole(2, 12);
    double pitch = chance.measure(2, 40);
    int count = columns * rows;
    double[] x = new double[count];
    double[] y = new double[count];
    int[] colours = new int[count];
    byte[] rgb = new byte[3 * count];
    for (int i = 0; i < count; i++) {
      x[i] = 7 + i % columns * pitch;
      y[i] = -3 + i / columns * pitch;
      colours[i] = random.nextInt(2) * 0x0000ff;
      rgb[3 * i + 2] = (byte) colours[i];
    }
    List<Stroke.Tool> tools =
        List.of(
            Stroke.Tool.RECTANGLE,
            Stroke.Tool.ELLIPSE,
            Stroke.Tool.REPLACE,
            Stroke.Tool.BLEND,
            Stroke.Tool.FRAME,
            Stroke.Tool.FILL);
    Stroke.Tool tool = tools.get(random.nextInt(tools.size()));
    boolean mirrors =
        List.of(Stroke.Tool.RECTANGLE, Stroke.Tool.ELLIPSE, Stroke.Tool.FRAME).contains(tool);
    Stroke.Mirror mirror =
        mirrors
            ? Stroke.Mirror.values()[random.nextInt(Stroke.Mirror.values().length)]
            : Stroke.Mirror.NONE;
    int one = random.nextInt(count);
    int other = random.nextInt(count);
    int size = chance.whole(1, 3);
    Map<Integer, Integer> painted =
        new PlaceStroke(tool, List.of(one, other), 0xff8000, size, mirror)
            .on(new PlaceStroke.Lights(x, y, colours));
    Picture expected =
        new Stroke(tool, List.of(cell(one, columns), cell(other, columns)), 0xff8000, size, mirror)
            .on(Picture.of(columns, rows, rgb));
    for (int i = 0; i < count; i++) {
      assertThat(painted.getOrDefault(i, colours[i]))
          .as("%s %s by %s, light %d", tool, mirror, size, i)
          .isEqualTo(expected.colour(i % columns, i / columns));
    }
  }

  private static Picture.Cell cell(int number, int columns) {
    return new Picture.Cell(number % columns, number / columns);
  }

  /** A line across the ring meets its ends and the middle, a broad one their neighbours too. */
  @Test
  void aLineTouchesWhatLiesOnIt() {
    assertThat(stroke(Stroke.Tool.LINE, 1, 0, 6).on(ring()).keySet())
        .containsExactlyInAnyOrder(0, 6, 12);
    assertThat(stroke(Stroke.Tool.LINE, 3, 0, 6).on(ring()).keySet())
        .containsExactlyInAnyOrder(0, 6, 12, 1, 11, 5, 7);
    assertThat(stroke(Stroke.Tool.LINE, 1, 3, 3).on(ring()).keySet()).containsExactly(3);
  }

  /** It goes round the ring from light to light, and not across to the middle. */
  @Test
  void aFillFlowsFromNeighbourToNeighbour() {
    assertThat(stroke(Stroke.Tool.FILL, 1, 1).on(ring(0, 6)).keySet())
        .containsExactlyInAnyOrder(1, 2, 3, 4, 5);
    assertThat(stroke(Stroke.Tool.FILL, 1, 6).on(ring(5, 6, 7, 9)).keySet())
        .containsExactlyInAnyOrder(5, 6, 7);
    assertThat(stroke(Stroke.Tool.REPLACE, 1, 6).on(ring(5, 6, 7, 9)).keySet())
        .containsExactlyInAnyOrder(5, 6, 7, 9);
  }

  @Test
  void aBrushReachesItsNeighbours() {
    assertThat(stroke(Stroke.Tool.PENCIL, 1, 2, 8).on(ring()).keySet()).containsExactly(2, 8);
    assertThat(stroke(Stroke.Tool.PENCIL, 3, 2).on(ring()).keySet())
        .containsExactlyInAnyOrder(1, 2, 3);
  }

  @Test
  void theOtherSideOfTheMiddleIsPaintedToo() {
    PlaceStroke both =
        new PlaceStroke(Stroke.Tool.PENCIL, List.of(1), 0xff0000, 1, Stroke.Mirror.BOTH);
    assertThat(both.on(ring()).keySet()).containsExactlyInAnyOrder(1, 5, 7, 11);
  }

  @Test
  void whatCanNotBeIsToldByName() {
    assertThatThrownBy(() -> stroke(Stroke.Tool.LINE, 1, 0, 13).on(ring()))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("13")
        .hasMessageContaining("0 to 12");
    assertThatThrownBy(() -> stroke(Stroke.Tool.MOVE, 1, 0)).hasMessageContaining("all tools but");
    assertThatThrownBy(() -> stroke(Stroke.Tool.LINE, 10, 0)).hasMessageContaining("size");
    assertThatThrownBy(() -> stroke(Stroke.Tool.LINE, 1)).hasMessageContaining("a place at least");
    // lights upon one another, and one that is alone
    PlaceStroke.Lights upon =
        new PlaceStroke.Lights(new double[] {5, 5}, new double[] {5, 5}, new int[2]);
    assertThat(stroke(Stroke.Tool.FILL, 1, 0).on(upon)).hasSize(2);
    List<Integer> none =
        new ArrayList<>(
            stroke(Stroke.Tool.ELLIPSE, 1, 0)
                .on(new PlaceStroke.Lights(new double[] {1}, new double[] {1}, new int[1]))
                .keySet());
    assertThat(none).containsExactly(0);
  }
}
