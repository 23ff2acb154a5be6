package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/**
 * Files made to harm: each is refused with its reason, or read, within bounds; never another
 * exception.
 */
class HostileImageTest {
  private static final byte[] BLACK_DOT = {0x2c, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 2, 0x44, 1, 0};

  private static byte[] gif(int columns, int rows, int parts) {
    ByteBuffer out =
        ByteBuffer.allocate(13 + 6 + parts * BLACK_DOT.length + 1).order(ByteOrder.LITTLE_ENDIAN);
    out.put("GIF89a".getBytes(StandardCharsets.US_ASCII));
    out.putShort((short) columns)
        .putShort((short) rows)
        .put((byte) 0x80)
        .put((byte) 0)
        .put((byte) 0);
    out.put(new byte[6]);
    for (int i = 0; i < parts; i++) {
      out.put(BLACK_DOT);
    }
    return out.put((byte) 0x3b).array();
  }

  private static int frames(byte[] file) throws ImageRefused {
    return ImageFile.read(file, ImageBounds.USUAL, (raster, delay) -> true).frames();
  }

  @Test
  void aSmallFileThatClaimsToBeHugeIsRefused() {
    assertThatThrownBy(() -> frames(gif(65_535, 65_535, 1)))
        .isInstanceOf(ImageRefused.class)
        .hasMessageContaining("65535 × 65535")
        .hasMessageContaining("4096");
  }

  @Test
  void tooManyFramesAreRefusedWithoutDecoding() {
    assertThatThrownBy(() -> frames(gif(1, 1, 10_000))).hasMessageContaining("at most 2000 frames");
    assertThatCode(() -> assertThat(frames(gif(1, 1, 2000))).isEqualTo(2000))
        .doesNotThrowAnyException();
  }

  @Test
  void tooMuchToDecodeIsRefused() {
    // 4 frames of 4096 x 4096 are 256 MB, five are too many
    assertThatThrownBy(() -> frames(gif(4096, 4096, 5))).hasMessageContaining("256 MB");
  }

  @Test
  void nothingAndOtherKindsAreRefused() {
    assertThatThrownBy(() -> frames(new byte[0])).hasMessageContaining("nothing");
    assertThatThrownBy(() -> frames("BM is not one of them".getBytes(StandardCharsets.US_ASCII)))
        .hasMessageContaining("a GIF or a PNG");
    assertThatThrownBy(() -> frames(new byte[(16 << 20) + 1]))
        .hasMessageContaining("at most 16777216 bytes");
  }

  @Test
  void aPartFarLargerThanTheCanvasIsRefused() {
    byte[] file = gif(1, 1, 1);
    file[19 + 6] = 0x7f;
    assertThatThrownBy(() -> frames(file)).hasMessageContaining("4096");
  }

  @Test
  void aPngThatClaimsToBeHugeIsRefusedByItsHeader() throws IOException {
    byte[] png = png(new BufferedImage(4, 4, BufferedImage.TYPE_INT_RGB));
    ByteBuffer.wrap(png).putInt(16, 65_535).putInt(20, 65_535);
    assertThatThrownBy(() -> frames(png)).hasMessageContaining("65535 × 65535");
    ByteBuffer.wrap(png).putInt(16, -1);
    assertThatThrownBy(() -> frames(png)).isInstanceOf(ImageRefused.class);
  }

  /** A megabyte of text that unpacks to a gigabyte must not be unpacked. */
  @Test
  void aCompressedTextBombInAPngIsPassedOver() throws Exception {
    byte[] png = png(new BufferedImage(4, 4, BufferedImage.TYPE_INT_RGB));
    Deflater deflater = new Deflater(9);
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    packed.writeBytes("Comment\0\0".getBytes(StandardCharsets.US_ASCII));
    try (DeflaterOutputStream out = new DeflaterOutputStream(packed, deflater)) {
      byte[] zeros = new byte[1 << 20];
      for (int i = 0; i < 512; i++) {
        out.write(zeros);
      }
    }
    byte[] text = packed.toByteArray();
    ByteBuffer bomb = ByteBuffer.allocate(png.length + text.length + 12);
    bomb.put(png, 0, 33).putInt(text.length);
    byte[] named = new byte[text.length + 4];
    System.arraycopy("zTXt".getBytes(StandardCharsets.US_ASCII), 0, named, 0, 4);
    System.arraycopy(text, 0, named, 4, text.length);
    CRC32 crc = new CRC32();
    crc.update(named);
    bomb.put(named).putInt((int) crc.getValue()).put(png, 33, png.length - 33);
    assertThat(frames(bomb.array())).isEqualTo(1);
  }

  /** A cut GIF gives the pictures that are whole, and is refused where there is none. */
  @Test
  void aCutFileGivesWhatIsWhole() throws Exception {
    byte[] whole = gif(1, 1, 3);
    for (int length = 0; length < whole.length; length++) {
      byte[] cut = Arrays.copyOf(whole, length);
      int pictures = (length - 19) / BLACK_DOT.length;
      if (pictures > 0) {
        assertThat(frames(cut)).as("cut at %d", length).isEqualTo(pictures);
        continue;
      }
      assertThatThrownBy(() -> frames(cut))
          .as("cut at %d", length)
          .isInstanceOf(ImageRefused.class);
    }
    BufferedImage noise = new BufferedImage(20, 20, BufferedImage.TYPE_INT_RGB);
    Random random = new Random(3);
    for (int i = 0; i < 400; i++) {
      noise.setRGB(i % 20, i / 20, random.nextInt());
    }
    byte[] png = png(noise);
    for (int length = 0; length < png.length - 16; length += 7) {
      byte[] cut = Arrays.copyOf(png, length);
      assertThatThrownBy(() -> frames(cut))
          .as("cut at %d", length)
          .isInstanceOf(ImageRefused.class);
    }
  }

  @Test
  void flippedBytesNeverEscapeAsAnotherError() {
    Random random = new Random(11);
    byte[] whole = gif(9, 9, 4);
    for (int round = 0; round < 5000; round++) {
      byte[] bent = whole.clone();
      for (int flips = 1 + random.nextInt(4); flips > 0; flips--) {
        bent[6 + random.nextInt(bent.length - 6)] = (byte) random.nextInt();
      }
      try {
        frames(bent);
      } catch (ImageRefused expected) {
        assertThat(expected.error().allowed()).isNotEmpty();
      }
    }
  }

  private static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  @Test
  void greySamplesStayAsTheyAre() throws Exception {
    BufferedImage grey = new BufferedImage(3, 1, BufferedImage.TYPE_BYTE_GRAY);
    grey.getRaster().setSample(1, 0, 0, 100);
    ImageFile.read(
        png(grey),
        ImageBounds.USUAL,
        (raster, delay) -> {
          assertThat(raster.at(1, 0)).isEqualTo(0xff646464);
          return true;
        });
  }
}
