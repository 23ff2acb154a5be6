package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

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
  public static final Bounds START = Bounds.measure(-360, 360, "°");

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

    /** Allowed radius. */
    public static final Bounds RADIUS = Bounds.measure(0, 5000, "mm");

    public Circle {
      COUNT.require("count", count);
      RADIUS.require("radiusMm", radiusMm);
      START.require("turnDegrees", turnDegrees);
      if (radiusMm == 0 && count > 1) {
        throw new InputException(
            "radiusMm",
            "0",
            "more than 0 mm for " + count + " emitters; 0 only for a single one in the middle");
      }
    }

    /** Makes a circle that starts and runs as the ring says. */
    public Circle(int count, double radiusMm) {
      this(count, radiusMm, 0, false);
    }
  }

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
  public Place place(int index) {
    At at = at(index);
    Circle circle = at.circle();
    double way = (clockwise ? 1 : -1) * steps(at) * stepDegrees(circle);
    double angle = Math.toRadians(startDegrees + circle.turnDegrees() + way);
    return new Place(
        circle.radiusMm() * Math.sin(angle),
        -circle.radiusMm() * Math.cos(angle),
        column(at),
        at.row());
  }

  private int column(At at) {
    int count = at.circle().count();
    double steps = steps(at);
    if (whole()) {
      double turned = (clockwise ? 1 : -1) * at.circle().turnDegrees() / stepDegrees(at.circle());
      steps = ((steps + turned) % count + count) % count;
    }
    return (int) ((2 * steps + 1) * seenColumns() / (2.0 * count)) % seenColumns();
  }

  @Override
  public double pitchMm() {
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
