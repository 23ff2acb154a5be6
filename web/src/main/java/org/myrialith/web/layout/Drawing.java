package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Lead;
import org.myrialith.layout.Note;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;
import org.myrialith.layout.place.ConvexHull;
import org.myrialith.web.pages.RoundStep;

/**
 * A gadget drawn to scale for SVG: one unit is one millimetre.
 *
 * @param viewBox as the attribute has it
 * @param unit a length (mm) that looks the same at every size of gadget: a sixtieth of the
 *     drawing's width
 * @param links dashed leads from the end of one fixture or piece to the start of the next in the
 *     data lines
 * @param open where the last data-out of each line stays open, as {@code x y}
 * @param enclosure its outline, empty when there is none
 * @param grid distance of the lines of the grid (mm)
 */
public record Drawing(
    String viewBox,
    double unit,
    List<Piece> pieces,
    List<String> links,
    List<String> open,
    String enclosure,
    int grid,
    Ruler ruler) {
  private static final int MOST_ARROWS = 16;

  /** Least length of the ruler and step of the grid, as in the script that keeps them. */
  private static final double RULER_UNITS = 6;

  private static final double GRID_UNITS = 2;

  /**
   * One fixture.
   *
   * @param path of the data through all its emitters, of its corners only
   * @param dots one stroke of no length for each emitter
   * @param dark the same for those that are never lit
   * @param dotMm diameter to draw them
   * @param arrows small chevrons along the way, one path
   * @param cuts lines to cut by, one path
   * @param folds lines to fold by, one path
   * @param guides lines that show what lights, one path
   * @param notes words that help to build it
   * @param first where the data enters, {@code x y}
   */
  public record Piece(
      String id,
      String name,
      String what,
      String path,
      String dots,
      String dark,
      double dotMm,
      String body,
      List<String> arrows,
      String cuts,
      String folds,
      String guides,
      List<Note> notes,
      double firstX,
      double firstY,
      double labelX,
      double labelY,
      double left,
      double top,
      double width,
      double height) {}

  /** A bar of a round length to read sizes by. */
  public record Ruler(double x, double y, int lengthMm) {}

  /**
   * Draws the layout in its enclosure.
   *
   * @param lines emitters of each data line in its order
   */
  public static Drawing of(LayoutPlan plan, List<List<Emitter>> lines, Enclosure within) {
    LayoutPlan.Box box = reach(plan.extent(), within.outline(), plan.fixtures().isEmpty());
    double pitch = plan.fixtures().stream().mapToDouble(Fixture::pitchMm).max().orElse(0);
    // room for half a pitch and a name above the topmost fixture
    double edge =
        0.1 * Math.max(100, Math.max(box.widthMm(), box.heightMm())) + Math.min(pitch, 60) / 2;
    double width = Math.max(box.widthMm(), 100) + 2 * edge;
    double height = Math.max(box.heightMm(), 40) + 2.3 * edge;
    // the drawing is shown at about 16 : 9; a taller one is scaled by its height
    double unit = Math.max(width, height * 16 / 9) / 60;
    List<Piece> pieces = new ArrayList<>();
    int from = 0;
    for (Fixture fixture : plan.fixtures()) {
      pieces.add(piece(fixture, plan.emitters().subList(from, from + fixture.count()), unit));
      from += fixture.count();
    }
    double left = box.middleXMm() - width / 2;
    // a flat one stands in the middle of its drawing
    double top = box.topMm() - edge - Math.max(0, 40 - box.heightMm()) / 2;
    Ruler ruler =
        new Ruler(
            left + 2 * unit,
            top + height - unit,
            (int) Math.ceil(RoundStep.atLeast(RULER_UNITS * unit)));
    return new Drawing(
        PathNumbers.text(left, top, width, height),
        unit,
        pieces,
        links(lines),
        open(lines),
        WayPath.line(within.outline()),
        (int) Math.ceil(RoundStep.atLeast(GRID_UNITS * unit)),
        ruler);
  }

  private static LayoutPlan.Box reach(LayoutPlan.Box box, List<Point> outline, boolean empty) {
    double left = empty && !outline.isEmpty() ? Double.POSITIVE_INFINITY : box.leftMm();
    double top = empty && !outline.isEmpty() ? Double.POSITIVE_INFINITY : box.topMm();
    double right =
        empty && !outline.isEmpty() ? Double.NEGATIVE_INFINITY : box.leftMm() + box.widthMm();
    double bottom =
        empty && !outline.isEmpty() ? Double.NEGATIVE_INFINITY : box.topMm() + box.heightMm();
    for (Point point : outline) {
      left = Math.min(left, point.xMm());
      right = Math.max(right, point.xMm());
      top = Math.min(top, point.yMm());
      bottom = Math.max(bottom, point.yMm());
    }
    return new LayoutPlan.Box(left, top, right - left, bottom - top);
  }

  private static Piece piece(Fixture fixture, List<Emitter> emitters, double unit) {
    StringBuilder dots = new StringBuilder();
    StringBuilder dark = new StringBuilder();
    LayoutPlan.Box box = new LayoutPlan(List.of(fixture), emitters, List.of(0)).extent();
    for (Emitter emitter : emitters) {
      String at = PathNumbers.text(emitter.position().xMm(), emitter.position().yMm());
      (emitter.dark() ? dark : dots).append('M').append(at).append("h0");
    }
    Position first = emitters.get(0).position();
    // far apart, as loose emitters may be, they are still drawn as dots
    double dot = Math.min(0.56 * fixture.pitchMm(), 1.4 * unit);
    double grow = Math.max(dot, Math.min(fixture.pitchMm() / 2, unit));
    return new Piece(
        fixture.id(),
        fixture.name(),
        fixture.describe(),
        WayPath.through(emitters),
        dots.toString(),
        dark.toString(),
        dot,
        body(fixture, emitters),
        arrows(emitters, fixture.pitchMm(), unit),
        edges(fixture, Edge.Kind.CUT),
        edges(fixture, Edge.Kind.FOLD),
        edges(fixture, Edge.Kind.GUIDE),
        fixture.notes(),
        first.xMm(),
        first.yMm(),
        box.leftMm() - grow,
        box.topMm() - grow - 0.7 * unit,
        box.leftMm() - grow,
        box.topMm() - grow,
        box.widthMm() + 2 * grow,
        box.heightMm() + 2 * grow);
  }

  /** The area by which it is caught; empty when what lies between its emitters is not of it. */
  private static String body(Fixture fixture, List<Emitter> emitters) {
    if (!fixture.shape().spansArea()) {
      return "";
    }
    List<Point> hull =
        ConvexHull.of(
            emitters.stream().map(e -> new Point(e.position().xMm(), e.position().yMm())).toList());
    return WayPath.line(hull) + "Z";
  }

  private static String edges(Fixture fixture, Edge.Kind kind) {
    StringBuilder path = new StringBuilder();
    for (Edge edge : fixture.edges()) {
      if (edge.kind() == kind) {
        path.append(WayPath.line(edge.points()));
      }
    }
    return path.toString();
  }

  private static List<String> arrows(List<Emitter> emitters, double pitch, double unit) {
    List<String> arrows = new ArrayList<>();
    // odd, so that arrows of an even matrix do not all stand in one column
    int stride = Math.max(1, emitters.size() / MOST_ARROWS) | 1;
    double size = Math.min(0.17 * pitch, 0.5 * unit);
    for (int i = stride / 2; i + 1 < emitters.size(); i += stride) {
      Position a = emitters.get(i).position();
      Position b = emitters.get(i + 1).position();
      double length = Math.hypot(b.xMm() - a.xMm(), b.yMm() - a.yMm());
      if (length < 1e-9 || emitters.get(i).placement().endsPiece()) {
        continue; // one above the other, or a lead, which is drawn by itself
      }
      double dx = (b.xMm() - a.xMm()) / length * size;
      double dy = (b.yMm() - a.yMm()) / length * size;
      double x = (a.xMm() + b.xMm()) / 2;
      double y = (a.yMm() + b.yMm()) / 2;
      arrows.add(
          "M"
              + PathNumbers.text(x - dx - dy, y - dy + dx)
              + "L"
              + PathNumbers.text(x + dx, y + dy)
              + "L"
              + PathNumbers.text(x - dx + dy, y - dy - dx));
    }
    return arrows;
  }

  private static List<String> links(List<List<Emitter>> lines) {
    List<String> links = new ArrayList<>();
    for (List<Emitter> line : lines) {
      for (Lead lead : LayoutPlan.leads(line)) {
        Position from = lead.from().position();
        Position to = lead.to().position();
        links.add(
            "M"
                + PathNumbers.text(from.xMm(), from.yMm())
                + "L"
                + PathNumbers.text(to.xMm(), to.yMm()));
      }
    }
    return links;
  }

  /** Where the last data-out of each line stays open. */
  private static List<String> open(List<List<Emitter>> lines) {
    List<String> ends = new ArrayList<>();
    for (List<Emitter> line : lines) {
      if (!line.isEmpty()) {
        Position last = line.get(line.size() - 1).position();
        ends.add(PathNumbers.text(last.xMm(), last.yMm()));
      }
    }
    return ends;
  }
}
