package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Emitters placed one by one. A picture has one row, a cell for each.
 *
 * @param emitters in data order, at least one
 */
public record LooseEmitters(List<Single> emitters) implements Shape {
  /** Allowed number. */
  public static final Bounds COUNT = Bounds.count(1, Fixture.MOST_EMITTERS);

  /**
   * One emitter.
   *
   * @param name what the maker calls it, may be empty
   */
  public record Single(double xMm, double yMm, double zMm, String name) {
    /** How it stands in the format. */
    public static final Description<Single> DESCRIPTION =
        Description.of(
            Single.class,
            Field.measure("xMm", "x", Fixture.PLACE),
            Field.measure("yMm", "y", Fixture.PLACE),
            Field.measure("zMm", "z", Fixture.PLACE).or(0.0),
            Field.words("name", "Name", Types.Words.Rule.NAME_OR_NONE).or(""));

    public Single {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      Fixture.PLACE.require("zMm", zMm);
      name = name.isBlank() ? "" : TextRules.name("name", name);
    }
  }

  /** How it stands in the format. */
  public static final Kind<LooseEmitters> KIND =
      Kind.of(
          "loose",
          "loose emitters",
          new LooseEmitters(
              List.of(
                  new Single(0, 0, 0, "first"),
                  new Single(30, 10, 0, "second"),
                  new Single(60, 0, 0, "third"))),
          Field.rows("emitters", "Emitters", Single.DESCRIPTION, 1, Fixture.MOST_EMITTERS));

  public LooseEmitters {
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
  public Position position(int index) {
    Single single = emitters.get(index);
    return new Position(single.xMm(), single.yMm(), index, 0);
  }

  @Override
  public Pose pose(int index) {
    Single single = emitters.get(index);
    return new Pose(single.xMm(), single.yMm(), single.zMm(), Facing.VIEWER);
  }

  @Override
  public String part(int index) {
    return emitters.get(index).name();
  }

  /** Returns the least distance of an emitter from the one before it, as far as they are apart. */
  @Override
  public double spacingMm() {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 1; i < emitters.size(); i++) {
      double apart = pose(i).distanceTo(pose(i - 1));
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
