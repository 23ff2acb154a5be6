package org.myrialith.layout.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.myrialith.formats.PositionTable;
import org.myrialith.formats.SvgDrawing;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;

class TracingTest {
  private static final GeometryFactory JTS = new GeometryFactory();

  private static SvgDrawing svg(String content) {
    String file = "<svg width='1000mm' viewBox='0 0 1000 1000'>" + content + "</svg>";
    return SvgDrawing.read(file.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void rowsAndCirclesBecomeNamedEmitters() {
    PositionTable table =
        PositionTable.read(
            "x,y,z,name\n1,2,3,a\n4,5,6,\n".getBytes(StandardCharsets.UTF_8), null, null, 9);
    assertThat(Tracing.singles(table).emitters())
        .containsExactly(
            new LooseEmitters.Single(1, 2, 3, "a"), new LooseEmitters.Single(4, 5, 6, ""));
    assertThat(Tracing.singles(svg("<circle cx='7' cy='8' id='nose'/>")).emitters())
        .containsExactly(new LooseEmitters.Single(7, 8, 0, "nose"));
    assertThatThrownBy(() -> Tracing.singles(svg("<path d='M0 0h9'/>")))
        .hasMessageContaining("a circle for each emitter");
  }

  /** Pixels lie along the line as a library for linear referencing measures it. */
  @Test
  void aStripFollowsACurve() {
    SvgDrawing.Line line = svg("<path d='M10 10C200 0 300 400 500 60'/>").lines().get(0);
    Strip strip = Tracing.strip(line, 60);
    Coordinate[] corners = new Coordinate[line.xMm().length];
    for (int i = 0; i < corners.length; i++) {
      corners[i] = new Coordinate(line.xMm()[i], line.yMm()[i]);
    }
    LineString curve = JTS.createLineString(corners);
    assertThat(strip.count()).isEqualTo((int) (curve.getLength() * 60 / 1000));
    LengthIndexedLine along = new LengthIndexedLine(curve);
    for (int i = 0; i < strip.count(); i++) {
      Coordinate at = along.extractPoint((i + 0.5) * 1000 / 60);
      assertThat(strip.position(i).xMm()).isCloseTo(at.x, within(1e-6));
      assertThat(strip.position(i).yMm()).isCloseTo(at.y, within(1e-6));
    }
  }

  @Test
  void aLineOfJustSoManyPixelsHoldsThemAllAndAClosedOneGoesRound() {
    assertThat(Tracing.strip(svg("<path d='M0 0h100'/>").lines().get(0), 100).count())
        .isEqualTo(10);
    assertThat(Tracing.strip(svg("<path d='M0 0h100v100h-100z'/>").lines().get(0), 100).count())
        .isEqualTo(40);
    assertThatThrownBy(() -> Tracing.strip(svg("<path d='M0 0h9'/>").lines().get(0), 100))
        .hasMessageContaining("as long as one pixel");
    assertThatThrownBy(() -> Tracing.strip(svg("<path d='M0 0h9'/>").lines().get(0), 0))
        .hasMessageContaining("pixelsPerMetre");
  }

  @Test
  void aLineOfTooManyCornersIsThinnedAndKeepsItsEnds() {
    StringBuilder path = new StringBuilder("M0 0");
    for (int i = 1; i <= 5000; i++) {
      path.append("L").append(i / 10.0).append(' ').append(i % 2 * 0.02);
    }
    Strip strip = Tracing.strip(svg("<path d='" + path + "'/>").lines().get(0), 60);
    assertThat(strip.path().size()).isLessThanOrEqualTo(Strip.MOST_POINTS);
    assertThat(strip.path().get(0)).isEqualTo(new Point(0, 0));
    assertThat(strip.path().get(strip.path().size() - 1)).isEqualTo(new Point(500, 0));
  }

  @Test
  void theLongestClosedLineIsTheOutline() {
    Enclosure.Outline outline =
        Tracing.outline(
            svg(
                "<path d='M0 0h900'/><path d='M0 0h9v9z'/><rect x='5' y='6' width='70' height='50'/>"));
    assertThat(outline.points())
        .isEqualTo(List.of(new Point(5, 6), new Point(75, 6), new Point(75, 56), new Point(5, 56)));
    assertThatThrownBy(() -> Tracing.outline(svg("<path d='M0 0h900'/>")))
        .hasMessageContaining("closed");
  }
}
