package org.myrialith.frames.edit;

import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;

/**
 * Several cells that were picked, to be put somewhere.
 *
 * @param picture of them
 */
public record Patch(Picture picture) {
  /**
   * Returns the cells between two corners of a picture, both included.
   *
   * @throws InputException when a corner is beyond the picture
   */
  public static Patch of(Picture picture, Picture.Cell one, Picture.Cell other) {
    int left = Math.min(one.column(), other.column());
    int top = Math.min(one.row(), other.row());
    int columns = Math.abs(one.column() - other.column()) + 1;
    int rows = Math.abs(one.row() - other.row()) + 1;
    if (left < 0 || top < 0 || left + columns > picture.columns() || top + rows > picture.rows()) {
      throw new InputException(
          "points",
          left + "," + top + " and " + columns + " by " + rows,
          "within " + picture.columns() + " by " + picture.rows());
    }
    byte[] from = picture.rgb();
    byte[] rgb = new byte[3 * columns * rows];
    for (int row = 0; row < rows; row++) {
      int at = 3 * ((top + row) * picture.columns() + left);
      System.arraycopy(from, at, rgb, 3 * row * columns, 3 * columns);
    }
    return new Patch(Picture.of(columns, rows, rgb));
  }

  /**
   * Returns a picture with these cells on it; what would be beyond it falls away.
   *
   * @param left and {@code top}: where the first of them goes
   */
  public Picture on(Picture under, int left, int top) {
    byte[] rgb = under.rgb();
    byte[] own = picture.rgb();
    for (int row = 0; row < picture.rows(); row++) {
      for (int column = 0; column < picture.columns(); column++) {
        int x = left + column;
        int y = top + row;
        if (x >= 0 && y >= 0 && x < under.columns() && y < under.rows()) {
          System.arraycopy(
              own, 3 * (row * picture.columns() + column), rgb, 3 * (y * under.columns() + x), 3);
        }
      }
    }
    return Picture.of(under.columns(), under.rows(), rgb);
  }
}
