package org.myrialith.web.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.Shape;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.schema.Kind;

/**
 * A kind of fixture with a small picture of its usual size, drawn from its own places.
 *
 * @param dots a path of points
 * @param lines a path of what it shows beside them: segments, edges of boards
 */
public record KindPicture(String key, String title, String dots, String lines) {
  private static final double WIDE = 64;
  private static final double HIGH = 36;
  private static final double EDGE = 5;

  /** Of all kinds, in their order; they never change. */
  static final List<KindPicture> ALL =
      ShapeKinds.ALL.kinds().stream().map(KindPicture::of).toList();

  private static KindPicture of(Kind<? extends Shape> kind) {
    Shape shape = kind.usual();
    List<Position> places = IntStream.range(0, shape.count()).mapToObj(shape::position).toList();
    double left = places.stream().mapToDouble(Position::xMm).min().orElse(0);
    double right = places.stream().mapToDouble(Position::xMm).max().orElse(0);
    double top = places.stream().mapToDouble(Position::yMm).min().orElse(0);
    double low = places.stream().mapToDouble(Position::yMm).max().orElse(0);
    double scale =
        Math.min(
            (WIDE - 2 * EDGE) / Math.max(1, right - left),
            (HIGH - 2 * EDGE) / Math.max(1, low - top));
    Scaled scaled = new Scaled((left + right) / 2, (top + low) / 2, scale);
    String dots =
        shape instanceof SegmentDigits
            ? ""
            : places.stream()
                .map(p -> "M" + scaled.at(p.xMm(), p.yMm()) + "h.01")
                .collect(Collectors.joining());
    String lines =
        shape.edges().stream().map(edge -> scaled.path(edge)).collect(Collectors.joining());
    return new KindPicture(kind.key(), kind.title(), dots, lines);
  }

  private record Scaled(double middleX, double middleY, double scale) {
    String at(double x, double y) {
      return phrase(
          "%.1f %.1f", WIDE / 2 + (x - middleX) * scale, HIGH / 2 + (y - middleY) * scale);
    }

    String path(Edge edge) {
      return "M"
          + edge.points().stream()
              .map((Point p) -> at(p.xMm(), p.yMm()))
              .collect(Collectors.joining("L"));
    }
  }
}
