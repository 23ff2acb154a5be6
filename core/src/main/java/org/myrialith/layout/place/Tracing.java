package org.myrialith.layout.place;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.formats.PositionTable;
import org.myrialith.formats.SvgDrawing;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;

/** Makes shapes and outlines from positions and lines of files. */
public final class Tracing {
  private static final double FIRST_TOLERANCE_MM = 0.05;

  private Tracing() {}

  /**
   * Returns loose emitters at the rows of a table.
   *
   * @throws InputException if a place is out of bounds
   */
  public static LooseEmitters singles(PositionTable table) {
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (PositionTable.Row row : table.rows()) {
      singles.add(single(singles.size(), row.xMm(), row.yMm(), row.zMm(), row.name()));
    }
    return new LooseEmitters(singles);
  }

  /**
   * Returns loose emitters at the circles of a drawing.
   *
   * @throws InputException if there is none, or one is out of bounds
   */
  public static LooseEmitters singles(SvgDrawing drawing) {
    if (drawing.circles().isEmpty()) {
      throw new InputException("file", "no circle", "an SVG with a circle for each emitter");
    }
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (SvgDrawing.Circle circle : drawing.circles()) {
      singles.add(single(singles.size(), circle.xMm(), circle.yMm(), 0, circle.name()));
    }
    return new LooseEmitters(singles);
  }

  private static LooseEmitters.Single single(
      int index, double xMm, double yMm, double zMm, String name) {
    try {
      return new LooseEmitters.Single(xMm, yMm, zMm, shortened(name));
    } catch (InputException e) {
      throw new InputException(
          e.errors().stream().map(error -> error.below("emitters[" + index + "]")).toList());
    }
  }

  private static String shortened(String name) {
    String plain = name.replaceAll("\\p{Cntrl}", " ").strip();
    return plain.length() > 80 ? plain.substring(0, 80) : plain;
  }

  /**
   * Returns a strip along a line, as many pixels as it has room for.
   *
   * @throws InputException if the line is shorter than one pixel, or out of bounds
   */
  public static Strip strip(SvgDrawing.Line line, double pixelsPerMetre) {
    Strip.DENSITY.require("pixelsPerMetre", pixelsPerMetre);
    List<Point> path = corners(line, Strip.MOST_POINTS);
    double length = line.lengthMm();
    // a hair longer, so that a line of just so many pixels holds them all
    int pixels = (int) Math.floor((length + 1e-6) * pixelsPerMetre / 1000);
    if (pixels < 1) {
      throw new InputException(
          "line", phrase("%.2f mm", length), "a line as long as one pixel or longer");
    }
    return new Strip(Math.min(pixels, Fixture.MOST_EMITTERS), pixelsPerMetre, path);
  }

  /**
   * Returns an enclosure of the longest closed line of a drawing.
   *
   * @throws InputException if there is none, or it is out of bounds
   */
  public static Enclosure.Outline outline(SvgDrawing drawing) {
    SvgDrawing.Line longest = null;
    for (SvgDrawing.Line line : drawing.lines()) {
      if (line.closed() && (longest == null || line.lengthMm() > longest.lengthMm())) {
        longest = line;
      }
    }
    if (longest == null) {
      throw new InputException("file", "no closed line", "an SVG with a closed path");
    }
    List<Point> corners = corners(longest, Enclosure.Outline.MOST_POINTS);
    Point first = corners.get(0);
    Point last = corners.get(corners.size() - 1);
    return new Enclosure.Outline(
        first.equals(last) ? corners.subList(0, corners.size() - 1) : corners);
  }

  /** The corners, those too near to the one before left out until few enough remain. */
  private static List<Point> corners(SvgDrawing.Line line, int most) {
    List<Point> all = new ArrayList<>();
    for (int i = 0; i < line.xMm().length; i++) {
      all.add(new Point(line.xMm()[i], line.yMm()[i]));
    }
    if (line.closed() && line.closingMm() > 0) {
      all.add(all.get(0));
    }
    List<Point> kept = all;
    for (double tolerance = FIRST_TOLERANCE_MM; kept.size() > most; tolerance *= 2) {
      kept = thinned(all, tolerance);
    }
    return kept;
  }

  private static List<Point> thinned(List<Point> all, double tolerance) {
    List<Point> kept = new ArrayList<>(List.of(all.get(0)));
    for (Point point : all.subList(1, all.size() - 1)) {
      if (point.distanceTo(kept.get(kept.size() - 1)) >= tolerance) {
        kept.add(point);
      }
    }
    kept.add(all.get(all.size() - 1));
    return kept;
  }
}
