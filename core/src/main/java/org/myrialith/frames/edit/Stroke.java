package org.myrialith.frames.edit;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;

/**
 * One act on a picture.
 *
 * @param points at least one; of what has a beginning and an end the first and the last count; of a
 *     move two corners, and where the first of them goes
 * @param colour 0xRRGGBB
 * @param size of the brush (cells wide and high)
 * @param mirror what is painted on the other side as well
 * @param apart whether a pencil touches the points only, and not what lies between them
 */
@RecordBuilder
public record Stroke(
    Tool tool, List<Picture.Cell> points, int colour, int size, Mirror mirror, boolean apart) {
  /** Allowed sizes of a brush. */
  public static final Bounds SIZE = Bounds.count(1, 9, "cells");

  /** What it is done with. */
  public enum Tool {
    PENCIL("Pencil"),
    LINE("Line"),
    RECTANGLE("Rectangle"),
    FRAME("Frame"),
    ELLIPSE("Ellipse"),
    FILL("Fill"),
    REPLACE("Replace"),
    BLEND("Blend"),
    MOVE("Move");

    private final String title;

    Tool(String title) {
      this.title = title;
    }

    /** Returns the word in requests. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Returns the word for people. */
    public String title() {
      return title;
    }

    /** Returns the tool of a word. */
    public static Optional<Tool> of(String key) {
      return List.of(values()).stream().filter(tool -> tool.key().equals(key)).findFirst();
    }
  }

  /** What is painted on the other side as well. */
  public enum Mirror {
    NONE("not mirrored", false, false),
    ACROSS("left and right", true, false),
    DOWN("top and bottom", false, true),
    BOTH("all four ways", true, true);

    private final String title;
    private final boolean across;
    private final boolean down;

    Mirror(String title, boolean across, boolean down) {
      this.title = title;
      this.across = across;
      this.down = down;
    }

    boolean across() {
      return across;
    }

    boolean down() {
      return down;
    }

    /** Returns the word in requests. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Returns the word for people. */
    public String title() {
      return title;
    }

    /** Returns the mirror of a word. */
    public static Optional<Mirror> of(String key) {
      return List.of(values()).stream().filter(mirror -> mirror.key().equals(key)).findFirst();
    }
  }

  public Stroke {
    Objects.requireNonNull(tool, "tool");
    points = List.copyOf(points);
    if (points.isEmpty()) {
      throw new InputException("points", "none", "a point at least");
    }
    if (tool == Tool.MOVE && points.size() != 3) {
      throw new InputException(
          "points", points.size() + " points", "two corners, and where the first of them goes");
    }
    SIZE.require("size", size);
    Objects.requireNonNull(mirror, "mirror");
  }

  /** An act whose pencil goes from point to point. */
  public Stroke(Tool tool, List<Picture.Cell> points, int colour, int size, Mirror mirror) {
    this(tool, points, colour, size, mirror, false);
  }

  /** Returns it with a pencil that touches the points only. */
  public Stroke touching() {
    return StrokeBuilder.builder(this).apart(true).build();
  }

  private Picture.Cell first() {
    return points.get(0);
  }

  private Picture.Cell last() {
    return points.get(points.size() - 1);
  }

  /**
   * Returns the picture after it is done on some of its rows as if there were no others.
   *
   * @param top first of them
   * @throws InputException for rows or points beyond them
   */
  public Picture on(Picture picture, int top, int rows) {
    Picture.Cell corner = new Picture.Cell(0, top);
    Picture.Cell other = new Picture.Cell(picture.columns() - 1, top + rows - 1);
    Picture own = Patch.of(picture, corner, other).picture();
    List<Picture.Cell> inside =
        points.stream().map(p -> new Picture.Cell(p.column(), p.row() - top)).toList();
    for (Picture.Cell point : inside) {
      if (point.row() < 0 || point.row() >= rows) {
        throw new InputException(
            "points",
            point.column() + "," + (point.row() + top),
            "rows " + top + " to " + (top + rows - 1) + ", those of the layer");
      }
    }
    Stroke within = StrokeBuilder.builder(this).points(inside).build();
    return new Patch(within.on(own)).on(picture, 0, top);
  }

  /** Returns the picture after it. */
  public Picture on(Picture picture) {
    return switch (tool) {
      case FILL -> filled(picture);
      case REPLACE -> replaced(picture);
      case BLEND -> blended(picture);
      case MOVE -> moved(picture);
      default -> painted(picture, mirrored(cells(), picture));
    };
  }

  private Picture painted(Picture picture, Set<Picture.Cell> cells) {
    byte[] rgb = picture.rgb();
    for (Picture.Cell cell : cells) {
      boolean inside =
          cell.column() >= 0
              && cell.column() < picture.columns()
              && cell.row() >= 0
              && cell.row() < picture.rows();
      if (inside) {
        put(rgb, cell.row() * picture.columns() + cell.column(), colour);
      }
    }
    return Picture.of(picture.columns(), picture.rows(), rgb);
  }

  private static void put(byte[] rgb, int cell, int colour) {
    rgb[3 * cell] = (byte) (colour >> 16);
    rgb[3 * cell + 1] = (byte) (colour >> 8);
    rgb[3 * cell + 2] = (byte) colour;
  }

  private Set<Picture.Cell> cells() {
    return switch (tool) {
      case PENCIL -> widened(apart ? new LinkedHashSet<>(points) : through(points));
      case LINE -> widened(through(List.of(first(), last())));
      case RECTANGLE -> box((column, row, box) -> true);
      case FRAME -> box((column, row, box) -> box.rim(column, row, size));
      default -> box((column, row, box) -> box.oval(column, row));
    };
  }

  private static Set<Picture.Cell> through(List<Picture.Cell> points) {
    Set<Picture.Cell> cells = new LinkedHashSet<>();
    cells.add(points.get(0));
    for (int i = 1; i < points.size(); i++) {
      Picture.Cell from = points.get(i - 1);
      Picture.Cell to = points.get(i);
      int steps = Math.max(Math.abs(to.column() - from.column()), Math.abs(to.row() - from.row()));
      for (int step = 1; step <= steps; step++) {
        double share = (double) step / steps;
        cells.add(
            new Picture.Cell(
                (int) Math.round(from.column() + (to.column() - from.column()) * share),
                (int) Math.round(from.row() + (to.row() - from.row()) * share)));
      }
    }
    return cells;
  }

  /** A brush of two cells has its point at the left top of them. */
  private Set<Picture.Cell> widened(Set<Picture.Cell> cells) {
    if (size == 1) {
      return cells;
    }
    Set<Picture.Cell> wide = new LinkedHashSet<>();
    int before = (size - 1) / 2;
    for (Picture.Cell cell : cells) {
      for (int down = -before; down < size - before; down++) {
        for (int right = -before; right < size - before; right++) {
          wide.add(new Picture.Cell(cell.column() + right, cell.row() + down));
        }
      }
    }
    return wide;
  }

  /** The cells from one corner to the other. */
  private record Box(int left, int top, int right, int foot) {
    boolean rim(int column, int row, int wide) {
      return column < left + wide || column > right - wide || row < top + wide || row > foot - wide;
    }

    /** Whether the middle of a cell lies in the ellipse that touches the sides. */
    boolean oval(int column, int row) {
      double x = (2.0 * column - left - right) / (right - left + 1);
      double y = (2.0 * row - top - foot) / (foot - top + 1);
      return x * x + y * y <= 1;
    }
  }

  private interface Inside {
    boolean test(int column, int row, Box box);
  }

  private Set<Picture.Cell> box(Inside inside) {
    Box box =
        new Box(
            Math.min(first().column(), last().column()),
            Math.min(first().row(), last().row()),
            Math.max(first().column(), last().column()),
            Math.max(first().row(), last().row()));
    Set<Picture.Cell> cells = new LinkedHashSet<>();
    for (int row = box.top; row <= box.foot; row++) {
      for (int column = box.left; column <= box.right; column++) {
        if (inside.test(column, row, box)) {
          cells.add(new Picture.Cell(column, row));
        }
      }
    }
    return cells;
  }

  private Set<Picture.Cell> mirrored(Set<Picture.Cell> cells, Picture picture) {
    Set<Picture.Cell> all = new LinkedHashSet<>(cells);
    if (mirror.across) {
      for (Picture.Cell cell : new ArrayList<>(all)) {
        all.add(new Picture.Cell(picture.columns() - 1 - cell.column(), cell.row()));
      }
    }
    if (mirror.down) {
      for (Picture.Cell cell : new ArrayList<>(all)) {
        all.add(new Picture.Cell(cell.column(), picture.rows() - 1 - cell.row()));
      }
    }
    return all;
  }

  private Picture filled(Picture picture) {
    Picture filled = picture;
    for (Picture.Cell cell : mirrored(Set.of(first()), picture)) {
      filled = filled.withFill(cell, colour);
    }
    return filled;
  }

  /** All cells of the colour of one. */
  private Picture replaced(Picture picture) {
    int old = picture.colour(first().column(), first().row());
    byte[] rgb = picture.rgb();
    for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
      if (picture.colour(cell % picture.columns(), cell / picture.columns()) == old) {
        put(rgb, cell, colour);
      }
    }
    return Picture.of(picture.columns(), picture.rows(), rgb);
  }

  /** What is between two corners goes elsewhere; where it was, it is dark. */
  private Picture moved(Picture picture) {
    Picture.Cell one = points.get(0);
    Picture.Cell other = points.get(1);
    Patch patch = Patch.of(picture, one, other);
    int left = Math.min(one.column(), other.column());
    int top = Math.min(one.row(), other.row());
    Picture dark = Picture.dark(patch.picture().columns(), patch.picture().rows());
    Picture without = new Patch(dark).on(picture, left, top);
    return patch.on(without, left + last().column() - one.column(), top + last().row() - one.row());
  }

  /** From the colour where it begins to this one where it ends, in steps that look alike. */
  private Picture blended(Picture picture) {
    int from = picture.colour(first().column(), first().row());
    double dx = last().column() - first().column();
    double dy = last().row() - first().row();
    double length = dx * dx + dy * dy;
    byte[] rgb = picture.rgb();
    for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
      double x = cell % picture.columns() - first().column();
      double y = cell / picture.columns() - first().row();
      double way = length == 0 ? 1 : Math.max(0, Math.min(1, (x * dx + y * dy) / length));
      for (int shift = 16, channel = 0; shift >= 0; shift -= 8, channel++) {
        rgb[3 * cell + channel] =
            (byte) PerceivedShade.between(from >> shift & 255, colour >> shift & 255, way);
      }
    }
    return Picture.of(picture.columns(), picture.rows(), rgb);
  }
}
