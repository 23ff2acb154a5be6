package org.myrialith.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterKind;

/**
 * What is seen lit on the bench where that is no dot: a segment of a digit, a pane seen from above,
 * the bulb of a lamp; and the emitters that light it.
 *
 * @param from where it begins (mm)
 * @param to where it ends (mm); of a bulb the same place
 * @param thicknessMm across it
 * @param emitters their indices in data order; at least one
 */
public record LitArea(Point from, Point to, double thicknessMm, List<Integer> emitters) {
  /** A segment is about so thick beside its length, as modules have it (common practice). */
  private static final double THICKNESS = 0.16;

  public LitArea {
    emitters = List.copyOf(emitters);
  }

  /** Returns how long it is (mm). */
  public double lengthMm() {
    return from.distanceTo(to);
  }

  /** Returns whether it is a bulb. */
  public boolean round() {
    return from.equals(to);
  }

  /** Returns those of a fixture with emitters of a class; none where emitters are seen as dots. */
  public static List<LitArea> of(Fixture fixture, EmitterClass emitter) {
    if (fixture.shape() instanceof SegmentDigits digits) {
      return segments(fixture, digits);
    }
    if (fixture.shape() instanceof Panes) {
      return panes(fixture);
    }
    return emitter.kind() == EmitterKind.LAMP
        ? bulbs(fixture, Math.max(emitter.packageWidthMm(), emitter.packageHeightMm()))
        : List.of();
  }

  private static Map<Long, List<Integer>> byCell(Fixture fixture) {
    Map<Long, List<Integer>> shows = new HashMap<>();
    List<Placement> placements = fixture.placements();
    for (int i = 0; i < placements.size(); i++) {
      Position place = placements.get(i).position();
      shows.computeIfAbsent(cell(place.column(), place.row()), c -> new ArrayList<>()).add(i);
    }
    return shows;
  }

  private static List<LitArea> segments(Fixture fixture, SegmentDigits digits) {
    Map<Long, List<Integer>> shows = byCell(fixture);
    List<LitArea> areas = new ArrayList<>();
    List<SegmentDigits.Line> lines = digits.lines();
    List<Edge> edges = fixture.edges();
    for (int i = 0; i < lines.size(); i++) {
      List<Integer> those = shows.get(cell(lines.get(i).column(), lines.get(i).row()));
      if (those != null) {
        List<Point> ends = edges.get(i).points();
        double length = ends.get(0).distanceTo(ends.get(1));
        areas.add(new LitArea(ends.get(0), ends.get(1), THICKNESS * length, those));
      }
    }
    return areas;
  }

  /** The slots of the base board, each with the emitters of the cell that lie in its middle. */
  private static List<LitArea> panes(Fixture fixture) {
    List<LitArea> areas = new ArrayList<>();
    List<List<Point>> slots = fixture.edges().stream().map(Edge::points).toList();
    for (List<Integer> those : byCell(fixture).values()) {
      double x = 0;
      double y = 0;
      for (int index : those) {
        x += fixture.position(index).xMm() / those.size();
        y += fixture.position(index).yMm() / those.size();
      }
      Point middle = new Point(x, y);
      LitArea nearest = null;
      for (List<Point> slot : slots) {
        LitArea area =
            new LitArea(
                slot.get(0).towards(slot.get(3), 0.5),
                slot.get(1).towards(slot.get(2), 0.5),
                slot.get(0).distanceTo(slot.get(3)),
                those);
        nearest = nearest == null || area.far(middle) < nearest.far(middle) ? area : nearest;
      }
      if (nearest != null) {
        areas.add(nearest);
      }
    }
    return areas;
  }

  private double far(Point point) {
    return from.towards(to, 0.5).distanceTo(point);
  }

  private static List<LitArea> bulbs(Fixture fixture, double diameterMm) {
    List<LitArea> areas = new ArrayList<>();
    for (int i = 0; i < fixture.count(); i++) {
      Position place = fixture.position(i);
      Point at = new Point(place.xMm(), place.yMm());
      areas.add(new LitArea(at, at, diameterMm, List.of(i)));
    }
    return areas;
  }

  private static long cell(int column, int row) {
    return (long) column << 32 | row;
  }
}
