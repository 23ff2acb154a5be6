package org.myrialith.frames.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.formats.ImageBounds;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Frame;
import org.myrialith.tool.OutsideTool;

/**
 * GIFs made by one independent tool, decoded by another and by ours: same frames, same delays.
 *
 * <p>The first frame covers the canvas, so that no tool's choice of background colour shows.
 */
class GifAgainstOthersTest {
  private static final String CONVERT = "/usr/bin/convert";
  private static final int COLUMNS = 32;
  private static final int ROWS = 24;

  @TempDir Path folder;

  private record Decoded(List<Raster> frames, List<Integer> delays) {}

  private static Decoded decode(byte[] file) throws ImageRefused {
    Decoded decoded = new Decoded(new ArrayList<>(), new ArrayList<>());
    ImageFile.read(
        file,
        ImageBounds.USUAL,
        (raster, delay) -> {
          decoded.frames().add(raster);
          decoded.delays().add(delay / 10); // hundredths, as the other tool has them
          return true;
        });
    return decoded;
  }

  @ParameterizedTest
  @ValueSource(strings = {"None", "Background", "Previous", "Undefined"})
  void partialTransparentFramesOfEveryDisposal(String disposal) throws Exception {
    OutsideTool.runClean(
        folder,
        CONVERT,
        "-delay",
        "7",
        "-size",
        COLUMNS + "x" + ROWS,
        "gradient:red-blue",
        "-dispose",
        disposal,
        "(",
        "-delay",
        "0",
        "-size",
        "10x8",
        "xc:green",
        "-repage",
        "+3+4",
        ")",
        "(",
        "-delay",
        "12",
        "-size",
        "12x12",
        "xc:none",
        "-fill",
        "yellow",
        "-draw",
        "circle 6,6 6,2",
        "-repage",
        "+15+9",
        ")",
        "(",
        "-delay",
        "1",
        "-size",
        "5x20",
        "plasma:white-black",
        "-repage",
        "+20+2",
        ")",
        "(",
        "-delay",
        "200",
        "-size",
        "32x3",
        "xc:#123456",
        "-repage",
        "+0+21",
        ")",
        "-loop",
        "0",
        "made.gif");
    // ffmpeg fills a cleared part with the file's background colour; browsers, the other tool and
    // we make it transparent
    compare("made.gif", List.of(7, 0, 12, 1, 200), !disposal.equals("Background"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"GIF", "None"})
  void localColourTablesAndInterlace(String interlace) throws Exception {
    List<String> command =
        new ArrayList<>(List.of(CONVERT, "-interlace", interlace, "-delay", "4", "-seed", "9"));
    for (int i = 0; i < 4; i++) {
      command.addAll(
          List.of("(", "-size", COLUMNS + "x" + ROWS, "plasma:fractal", "-colors", "200", ")"));
    }
    command.add("made.gif");
    OutsideTool.runClean(folder, command.toArray(String[]::new));
    compare("made.gif", List.of(4, 4, 4, 4), true);
  }

  /** Passes of an interlaced picture may have no row at all (GIF89a, E). */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 7})
  void interlacedPartsOfFewRows(int rows) throws Exception {
    makeTwo("10x" + rows, "+3+4", "GIF");
    compare("made.gif", List.of(4, 4), true);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 255})
  void dataInBlocksOfAnySize(int bytes) throws Exception {
    makeTwo("10x9", "+3+4", "None");
    byte[] made = Files.readAllBytes(folder.resolve("made.gif"));
    Files.write(folder.resolve("again.gif"), GifBlocks.again(made, bytes));
    compare("again.gif", List.of(4, 4), true);
  }

  @Test
  void whatOthersLetPassIsLetPassWithAWord() throws Exception {
    makeTwo("10x9", "+3+4", "None");
    byte[] made = Files.readAllBytes(folder.resolve("made.gif"));
    Decoded whole = decode(made);
    byte[] endless = Arrays.copyOf(made, made.length - 1);
    assertSameWithNote(whole, endless, "end mark");
    byte[] stray = Arrays.copyOf(made, made.length + 2);
    stray[made.length - 1] = 0;
    stray[made.length + 1] = 0x3b;
    assertSameWithNote(whole, stray, "2 bytes between");
  }

  @Test
  void aPartPastTheCanvasIsCutOffThere() throws Exception {
    makeTwo("10x9", "+22+15", "None");
    byte[] made = Files.readAllBytes(folder.resolve("made.gif"));
    Decoded inside = decode(made);
    byte[] past = made.clone();
    int at = GifBlocks.picture(made, 1);
    past[at + 1] = 26; // its left edge moves four cells to the right
    ImageFile.Found found = ImageFile.read(past, ImageBounds.USUAL, (raster, delay) -> true);
    assertThat(found.notes()).singleElement().asString().contains("beyond the canvas");
    Raster moved = decode(past).frames().get(1);
    for (int y = 15; y < 24; y++) {
      for (int x = 26; x < 32; x++) {
        assertThat(moved.at(x, y)).isEqualTo(inside.frames().get(1).at(x - 4, y));
      }
      assertThat(moved.at(25, y)).isEqualTo(inside.frames().get(0).at(25, y));
    }
  }

  private static void assertSameWithNote(Decoded whole, byte[] file, String note)
      throws ImageRefused {
    ImageFile.Found found = ImageFile.read(file, ImageBounds.USUAL, (raster, delay) -> true);
    assertThat(found.notes()).singleElement().asString().contains(note);
    Decoded read = decode(file);
    assertThat(read.frames()).hasSameSizeAs(whole.frames());
    for (int i = 0; i < whole.frames().size(); i++) {
      assertThat(read.frames().get(i).argb()).isEqualTo(whole.frames().get(i).argb());
    }
  }

  private void makeTwo(String size, String at, String interlace) {
    OutsideTool.runClean(
        folder,
        CONVERT,
        "-interlace",
        interlace,
        "-seed",
        "5",
        "-delay",
        "4",
        "(",
        "-size",
        COLUMNS + "x" + ROWS,
        "plasma:fractal",
        ")",
        "(",
        "-size",
        size,
        "plasma:red-yellow",
        "-repage",
        at,
        ")",
        "made.gif");
  }

  private void compare(String name, List<Integer> delays, boolean withBoth)
      throws IOException, ImageRefused {
    Decoded ours = decode(Files.readAllBytes(folder.resolve(name)));
    // 0 and 1 mean that nobody set one
    assertThat(ours.delays()).isEqualTo(delays.stream().map(d -> d < 2 ? 0 : d).toList());
    byte[] theirs =
        OutsideTool.runClean(
                folder,
                "ffmpeg",
                "-v",
                "error",
                "-i",
                name,
                "-fps_mode",
                "passthrough",
                "-f",
                "rawvideo",
                "-pix_fmt",
                "rgba",
                "-")
            .bytes();
    byte[] others =
        OutsideTool.runClean(folder, CONVERT, name, "-coalesce", "-depth", "8", "rgba:-").bytes();
    if (withBoth) {
      holdAgainst(ours, theirs, "ffmpeg");
    }
    holdAgainst(ours, others, "ImageMagick");
  }

  /** What is transparent is equal, whatever colour lies under it. */
  private static void holdAgainst(Decoded ours, byte[] rgba, String tool) {
    assertThat(rgba).as(tool).hasSize(ours.frames().size() * COLUMNS * ROWS * 4);
    for (int f = 0; f < ours.frames().size(); f++) {
      for (int cell = 0; cell < COLUMNS * ROWS; cell++) {
        int at = (f * COLUMNS * ROWS + cell) * 4;
        int theirs =
            (rgba[at + 3] & 0xff) << 24
                | (rgba[at] & 0xff) << 16
                | (rgba[at + 1] & 0xff) << 8
                | rgba[at + 2] & 0xff;
        int own = ours.frames().get(f).argb()[cell];
        boolean bothClear = own >>> 24 == 0 && theirs >>> 24 == 0;
        assertThat(bothClear || own == theirs)
            .as("%s, frame %d, cell %d: ours %08x, theirs %08x", tool, f, cell, own, theirs)
            .isTrue();
      }
    }
  }

  @org.junit.jupiter.api.Test
  void unsetDelaysFollowTheRule() throws Exception {
    OutsideTool.runClean(
        folder,
        CONVERT,
        "-delay",
        "0",
        "-size",
        "4x4",
        "xc:red",
        "-delay",
        "1",
        "xc:blue",
        "-delay",
        "2",
        "xc:green",
        "-delay",
        "65000",
        "xc:white",
        "made.gif");
    ClipImport read =
        ClipImport.read(Files.readAllBytes(folder.resolve("made.gif")), Fit.BOX, 4, 4);
    assertThat(read.frames()).extracting(Frame::holdMillis).containsExactly(100, 100, 20, 60_000);
    assertThat(read.notes()).hasSize(2);
  }
}
