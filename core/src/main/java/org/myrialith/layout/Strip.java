package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;

/**
 * An addressable strip laid along a line with bends.
 *
 * <p>A strip is cut between pixels, so the first pixel sits half a pitch from the start of the
 * path. Where the path ends before the strip does, the strip goes on straight.
 *
 * @param count pixels
 * @param pixelsPerMetre as the strip is sold
 * @param path corners of the line, at least two, neighbours apart
 */
public record Strip(String id, String name, int count, double pixelsPerMetre, List<Point> path)
    implements Fixture {
  /** Allowed count. */
  public static final Bounds COUNT = Bounds.count(1, MOST_EMITTERS);

  /** Allowed density (pixels per metre). */
  public static final Bounds DENSITY = Bounds.measure(1, 500, "pixels per metre");

  /** Most corners of a path. */
  public static final int MOST_POINTS = 64;

  private static final double MM_PER_METRE = 1000;

  /** A corner of the path (mm). */
  public record Point(double xMm, double yMm) {
    public Point {
      PLACE.require("xMm", xMm);
      PLACE.require("yMm", yMm);
    }

    double distanceTo(Point other) {
      return Math.hypot(other.xMm - xMm, other.yMm - yMm);
    }
  }

  public Strip {
    Text.id("id", id);
    name = Text.name("name", name);
    COUNT.require("count", count);
    DENSITY.require("pixelsPerMetre", pixelsPerMetre);
    path = List.copyOf(path);
    if (path.size() < 2 || path.size() > MOST_POINTS) {
      throw new InputException("path", path.size() + " points", "2 to " + MOST_POINTS + " points");
    }
    for (int i = 1; i < path.size(); i++) {
      if (!(path.get(i).distanceTo(path.get(i - 1)) > 0)) {
        throw new InputException(
            "path[" + i + "]", "the point before again", "a point apart from the one before");
      }
    }
  }

  @Override
  public double pitchMm() {
    return MM_PER_METRE / pixelsPerMetre;
  }

  /** Returns the length of the strip as cut (mm). */
  public double lengthMm() {
    return count * pitchMm();
  }

  /** Returns the length of the path (mm). */
  public double pathMm() {
    double length = 0;
    for (int i = 1; i < path.size(); i++) {
      length += path.get(i).distanceTo(path.get(i - 1));
    }
    return length;
  }

  @Override
  public int seenColumns() {
    return count;
  }

  @Override
  public int seenRows() {
    return 1;
  }

  @Override
  public Place place(int index) {
    Objects.checkIndex(index, count);
    double left = (index + 0.5) * pitchMm();
    int leg = 1;
    while (leg < path.size() - 1 && left > path.get(leg - 1).distanceTo(path.get(leg))) {
      left -= path.get(leg - 1).distanceTo(path.get(leg));
      leg++;
    }
    Point from = path.get(leg - 1);
    Point to = path.get(leg);
    double share = left / from.distanceTo(to);
    return new Place(
        from.xMm() + (to.xMm() - from.xMm()) * share,
        from.yMm() + (to.yMm() - from.yMm()) * share,
        index,
        0);
  }

  @Override
  public Strip movedBy(double dxMm, double dyMm) {
    List<Point> moved = new ArrayList<>();
    for (Point point : path) {
      moved.add(new Point(point.xMm() + dxMm, point.yMm() + dyMm));
    }
    return new Strip(id, name, count, pixelsPerMetre, moved);
  }

  @Override
  public Strip renamed(String newId, String newName) {
    return new Strip(newId, newName, count, pixelsPerMetre, path);
  }

  @Override
  public String describe() {
    return "strip of " + count;
  }
}
