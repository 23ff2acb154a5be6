package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Pixels of a strip or a string wound up flat: an Archimedean spiral, whose windings are equally
 * far apart, with equal lengths of wire between the pixels. The origin is the centre. A picture has
 * one row, a column for each pixel in data order.
 *
 * @param count pixels
 * @param spacingAlongMm length of the curve between neighbours
 * @param innerMm radius of the innermost pixel
 * @param windingMm distance of neighbouring windings
 * @param startDegrees of the innermost pixel, from straight up and clockwise
 * @param clockwise the way it opens, seen from the front
 * @param inwards whether the data enters at the outer end
 */
public record Spiral(
    int count,
    double spacingAlongMm,
    double innerMm,
    double windingMm,
    double startDegrees,
    boolean clockwise,
    boolean inwards)
    implements Shape {
  /** Allowed count. */
  public static final Bounds COUNT = Bounds.count(2, 2048);

  /** Allowed spacing along the curve. */
  public static final Bounds SPACING = Bounds.measure(1, 1000, "mm");

  /** Allowed inner radius. */
  public static final Bounds INNER = Bounds.measure(0, 1000, "mm");

  /** Allowed distance of windings. */
  public static final Bounds WINDING = Bounds.measure(1, 1000, "mm");

  private static final double LARGEST_MM = 5000;
  private static final double TURN = 2 * Math.PI;
  private static final int STEPS = 60;

  private static final Types.Choice<Boolean> ENTRY =
      Types.Choice.ofTwo("inner", false, "at the inner end", "outer", true, "at the outer end");

  /** How it stands in the format. */
  public static final Kind<Spiral> KIND =
      Kind.of(
          "spiral",
          "spiral",
          new Spiral(60, 16.7, 20, 12, 0, true, false),
          Field.count("count", "Pixels", COUNT),
          Field.measure("spacingAlongMm", "Pixel pitch along it", SPACING)
              .explained("length of strip or wire from one pixel to the next"),
          Field.measure("innerMm", "Inner radius", INNER).explained("of the innermost pixel"),
          Field.measure("windingMm", "Winding spacing", WINDING),
          Field.measure("startDegrees", "Angle of the inner pixel", Ring.START)
              .or(0.0)
              .explained("of the innermost pixel, from straight up and clockwise"),
          Field.of("opens", "Direction", Ring.WAY).or(true).in("clockwise"),
          Field.of("dataEnters", "Data input", ENTRY).or(false).in("inwards"));

  public Spiral {
    COUNT.require("count", count);
    SPACING.require("spacingAlongMm", spacingAlongMm);
    INNER.require("innerMm", innerMm);
    WINDING.require("windingMm", windingMm);
    Ring.START.require("startDegrees", startDegrees);
    double outer = radiusAt((count - 1) * spacingAlongMm, innerMm, windingMm);
    if (outer > LARGEST_MM) {
      throw new InputException(
          "count",
          phrase("an outer radius of %.0f mm", outer),
          phrase("an outer radius of at most %.0f mm", LARGEST_MM));
    }
  }

  /** Returns the radius of the outermost pixel (mm). */
  public double outerMm() {
    return radiusAt((count - 1) * spacingAlongMm, innerMm, windingMm);
  }

  /** Returns the turns from the innermost to the outermost pixel. */
  public double turns() {
    return (outerMm() - innerMm) / windingMm;
  }

  /**
   * Length of the curve from its centre: with r = b·φ it is the integral of √(r² + b²) dφ.
   *
   * @param growth b, by which the radius grows for each radian
   */
  private static double lengthTo(double radius, double growth) {
    double x = radius / growth;
    double root = Math.sqrt(x * x + 1);
    return growth / 2 * (x * root + Math.log(x + root));
  }

  /** Newton's steps on the length; it is convex, so that they close in from the outside. */
  private static double radiusAt(double lengthMm, double innerMm, double windingMm) {
    double growth = windingMm / TURN;
    double wanted = lengthTo(innerMm, growth) + lengthMm;
    double radius = innerMm + lengthMm;
    for (int i = 0; i < STEPS; i++) {
      double step = (lengthTo(radius, growth) - wanted) * growth / Math.hypot(radius, growth);
      radius -= step;
      if (Math.abs(step) < 1e-12) {
        break;
      }
    }
    return Math.max(innerMm, radius);
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count);
    int fromInside = inwards ? count - 1 - index : index;
    double radius = radiusAt(fromInside * spacingAlongMm, innerMm, windingMm);
    double way = (clockwise ? TURN : -TURN) * (radius - innerMm) / windingMm;
    double angle = Math.toRadians(startDegrees) + way;
    return new Position(radius * Math.sin(angle), -radius * Math.cos(angle), index, 0);
  }

  /**
   * The nearest two of all, neighbours along the curve or across windings: a sweep from the left.
   */
  @Override
  public double spacingMm() {
    Position[] all = new Position[count];
    Arrays.setAll(all, this::position);
    Arrays.sort(all, Comparator.comparingDouble(Position::xMm));
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < count; i++) {
      for (int j = i + 1; j < count && all[j].xMm() - all[i].xMm() < least; j++) {
        double apart = Math.hypot(all[j].xMm() - all[i].xMm(), all[j].yMm() - all[i].yMm());
        least = Math.min(least, apart);
      }
    }
    return least;
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    Calculation.Given length =
        Calculation.given("length along the curve", (count - 1) * spacingAlongMm, "mm");
    return List.of(
        LayoutNumbers.length(
            "wound-" + fixture.id(),
            "Length of " + fixture.name(),
            (count - 1) * spacingAlongMm,
            "(pixels − 1) × pixel pitch along the curve",
            Calculation.given("pixels", count, "pixels"),
            Calculation.given("pixel pitch along the curve", spacingAlongMm, "mm")),
        LayoutNumbers.length(
            "outer-" + fixture.id(),
            "Outer radius of " + fixture.name(),
            outerMm(),
            Calculation.FOUND_BY
                + "solving ∫ √(r² + b²) dφ from the inner radius = length along the curve for the radius r; b = winding spacing ÷ 2π",
            length,
            Calculation.given("inner radius", innerMm, "mm"),
            Calculation.given("winding spacing", windingMm, "mm")));
  }

  @Override
  public String describe() {
    return phrase("spiral of %d, %.1f turns", count, turns());
  }
}
