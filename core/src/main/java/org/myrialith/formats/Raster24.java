package org.myrialith.formats;

import org.myrialith.finding.Bounds;

/**
 * A picture to be written.
 *
 * @param rgb red, green, blue of each dot, row by row
 * @param holdMillis how long it is shown (ms)
 */
public record Raster24(int columns, int rows, byte[] rgb, int holdMillis) {
  private static final Bounds HOLD = Bounds.count(1, 65_535, "ms");

  public Raster24 {
    HOLD.require("holdMillis", holdMillis);
    Bounds.count(3 * columns * rows, 3 * columns * rows).require("rgb", rgb.length);
  }

  /** Returns it with each dot so many wide and high. */
  public Raster24 times(int scale) {
    int wide = columns * scale;
    byte[] large = new byte[3 * wide * rows * scale];
    for (int y = 0; y < rows * scale; y++) {
      for (int x = 0; x < wide; x++) {
        int from = 3 * (y / scale * columns + x / scale);
        System.arraycopy(rgb, from, large, 3 * (y * wide + x), 3);
      }
    }
    return new Raster24(wide, rows * scale, large, holdMillis);
  }
}
