package org.myrialith.layout;

import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;

/** What everything has to fit into, seen from the front. Immutable. */
public sealed interface Enclosure {
  /** Allowed side (mm). */
  Bounds SIDE = Bounds.measure(1, 20_000, "mm");

  /** Returns whether a point lies within or on the edge. */
  boolean holds(Pose at);

  /** Returns its outline, closed, to draw; empty when there is none. */
  List<Point> outline();

  /** Nothing was said. */
  record Unbounded() implements Enclosure {
    /** How it stands in the format. */
    public static final Kind<Unbounded> KIND = Kind.of("none", "none", new Unbounded());

    @Override
    public boolean holds(Pose at) {
      return true;
    }

    @Override
    public List<Point> outline() {
      return List.of();
    }
  }

  /** A rectangle by its left top corner. */
  record Rectangle(double xMm, double yMm, double widthMm, double heightMm) implements Enclosure {
    /** How it stands in the format. */
    public static final Kind<Rectangle> KIND =
        Kind.of(
            "rectangle",
            "rectangle",
            new Rectangle(0, 0, 100, 100),
            Field.measure("xMm", "Left", Fixture.PLACE),
            Field.measure("yMm", "Top", Fixture.PLACE),
            Field.measure("widthMm", "Width", SIDE),
            Field.measure("heightMm", "Height", SIDE));

    public Rectangle {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      SIDE.require("widthMm", widthMm);
      SIDE.require("heightMm", heightMm);
    }

    @Override
    public boolean holds(Pose at) {
      return at.xMm() >= xMm
          && at.xMm() <= xMm + widthMm
          && at.yMm() >= yMm
          && at.yMm() <= yMm + heightMm;
    }

    @Override
    public List<Point> outline() {
      return Edge.cutRectangle(xMm, yMm, xMm + widthMm, yMm + heightMm).points();
    }
  }

  /** A box: a rectangle with a depth, from the plane of the front backwards. */
  record Box(Rectangle front, double depthMm) implements Enclosure {
    /** How it stands in the format. */
    public static final Kind<Box> KIND =
        Kind.of(
            "box",
            "box",
            new Box(new Rectangle(0, 0, 100, 100), 60),
            Part.of("front", Rectangle.KIND.description()),
            Field.measure("depthMm", "Depth", SIDE)
                .explained("from the plane of the front backwards"));

    public Box {
      SIDE.require("depthMm", depthMm);
    }

    @Override
    public boolean holds(Pose at) {
      return front.holds(at) && at.zMm() <= 0 && at.zMm() >= -depthMm;
    }

    @Override
    public List<Point> outline() {
      return front.outline();
    }
  }

  /** A circle by its middle. */
  record Circle(double xMm, double yMm, double radiusMm) implements Enclosure {
    private static final int DRAWN_SIDES = 72;

    /** How it stands in the format. */
    public static final Kind<Circle> KIND =
        Kind.of(
            "circle",
            "circle",
            new Circle(0, 0, 100),
            Field.measure("xMm", "Centre x", Fixture.PLACE),
            Field.measure("yMm", "Centre y", Fixture.PLACE),
            Field.measure("radiusMm", "Radius", SIDE));

    public Circle {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      SIDE.require("radiusMm", radiusMm);
    }

    @Override
    public boolean holds(Pose at) {
      return Math.hypot(at.xMm() - xMm, at.yMm() - yMm) <= radiusMm;
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

    /** How it stands in the format. */
    public static final Kind<Outline> KIND =
        Kind.of(
            "outline",
            "outline from a file",
            new Outline(List.of(new Point(0, 0), new Point(100, 0), new Point(0, 100))),
            Field.rows("points", "Points", Point.DESCRIPTION, 3, MOST_POINTS));

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

    /** Within a hair's breadth of a side is on it (mm). */
    private static final double ON_SIDE_MM = 1e-9;

    private static boolean on(Point a, Point b, Pose at) {
      double length = a.distanceTo(b);
      if (length == 0) {
        return Math.hypot(at.xMm() - a.xMm(), at.yMm() - a.yMm()) <= ON_SIDE_MM;
      }
      double dx = (b.xMm() - a.xMm()) / length;
      double dy = (b.yMm() - a.yMm()) / length;
      double along = (at.xMm() - a.xMm()) * dx + (at.yMm() - a.yMm()) * dy;
      double beside = (at.xMm() - a.xMm()) * dy - (at.yMm() - a.yMm()) * dx;
      return Math.abs(beside) <= ON_SIDE_MM && along >= -ON_SIDE_MM && along <= length + ON_SIDE_MM;
    }

    /** On a side is within; else counts the sides that a ray to the right crosses. */
    @Override
    public boolean holds(Pose at) {
      for (int i = 0; i < points.size(); i++) {
        if (on(points.get(i), points.get((i + 1) % points.size()), at)) {
          return true;
        }
      }
      boolean in = false;
      for (int i = 0; i < points.size(); i++) {
        Point a = points.get(i);
        Point b = points.get((i + 1) % points.size());
        if (a.yMm() > at.yMm() != b.yMm() > at.yMm()) {
          double x = a.xMm() + (b.xMm() - a.xMm()) * (at.yMm() - a.yMm()) / (b.yMm() - a.yMm());
          in ^= at.xMm() < x;
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
