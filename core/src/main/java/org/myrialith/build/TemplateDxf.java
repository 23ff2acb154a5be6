package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;

/**
 * A template as DXF text, release 12, in millimetres: circles on layer HOLES, lines on CUT, FOLD
 * and GUIDE, names on NAMES. DXF has y up, so y is that of the layout with the other sign.
 *
 * <pre>
 * 0 SECTION, 2 HEADER, $ACADVER AC1009, 0 ENDSEC
 * 0 SECTION, 2 TABLES, layers, 0 ENDSEC
 * 0 SECTION, 2 ENTITIES
 *   0 CIRCLE,   8 layer, 10 x, 20 y, 40 radius
 *   0 POLYLINE, 8 layer, 66 1, 70 0; 0 VERTEX, 8 layer, 10 x, 20 y; 0 SEQEND
 *   0 TEXT,     8 layer, 10 x, 20 y, 40 height, 1 text
 * 0 ENDSEC, 0 EOF
 * </pre>
 *
 * @param holeMm diameter of the circles
 */
public record TemplateDxf(LayoutPlan layout, double holeMm) {

  public TemplateDxf {
    Template.HOLE.require("hole", holeMm);
  }

  /** Returns the file, plain ASCII. */
  public String text() {
    StringBuilder dxf = new StringBuilder();
    group(dxf, 0, "SECTION");
    group(dxf, 2, "HEADER");
    group(dxf, 9, "$ACADVER");
    group(dxf, 1, "AC1009");
    group(dxf, 0, "ENDSEC");
    layers(dxf);
    group(dxf, 0, "SECTION");
    group(dxf, 2, "ENTITIES");
    for (Emitter emitter : Holes.of(layout)) {
      circle(dxf, emitter);
    }
    for (Fixture fixture : layout.fixtures()) {
      fixture.edges().forEach(edge -> line(dxf, edge));
      name(dxf, fixture);
      fixture
          .notes()
          .forEach(n -> words(dxf, n.at().xMm(), n.at().yMm(), Template.NOTE_MM, n.text()));
    }
    group(dxf, 0, "ENDSEC");
    group(dxf, 0, "EOF");
    return dxf.toString();
  }

  private static void layers(StringBuilder dxf) {
    group(dxf, 0, "SECTION");
    group(dxf, 2, "TABLES");
    group(dxf, 0, "TABLE");
    group(dxf, 2, "LAYER");
    group(dxf, 70, "4");
    int colour = 1;
    for (String layer : List.of("HOLES", "CUT", "FOLD", "GUIDE", "NAMES")) {
      group(dxf, 0, "LAYER");
      group(dxf, 2, layer);
      group(dxf, 70, "0");
      group(dxf, 62, Integer.toString(colour++));
      group(dxf, 6, "CONTINUOUS");
    }
    group(dxf, 0, "ENDTAB");
    group(dxf, 0, "ENDSEC");
  }

  private void circle(StringBuilder dxf, Emitter emitter) {
    group(dxf, 0, "CIRCLE");
    group(dxf, 8, "HOLES");
    at(dxf, emitter.position().xMm(), emitter.position().yMm());
    group(dxf, 40, number(holeMm / 2));
  }

  private static void line(StringBuilder dxf, Edge edge) {
    String layer = edge.kind().name();
    group(dxf, 0, "POLYLINE");
    group(dxf, 8, layer);
    group(dxf, 66, "1");
    group(dxf, 70, "0");
    for (Point point : edge.points()) {
      group(dxf, 0, "VERTEX");
      group(dxf, 8, layer);
      at(dxf, point.xMm(), point.yMm());
    }
    group(dxf, 0, "SEQEND");
    group(dxf, 8, layer);
  }

  private void name(StringBuilder dxf, Fixture fixture) {
    LayoutPlan.Box box = LayoutPlan.boxOf(List.of(fixture));
    words(dxf, box.leftMm(), box.topMm() - holeMm - 1, Template.NAME_MM, fixture.name());
  }

  private static void words(StringBuilder dxf, double x, double y, double sizeMm, String text) {
    group(dxf, 0, "TEXT");
    group(dxf, 8, "NAMES");
    at(dxf, x, y);
    group(dxf, 40, number(sizeMm));
    group(dxf, 1, text.replaceAll("[^\\x20-\\x7e]", "?"));
  }

  private static void at(StringBuilder dxf, double x, double y) {
    group(dxf, 10, number(x));
    group(dxf, 20, number(-y));
  }

  private static void group(StringBuilder dxf, int code, String value) {
    dxf.append(phrase("%3d", code)).append('\n').append(value).append('\n');
  }

  private static String number(double value) {
    return phrase("%.4f", value + 0.0);
  }
}
