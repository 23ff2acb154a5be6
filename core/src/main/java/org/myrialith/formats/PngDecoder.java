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

  private PngDecoder() {}

  static Raster decode(byte[] file, ImageBounds bounds) throws IOException, ImageRefused {
    if (file.length < COLUMNS_AT + 8 || ByteBuffer.wrap(file).getInt(12) != IHDR) {
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
      return raster(reader.read(0));
    } finally {
      reader.dispose();
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
