package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Emitters on one circle or on circles round one centre, whole or in part. The origin is the
 * centre.
 *
 * <p>Angles are degrees from straight up, clockwise as the viewer sees it. A whole ring spaces its
 * emitters evenly all round; an arc (sweep under 360°) has one at each end. A picture has a row for
 * each circle, in their order, and as many columns as the fullest circle; emitters of a sparser
 * circle show the cells that lie at their angle.
 *
 * @param circles in the order the data runs, at least one
 * @param startDegrees of the first emitter of each circle
 * @param sweepDegrees over which a circle's emitters spread, 360 for whole rings
 * @param clockwise the way the data runs; otherwise the other way
 */
public record Ring(
    List<Circle> circles, double startDegrees, double sweepDegrees, boolean clockwise)
    implements Shape {
  /** Allowed start angle. */
  public static final Bounds START = Circle.TURN;

  /** Allowed sweep. */
  public static final Bounds SWEEP = Bounds.measure(1, 360, "°");

  /** Most circles of a ring. */
  public static final int MOST_CIRCLES = 32;

  private static final double WHOLE = 360;

  /**
   * One circle.
   *
   * @param count emitters on it
   * @param radiusMm to their centres; 0 for a single emitter in the middle
   * @param turnDegrees that it starts further on than the ring says, clockwise
   * @param back whether its data runs against the way of the ring
   */
  public record Circle(int count, double radiusMm, double turnDegrees, boolean back) {
    /** Allowed count. */
    public static final Bounds COUNT = Bounds.count(1, 2048);

    /** Allowed turn, and where a ring may start. */
    public static final Bounds TURN = Bounds.measure(-360, 360, "°");

    /** Allowed radius. */
    public static final Bounds RADIUS = Bounds.measure(0, 5000, "mm");

    /** How it stands in the format. */
    public static final Description<Circle> DESCRIPTION =
        Description.of(
            Circle.class,
            Field.count("count", "Pixels", COUNT),
            Field.measure("radiusMm", "Radius", RADIUS)
                .explained("0 only for a single pixel at the centre"),
            Field.measure("turnDegrees", "Extra rotation", TURN).or(0.0).explained("clockwise"),
            Field.flag("back", "Back", "", "back")
                .or(false)
                .explained("data runs against the direction of the ring"));

    public Circle {
      COUNT.require("count", count);
      RADIUS.require("radiusMm", radiusMm);
      TURN.require("turnDegrees", turnDegrees);
      if (radiusMm == 0 && count > 1) {
        throw new InputException(
            "radiusMm",
            "0",
            "more than 0 mm for " + count + " emitters; 0 only for a single one at the centre");
      }
    }

    /** Makes a circle that starts and runs as the ring says. */
    public Circle(int count, double radiusMm) {
      this(count, radiusMm, 0, false);
    }
  }

  /** The way round that data runs. */
  static final Types.Choice<Boolean> WAY =
      Types.Choice.ofTwo("clockwise", true, "clockwise", "anticlockwise", false, "anticlockwise");

  /** How it stands in the format. */
  public static final Kind<Ring> KIND =
      Kind.of(
          "ring",
          "ring",
          new Ring(List.of(new Circle(24, 30)), 0, 360, true),
          Field.measure("startDegrees", "Angle of the first pixel", START)
              .explained("of each circle's first pixel, from straight up and clockwise"),
          Field.measure("sweepDegrees", "Arc (360 = full ring)", SWEEP)
              .explained("a full ring spaces its pixels evenly, an arc has one at each end"),
          Field.of("direction", "Data direction", WAY).in("clockwise"),
          Field.rows("circles", "Circles", Circle.DESCRIPTION, 1, MOST_CIRCLES)
              .explained(
                  "in data order; the picture has one row per circle and as many columns as the"
                      + " fullest has pixels; an emitter shows the column nearest to its angle"));

  private record At(Circle circle, int row, int index) {}

  public Ring {
    circles = List.copyOf(circles);
    if (circles.isEmpty() || circles.size() > MOST_CIRCLES) {
      throw new InputException(
          "circles", circles.size() + " circles", "1 to " + MOST_CIRCLES + " circles");
    }
    START.require("startDegrees", startDegrees);
    SWEEP.require("sweepDegrees", sweepDegrees);
    if (fullest(circles) * circles.size() > Fixture.MOST_EMITTERS) {
      throw new InputException(
          "circles",
          circles.size() + " × " + fullest(circles),
          "at most " + Fixture.MOST_EMITTERS + " cells");
    }
  }

  private static int fullest(List<Circle> circles) {
    return circles.stream().mapToInt(Circle::count).max().orElse(0);
  }

  /** Returns whether the circles are whole. */
  public boolean whole() {
    return sweepDegrees == WHOLE;
  }

  /** Returns the angle between neighbours of a circle (degrees), 0 for a single emitter. */
  public double stepDegrees(Circle circle) {
    int steps = whole() ? circle.count() : circle.count() - 1;
    return steps == 0 ? 0 : sweepDegrees / steps;
  }

  @Override
  public int count() {
    return circles.stream().mapToInt(Circle::count).sum();
  }

  @Override
  public int seenColumns() {
    return fullest(circles);
  }

  @Override
  public int seenRows() {
    return circles.size();
  }

  private At at(int index) {
    Objects.checkIndex(index, count());
    int row = 0;
    int at = index;
    while (at >= circles.get(row).count()) {
      at -= circles.get(row).count();
      row++;
    }
    return new At(circles.get(row), row, at);
  }

  /** Steps from the start of the ring, along its way: what runs back counts down. */
  private double steps(At at) {
    if (!at.circle().back()) {
      return at.index();
    }
    return whole() ? -at.index() : at.circle().count() - 1 - at.index();
  }

  @Override
  public Position position(int index) {
    At at = at(index);
    Circle circle = at.circle();
    double way = (clockwise ? 1 : -1) * steps(at) * stepDegrees(circle);
    double angle = Math.toRadians(startDegrees + circle.turnDegrees() + way);
    return new Position(
        circle.radiusMm() * Math.sin(angle),
        -circle.radiusMm() * Math.cos(angle),
        column(at),
        at.row());
  }

  @Override
  public String part(int index) {
    return circles.size() == 1 ? "" : "circle " + (at(index).row() + 1);
  }

  /**
   * The column whose angle is nearest; columns stand where the emitters of the fullest circle do.
   */
  private int column(At at) {
    Circle full = fullestCircle();
    if (at.circle().equals(full) && !full.back()) {
      return at.index();
    }
    int way = clockwise ? 1 : -1;
    double turned = way * (at.circle().turnDegrees() - full.turnDegrees());
    double angle = turned + steps(at) * stepDegrees(at.circle());
    double step = stepDegrees(full);
    // a hair's breadth of rounding must not part equal angles
    long nearest = step == 0 ? 0 : (long) Math.floor(angle / step + 0.5 + 1e-9);
    return whole()
        ? (int) Math.floorMod(nearest, (long) seenColumns())
        : (int) Math.max(0, Math.min(seenColumns() - 1, nearest));
  }

  private Circle fullestCircle() {
    int most = seenColumns();
    return circles.stream().filter(c -> c.count() == most).findFirst().orElseThrow();
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    List<Calculation> numbers = new ArrayList<>();
    for (Circle circle : circles) {
      if (circle.count() > 1) {
        double step = stepDegrees(circle);
        numbers.add(
            LayoutNumbers.length(
                phrase("spacing-%s-%d", fixture.id(), circles.indexOf(circle)),
                phrase(
                    "Spacing on %s, radius %s",
                    fixture.name(), Quantity.text(circle.radiusMm(), "mm")),
                Math.toRadians(step) * circle.radiusMm(),
                "radius × angle between neighbours; in radians",
                Calculation.given("radius", circle.radiusMm(), "mm"),
                Calculation.given("angle between neighbours", step, "°")));
      }
    }
    return numbers;
  }

  @Override
  public double spacingMm() {
    double least = Double.POSITIVE_INFINITY;
    for (Circle circle : circles) {
      if (circle.count() > 1) {
        double half = Math.toRadians(Math.min(180, stepDegrees(circle))) / 2;
        least = Math.min(least, 2 * circle.radiusMm() * Math.sin(half));
      }
    }
    for (int i = 1; i < circles.size(); i++) {
      double apart = Math.abs(circles.get(i).radiusMm() - circles.get(i - 1).radiusMm());
      least = apart > 0 ? Math.min(least, apart) : least;
    }
    return Double.isFinite(least) ? least : LONE_PITCH_MM;
  }

  @Override
  public String describe() {
    String shape = whole() ? "ring" : "arc";
    return circles.size() == 1
        ? shape + " of " + count()
        : circles.size() + " " + shape + "s, " + count() + " in all";
  }
}
