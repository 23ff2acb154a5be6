package org.myrialith.layout.place;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Placement;
import org.myrialith.layout.Position;

/**
 * A stretch of a fixture through which the data runs from emitter to emitter: one piece of a strip,
 * one circle, one face. Told to whoever wires it.
 *
 * @param what it is, such as "piece 2, turned round"; empty when the fixture is of one
 * @param emitters in it
 * @param enters where its first emitter lies
 * @param leaves where its last one lies
 * @param way how the data sets out, such as "right" or "clockwise"; empty for a single emitter
 */
public record DataRun(String what, int emitters, Position enters, Position leaves, String way) {
  /** Turned in all by more than a row that comes back, it is said to run round. */
  private static final double ROUND = 1.2 * Math.PI;

  /** A step that leans by less than this against its length is said to go straight. */
  private static final double LEAN = 0.4;

  /** Returns the stretches of a fixture in the order of the data. */
  public static List<DataRun> of(Fixture fixture) {
    List<List<Placement>> stretches = stretches(fixture.placements());
    List<DataRun> runs = new ArrayList<>();
    for (int i = 0; i < stretches.size(); i++) {
      List<Placement> stretch = stretches.get(i);
      // a reversed fixture counts its pieces as they are written down, from its own first
      int number = fixture.mount().reversed() ? stretches.size() - 1 - i : i;
      runs.add(
          new DataRun(
              stretches.size() == 1 ? "" : fixture.shape().stretch(stretch.get(0), number),
              stretch.size(),
              stretch.get(0).position(),
              stretch.get(stretch.size() - 1).position(),
              way(stretch.stream().map(Placement::position).toList())));
    }
    return List.copyOf(runs);
  }

  private static List<List<Placement>> stretches(List<Placement> placements) {
    List<List<Placement>> all = new ArrayList<>();
    Placement before = null;
    for (Placement placement : placements) {
      if (before == null || before.endsPiece() || !before.part().equals(placement.part())) {
        all.add(new ArrayList<>());
      }
      all.get(all.size() - 1).add(placement);
      before = placement;
    }
    return all;
  }

  private static String way(List<Position> places) {
    double turned = 0;
    double last = Double.NaN;
    for (int i = 1; i < places.size(); i++) {
      double x = places.get(i).xMm() - places.get(i - 1).xMm();
      double y = places.get(i).yMm() - places.get(i - 1).yMm();
      if (Math.hypot(x, y) > 0) {
        double angle = Math.atan2(y, x);
        turned += Double.isNaN(last) ? 0 : Math.IEEEremainder(angle - last, 2 * Math.PI);
        last = angle;
      }
    }
    if (Double.isNaN(last)) {
      return "";
    }
    // y counts downwards, so that a growing angle turns clockwise
    return Math.abs(turned) < ROUND
        ? heading(places.get(0), places.get(1))
        : turned > 0 ? "clockwise" : "anticlockwise";
  }

  private static String heading(Position from, Position to) {
    double x = to.xMm() - from.xMm();
    double y = to.yMm() - from.yMm();
    String across = Math.abs(x) < LEAN * Math.abs(y) ? "" : x > 0 ? "right" : "left";
    String down = Math.abs(y) < LEAN * Math.abs(x) ? "" : y > 0 ? "downwards" : "upwards";
    return across.isEmpty() || down.isEmpty() ? across + down : across + " and " + down;
  }
}
