package org.myrialith.layout;

import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

/** What everything has to fit into, seen from the front. Immutable. */
public sealed interface Enclosure {
  /** Allowed side (mm). */
  Bounds SIDE = Bounds.measure(1, 20_000, "mm");

  /** Returns whether a point lies within or on the edge. */
  boolean holds(Spot spot);

  /** Returns its outline, closed, to draw; empty when there is none. */
  List<Point> outline();

  /** Nothing was said. */
  record Unbounded() implements Enclosure {
    @Override
    public boolean holds(Spot spot) {
      return true;
    }

    @Override
    public List<Point> outline() {
      return List.of();
    }
  }

  /** A rectangle by its left top corner. */
  record Rectangle(double xMm, double yMm, double widthMm, double heightMm) implements Enclosure {
    public Rectangle {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      SIDE.require("widthMm", widthMm);
      SIDE.require("heightMm", heightMm);
    }

    @Override
    public boolean holds(Spot spot) {
      return spot.xMm() >= xMm
          && spot.xMm() <= xMm + widthMm
          && spot.yMm() >= yMm
          && spot.yMm() <= yMm + heightMm;
    }

    @Override
    public List<Point> outline() {
      return Edge.cutRectangle(xMm, yMm, xMm + widthMm, yMm + heightMm).points();
    }
  }

  /** A box: a rectangle with a depth, from the plane of the front backwards. */
  record Box(Rectangle front, double depthMm) implements Enclosure {
    public Box {
      SIDE.require("depthMm", depthMm);
    }

    @Override
    public boolean holds(Spot spot) {
      return front.holds(spot) && spot.zMm() <= 0 && spot.zMm() >= -depthMm;
    }

    @Override
    public List<Point> outline() {
      return front.outline();
    }
  }

  /** A circle by its middle. */
  record Circle(double xMm, double yMm, double radiusMm) implements Enclosure {
    private static final int DRAWN_SIDES = 72;

    public Circle {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      SIDE.require("radiusMm", radiusMm);
    }

    @Override
    public boolean holds(Spot spot) {
      return Math.hypot(spot.xMm() - xMm, spot.yMm() - yMm) <= radiusMm;
    }

    @Override
    public List<Point> outline() {
      return java.util.stream.IntStream.rangeClosed(0, DRAWN_SIDES)
          .mapToDouble(i -> 2 * Math.PI * i / DRAWN_SIDES)
          .mapToObj(a -> new Point(xMm + radiusMm * Math.cos(a), yMm + radiusMm * Math.sin(a)))
          .toList();
    }
  }

  /** Any closed line; where it crosses itself, what is surrounded an odd number of times is in. */
  record Outline(List<Point> points) implements Enclosure {
    /** Most corners. */
    public static final int MOST_POINTS = 2000;

    public Outline {
      points = List.copyOf(points);
      if (points.size() < 3 || points.size() > MOST_POINTS) {
        throw new InputException(
            "points", points.size() + " points", "3 to " + MOST_POINTS + " points");
      }
      for (int i = 0; i < points.size(); i++) {
        Fixture.PLACE.require("points[" + i + "].xMm", points.get(i).xMm());
        Fixture.PLACE.require("points[" + i + "].yMm", points.get(i).yMm());
      }
    }

    /** Counts the sides that a ray to the right crosses. */
    @Override
    public boolean holds(Spot spot) {
      boolean in = false;
      for (int i = 0; i < points.size(); i++) {
        Point a = points.get(i);
        Point b = points.get((i + 1) % points.size());
        if (a.yMm() > spot.yMm() != b.yMm() > spot.yMm()) {
          double x = a.xMm() + (b.xMm() - a.xMm()) * (spot.yMm() - a.yMm()) / (b.yMm() - a.yMm());
          in ^= spot.xMm() < x;
        }
      }
      return in;
    }

    @Override
    public List<Point> outline() {
      List<Point> closed = new java.util.ArrayList<>(points);
      closed.add(points.get(0));
      return closed;
    }
  }
}
