package org.myrialith.frames.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.geom.Ellipse2D;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Picture.Cell;
import org.myrialith.frames.edit.Stroke.Mirror;
import org.myrialith.frames.edit.Stroke.Tool;

/** Tools of the easel, against plain geometry. */
class StrokeTest {
  private static final int RED = 0xff0000;

  private static Picture drawn(Tool tool, Cell from, Cell to, int size, Mirror mirror) {
    return new Stroke(tool, List.of(from, to), RED, size, mirror).on(Picture.dark(20, 12));
  }

  private static Picture drawn(Tool tool, Cell from, Cell to) {
    return drawn(tool, from, to, 1, Mirror.NONE);
  }

  private static long lit(Picture picture) {
    return picture.colours().filter(colour -> colour == RED).count();
  }

  @Test
  void rectanglesAndFramesHaveTheirCells() {
    // whichever corner it begins at
    Picture full = drawn(Tool.RECTANGLE, new Cell(9, 7), new Cell(3, 2));
    assertThat(lit(full)).isEqualTo(7 * 6);
    assertThat(full).isEqualTo(drawn(Tool.RECTANGLE, new Cell(3, 2), new Cell(9, 7)));
    Picture rim = drawn(Tool.FRAME, new Cell(3, 2), new Cell(9, 7));
    assertThat(lit(rim)).isEqualTo(7 * 6 - 5 * 4);
    Picture thick = drawn(Tool.FRAME, new Cell(3, 2), new Cell(9, 7), 2, Mirror.NONE);
    assertThat(lit(thick)).isEqualTo(7 * 6 - 3 * 2);
    assertThat(lit(drawn(Tool.FRAME, new Cell(4, 4), new Cell(4, 4)))).isEqualTo(1);
  }

  /** Cells whose middle lies in the ellipse of the library, but for those on its very edge. */
  @Test
  void ellipsesAreThoseOfTheLibrary() {
    Random random = new Random(4);
    for (int i = 0; i < 60; i++) {
      Cell one = new Cell(random.nextInt(20), random.nextInt(12));
      Cell other = new Cell(random.nextInt(20), random.nextInt(12));
      Picture picture = drawn(Tool.ELLIPSE, one, other);
      int left = Math.min(one.column(), other.column());
      int top = Math.min(one.row(), other.row());
      int wide = Math.abs(one.column() - other.column()) + 1;
      int high = Math.abs(one.row() - other.row()) + 1;
      Ellipse2D inner = new Ellipse2D.Double(left + 1e-6, top + 1e-6, wide - 2e-6, high - 2e-6);
      Ellipse2D outer = new Ellipse2D.Double(left - 1e-6, top - 1e-6, wide + 2e-6, high + 2e-6);
      for (int row = 0; row < 12; row++) {
        for (int column = 0; column < 20; column++) {
          boolean painted = picture.colour(column, row) == RED;
          if (inner.contains(column + 0.5, row + 0.5)) {
            assertThat(painted).isTrue();
          } else if (!outer.contains(column + 0.5, row + 0.5)) {
            assertThat(painted).isFalse();
          }
        }
      }
    }
  }

  @Test
  void brushesAreAsWideAsTheyAreAndMirrorsShowTheSame() {
    assertThat(lit(drawn(Tool.PENCIL, new Cell(5, 5), new Cell(5, 5), 3, Mirror.NONE)))
        .isEqualTo(9);
    assertThat(lit(drawn(Tool.LINE, new Cell(2, 5), new Cell(8, 5), 2, Mirror.NONE)))
        .isEqualTo(8 * 2);
    // over the edge nothing is painted, and nothing fails
    assertThat(lit(drawn(Tool.PENCIL, new Cell(0, 0), new Cell(0, 0), 9, Mirror.NONE)))
        .isEqualTo(25);
    Picture four = drawn(Tool.LINE, new Cell(1, 1), new Cell(6, 3), 1, Mirror.BOTH);
    for (int row = 0; row < 12; row++) {
      for (int column = 0; column < 20; column++) {
        assertThat(four.colour(column, row)).isEqualTo(four.colour(19 - column, row));
        assertThat(four.colour(column, row)).isEqualTo(four.colour(column, 11 - row));
      }
    }
    assertThat(lit(four)).isEqualTo(24);
  }

  @Test
  void replacingTakesAllOfAColourFillingOnlyAPatch() {
    Picture two =
        new Stroke(Tool.RECTANGLE, List.of(new Cell(12, 1), new Cell(14, 3)), RED, 1, Mirror.NONE)
            .on(drawn(Tool.RECTANGLE, new Cell(1, 1), new Cell(3, 3)));
    Stroke replace = new Stroke(Tool.REPLACE, List.of(new Cell(2, 2)), 0xff, 1, Mirror.NONE);
    assertThat(replace.on(two).colours().filter(c -> c == 0xff).count()).isEqualTo(18);
    Stroke fill = new Stroke(Tool.FILL, List.of(new Cell(2, 2)), 0xff, 1, Mirror.NONE);
    assertThat(fill.on(two).colours().filter(c -> c == 0xff).count()).isEqualTo(9);
  }

  /** From dark to white over ten columns: grey that gets lighter, the ends as they are. */
  @Test
  void aBlendGoesFromWhatIsThereToTheColour() {
    Stroke blend =
        new Stroke(Tool.BLEND, List.of(new Cell(5, 3), new Cell(15, 3)), 0xffffff, 1, Mirror.NONE);
    Picture picture = blend.on(Picture.dark(20, 12));
    for (int column = 1; column < 20; column++) {
      assertThat(picture.channel(column, 0, 1))
          .isGreaterThanOrEqualTo(picture.channel(column - 1, 0, 1));
      assertThat(picture.colour(column, 0)).isEqualTo(picture.colour(column, 11));
    }
    assertThat(picture.colour(5, 0)).isZero();
    assertThat(picture.colour(15, 0)).isEqualTo(0xffffff);
  }

  /** A stack of three layers, four rows each: nothing gets from one layer into another. */
  @ParameterizedTest
  @EnumSource(
      value = Tool.class,
      names = {"MOVE"},
      mode = EnumSource.Mode.EXCLUDE)
  void whatIsDoneOnALayerStaysThere(Tool tool) {
    Picture dark = Picture.dark(5, 12);
    Stroke stroke = new Stroke(tool, List.of(new Cell(1, 4), new Cell(4, 6)), RED, 3, Mirror.DOWN);
    Picture painted = stroke.on(dark, 4, 4);
    for (int row = 0; row < 12; row++) {
      for (int column = 0; column < 5; column++) {
        if (row < 4 || row > 7) {
          assertThat(painted.colour(column, row)).isZero();
        }
      }
    }
    // and there it is what the same act is on a picture of that layer alone
    Picture alone =
        new Stroke(tool, List.of(new Cell(1, 0), new Cell(4, 2)), RED, 3, Mirror.DOWN)
            .on(Picture.dark(5, 4));
    for (int cell = 0; cell < 20; cell++) {
      assertThat(painted.colour(cell % 5, 4 + cell / 5))
          .isEqualTo(alone.colour(cell % 5, cell / 5));
    }
    assertThatThrownBy(() -> stroke.on(dark, 0, 4)).hasMessageContaining("those of the layer");
  }

  @Test
  void aPencilThatTouchesPaintsNothingBetween() {
    Stroke pencil =
        new Stroke(Tool.PENCIL, List.of(new Cell(0, 0), new Cell(9, 9)), RED, 1, Mirror.NONE);
    assertThat(lit(pencil.on(Picture.dark(10, 10)))).isEqualTo(10);
    assertThat(lit(pencil.touching().on(Picture.dark(10, 10)))).isEqualTo(2);
  }

  @Test
  void whatCannotBeIsToldByName() {
    assertThatThrownBy(() -> new Stroke(Tool.LINE, List.of(new Cell(0, 0)), 0, 10, Mirror.NONE))
        .hasMessageContaining("size");
    assertThatThrownBy(() -> new Stroke(Tool.LINE, List.of(), 0, 1, Mirror.NONE))
        .hasMessageContaining("points");
  }
}
