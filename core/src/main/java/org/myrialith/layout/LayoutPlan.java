package org.myrialith.layout;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Every emitter of a gadget with its place and order.
 *
 * @param fixtures as given
 * @param emitters fixture after fixture, each in data order
 * @param chained the same emitters in the order of the data chain; those in no circuit are left out
 */
public record LayoutPlan(List<Fixture> fixtures, List<Emitter> emitters, List<Emitter> chained) {

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

  /**
   * A wire that the maker lays along the chain.
   *
   * @param from the emitter whose data-out it starts at
   * @param to the emitter whose data-in it ends at
   * @param straightMm between their middles, in space
   */
  public record Lead(Emitter from, Emitter to, double straightMm) {}

  /**
   * Works the layout out.
   *
   * @param fixtures of the gadget
   * @param chainOrder identifiers of fixtures in the order the data runs; unknown ones count for
   *     nothing
   */
  public static LayoutPlan of(List<Fixture> fixtures, List<String> chainOrder) {
    Map<String, Integer> counts = new HashMap<>();
    fixtures.forEach(f -> counts.put(f.id(), f.count()));
    Map<String, Integer> firstInChain = new HashMap<>();
    int next = 0;
    for (String id : chainOrder) {
      if (counts.containsKey(id)) {
        firstInChain.put(id, next);
        next += counts.get(id);
      }
    }
    List<Emitter> emitters = new ArrayList<>();
    Emitter[] chained = new Emitter[next];
    for (int f = 0; f < fixtures.size(); f++) {
      Fixture fixture = fixtures.get(f);
      Integer first = firstInChain.get(fixture.id());
      BitSet dark = fixture.dark();
      int i = 0;
      for (Seat seat : fixture.seats()) {
        Emitter emitter = new Emitter(f, i, seat, dark.get(i), first == null ? -1 : first + i);
        emitters.add(emitter);
        if (first != null) {
          chained[first + i] = emitter;
        }
        i++;
      }
    }
    return new LayoutPlan(List.copyOf(fixtures), List.copyOf(emitters), List.of(chained));
  }

  /** Returns the box round the centres of some fixtures alone. */
  public static Box boxOf(List<Fixture> fixtures) {
    return of(fixtures, List.of()).box();
  }

  /** Returns the box round all centres; all zero when there is nothing. */
  public Box box() {
    Reach reach = new Reach();
    emitters.forEach(e -> reach.take(e.place().xMm(), e.place().yMm()));
    return reach.box();
  }

  /** Returns the box round all centres and all lines to cut and fold by. */
  public Box extent() {
    Reach reach = new Reach();
    emitters.forEach(e -> reach.take(e.place().xMm(), e.place().yMm()));
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

  /** Returns the depth over all centres, from the farthest back to the nearest (mm). */
  public double depthMm() {
    var depths = emitters.stream().mapToDouble(e -> e.spot().zMm()).summaryStatistics();
    return emitters.isEmpty() ? 0 : depths.getMax() - depths.getMin();
  }

  /** Returns the wires along the chain: from fixture to fixture, and from piece to piece. */
  public List<Lead> leads() {
    List<Lead> leads = new ArrayList<>();
    for (int i = 1; i < chained.size(); i++) {
      Emitter from = chained.get(i - 1);
      Emitter to = chained.get(i);
      if (from.fixture() != to.fixture() || from.seat().endsPiece()) {
        leads.add(new Lead(from, to, from.spot().distanceTo(to.spot())));
      }
    }
    return leads;
  }

  /** Returns the fixture of an emitter. */
  public Fixture fixtureOf(Emitter emitter) {
    return fixtures.get(emitter.fixture());
  }
}
