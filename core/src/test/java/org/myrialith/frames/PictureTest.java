package org.myrialith.frames;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.formats.Raster;
import org.myrialith.frames.file.Fit;
import org.myrialith.tool.OutsideTool;

class PictureTest {
  private static final int RED = 0xff0000;

  @Test
  void linesReachBothEndsAndLeaveTheRestAlone() {
    Picture picture =
        Picture.dark(5, 4).withLine(new Picture.Cell(0, 0), new Picture.Cell(4, 2), RED);
    assertThat(lit(picture)).containsExactly("0,0", "1,1", "2,1", "3,2", "4,2");
    assertThat(
            lit(Picture.dark(3, 3).withLine(new Picture.Cell(-5, 1), new Picture.Cell(9, 1), RED)))
        .containsExactly("0,1", "1,1", "2,1");
  }

  @Test
  void fillStopsAtOtherColours() {
    Picture wall = Picture.dark(5, 3).withLine(new Picture.Cell(2, 0), new Picture.Cell(2, 2), RED);
    Picture filled = wall.withFill(new Picture.Cell(0, 0), 0x00ff00);
    assertThat(filled.colour(1, 2)).isEqualTo(0x00ff00);
    assertThat(filled.colour(2, 1)).isEqualTo(RED);
    assertThat(filled.colour(3, 1)).isZero();
    assertThat(wall.withFill(new Picture.Cell(9, 9), RED)).isEqualTo(wall);
  }

  @Test
  void shiftsGoRound() {
    Picture picture =
        Picture.dark(3, 2).withLine(new Picture.Cell(2, 1), new Picture.Cell(2, 1), RED);
    assertThat(lit(picture.shifted(1, 1))).containsExactly("0,0");
    assertThat(picture.shifted(4, -3).shifted(-4, 3)).isEqualTo(picture);
  }

  private static List<String> lit(Picture picture) {
    List<String> cells = new ArrayList<>();
    for (int row = 0; row < picture.rows(); row++) {
      for (int column = 0; column < picture.columns(); column++) {
        if (picture.colour(column, row) != 0) {
          cells.add(column + "," + row);
        }
      }
    }
    return cells.stream().sorted().toList();
  }

  @Test
  void hugeSizesAreRefusedBeforeAnythingIsMade() {
    assertThatThrownBy(() -> Picture.dark(8192, 8192)).hasMessageContaining("8192 cells");
    assertThatThrownBy(() -> Picture.dark(0, 1)).hasMessageContaining("width");
    assertThatThrownBy(() -> Picture.of(2, 2, new byte[11])).hasMessageContaining("12 bytes");
  }

  @Test
  void averagesAreMadeInLinearLight() {
    // half black, half white: half the light, which sRGB writes as 188 (IEC 61966-2-1)
    Raster raster = new Raster(2, 1, new int[] {0xff000000, 0xffffffff});
    assertThat(Fit.BOX.apply(raster, 1, 1).colour(0, 0)).isEqualTo(0xbcbcbc);
    assertThat(Fit.NEAREST.apply(raster, 2, 2).colour(1, 1)).isEqualTo(0xffffff);
    assertThat(Fit.CROP.apply(raster, 4, 3).colour(2, 1)).isEqualTo(0xffffff);
    assertThat(Fit.CROP.apply(raster, 4, 3).colour(0, 0)).isZero();
  }

  @Test
  void trimmingKeepsShapes() {
    // 6 x 2, red in the middle third: on a square picture of 2 x 2 only the middle third is left
    int[] argb = new int[12];
    Arrays.fill(argb, 0xff0000ff);
    for (int cell : new int[] {2, 3, 8, 9}) {
      argb[cell] = 0xffff0000;
    }
    Picture trimmed = Fit.TRIM.apply(new Raster(6, 2, argb), 2, 2);
    assertThat(List.of(trimmed.colour(0, 0), trimmed.colour(1, 1))).containsOnly(RED);
    assertThat(Fit.BOX.apply(new Raster(6, 2, argb), 2, 2).colour(0, 0)).isNotEqualTo(RED);
  }

  @Test
  void whatIsTransparentLiesOverDark() {
    Raster raster = new Raster(1, 1, new int[] {0x00ffffff});
    for (Fit fit : Fit.values()) {
      assertThat(fit.apply(raster, 1, 1).colour(0, 0)).isZero();
    }
  }

  @Test
  void boxAveragesOfOddRatiosKeepTheLight() {
    int[] argb = new int[7 * 5];
    Arrays.fill(argb, 0xff406080);
    Picture even = Fit.BOX.apply(new Raster(7, 5, argb), 3, 2);
    for (int cell = 0; cell < 6; cell++) {
      assertThat(even.colour(cell % 3, cell / 3)).isEqualTo(0x406080);
    }
  }

  /** Half-transparent pixels against the image tool, which lays them over black in sRGB too. */
  @Test
  void whatIsHalfTransparentLiesOverBlackAsViewersShowIt(@TempDir Path folder) throws Exception {
    int side = 64;
    int[] argb = new int[side * side];
    byte[] rgba = new byte[4 * argb.length];
    Random random = new Random(11);
    for (int i = 0; i < argb.length; i++) {
      argb[i] = random.nextInt();
      for (int c = 0; c < 4; c++) {
        rgba[4 * i + c] = (byte) (argb[i] >> (c == 3 ? 24 : 16 - 8 * c));
      }
    }
    Files.write(folder.resolve("in.rgba"), rgba);
    byte[] theirs =
        OutsideTool.runClean(
                folder,
                "/usr/bin/convert",
                "-size",
                side + "x" + side,
                "-depth",
                "8",
                "in.rgba",
                "-background",
                "black",
                "-flatten",
                "-depth",
                "8",
                "rgb:-")
            .bytes();
    Picture own = Fit.NEAREST.apply(new Raster(side, side, argb), side, side);
    assertThat(theirs).hasSize(3 * argb.length);
    byte[] mine = own.rgb();
    for (int i = 0; i < theirs.length; i++) {
      assertThat(mine[i] & 0xff).as("byte %d", i).isCloseTo(theirs[i] & 0xff, within(1));
    }
    Raster one = new Raster(1, 1, new int[] {0x80ffffff});
    assertThat(Fit.BOX.apply(one, 1, 1).colour(0, 0)).isEqualTo(0x808080);
  }
}
