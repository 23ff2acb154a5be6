package org.myrialith.frames.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Picture.Cell;
import org.myrialith.tool.Chance;

/** Several cells picked, moved and put, against the platform's own drawing of images. */
@ExtendWith(InstancioExtension.class)
class PatchTest {
  private static Picture noise(Chance chance, int columns, int rows) {
    byte[] rgb = new byte[3 * columns * rows];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (byte) chance.whole(0, 255);
    }
    return Picture.of(columns, rows, rgb);
  }

  private static BufferedImage image(Picture picture) {
    BufferedImage image =
        new BufferedImage(picture.columns(), picture.rows(), BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < picture.rows(); y++) {
      for (int x = 0; x < picture.columns(); x++) {
        image.setRGB(x, y, picture.colour(x, y));
      }
    }
    return image;
  }

  private static void same(Picture picture, BufferedImage image) {
    for (int y = 0; y < picture.rows(); y++) {
      for (int x = 0; x < picture.columns(); x++) {
        assertThat(picture.colour(x, y)).as("%d,%d", x, y).isEqualTo(image.getRGB(x, y) & 0xffffff);
      }
    }
  }

  @RepeatedTest(60)
  void whatIsMovedIsDrawnElsewhereAndDarkWhereItWas(@Given long given) {
    Chance chance = new Chance(given);
    int columns = chance.whole(1, 20);
    int rows = chance.whole(1, 12);
    Picture picture = noise(chance, columns, rows);
    Cell one = new Cell(chance.whole(0, columns - 1), chance.whole(0, rows - 1));
    Cell other = new Cell(chance.whole(0, columns - 1), chance.whole(0, rows - 1));
    Cell to = new Cell(chance.whole(0, columns - 1), chance.whole(0, rows - 1));
    int left = Math.min(one.column(), other.column());
    int top = Math.min(one.row(), other.row());
    int wide = Math.abs(one.column() - other.column()) + 1;
    int high = Math.abs(one.row() - other.row()) + 1;
    BufferedImage expected = image(picture);
    BufferedImage part = image(picture).getSubimage(left, top, wide, high);
    Graphics2D pen = expected.createGraphics();
    pen.setColor(Color.BLACK);
    pen.fillRect(left, top, wide, high);
    pen.drawImage(part, left + to.column() - one.column(), top + to.row() - one.row(), null);
    pen.dispose();
    Stroke move = new Stroke(Stroke.Tool.MOVE, List.of(one, other, to), 0, 1, Stroke.Mirror.NONE);
    same(move.on(picture), expected);
  }

  @RepeatedTest(60)
  void whatIsPutCoversWhatIsThere(@Given long given) {
    Chance chance = new Chance(given);
    Picture under = noise(chance, chance.whole(1, 20), chance.whole(1, 12));
    Picture cells = noise(chance, chance.whole(1, 9), chance.whole(1, 9));
    int left = chance.whole(-10, 20);
    int top = chance.whole(-10, 12);
    BufferedImage expected = image(under);
    Graphics2D pen = expected.createGraphics();
    pen.drawImage(image(cells), left, top, null);
    pen.dispose();
    same(new Patch(cells).on(under, left, top), expected);
  }

  @Test
  void aMoveWantsTwoCornersAndAPlace() {
    Cell cell = new Cell(0, 0);
    assertThatThrownBy(
            () -> new Stroke(Stroke.Tool.MOVE, List.of(cell, cell), 0, 1, Stroke.Mirror.NONE))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("two corners");
    assertThatThrownBy(() -> Patch.of(Picture.dark(3, 3), cell, new Cell(3, 0)))
        .isInstanceOf(InputException.class);
  }
}
