package org.myrialith.gadget.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputException;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.ZipWriter;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.file.ClipFiles;
import org.myrialith.frames.file.ClipImport;
import org.myrialith.frames.file.Fit;
import org.myrialith.frames.file.FrameGrid;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.tool.OutsideTool;

/** What comes in: our own files come back as they were, those of other tools as they show them. */
class ClipSourceTest {
  @TempDir Path folder;

  private static Clip clip(int columns, int rows, int frames) {
    Random random = new Random(columns * 31L + rows);
    List<Frame> all = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      byte[] rgb = new byte[3 * columns * rows];
      random.nextBytes(rgb);
      all.add(new Frame(Picture.of(columns, rows, rgb), 1 + random.nextInt(3000)));
    }
    return new Clip("k1", "Noise", "f1", all);
  }

  private static List<Frame> read(byte[] file, int columns, int rows) throws ImageRefused {
    return ClipImport.read(ClipSource.of(file, FrameGrid.Cut.NONE), Fit.NEAREST, columns, rows)
        .frames();
  }

  private static List<Picture> pictures(List<Frame> frames) {
    return frames.stream().map(Frame::picture).toList();
  }

  @Test
  void whatWentOutComesInAsItWas() throws ImageRefused {
    Clip clip = clip(7, 5, 11);
    ClipFiles files = new ClipFiles(clip, 1);
    assertThat(read(files.apng(), 7, 5)).isEqualTo(clip.frames());
    assertThat(read(files.csv().getBytes(StandardCharsets.UTF_8), 7, 5)).isEqualTo(clip.frames());
    assertThat(read(ZipWriter.zip(files.series()), 7, 5)).isEqualTo(clip.frames());
    FrameGrid sheet = ClipSource.of(files.sheet(), new FrameGrid.Cut(1, 11, 250));
    List<Frame> cut = ClipImport.read(sheet, Fit.NEAREST, 7, 5).frames();
    assertThat(pictures(cut)).isEqualTo(pictures(clip.frames()));
    assertThat(cut).allMatch(frame -> frame.holdMillis() == 250);
  }

  /** A clip with its effects, and with its text, on another fixture of the same size. */
  @Test
  void aClipBringsWhatItWasMadeOf() throws ImageRefused {
    Gadget badge = DemoGadgets.duneBadge();
    String fixture = badge.programme().recipes().get(0).fixture();
    ClipFile file = ClipFile.of(badge, fixture).orElseThrow();
    byte[] bytes = file.write().getBytes(StandardCharsets.UTF_8);
    ClipFile again = ClipFile.read(bytes);
    assertThat(again).isEqualTo(file);
    Gadget bare = badge.with(org.myrialith.frames.Programme.EMPTY);
    assertThat(again.madeOn(bare, fixture).programme().recipeOn(fixture))
        .isEqualTo(badge.programme().recipeOn(fixture));
    Gadget sign = DemoGadgets.gullSign();
    String board = sign.programme().captions().get(0).fixture();
    ClipFile text = ClipFile.of(sign, board).orElseThrow();
    assertThat(text.madeOn(sign.with(org.myrialith.frames.Programme.EMPTY), board).programme())
        .extracting(p -> p.captionOn(board))
        .isEqualTo(sign.programme().captionOn(board));
    Picture first = text.clip().frames().get(0).picture();
    assertThat(read(text.write().getBytes(StandardCharsets.UTF_8), first.columns(), first.rows()))
        .isEqualTo(text.clip().frames());
  }

  /** Parts over parts, cleared and put back, as a video tool writes them and shows them. */
  @Test
  void animatedPngsOfOthersAreSeenAsByThem() throws IOException, ImageRefused {
    Path made = folder.resolve("made.png");
    OutsideTool.runClean(
        folder,
        "ffmpeg",
        "-v",
        "error",
        "-f",
        "lavfi",
        "-i",
        "testsrc=size=40x30:rate=8:duration=2",
        "-f",
        "apng",
        "-plays",
        "0",
        "-pred",
        "mixed",
        made.toString());
    OutsideTool.runClean(
        folder,
        "ffmpeg",
        "-v",
        "error",
        "-i",
        made.toString(),
        "-f",
        "rawvideo",
        "-pix_fmt",
        "rgb24",
        "raw.bin");
    byte[] raw = Files.readAllBytes(folder.resolve("raw.bin"));
    List<Frame> frames = read(Files.readAllBytes(made), 40, 30);
    assertThat(frames).hasSize(16).allMatch(frame -> frame.holdMillis() == 125);
    for (int f = 0; f < frames.size(); f++) {
      assertThat(frames.get(f).picture().rgb())
          .as("frame %d", f)
          .isEqualTo(Arrays.copyOfRange(raw, f * 3600, (f + 1) * 3600));
    }
  }

  @Test
  void aSeriesGoesByItsNumbers() throws ImageRefused {
    Clip clip = clip(4, 4, 3);
    List<byte[]> stills = new ArrayList<>();
    for (Frame frame : clip.frames()) {
      Clip one = clip.withFrames(List.of(frame));
      stills.add(new ClipFiles(one, 1).apng());
    }
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("shots/wave10.png", stills.get(2));
    files.put("shots/wave9.png", stills.get(1));
    files.put("shots/wave-1.png", stills.get(0));
    files.put("shots/.hidden", new byte[] {1});
    List<Frame> read = read(ZipWriter.zip(files), 4, 4);
    assertThat(pictures(read)).isEqualTo(pictures(clip.frames()));
    assertThat(read).allMatch(frame -> frame.holdMillis() == ClipImport.UNSET_MILLIS);
  }

  private static void refused(String file, String... says) {
    refused(file.getBytes(StandardCharsets.UTF_8), says);
  }

  private static void refused(byte[] file, String... says) {
    assertThatThrownBy(() -> read(file, 4, 4))
        .isInstanceOfAny(ImageRefused.class, InputException.class)
        .hasMessageContainingAll(says);
  }

  @Test
  void whatIsWrongIsNamed() throws IOException {
    String head = "frame,hold_ms,column,row,red,green,blue\n";
    refused(head + "1,100,0,0,1,2,256\n", "line 2, blue", "256", "0 to 255");
    refused(head + "1,0,0,0,1,2,3\n", "hold_ms", "1 to 60000");
    refused(head + "2,100,0,0,1,2,3\n", "frame 1", "a line for each frame");
    refused(head + "1,100,0,0,1,2\n", "6 fields");
    refused(head + "1,100,5000,0,1,2,3\n", "column", "5000");
    refused("{\"format\":\"myrialith-clip\",\"version\":2}", "myrialith-clip 1");
    refused("{\"format\":\"myrialith-clip\",\"version\":1,\"more\":1}", "more");
    refused("{\"format\":", "JSON");
    refused(new byte[] {'P', 'K', 3, 4, 0}, "pictures");
    refused(ZipWriter.zip(Map.of("a.png", new byte[] {1, 2, 3})), "GIF or a PNG");
    refused(
        ZipWriter.zip(
            Map.of("holds.csv", "file,hold_ms\na.png,0\n".getBytes(StandardCharsets.UTF_8))),
        "holds.csv, line 2",
        "1 to 60");
    byte[] whole = new ClipFiles(clip(4, 4, 3), 1).apng();
    refused(Arrays.copyOf(whole, whole.length - 30), "damaged");
    FrameGrid uneven =
        ClipSource.of(new ClipFiles(clip(4, 4, 3), 1).sheet(), new FrameGrid.Cut(3, 1, 9));
    assertThatThrownBy(() -> ClipImport.read(uneven, Fit.BOX, 4, 4))
        .hasMessageContaining("divided by 3");
  }

  /** A file that unpacks to a thousand times its size is left where its bound is. */
  @Test
  void anArchiveThatSwellsIsLeft() throws IOException {
    ByteArrayOutputStream zeros = new ByteArrayOutputStream();
    zeros.write(new byte[(64 << 20) + 1]);
    refused(ZipWriter.zip(Map.of("big.png", zeros.toByteArray())), "64 MB");
  }
}
