package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.Patch;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.schema.TypedNumber;

/** What a request tells of an act on the easel. */
final class Brush {
  private static final int MOST_POINTS = 4000;
  private static final int MOST_PICKED = 8192;
  private static final Pattern PATCH =
      Pattern.compile("(\\d{1,4})x(\\d{1,4}):([0-9a-fA-F]{0," + 6 * MOST_PICKED + "})");
  private static final String PATCH_RULE =
      "columns x rows : six hexadecimal digits a cell, at most " + MOST_PICKED + " cells";

  private Brush() {}

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

  private static String keys(Stream<String> keys) {
    return keys.collect(Collectors.joining(", "));
  }

  /**
   * Reads an act.
   *
   * @param points column,row pairs with blanks between, from 0
   * @throws InputException if anything is not as it should be
   */
  static Stroke read(
      String tool, String points, String colour, String size, String mirror, Picture picture) {
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
    return new Stroke(tool(tool), cells, colour(colour), size(size), mirror(mirror));
  }

  /** Returns the tool of a word. */
  static Stroke.Tool tool(String tool) {
    return Stroke.Tool.of(tool)
        .orElseThrow(
            () ->
                new InputException(
                    "tool", tool, keys(Arrays.stream(Stroke.Tool.values()).map(Stroke.Tool::key))));
  }

  /** Returns the mirror of a word. */
  static Stroke.Mirror mirror(String mirror) {
    return Stroke.Mirror.of(mirror)
        .orElseThrow(
            () ->
                new InputException(
                    "mirror",
                    mirror,
                    keys(Arrays.stream(Stroke.Mirror.values()).map(Stroke.Mirror::key))));
  }

  /** Returns the size of a brush. */
  static int size(String size) {
    return (int) TypedNumber.require("size", size, Stroke.SIZE);
  }

  /**
   * Reads cells that were picked elsewhere.
   *
   * @param patch columns, rows and their colours, such as {@code 2x1:ff000000ff00}
   * @param points where the first of them goes
   */
  static Picture put(String patch, String points, Picture picture) {
    Matcher matcher = PATCH.matcher(patch);
    if (!matcher.matches()) {
      throw new InputException("patch", shortened(patch), PATCH_RULE);
    }
    int columns = Integer.parseInt(matcher.group(1));
    int rows = Integer.parseInt(matcher.group(2));
    String colours = matcher.group(3);
    Picture.SIDE.require("patch", columns);
    Picture.SIDE.require("patch", rows);
    if ((long) columns * rows > MOST_PICKED || colours.length() != 6 * columns * rows) {
      throw new InputException("patch", columns + "x" + rows, PATCH_RULE);
    }
    Picture.Cell at = cell(points.strip(), picture);
    Picture cells = Picture.of(columns, rows, HexFormat.of().parseHex(colours));
    return new Patch(cells).on(picture, at.column(), at.row());
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
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
}
