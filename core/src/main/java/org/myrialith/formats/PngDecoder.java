package org.myrialith.formats;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/**
 * Decodes a PNG with the platform's reader. Values are taken as sRGB; a gAMA chunk is not applied.
 *
 * <p>Grey pictures are read from their samples: the platform holds them to be linear light and
 * would brighten them on the way to RGB, though PNG's grey samples follow the same curve as its
 * colours.
 */
final class PngDecoder {
  /** Signature 8, length 4, "IHDR" 4, columns 4, rows 4. */
  private static final int COLUMNS_AT = 16;

  private static final int IHDR = 0x49484452;
  private static final int IDAT = 0x49444154;
  private static final int TRNS = 0x74524e53;

  /** Bits of a sample 1, sort of colour 1, behind columns and rows. */
  private static final int DEPTH_AT = 24;

  private static final int LENGTH_NAME_CHECK = 12;

  private PngDecoder() {}

  static Raster decode(byte[] file, ImageBounds bounds) throws IOException, ImageRefused {
    if (file.length < DEPTH_AT + 2 || ByteBuffer.wrap(file).getInt(12) != IHDR) {
      throw ImageFile.damaged("no header");
    }
    ByteBuffer header = ByteBuffer.wrap(file);
    int columns = header.getInt(COLUMNS_AT);
    int rows = header.getInt(COLUMNS_AT + 4);
    bounds.requireSize(columns, rows);
    bounds.requireFrames(1, columns, rows);
    ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
    try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
      // no text chunks: they may be compressed without bound
      reader.setInput(in, true, true);
      Raster raster = raster(reader.read(0));
      int clear = clearGrey(header);
      if (clear >= 0) {
        clear(raster.argb(), clear);
      }
      return raster;
    } finally {
      reader.dispose();
    }
  }

  /**
   * Returns the grey, of 255, that a picture of fewer than 8 bits has for transparent (PNG,
   * 11.3.2.1), which the platform passes over there; -1 for none.
   */
  private static int clearGrey(ByteBuffer file) {
    int depth = file.get(DEPTH_AT);
    if (depth >= Byte.SIZE || file.get(DEPTH_AT + 1) != 0) {
      return -1;
    }
    int at = 8;
    while (at + LENGTH_NAME_CHECK <= file.limit() && file.getInt(at + 4) != IDAT) {
      int length = file.getInt(at);
      if (length < 0 || length > file.limit() - at - LENGTH_NAME_CHECK) {
        return -1;
      }
      if (file.getInt(at + 4) == TRNS && length == 2) {
        int full = (1 << depth) - 1;
        return (file.getShort(at + 8) & full) * 255 / full;
      }
      at += length + LENGTH_NAME_CHECK;
    }
    return -1;
  }

  private static void clear(int[] argb, int grey) {
    for (int i = 0; i < argb.length; i++) {
      if ((argb[i] & 0xff) == grey) {
        argb[i] = 0;
      }
    }
  }

  private static Raster raster(BufferedImage image) {
    int columns = image.getWidth();
    int rows = image.getHeight();
    int[] argb = new int[columns * rows];
    int bands = image.getRaster().getNumBands();
    boolean indexed = image.getColorModel() instanceof java.awt.image.IndexColorModel;
    if (indexed || bands >= 3) {
      image.getRGB(0, 0, columns, rows, argb, 0, columns);
      return new Raster(columns, rows, argb);
    }
    int shift = image.getSampleModel().getSampleSize(0) - 8;
    int[] pixel = new int[bands];
    for (int i = 0; i < argb.length; i++) {
      image.getRaster().getPixel(i % columns, i / columns, pixel);
      int grey = shift > 0 ? pixel[0] >> shift : pixel[0];
      int alpha = bands == 1 ? 255 : shift > 0 ? pixel[1] >> shift : pixel[1];
      argb[i] = alpha << 24 | grey << 16 | grey << 8 | grey;
    }
    return new Raster(columns, rows, argb);
  }
}
