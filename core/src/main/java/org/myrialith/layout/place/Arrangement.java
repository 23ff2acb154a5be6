package org.myrialith.layout.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.myrialith.finding.Bounds;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;

/**
 * Fixtures picked together, and what can be done to them. Every act returns them again, moved; none
 * changes their order.
 *
 * @param picked at least one
 */
public record Arrangement(List<Fixture> picked) {
  /** Allowed copies of an array. */
  public static final Bounds COPIES = Bounds.count(1, 63);

  /** Allowed grid (mm). */
  public static final Bounds GRID = Bounds.measure(0.1, 500, "mm");

  /** An edge or a middle to align by. */
  public enum Line {
    LEFT("left", b -> b.leftMm(), true),
    CENTRE("centre", b -> b.middleXMm(), true),
    RIGHT("right", b -> b.leftMm() + b.widthMm(), true),
    TOP("top", b -> b.topMm(), false),
    MIDDLE("middle", b -> b.middleYMm(), false),
    BOTTOM("bottom", b -> b.topMm() + b.heightMm(), false);

    private final String key;
    private final ToDoubleFunction<LayoutPlan.Box> at;
    private final boolean across;

    Line(String key, ToDoubleFunction<LayoutPlan.Box> at, boolean across) {
      this.key = key;
      this.at = at;
      this.across = across;
    }

    /** Returns its name in forms. */
    public String key() {
      return key;
    }
  }

  public Arrangement {
    picked = List.copyOf(picked);
  }

  private static LayoutPlan.Box box(Fixture fixture) {
    return LayoutPlan.boxOf(List.of(fixture));
  }

  private LayoutPlan.Box box() {
    return LayoutPlan.boxOf(picked);
  }

  /** Returns them shifted (mm). */
  public List<Fixture> moved(double dxMm, double dyMm) {
    return picked.stream().map(f -> f.movedBy(dxMm, dyMm)).toList();
  }

  /** Returns them turned clockwise about their common middle. */
  public List<Fixture> turned(double degrees) {
    Mount.TURN.require("degrees", degrees);
    LayoutPlan.Box box = box();
    return picked.stream()
        .map(f -> turned(f, degrees, new Point(box.middleXMm(), box.middleYMm())))
        .toList();
  }

  /** Everything turns with its picture. */
  private static Fixture turned(Fixture fixture, double degrees, Point about) {
    Mount mount = fixture.mount();
    double radians = Math.toRadians(degrees);
    double dx = mount.xMm() - about.xMm();
    double dy = mount.yMm() - about.yMm();
    double x = about.xMm() + dx * Math.cos(radians) - dy * Math.sin(radians);
    double y = about.yMm() + dx * Math.sin(radians) + dy * Math.cos(radians);
    return fixture.with(mount.movedBy(x - mount.xMm(), y - mount.yMm()).turnedBy(degrees));
  }

  /**
   * Returns them with left and right swapped about their common middle, pictures to be read as
   * before.
   */
  public List<Fixture> mirroredLeftToRight() {
    double axis = box().middleXMm();
    return picked.stream().map(f -> mirrored(f, axis)).toList();
  }

  /**
   * Returns them with top and bottom swapped about their common middle. A panel's picture stays
   * upright, as it does when left and right are swapped.
   */
  public List<Fixture> mirroredTopToBottom() {
    LayoutPlan.Box box = box();
    Point about = new Point(box.middleXMm(), box.middleYMm());
    return mirroredLeftToRight().stream().map(f -> overTurned(f, about)).toList();
  }

  /** Turned by half about a point, under the upright picture where the shape knows how. */
  private static Fixture overTurned(Fixture fixture, Point about) {
    Fixture turned = halfTurn(fixture, about);
    return fixture
        .shape()
        .turnedUpright(2)
        .map(
            shape -> {
              LayoutPlan.Box to = box(turned);
              Fixture upright = fixture.with(shape);
              LayoutPlan.Box is = box(upright);
              return upright.movedBy(to.leftMm() - is.leftMm(), to.topMm() - is.topMm());
            })
        .orElse(turned);
  }

  private static Fixture halfTurn(Fixture fixture, Point about) {
    Mount mount = fixture.mount();
    return fixture.with(
        mount
            .movedBy(2 * (about.xMm() - mount.xMm()), 2 * (about.yMm() - mount.yMm()))
            .turnedBy(180));
  }

  /**
   * With o the origin, θ the turn and m the shape's own middle: mirrored at x = c, the turn becomes
   * −θ and the origin (2c − o.x, o.y) − R(−θ) (2m, 0).
   */
  private static Fixture mirrored(Fixture fixture, double axis) {
    Mount mount = fixture.mount();
    double back = 2 * fixture.shape().middleMm();
    double turn = Math.toRadians(-mount.turnDegrees());
    double x = 2 * axis - mount.xMm() - back * Math.cos(turn);
    double y = mount.yMm() - back * Math.sin(turn);
    return fixture.with(
        mount
            .movedBy(x - mount.xMm(), y - mount.yMm())
            .turnedBy(-2 * mount.turnDegrees())
            .mirroredOver());
  }

  /** Returns them with one edge, or their middles, on one line. */
  public List<Fixture> aligned(Line line) {
    double to = line.at.applyAsDouble(box());
    return picked.stream()
        .map(
            f -> {
              double by = to - line.at.applyAsDouble(box(f));
              return line.across ? f.movedBy(by, 0) : f.movedBy(0, by);
            })
        .toList();
  }

  /**
   * Returns them with their middles at equal distances; the outermost two stay.
   *
   * @param across from left to right; otherwise from top to bottom
   */
  public List<Fixture> distributed(boolean across) {
    ToDoubleFunction<Fixture> middle = f -> across ? box(f).middleXMm() : box(f).middleYMm();
    List<Fixture> sorted = new ArrayList<>(picked);
    sorted.sort(Comparator.comparingDouble(middle));
    double first = middle.applyAsDouble(sorted.get(0));
    double last = middle.applyAsDouble(sorted.get(sorted.size() - 1));
    List<Fixture> all = new ArrayList<>(picked);
    for (int i = 1; i + 1 < sorted.size(); i++) {
      Fixture fixture = sorted.get(i);
      double to = first + (last - first) * i / (sorted.size() - 1);
      double by = to - middle.applyAsDouble(fixture);
      all.set(picked.indexOf(fixture), across ? fixture.movedBy(by, 0) : fixture.movedBy(0, by));
    }
    return List.copyOf(all);
  }

  /** Returns them with the first emitter of each on the nearest crossing of a grid from 0, 0. */
  public List<Fixture> snapped(double gridMm) {
    GRID.require("grid", gridMm);
    return onGrid(gridMm, 0, 0);
  }

  /**
   * Returns them with the first emitter of each a whole number of another's pitches from its first.
   */
  public List<Fixture> snappedTo(Fixture other) {
    Position from = other.position(0);
    return onGrid(other.pitchMm(), from.xMm(), from.yMm());
  }

  private List<Fixture> onGrid(double step, double x, double y) {
    return picked.stream()
        .map(
            f -> {
              Position at = f.position(0);
              double dx = x + Math.rint((at.xMm() - x) / step) * step - at.xMm();
              double dy = y + Math.rint((at.yMm() - y) / step) * step - at.yMm();
              return f.movedBy(dx, dy);
            })
        .toList();
  }

  /**
   * Returns further copies in a line, all picked fixtures of one step before those of the next.
   *
   * @param copies steps besides the fixtures that are there
   */
  public List<Fixture> inLine(int copies, double dxMm, double dyMm) {
    COPIES.require("copies", copies);
    List<Fixture> all = new ArrayList<>();
    for (int i = 1; i <= copies; i++) {
      all.addAll(moved(i * dxMm, i * dyMm));
    }
    return all;
  }

  /**
   * Returns further copies round a point.
   *
   * @param copies steps besides the fixtures that are there
   * @param stepDegrees clockwise from one to the next
   * @param turning whether each copy turns along; otherwise all stay upright
   */
  public List<Fixture> around(
      int copies, double xMm, double yMm, double stepDegrees, boolean turning) {
    COPIES.require("copies", copies);
    Mount.TURN.require("degrees", stepDegrees);
    List<Fixture> all = new ArrayList<>();
    for (int i = 1; i <= copies; i++) {
      double degrees = i * stepDegrees % 360;
      for (Fixture fixture : picked) {
        all.add(
            turning
                ? turned(fixture, degrees, new Point(xMm, yMm))
                : carried(fixture, degrees, xMm, yMm));
      }
    }
    return all;
  }

  private static Fixture carried(Fixture fixture, double degrees, double xMm, double yMm) {
    LayoutPlan.Box box = box(fixture);
    double radians = Math.toRadians(degrees);
    double dx = box.middleXMm() - xMm;
    double dy = box.middleYMm() - yMm;
    return fixture.movedBy(
        dx * Math.cos(radians) - dy * Math.sin(radians) - dx,
        dx * Math.sin(radians) + dy * Math.cos(radians) - dy);
  }
}
