package org.myrialith.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A segment of a digit as it looks on the bench: a bar, and the emitters that light it.
 *
 * @param from where it begins (mm)
 * @param to where it ends (mm)
 * @param emitters their indices in data order; at least one
 */
public record SegmentBar(Point from, Point to, List<Integer> emitters) {
  /** A segment is about so thick beside its length, as modules have it (common practice). */
  public static final double THICKNESS = 0.16;

  public SegmentBar {
    emitters = List.copyOf(emitters);
  }

  /** Returns how long it is (mm). */
  public double lengthMm() {
    return Math.hypot(to.xMm() - from.xMm(), to.yMm() - from.yMm());
  }

  /** Returns the segments of a fixture; none of one that has no digits of segments. */
  public static List<SegmentBar> of(Fixture fixture) {
    if (!(fixture.shape() instanceof SegmentDigits digits)) {
      return List.of();
    }
    Map<Long, List<Integer>> shows = new HashMap<>();
    List<Placement> placements = fixture.placements();
    for (int i = 0; i < placements.size(); i++) {
      Position place = placements.get(i).position();
      shows.computeIfAbsent(cell(place.column(), place.row()), c -> new ArrayList<>()).add(i);
    }
    List<SegmentBar> bars = new ArrayList<>();
    List<SegmentDigits.Line> lines = digits.lines();
    List<Edge> edges = fixture.edges();
    for (int i = 0; i < lines.size(); i++) {
      List<Integer> those = shows.get(cell(lines.get(i).column(), lines.get(i).row()));
      if (those != null) {
        List<Point> ends = edges.get(i).points();
        bars.add(new SegmentBar(ends.get(0), ends.get(1), those));
      }
    }
    return bars;
  }

  private static long cell(int column, int row) {
    return (long) column << 32 | row;
  }
}
