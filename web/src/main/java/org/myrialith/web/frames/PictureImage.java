package org.myrialith.web.frames;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import org.myrialith.effects.Place;
import org.myrialith.effects.Places;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;
import org.myrialith.web.pages.Png;

/** Pictures as PNG: a pixel for each cell, for the page to enlarge, or LEDs where they are. */
final class PictureImage {
  private static final Color GROUND = new Color(0x14191d);

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

  /** Returns a picture as the LEDs of a fixture show it, each where it is. */
  static byte[] png(Picture picture, Places places, int side) {
    double dot = Math.max(3, Math.min(14, side / Math.sqrt(Math.max(1, places.count())) * 0.7));
    double scale = (side - 2 * dot) / Places.SIDE;
    int width = (int) Math.ceil(places.width() * scale + 2 * dot);
    int height = (int) Math.ceil(places.height() * scale + 2 * dot);
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D ink = image.createGraphics();
    ink.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    ink.setColor(GROUND);
    ink.fillRect(0, 0, width, height);
    for (int cell = 0; cell < places.places().size(); cell++) {
      Place place = places.places().get(cell);
      if (place != null) {
        ink.setColor(new Color(picture.colour(cell % places.columns(), cell / places.columns())));
        ink.fill(
            new Ellipse2D.Double(
                dot / 2 + place.x() * scale, dot / 2 + place.y() * scale, dot, dot));
      }
    }
    ink.dispose();
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
