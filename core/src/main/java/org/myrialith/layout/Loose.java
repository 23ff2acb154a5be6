package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;

/**
 * Emitters placed one by one. A picture has one row, a cell for each.
 *
 * @param emitters in data order, at least one
 */
public record Loose(List<Bead> emitters) implements Shape {
  /** Allowed number. */
  public static final Bounds COUNT = Bounds.count(1, Fixture.MOST_EMITTERS);

  /**
   * One emitter.
   *
   * @param name what the maker calls it, may be empty
   */
  public record Bead(double xMm, double yMm, double zMm, String name) {
    public Bead {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      Fixture.PLACE.require("zMm", zMm);
      name = name.isBlank() ? "" : Text.name("name", name);
    }
  }

  public Loose {
    emitters = List.copyOf(emitters);
    if (!COUNT.allow(emitters.size())) {
      throw new InputException(
          "emitters", emitters.size() + " emitters", "1 to " + Fixture.MOST_EMITTERS);
    }
  }

  @Override
  public int count() {
    return emitters.size();
  }

  @Override
  public Place place(int index) {
    Bead bead = emitters.get(index);
    return new Place(bead.xMm(), bead.yMm(), index, 0);
  }

  @Override
  public Spot spot(int index) {
    Bead bead = emitters.get(index);
    return new Spot(bead.xMm(), bead.yMm(), bead.zMm(), Facing.VIEWER);
  }

  @Override
  public String part(int index) {
    return emitters.get(index).name();
  }

  /** Returns the least distance of an emitter from the one before it, as far as they are apart. */
  @Override
  public double pitchMm() {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 1; i < emitters.size(); i++) {
      double apart = spot(i).distanceTo(spot(i - 1));
      least = apart > 0 ? Math.min(least, apart) : least;
    }
    return Double.isFinite(least) ? least : LONE_PITCH_MM;
  }

  @Override
  public boolean leapsAfter(int index) {
    Objects.checkIndex(index, count());
    return true;
  }

  @Override
  public String describe() {
    return count() == 1 ? "1 loose emitter" : count() + " loose emitters";
  }
}
