package org.myrialith.web.frames;

import java.awt.image.BufferedImage;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;
import org.myrialith.web.pages.Png;

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
    return Png.bytes(image);
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
    return Png.bytes(image);
  }
}
