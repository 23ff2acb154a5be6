package org.myrialith.web.frames;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;

/** Pictures as PNG, a pixel for each cell, for the page to enlarge. */
final class PictureImage {
  private PictureImage() {}

  static byte[] png(Picture picture) {
    BufferedImage image =
        new BufferedImage(picture.columns(), picture.rows(), BufferedImage.TYPE_INT_RGB);
    for (int row = 0; row < picture.rows(); row++) {
      for (int column = 0; column < picture.columns(); column++) {
        image.setRGB(column, row, picture.colour(column, row));
      }
    }
    return png(image);
  }

  /** Returns an image made smaller to fit a square, by leaving pixels out. */
  static byte[] png(Raster raster, int side) {
    double scale = Math.max(1, Math.max(raster.columns(), raster.rows()) / (double) side);
    int columns = Math.max(1, (int) (raster.columns() / scale));
    int rows = Math.max(1, (int) (raster.rows() / scale));
    BufferedImage image = new BufferedImage(columns, rows, BufferedImage.TYPE_INT_ARGB);
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        image.setRGB(column, row, raster.at((int) (column * scale), (int) (row * scale)));
      }
    }
    return png(image);
  }

  static String address(byte[] png) {
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(png);
  }

  private static byte[] png(BufferedImage image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
    return out.toByteArray();
  }
}
