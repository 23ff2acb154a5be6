package org.myrialith.web.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.formats.LengthUnit;
import org.myrialith.formats.PositionTable;
import org.myrialith.formats.SvgDrawing;
import org.myrialith.formats.YAxis;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.place.Tracing;

/**
 * A file of places or lines as it was read.
 *
 * @param table when it is a table
 * @param drawing when it is an SVG
 */
record LayoutImport(PositionTable table, SvgDrawing drawing) {
  private static final int ROWS_SHOWN = 6;
  private static final int LINES_SHOWN = 40;

  /** A line that a strip can follow. */
  record Way(int number, String name, String length, boolean closed) {}

  /**
   * Reads a file, told apart by its first character: SVG begins with an angle bracket.
   *
   * @param unit of numbers whose header names none, may be null
   * @param yAxis which way y grows in a table, null to tell by its headers
   * @throws InputException if it can't be read, with the reasons
   */
  static LayoutImport read(byte[] file, LengthUnit unit, YAxis yAxis) {
    String head =
        new String(file, 0, Math.min(file.length, 400), java.nio.charset.StandardCharsets.UTF_8)
            .replace("\0", "")
            .replaceFirst("^[^<\\p{Alnum}\"']*", "");
    if (!head.startsWith("<")) {
      PositionTable table = PositionTable.read(file, unit, yAxis, Fixture.MOST_EMITTERS);
      Tracing.singles(table); // so that a place out of bounds is told before anything is looked at
      return new LayoutImport(table, null);
    }
    SvgDrawing drawing = SvgDrawing.read(file);
    if (drawing.circles().isEmpty() && drawing.lines().isEmpty()) {
      throw new InputException("file", "a drawing of nothing", "an SVG with circles or lines");
    }
    return new LayoutImport(null, drawing);
  }

  /** Returns how the file was read, in sentences. */
  public List<String> notes() {
    List<String> notes = new ArrayList<>();
    if (table != null) {
      notes.add(
          phrase(
              "Read as a table: %s rows, %s, columns separated by a %s.",
              Quantity.number(table.rows().size()), table.encoding(), table.separator()));
      notes.add("Used: " + String.join(", ", table.columns()) + ".");
      notes.add(
          "Numbers in "
              + table.unit().key()
              + (table.unit() == LengthUnit.MILLIMETRE ? "" : ", converted to mm")
              + (table.yAxis() == YAxis.UP
                  ? "; y grows upwards in the file."
                  : "; y grows downwards in the file."));
      if (!table.ignored().isEmpty()) {
        notes.add("Not used: " + String.join(", ", table.ignored()) + ".");
      }
      return notes;
    }
    notes.add(
        phrase(
            "Read as a drawing: %d circles, %d lines.",
            drawing.circles().size(), drawing.lines().size()));
    if (!drawing.passedOver().isEmpty()) {
      notes.add("Skipped: " + String.join(", ", drawing.passedOver()) + ".");
    }
    return notes;
  }

  /** Returns whether emitters can be made of it. */
  public boolean hasPlaces() {
    return table != null || !drawing.circles().isEmpty();
  }

  /** Returns how many emitters that would be. */
  public int places() {
    return table != null ? table.rows().size() : drawing.circles().size();
  }

  /** Returns the first rows, to check the columns by. */
  public List<PositionTable.Row> firstRows() {
    return table == null
        ? List.of()
        : table.rows().subList(0, Math.min(ROWS_SHOWN, table.rows().size()));
  }

  /** Returns the lines that a strip can follow, the first ones when there are many. */
  public List<Way> ways() {
    List<Way> ways = new ArrayList<>();
    for (int i = 0; drawing != null && i < Math.min(LINES_SHOWN, drawing.lines().size()); i++) {
      SvgDrawing.Line line = drawing.lines().get(i);
      ways.add(
          new Way(
              i + 1,
              line.name().isEmpty() ? "line " + (i + 1) : line.name(),
              Quantity.text(Math.rint(line.lengthMm() * 10) / 10, "mm"),
              line.closed()));
    }
    return ways;
  }

  /** Returns whether one of the lines is closed. */
  public boolean hasOutline() {
    return drawing != null && drawing.lines().stream().anyMatch(SvgDrawing.Line::closed);
  }

  /** Returns dots and lines for a picture of it, as SVG paths. */
  public List<String> paths() {
    List<String> paths = new ArrayList<>();
    StringBuilder dots = new StringBuilder();
    if (table != null) {
      table.rows().forEach(r -> dots.append(dot(r.xMm(), r.yMm())));
    } else {
      drawing.circles().forEach(c -> dots.append(dot(c.xMm(), c.yMm())));
      drawing.lines().stream().limit(LINES_SHOWN).forEach(l -> paths.add(line(l)));
    }
    paths.add(0, dots.toString());
    return paths;
  }

  private static String dot(double x, double y) {
    return "M" + PathNumbers.text(x, y) + "h0";
  }

  private static String line(SvgDrawing.Line line) {
    StringBuilder path = new StringBuilder();
    for (int i = 0; i < line.xMm().length; i++) {
      path.append(i == 0 ? 'M' : 'L').append(PathNumbers.text(line.xMm()[i], line.yMm()[i]));
    }
    return path.append(line.closed() ? "Z" : "").toString();
  }

  /** Returns left, top, width and height round everything (mm), with room round it. */
  public double[] view() {
    double[] reach = {1e9, 1e9, -1e9, -1e9};
    if (table != null) {
      table.rows().forEach(r -> grow(reach, r.xMm(), r.yMm()));
    } else {
      drawing.circles().forEach(c -> grow(reach, c.xMm(), c.yMm()));
      for (SvgDrawing.Line line : drawing.lines()) {
        for (int i = 0; i < line.xMm().length; i++) {
          grow(reach, line.xMm()[i], line.yMm()[i]);
        }
      }
    }
    if (reach[0] > reach[2]) {
      return new double[] {0, 0, 100, 50};
    }
    double edge = Math.max(5, 0.06 * Math.max(reach[2] - reach[0], reach[3] - reach[1]));
    return new double[] {
      reach[0] - edge,
      reach[1] - edge,
      reach[2] - reach[0] + 2 * edge,
      reach[3] - reach[1] + 2 * edge
    };
  }

  private static void grow(double[] reach, double x, double y) {
    reach[0] = Math.min(reach[0], x);
    reach[1] = Math.min(reach[1], y);
    reach[2] = Math.max(reach[2], x);
    reach[3] = Math.max(reach[3], y);
  }

  /** Returns the view as the attribute of an SVG has it. */
  public String viewBox() {
    return PathNumbers.text(view());
  }

  /** Returns a width of strokes that looks the same at every size (mm). */
  public double stroke() {
    return Math.max(view()[2], view()[3] * 2) / 250;
  }

  org.myrialith.layout.LooseEmitters singles() {
    return table != null ? Tracing.singles(table) : Tracing.singles(drawing);
  }
}
