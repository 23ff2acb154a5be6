package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.myrialith.layout.Point;

/** Outlines held against those of a geometry library (JTS). */
class ConvexHullTest {
  private static final GeometryFactory JTS = new GeometryFactory();

  @Test
  void outlinesAreThoseOfTheLibrary() {
    Random random = new Random(11);
    for (int round = 0; round < 300; round++) {
      List<Point> points = new ArrayList<>();
      int grid = round % 3 == 0 ? 4 : 1000; // on a small grid many lie on one line
      for (int i = 0; i < 3 + random.nextInt(60); i++) {
        points.add(new Point(random.nextInt(grid), random.nextInt(grid)));
      }
      Geometry expected =
          JTS.createMultiPointFromCoords(
                  points.stream()
                      .map(p -> new Coordinate(p.xMm(), p.yMm()))
                      .toArray(Coordinate[]::new))
              .convexHull();
      List<Point> hull = ConvexHull.of(points);
      assertThat(Math.abs(area(hull))).isCloseTo(expected.getArea(), within(1e-6));
      if (expected.getArea() > 0) {
        assertThat(hull).hasSize(expected.getNumPoints() - 1);
      }
    }
  }

  private static double area(List<Point> corners) {
    double twice = 0;
    for (int i = 0; i < corners.size(); i++) {
      Point a = corners.get(i);
      Point b = corners.get((i + 1) % corners.size());
      twice += a.xMm() * b.yMm() - b.xMm() * a.yMm();
    }
    return twice / 2;
  }

  @Test
  void fewPointsAndALineHaveNoArea() {
    assertThat(ConvexHull.of(List.of())).isEmpty();
    assertThat(ConvexHull.of(List.of(new Point(1, 2), new Point(1, 2)))).hasSize(1);
    assertThat(ConvexHull.of(List.of(new Point(0, 0), new Point(1, 1), new Point(2, 2))))
        .containsExactly(new Point(0, 0), new Point(2, 2));
  }
}
