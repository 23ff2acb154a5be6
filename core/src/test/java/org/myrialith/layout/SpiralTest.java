package org.myrialith.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.myrialith.finding.InputException;

class SpiralTest {
  private static final int CORNERS_A_TURN = 20_000;

  /** The curve itself, drawn with so many corners that its length is that of the curve. */
  private static LineString drawn(Spiral spiral, double turns) {
    int corners = (int) Math.ceil(turns * CORNERS_A_TURN) + 1;
    Coordinate[] line = new Coordinate[corners];
    for (int i = 0; i < corners; i++) {
      double turn = i / (double) CORNERS_A_TURN;
      double radius = spiral.innerMm() + turn * spiral.windingMm();
      double angle =
          Math.toRadians(spiral.startDegrees() + (spiral.clockwise() ? 360 : -360) * turn);
      line[i] = new Coordinate(radius * Math.sin(angle), -radius * Math.cos(angle));
    }
    return new GeometryFactory().createLineString(line);
  }

  /** Each pixel lies where a geometry library comes to by measuring along the drawn curve. */
  @ParameterizedTest
  @CsvSource({
    "60, 16.7, 20, 12, 0, true, false",
    "40, 5, 0, 3, 90, false, false",
    "25, 33.3, 100, 40, -45, true, true",
    "2, 1000, 0, 1, 12, false, true"
  })
  void pixelsAreEquallyFarApartAlongTheCurve(
      int count,
      double along,
      double inner,
      double winding,
      double start,
      boolean way,
      boolean in) {
    Spiral spiral = new Spiral(count, along, inner, winding, start, way, in);
    LengthIndexedLine line = new LengthIndexedLine(drawn(spiral, spiral.turns() + 0.1));
    for (int i = 0; i < count; i++) {
      Position at = spiral.position(in ? count - 1 - i : i);
      Coordinate wanted = line.extractPoint(i * along);
      assertThat(at.xMm()).isCloseTo(wanted.x, within(0.001));
      assertThat(at.yMm()).isCloseTo(wanted.y, within(0.001));
    }
  }

  @ParameterizedTest
  @CsvSource({"60, 16.7, 20, 12", "40, 5, 0, 30", "200, 20, 10, 4", "30, 2, 0, 1"})
  void theSpacingIsTheLeastDistanceOfAll(int count, double along, double inner, double winding) {
    Spiral spiral = new Spiral(count, along, inner, winding, 0, true, false);
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < count; i++) {
      for (int j = 0; j < i; j++) {
        Position a = spiral.position(i);
        Position b = spiral.position(j);
        least = Math.min(least, Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm()));
      }
    }
    assertThat(spiral.spacingMm()).isCloseTo(least, within(1e-9));
  }

  @Test
  void aSpiralLargerThanABenchIsRefused() {
    assertThatThrownBy(() -> new Spiral(2048, 1000, 0, 1000, 0, true, false))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("outer radius");
  }
}
