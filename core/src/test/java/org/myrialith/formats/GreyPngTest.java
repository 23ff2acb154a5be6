package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.tool.OutsideTool;

/** Grey pictures of each depth with one grey that is transparent, against ImageMagick. */
class GreyPngTest {
  @TempDir Path folder;

  /** A file by the PNG specification (W3C, 11.2.2, 11.3.2.1): each grey once in a row. */
  private static byte[] png(int depth, int clear) throws IOException {
    int greys = 1 << Math.min(depth, 8);
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream lines = new DeflaterOutputStream(packed)) {
      lines.write(0);
      int bits = 0;
      int held = 0;
      for (int grey = 0; grey < greys; grey++) {
        held = held << depth | (depth == 16 ? grey << 8 | grey : grey);
        for (bits += depth; bits >= 8; bits -= 8) {
          lines.write(held >> bits - 8);
        }
      }
      if (bits > 0) {
        lines.write(held << 8 - bits);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
    ByteBuffer head = ByteBuffer.allocate(13).putInt(greys).putInt(1);
    ApngWriter.chunk(out, "IHDR", head.put((byte) depth).array());
    if (clear >= 0) {
      ApngWriter.chunk(out, "tRNS", ByteBuffer.allocate(2).putShort((short) clear).array());
    }
    ApngWriter.chunk(out, "IDAT", packed.toByteArray());
    ApngWriter.chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  @ParameterizedTest
  @CsvSource({
    "1, -1", "1, 0", "1, 1", "2, -1", "2, 0", "2, 2", "4, -1", "4, 0", "4, 15", "8, -1", "8, 77",
    "16, -1", "16, 0"
  })
  void theGreyThatIsTransparentIsClear(int depth, int clear) throws Exception {
    byte[] file = png(depth, clear);
    Path png = folder.resolve("grey.png");
    Files.write(png, file);
    byte[] theirs =
        OutsideTool.runClean(folder, "/usr/bin/convert", png.toString(), "-depth", "8", "rgba:-")
            .bytes();
    List<Raster> own = new ArrayList<>();
    ImageFile.read(file, ImageBounds.USUAL, (raster, hold) -> own.add(raster));
    int[] argb = own.get(0).argb();
    assertThat(argb).hasSize(theirs.length / 4);
    int clears = 0;
    for (int i = 0; i < argb.length; i++) {
      int alpha = theirs[4 * i + 3] & 0xff;
      assertThat(argb[i] >>> 24).as("alpha of grey %d", i).isEqualTo(alpha);
      clears += alpha == 0 ? 1 : 0;
      if (alpha > 0) {
        assertThat(argb[i] & 0xff).as("grey %d", i).isEqualTo(theirs[4 * i] & 0xff);
      }
    }
    assertThat(clears).isEqualTo(clear < 0 ? 0 : 1);
  }
}
