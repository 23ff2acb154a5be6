package org.myrialith.frames.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.formats.GifWriter;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.tool.OutsideTool;

/** Clips as files, read back by video and image tools. */
class ClipFilesTest {
  @TempDir Path folder;

  /** Random holds and colours; flat stretches and noise. */
  private static Clip clip(int columns, int rows, int frames, int colours) {
    Random random = new Random(frames * 31L + colours);
    byte[][] tones = new byte[colours][3];
    for (byte[] tone : tones) {
      random.nextBytes(tone);
    }
    List<Frame> all = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      byte[] rgb = new byte[3 * columns * rows];
      for (int cell = 0; cell < columns * rows; cell++) {
        byte[] tone = tones[random.nextInt(colours)];
        System.arraycopy(tone, 0, rgb, 3 * cell, 3);
      }
      all.add(new Frame(Picture.of(columns, rows, rgb), 20 + 10 * random.nextInt(30)));
    }
    return new Clip("k1", "Noise", "f1", all);
  }

  /** All dots of all frames as the video tool reads them. */
  private byte[] read(String name, byte[] file) throws IOException {
    Path path = folder.resolve(name);
    Files.write(path, file);
    OutsideTool.runClean(
        folder,
        "ffmpeg",
        "-v",
        "error",
        "-i",
        name,
        "-f",
        "rawvideo",
        "-pix_fmt",
        "rgb24",
        "-fps_mode",
        "passthrough",
        "-enc_time_base",
        "1:1000",
        "-y",
        "out.rgb");
    return Files.readAllBytes(folder.resolve("out.rgb"));
  }

  private static byte[] dots(Clip clip) {
    int size = clip.frames().get(0).picture().rgb().length;
    byte[] all = new byte[size * clip.frames().size()];
    for (int f = 0; f < clip.frames().size(); f++) {
      System.arraycopy(clip.frames().get(f).picture().rgb(), 0, all, f * size, size);
    }
    return all;
  }

  @Test
  void aGifHasEveryFrameColourAndDelay() throws IOException {
    for (int colours : new int[] {1, 2, 3, 17, 200}) {
      Clip clip = clip(23, 11, 12, colours);
      GifWriter.Written gif = new ClipFiles(clip, 1).gif();
      assertThat(gif.fewer()).isZero();
      assertThat(gif.rounded()).isZero();
      assertThat(read("c.gif", gif.file())).as("%d colours", colours).isEqualTo(dots(clip));
      String delays = OutsideTool.run(folder, "identify", "-format", "%T ", "c.gif").text();
      assertThat(delays.strip().split(" "))
          .containsExactly(
              clip.frames().stream()
                  .map(f -> Integer.toString(f.holdMillis() / 10))
                  .toArray(String[]::new));
    }
  }

  /** Enough dots that the table of codes is full several times. */
  @Test
  void aLargeGifOfNoiseIsReadBackWhole() throws IOException {
    Clip clip = clip(96, 80, 2, 256);
    assertThat(read("n.gif", new ClipFiles(clip, 1).gif().file())).isEqualTo(dots(clip));
    Clip flat = clip(96, 80, 1, 1);
    assertThat(read("f.gif", new ClipFiles(flat, 1).gif().file())).isEqualTo(dots(flat));
  }

  /** More colours than there may be: each is within the bits that were dropped, and it is told. */
  @Test
  void whatAGifCannotHoldIsTold() throws IOException {
    Clip clip = clip(40, 40, 1, 900);
    GifWriter.Written gif = new ClipFiles(clip, 1).gif();
    assertThat(gif.fewer()).isEqualTo(1);
    byte[] read = read("m.gif", gif.file());
    byte[] was = dots(clip);
    for (int i = 0; i < was.length; i++) {
      assertThat((double) (read[i] & 0xff)).isCloseTo(was[i] & 0xff, within(64.0));
    }
    List<Frame> odd = new ArrayList<>();
    for (Frame frame : clip(4, 4, 30, 4).frames()) {
      odd.add(new Frame(frame.picture(), 33));
    }
    GifWriter.Written rounded = new ClipFiles(clip(4, 4, 1, 1).withFrames(odd), 1).gif();
    assertThat(rounded.rounded()).isEqualTo(30);
    Files.write(folder.resolve("r.gif"), rounded.file());
    String delays = OutsideTool.run(folder, "identify", "-format", "%T ", "r.gif").text();
    int sum = Arrays.stream(delays.strip().split(" ")).mapToInt(Integer::parseInt).sum();
    assertThat(sum).isEqualTo(99); // 30 of 33 ms, no rest added up
  }

  @Test
  void anAnimatedPngHasEveryFrameValueAndHold() throws IOException {
    Clip clip = clip(19, 7, 9, 500);
    assertThat(read("a.png", new ClipFiles(clip, 1).apng())).isEqualTo(dots(clip));
    String times =
        OutsideTool.run(
                folder,
                "ffprobe",
                "-v",
                "error",
                "-show_entries",
                "frame=pts_time",
                "-of",
                "csv=p=0",
                "a.png")
            .text();
    String[] starts = times.strip().split("\\s+");
    double at = 0;
    for (int f = 0; f < clip.frames().size(); f++) {
      assertThat(Double.parseDouble(starts[f].replace(",", ""))).isCloseTo(at, within(0.0006));
      at += clip.frames().get(f).holdMillis() / 1000.0;
    }
  }

  @Test
  void aSheetHasFramesOneBelowTheOtherAndCellsAsLargeAsAsked() throws IOException {
    Clip clip = clip(5, 4, 3, 60);
    byte[] sheet = new ClipFiles(clip, 3).sheet();
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(sheet));
    assertThat(image.getWidth()).isEqualTo(15);
    assertThat(image.getHeight()).isEqualTo(36);
    for (int y = 0; y < 36; y++) {
      for (int x = 0; x < 15; x++) {
        Picture picture = clip.frames().get(y / 12).picture();
        assertThat(image.getRGB(x, y) & 0xffffff).isEqualTo(picture.colour(x / 3, y % 12 / 3));
      }
    }
  }

  @Test
  void aSeriesHasAPictureForEachFrameAndTheirHolds() throws IOException {
    Clip clip = clip(7, 3, 11, 40);
    Map<String, byte[]> files = new ClipFiles(clip, 2).series();
    assertThat(files).hasSize(12);
    String holds = new String(files.get("holds.csv"), StandardCharsets.UTF_8);
    for (int f = 0; f < 11; f++) {
      String name = "frame-00" + (f < 9 ? "0" : "") + (f + 1) + ".png";
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(files.get(name)));
      assertThat(image.getRGB(13, 5) & 0xffffff)
          .isEqualTo(clip.frames().get(f).picture().colour(6, 2));
      assertThat(holds).contains(name + "," + clip.frames().get(f).holdMillis() + "\n");
    }
  }

  @Test
  void aTableHasEveryCell() throws IOException {
    Clip clip = clip(6, 2, 4, 30);
    try (CSVParser parser =
        CSVParser.parse(
            new ByteArrayInputStream(new ClipFiles(clip, 1).csv().getBytes(StandardCharsets.UTF_8)),
            StandardCharsets.UTF_8,
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get())) {
      var rows = parser.getRecords();
      assertThat(rows).hasSize(48);
      for (var row : rows) {
        Frame frame = clip.frames().get(Integer.parseInt(row.get("frame")) - 1);
        int column = Integer.parseInt(row.get("column"));
        int line = Integer.parseInt(row.get("row"));
        assertThat(row.get("hold_ms")).isEqualTo(Integer.toString(frame.holdMillis()));
        assertThat(row.get("green"))
            .isEqualTo(Integer.toString(frame.picture().channel(column, line, 1)));
      }
    }
  }

  @Test
  void whatWouldBeTooLargeIsRefusedByName() {
    assertThatThrownBy(() -> new ClipFiles(clip(2, 2, 1, 1), 33)).hasMessageContaining("scale");
    assertThatThrownBy(() -> new ClipFiles(clip(96, 80, 60, 2), 32)).hasMessageContaining("scale");
  }
}
