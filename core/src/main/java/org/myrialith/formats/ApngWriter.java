package org.myrialith.formats;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Writes pictures as an animated PNG (PNG, third edition, W3C 2025: acTL, fcTL, fdAT), colours of 8
 * bits a channel, for ever.
 */
public final class ApngWriter {
  static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10};
  private static final int MILLI = 1000;

  private ApngWriter() {}

  /** Returns the file. */
  public static byte[] write(List<Raster24> pictures) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(SIGNATURE);
    Raster24 first = pictures.get(0);
    chunk(
        out,
        "IHDR",
        ByteBuffer.allocate(13)
            .putInt(first.columns())
            .putInt(first.rows())
            .put(new byte[] {8, 2, 0, 0, 0})
            .array());
    if (pictures.size() > 1) {
      chunk(out, "acTL", ByteBuffer.allocate(8).putInt(pictures.size()).putInt(0).array());
    }
    int sequence = 0;
    for (int i = 0; i < pictures.size(); i++) {
      Raster24 picture = pictures.get(i);
      if (pictures.size() > 1) {
        chunk(out, "fcTL", control(sequence++, picture));
      }
      byte[] data = deflated(picture);
      if (i == 0) {
        chunk(out, "IDAT", data);
      } else {
        chunk(
            out, "fdAT", ByteBuffer.allocate(4 + data.length).putInt(sequence++).put(data).array());
      }
    }
    chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  private static byte[] control(int sequence, Raster24 picture) {
    return ByteBuffer.allocate(26)
        .putInt(sequence)
        .putInt(picture.columns())
        .putInt(picture.rows())
        .putInt(0)
        .putInt(0)
        .putShort((short) picture.holdMillis())
        .putShort((short) MILLI)
        .put(new byte[] {0, 0})
        .array();
  }

  /** Rows without a filter: what shows up here is flat. */
  private static byte[] deflated(Raster24 picture) {
    int row = 3 * picture.columns();
    byte[] lines = new byte[(row + 1) * picture.rows()];
    for (int y = 0; y < picture.rows(); y++) {
      System.arraycopy(picture.rgb(), y * row, lines, y * (row + 1) + 1, row);
    }
    Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION);
    try {
      deflater.setInput(lines);
      deflater.finish();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      byte[] part = new byte[8192];
      while (!deflater.finished()) {
        out.write(part, 0, deflater.deflate(part));
      }
      return out.toByteArray();
    } finally {
      deflater.end();
    }
  }

  static void chunk(ByteArrayOutputStream out, String name, byte[] data) {
    byte[] head = name.getBytes(StandardCharsets.US_ASCII);
    CRC32 check = new CRC32();
    check.update(head);
    check.update(data);
    out.writeBytes(ByteBuffer.allocate(4).putInt(data.length).array());
    out.writeBytes(head);
    out.writeBytes(data);
    out.writeBytes(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
  }
}
