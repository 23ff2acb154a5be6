package org.myrialith.frames.file;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Transfer;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Stack;

/**
 * How an image becomes the cells of a picture. What is transparent is laid over black first, by
 * sRGB values, as image viewers show it.
 */
public enum Fit {
  /**
   * What lies at the place of each LED, see {@link PlaceFit}; over a plain grid as {@link #TRIM}.
   */
  PLACES("places", "By place: what lies where each LED is"),
  /** The pixel at the middle of each cell; the whole image is stretched over the picture. */
  NEAREST("nearest", "Nearest: the pixel at the centre of each cell"),
  /**
   * The mean of all that lies in a cell, in linear light; the whole image is stretched over the
   * picture.
   */
  BOX("box", "Average: the mean light of each cell"),
  /**
   * As {@link #BOX}, but what is too wide or too high for the picture is trimmed off both edges
   * first, so that shapes keep their proportions.
   */
  TRIM("trim", "Average, shapes kept: edges trimmed"),
  /** Pixel for cell from the middle of the image; what is missing stays dark. */
  CROP("crop", "Crop: one pixel per cell, from the centre");

  private final String key;
  private final String title;

  Fit(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in requests. */
  public String key() {
    return key;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /** Returns the fit of that key. */
  public static Optional<Fit> of(String key) {
    return Arrays.stream(values()).filter(fit -> fit.key.equals(key)).findFirst();
  }

  /** Returns the fit that shows most of an image on a fixture: by place, but for plain grids. */
  public static Fit usual(Fixture fixture) {
    return fixture.shape() instanceof Panel || fixture.shape() instanceof Stack ? BOX : PLACES;
  }

  /** Returns how an image becomes the picture of a fixture. */
  public Function<Raster, Picture> onto(Fixture fixture) {
    return this == PLACES
        ? PlaceFit.of(fixture)::apply
        : image -> apply(image, fixture.seenColumns(), fixture.seenRows());
  }

  /** Returns the picture of an image at that size. */
  public Picture apply(Raster image, int columns, int rows) {
    byte[] rgb = new byte[columns * rows * 3];
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        int colour = cell(image, column, row, columns, rows);
        int at = (row * columns + column) * 3;
        rgb[at] = (byte) (colour >> 16);
        rgb[at + 1] = (byte) (colour >> 8);
        rgb[at + 2] = (byte) colour;
      }
    }
    return Picture.of(columns, rows, rgb);
  }

  private int cell(Raster image, int column, int row, int columns, int rows) {
    return switch (this) {
      case NEAREST ->
          opaque(
              image.at(
                  (int) ((2L * column + 1) * image.columns() / (2L * columns)),
                  (int) ((2L * row + 1) * image.rows() / (2L * rows))));
      case BOX ->
          mean(
              image,
              (double) column * image.columns() / columns,
              (double) row * image.rows() / rows,
              (double) image.columns() / columns,
              (double) image.rows() / rows);
      case TRIM, PLACES -> {
        double side = Math.min((double) image.columns() / columns, (double) image.rows() / rows);
        double left = (image.columns() - side * columns) / 2;
        double top = (image.rows() - side * rows) / 2;
        yield mean(image, left + column * side, top + row * side, side, side);
      }
      case CROP -> {
        int x = column + Math.floorDiv(image.columns() - columns, 2);
        int y = row + Math.floorDiv(image.rows() - rows, 2);
        boolean inside = x >= 0 && x < image.columns() && y >= 0 && y < image.rows();
        yield inside ? opaque(image.at(x, y)) : 0;
      }
    };
  }

  /** Lays a pixel over black as image viewers do: its sRGB values by their alpha. */
  private static int opaque(int argb) {
    int alpha = argb >>> 24;
    if (alpha == 255) {
      return argb & 0xffffff;
    }
    return over(argb, 16, alpha) << 16 | over(argb, 8, alpha) << 8 | over(argb, 0, alpha);
  }

  private static int over(int argb, int shift, int alpha) {
    return ((argb >> shift & 0xff) * alpha * 2 + 255) / 510;
  }

  /**
   * Averages over the cell's rectangle; pixels on its border count by the part that lies inside.
   */
  static int mean(Raster image, double left, double top, double width, double height) {
    double right = left + width;
    double bottom = top + height;
    double red = 0;
    double green = 0;
    double blue = 0;
    for (int y = (int) top; y < Math.min(image.rows(), Math.ceil(bottom)); y++) {
      double high = Math.min(bottom, y + 1) - Math.max(top, y);
      for (int x = (int) left; x < Math.min(image.columns(), Math.ceil(right)); x++) {
        int rgb = opaque(image.at(x, y));
        double weight = high * (Math.min(right, x + 1) - Math.max(left, x));
        red += light(rgb, 16) * weight;
        green += light(rgb, 8) * weight;
        blue += light(rgb, 0) * weight;
      }
    }
    double area = width * height;
    return encode(red / area) << 16 | encode(green / area) << 8 | encode(blue / area);
  }

  private static double light(int argb, int shift) {
    return LevelTable.screenLight(argb >> shift & 0xff);
  }

  private static int encode(double light) {
    return (int) Math.round(255 * Transfer.Srgb.encode(Math.min(1, light)));
  }
}
