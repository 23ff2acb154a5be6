package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Locale;
import org.myrialith.finding.Quantity;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Note;
import org.myrialith.layout.Point;

/**
 * A template as one SVG at 1:1, for cutters and drawing programs: a circle for each hole, named by
 * fixture and index, and a bar of 100 mm.
 *
 * @param holeMm diameter of the circles
 */
public record TemplateSvg(LayoutPlan layout, double holeMm) {
  private static final double EDGE_MM = Template.EDGE_MM;

  public TemplateSvg {
    Template.HOLE.require("hole", holeMm);
  }

  /** Returns the file. */
  public String text() {
    LayoutPlan.Box box = layout.extent();
    double left = box.leftMm() - EDGE_MM;
    double top = box.topMm() - EDGE_MM;
    double width = Math.max(box.widthMm(), 100) + 2 * EDGE_MM;
    double height = box.heightMm() + 3 * EDGE_MM;
    StringBuilder svg = new StringBuilder();
    svg.append(
        phrase(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.3fmm\" height=\"%.3fmm\" viewBox=\"%.3f %.3f %.3f %.3f\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.1\">\n",
            width, height, left, top, width, height));
    for (Emitter emitter : Holes.of(layout)) {
      svg.append(
          phrase(
              "<circle id=\"%s-%d\" cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"/>\n",
              layout.fixtures().get(emitter.fixture()).id(),
              emitter.index(),
              emitter.position().xMm(),
              emitter.position().yMm(),
              holeMm / 2));
    }
    svg.append("<path id=\"centres\" d=\"");
    for (Emitter emitter : Holes.of(layout)) {
      svg.append(
          phrase(
              "M%.3f %.3fh2M%.3f %.3fv2",
              emitter.position().xMm() - 1,
              emitter.position().yMm(),
              emitter.position().xMm(),
              emitter.position().yMm() - 1));
    }
    svg.append("\"/>\n");
    for (Fixture fixture : layout.fixtures()) {
      fixture.edges().forEach(edge -> svg.append(line(edge)));
    }
    names(svg);
    double barTop = top + height - EDGE_MM;
    svg.append(
        phrase("<path id=\"check-100mm\" d=\"M%.3f %.3fv-3h100v3\"/>\n", box.leftMm(), barTop));
    return svg.append("</svg>\n").toString();
  }

  private void names(StringBuilder svg) {
    svg.append("<g id=\"names\" fill=\"#000\" stroke=\"none\" font-family=\"sans-serif\">\n");
    for (Fixture fixture : layout.fixtures()) {
      LayoutPlan.Box own = LayoutPlan.boxOf(List.of(fixture));
      word(
          svg,
          Template.NAME_MM,
          "start",
          own.leftMm(),
          own.topMm() - holeMm / 2 - 1,
          fixture.name());
      for (Note note : fixture.notes()) {
        word(svg, Template.NOTE_MM, "middle", note.at().xMm(), note.at().yMm() + 0.8, note.text());
      }
    }
    LayoutPlan.Box box = layout.extent();
    String holes = "holes " + Quantity.text(holeMm, "mm") + ", the bar is 100 mm";
    word(
        svg,
        Template.NAME_MM,
        "start",
        box.leftMm(),
        box.topMm() + box.heightMm() + EDGE_MM - 4,
        holes);
    svg.append("</g>\n");
  }

  private static void word(
      StringBuilder svg, double sizeMm, String anchor, double x, double y, String text) {
    svg.append(
        phrase(
            "<text x=\"%.3f\" y=\"%.3f\" font-size=\"%.1f\" text-anchor=\"%s\">%s</text>\n",
            x, y, sizeMm, anchor, escaped(text)));
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }

  private static String line(Edge edge) {
    StringBuilder path = new StringBuilder();
    for (Point point : edge.points()) {
      path.append(path.isEmpty() ? 'M' : 'L').append(phrase("%.3f %.3f", point.xMm(), point.yMm()));
    }
    String dashes =
        switch (edge.kind()) {
          case CUT -> "";
          case FOLD -> " stroke-dasharray=\"2 1.5\"";
          case GUIDE -> " stroke-dasharray=\"0.4 0.8\"";
        };
    return phrase(
        "<path class=\"%s\" d=\"%s\"%s/>\n",
        edge.kind().name().toLowerCase(Locale.ROOT), path, dashes);
  }
}
