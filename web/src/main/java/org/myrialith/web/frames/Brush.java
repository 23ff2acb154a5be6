package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;

/**
 * One act on the easel as a request tells it.
 *
 * @param tool pencil (through all points), line (first to last) or fill (at the first)
 * @param points at least one
 * @param colour 0xRRGGBB
 */
record Brush(String tool, List<Picture.Cell> points, int colour) {
  private static final int MOST_POINTS = 4000;

  /**
   * Returns a colour as 0xRRGGBB.
   *
   * @throws InputException when it is not written as #rrggbb
   */
  static int colour(String colour) {
    if (!colour.matches("#[0-9a-fA-F]{6}")) {
      throw new InputException("colour", colour, "# and six hexadecimal digits, such as #1fa08c");
    }
    return Integer.parseInt(colour.substring(1), 16);
  }

  /**
   * Reads an act.
   *
   * @param points column,row pairs with blanks between, from 0
   * @throws InputException if anything is not as it should be
   */
  static Brush read(String tool, String points, String colour, Picture picture) {
    if (!List.of("pencil", "line", "fill").contains(tool)) {
      throw new InputException("tool", tool, "pencil, line or fill");
    }
    List<Picture.Cell> cells = new ArrayList<>();
    for (String pair : points.strip().split("\\s+")) {
      cells.add(cell(pair, picture));
      if (cells.size() > MOST_POINTS) {
        throw new InputException(
            "points",
            "more than " + MOST_POINTS,
            "at most " + MOST_POINTS + " points in one stroke");
      }
    }
    return new Brush(tool, cells, colour(colour));
  }

  private static Picture.Cell cell(String pair, Picture picture) {
    if (pair.matches("\\d{1,5},\\d{1,5}")) {
      String[] parts = pair.split(",");
      int column = Integer.parseInt(parts[0]);
      int row = Integer.parseInt(parts[1]);
      if (column < picture.columns() && row < picture.rows()) {
        return new Picture.Cell(column, row);
      }
    }
    throw new InputException(
        "points",
        pair,
        "column,row from 0,0 to " + (picture.columns() - 1) + "," + (picture.rows() - 1));
  }

  /** Returns the picture after the act. */
  Picture on(Picture picture) {
    if (tool.equals("fill")) {
      return picture.withFill(points.get(0), colour);
    }
    if (tool.equals("line")) {
      return picture.withLine(points.get(0), points.get(points.size() - 1), colour);
    }
    Picture painted = picture.withLine(points.get(0), points.get(0), colour);
    for (int i = 1; i < points.size(); i++) {
      painted = painted.withLine(points.get(i - 1), points.get(i), colour);
    }
    return painted;
  }
}
