package org.myrialith.layout;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Every emitter of a gadget with its place.
 *
 * @param fixtures as given
 * @param emitters fixture after fixture, each in data order
 * @param firsts position of each fixture's first emitter
 */
public record LayoutPlan(List<Fixture> fixtures, List<Emitter> emitters, List<Integer> firsts) {

  /** The box round all emitter centres (mm). */
  public record Box(double leftMm, double topMm, double widthMm, double heightMm) {
    /** Returns the x of the middle (mm). */
    public double middleXMm() {
      return leftMm + widthMm / 2;
    }

    /** Returns the y of the middle (mm). */
    public double middleYMm() {
      return topMm + heightMm / 2;
    }
  }

  /** Works the layout out. */
  public static LayoutPlan of(List<Fixture> fixtures) {
    List<Emitter> emitters = new ArrayList<>();
    List<Integer> firsts = new ArrayList<>();
    for (int f = 0; f < fixtures.size(); f++) {
      BitSet dark = fixtures.get(f).dark();
      firsts.add(emitters.size());
      int i = 0;
      for (Placement placement : fixtures.get(f).placements()) {
        emitters.add(new Emitter(f, i, placement, dark.get(i)));
        i++;
      }
    }
    return new LayoutPlan(List.copyOf(fixtures), List.copyOf(emitters), List.copyOf(firsts));
  }

  /** Returns the emitters of a fixture in data order. */
  public List<Emitter> emittersOf(Fixture fixture) {
    int at = firsts.get(fixtures.indexOf(fixture));
    return emitters.subList(at, at + fixture.count());
  }

  /** Returns the box round the centres of some fixtures alone. */
  public static Box boxOf(List<Fixture> fixtures) {
    return of(fixtures).box();
  }

  /** Returns the box round all centres; all zero when there is nothing. */
  public Box box() {
    Reach reach = new Reach();
    emitters.forEach(e -> reach.take(e.position().xMm(), e.position().yMm()));
    return reach.box();
  }

  /** Returns the box round all centres and all lines to cut and fold by. */
  public Box extent() {
    Reach reach = new Reach();
    emitters.forEach(e -> reach.take(e.position().xMm(), e.position().yMm()));
    for (Fixture fixture : fixtures) {
      for (Edge edge : fixture.edges()) {
        edge.points().forEach(p -> reach.take(p.xMm(), p.yMm()));
      }
    }
    return reach.box();
  }

  /** A box that grows. Mutable, lives within one call. */
  private static final class Reach {
    private double left = Double.POSITIVE_INFINITY;
    private double top = Double.POSITIVE_INFINITY;
    private double right = Double.NEGATIVE_INFINITY;
    private double bottom = Double.NEGATIVE_INFINITY;

    void take(double x, double y) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }

    Box box() {
      return left > right ? new Box(0, 0, 0, 0) : new Box(left, top, right - left, bottom - top);
    }
  }

  /** Returns the depth of the nearest centre (mm); 0 when there is nothing. */
  double nearestMm() {
    return emitters.stream().mapToDouble(e -> e.pose().zMm()).max().orElse(0);
  }

  /** Returns the depth over all centres, from the farthest back to the nearest (mm). */
  public double depthMm() {
    var depths = emitters.stream().mapToDouble(e -> e.pose().zMm()).summaryStatistics();
    return emitters.isEmpty() ? 0 : depths.getMax() - depths.getMin();
  }

  /** Returns the wires along a line of data: from fixture to fixture, and from piece to piece. */
  public static List<Lead> leads(List<Emitter> line) {
    List<Lead> leads = new ArrayList<>();
    for (int i = 1; i < line.size(); i++) {
      Emitter from = line.get(i - 1);
      Emitter to = line.get(i);
      if (from.fixture() != to.fixture() || from.placement().endsPiece()) {
        leads.add(new Lead(from, to, from.pose().distanceTo(to.pose())));
      }
    }
    return leads;
  }

  /** Returns the fixture of an emitter. */
  public Fixture fixtureOf(Emitter emitter) {
    return fixtures.get(emitter.fixture());
  }
}
