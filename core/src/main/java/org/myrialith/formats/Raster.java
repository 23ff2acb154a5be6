package org.myrialith.formats;

/**
 * A decoded picture.
 *
 * @param argb 0xAARRGGBB row by row, colours not multiplied by alpha; not copied, owned by the
 *     receiver
 */
@SuppressWarnings("ArrayRecordComponent")
public record Raster(int columns, int rows, int[] argb) {
  /** Returns a pixel. */
  public int at(int column, int row) {
    return argb[row * columns + column];
  }
}
