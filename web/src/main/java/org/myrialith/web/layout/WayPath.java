package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Point;

/** The way of the data as an SVG path: only its corners are written, which draw the same line. */
final class WayPath {
  /** How far (mm) an emitter may lie beside a line that is said to go through it. */
  private static final double BESIDE_MM = 1e-3;

  private WayPath() {}

  /** Returns the path through all emitters in the order of the data; a new piece starts anew. */
  static String through(List<Emitter> emitters) {
    StringBuilder path = new StringBuilder();
    List<Point> piece = new ArrayList<>();
    for (Emitter emitter : emitters) {
      add(piece, new Point(emitter.position().xMm(), emitter.position().yMm()));
      if (emitter.placement().endsPiece()) {
        path.append(line(piece));
        piece.clear();
      }
    }
    return path.append(line(piece)).toString();
  }

  private static void add(List<Point> piece, Point next) {
    int last = piece.size() - 1;
    if (last > 0 && straightOn(piece.get(last - 1), piece.get(last), next)) {
      piece.set(last, next);
    } else {
      piece.add(next);
    }
  }

  private static boolean straightOn(Point from, Point at, Point to) {
    double x = to.xMm() - from.xMm();
    double y = to.yMm() - from.yMm();
    double along = (at.xMm() - from.xMm()) * x + (at.yMm() - from.yMm()) * y;
    double beside = (at.xMm() - from.xMm()) * y - (at.yMm() - from.yMm()) * x;
    double length = Math.hypot(x, y);
    return along >= 0 && along <= length * length && Math.abs(beside) <= BESIDE_MM * length;
  }

  /** A path from point to point; empty for none. */
  static String line(List<Point> points) {
    StringBuilder path = new StringBuilder();
    for (Point point : points) {
      path.append(path.isEmpty() ? "M" : "L").append(PathNumbers.text(point.xMm(), point.yMm()));
    }
    return path.toString();
  }
}
