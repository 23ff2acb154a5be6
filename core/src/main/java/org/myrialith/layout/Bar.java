package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * A row of emitters, straight or bent to an arc. The origin is its middle, the top of the arc.
 *
 * @param count emitters
 * @param pitchMm from one to the next, measured along the bar
 * @param bendDegrees the angle between its ends; 0 is straight, positive bends both ends down
 */
public record Bar(int count, double pitchMm, double bendDegrees) implements Shape {
  /** Allowed count. */
  public static final Bounds COUNT = Bounds.count(1, 2048);

  /** Allowed pitch. */
  public static final Bounds PITCH = Bounds.measure(0.5, 500, "mm");

  /** Allowed bend. */
  public static final Bounds BEND = Bounds.measure(-350, 350, "°");

  /** How it stands in the format. */
  public static final Kind<Bar> KIND =
      Kind.of(
          "bar",
          "bar",
          new Bar(10, 10, 0),
          Field.count("count", "Emitters", COUNT),
          Field.measure("pitchMm", "Pitch", PITCH).explained("measured along the bar"),
          Field.measure("bendDegrees", "Bend (0 = straight)", BEND)
              .explained("angle between its ends; positive bends both ends down"));

  public Bar {
    COUNT.require("count", count);
    PITCH.require("pitchMm", pitchMm);
    BEND.require("bendDegrees", bendDegrees);
  }

  @Override
  public String usualEmitter() {
    return "single-red";
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count);
    double along = (index - (count - 1) / 2.0) * pitchMm;
    double whole = (count - 1) * pitchMm;
    if (bendDegrees == 0 || count == 1) {
      return new Position(along, 0, index, 0);
    }
    double radius = whole / Math.toRadians(bendDegrees);
    double angle = along / radius;
    return new Position(radius * Math.sin(angle), radius * (1 - Math.cos(angle)), index, 0);
  }

  @Override
  public double middleMm() {
    return 0;
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    return count > 1 ? List.of(LayoutNumbers.perMetre(fixture, pitchMm)) : List.of();
  }

  @Override
  public double spacingMm() {
    return pitchMm;
  }

  @Override
  public String describe() {
    return (bendDegrees == 0 ? "bar of " : "curved bar of ") + count;
  }
}
