package org.myrialith.gadget;

import java.util.Map;
import org.myrialith.layout.Bar;
import org.myrialith.layout.BoxFaces;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Loose;
import org.myrialith.layout.ModulePolygon;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Ring;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Stack;
import org.myrialith.layout.Strip;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes fixtures, the fields of the kind first, then how it is put up.
 *
 * @see ShapeReader
 */
final class ShapeWriter {
  private ShapeWriter() {}

  static ObjectNode fixture(Fixture fixture) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    node.put("kind", kind(fixture.shape())).put("id", fixture.id()).put("name", fixture.name());
    shape(node, fixture.shape());
    Mount mount = fixture.mount();
    node.put("xMm", mount.xMm()).put("yMm", mount.yMm()).put("zMm", mount.zMm());
    node.put("turnDegrees", mount.turnDegrees()).put("mirrored", mount.mirrored());
    node.put("reversed", mount.reversed());
    ArrayNode dark = node.putArray("dark");
    mount.dark().forEach(dark::add);
    return node.put("emitter", mount.emitter());
  }

  /** Returns the name that the format has for the kind of a shape. */
  static String kind(Shape shape) {
    if (shape instanceof Panel) {
      return "panel";
    } else if (shape instanceof Strip) {
      return "strip";
    } else if (shape instanceof Ring) {
      return "ring";
    } else if (shape instanceof ModulePolygon) {
      return "polygon";
    } else if (shape instanceof SegmentDigits) {
      return "segments";
    } else if (shape instanceof Bar) {
      return "bar";
    } else if (shape instanceof LampDigits) {
      return "lamps";
    } else if (shape instanceof Stack) {
      return "stack";
    } else if (shape instanceof BoxFaces) {
      return "box";
    } else if (shape instanceof Panes) {
      return "panes";
    }
    return "loose";
  }

  static <T> String keyOf(Map<String, T> choices, T value) {
    return choices.entrySet().stream()
        .filter(e -> e.getValue().equals(value))
        .findFirst()
        .orElseThrow()
        .getKey();
  }

  private static void shape(ObjectNode node, Shape shape) {
    if (shape instanceof Panel panel) {
      node.put("columns", panel.columns()).put("rows", panel.rows());
      node.put("pitchXMm", panel.pitchXMm()).put("pitchYMm", panel.pitchYMm());
      node.put("firstCorner", panel.firstCorner().key());
      node.put("run", keyOf(ShapeReader.RUNS, panel.alongColumns()));
      node.put("wiring", keyOf(ShapeReader.WIRINGS, panel.serpentine()));
      node.put("quarterTurns", panel.quarterTurns());
    } else if (shape instanceof Strip strip) {
      strip(node, strip);
    } else if (shape instanceof Ring ring) {
      ArrayNode circles = node.putArray("circles");
      ring.circles()
          .forEach(
              c ->
                  circles
                      .addObject()
                      .put("count", c.count())
                      .put("radiusMm", c.radiusMm())
                      .put("turnDegrees", c.turnDegrees())
                      .put("back", c.back()));
      node.put("startDegrees", ring.startDegrees()).put("sweepDegrees", ring.sweepDegrees());
      node.put("direction", keyOf(ShapeReader.DIRECTIONS, ring.clockwise()));
    } else if (shape instanceof ModulePolygon polygon) {
      node.put("sides", polygon.sides()).put("pixelsPerModule", polygon.pixelsPerModule());
      node.put("moduleLengthMm", polygon.moduleLengthMm());
      node.put("moduleWidthMm", polygon.moduleWidthMm()).put("gapMm", polygon.gapMm());
      node.put("controllerModule", polygon.controllerModule());
      node.put("direction", keyOf(ShapeReader.DIRECTIONS, polygon.clockwise()));
    } else if (shape instanceof SegmentDigits digits) {
      segments(node, digits);
    } else if (shape instanceof Bar bar) {
      node.put("count", bar.count()).put("pitchMm", bar.pitchMm());
      node.put("bendDegrees", bar.bendDegrees());
    } else if (shape instanceof LampDigits lamps) {
      ArrayNode mask = node.putArray("mask");
      lamps.mask().forEach(mask::add);
      node.put("digits", lamps.digits()).put("pitchMm", lamps.pitchMm());
      node.put("gapMm", lamps.gapMm());
    } else {
      solid(node, shape);
    }
  }

  private static void solid(ObjectNode node, Shape shape) {
    if (shape instanceof Stack stack) {
      node.put("columns", stack.columns()).put("rows", stack.rows()).put("layers", stack.layers());
      node.put("pitchMm", stack.pitchMm()).put("layerGapMm", stack.layerGapMm());
      node.put("firstGapMm", stack.firstGapMm());
    } else if (shape instanceof BoxFaces box) {
      node.put("widthMm", box.widthMm()).put("heightMm", box.heightMm());
      node.put("depthMm", box.depthMm()).put("thicknessMm", box.thicknessMm());
      node.put("pitchMm", box.pitchMm());
      for (int face = 0; face < BoxFaces.NAMES.size(); face++) {
        node.put(BoxFaces.NAMES.get(face), box.faces().get(face));
      }
    } else if (shape instanceof Panes panes) {
      node.put("digits", panes.digits()).put("panesPerDigit", panes.panesPerDigit());
      node.put("ledsPerPane", panes.ledsPerPane()).put("panePitchMm", panes.panePitchMm());
      node.put("sheetWidthMm", panes.sheetWidthMm()).put("sheetHeightMm", panes.sheetHeightMm());
      node.put("sheetThicknessMm", panes.sheetThicknessMm());
      node.put("digitPitchMm", panes.digitPitchMm());
    } else if (shape instanceof Loose loose) {
      ArrayNode emitters = node.putArray("emitters");
      loose
          .emitters()
          .forEach(
              e ->
                  emitters
                      .addObject()
                      .put("xMm", e.xMm())
                      .put("yMm", e.yMm())
                      .put("zMm", e.zMm())
                      .put("name", e.name()));
    }
  }

  private static void strip(ObjectNode node, Strip strip) {
    ArrayNode pieces = node.putArray("pieces");
    strip
        .pieces()
        .forEach(
            p ->
                pieces
                    .addObject()
                    .put("pixels", p.pixels())
                    .put("gapMm", p.gapMm())
                    .put("turned", p.turned()));
    node.put("cutEvery", strip.cutEvery()).put("pixelsPerMetre", strip.pixelsPerMetre());
    ArrayNode path = node.putArray("path");
    strip.path().forEach(p -> path.addObject().put("xMm", p.xMm()).put("yMm", p.yMm()));
  }

  private static void segments(ObjectNode node, SegmentDigits digits) {
    node.put("style", digits.style().key());
    node.put("heightMm", digits.heightMm()).put("widthMm", digits.widthMm());
    node.put("slantDegrees", digits.slantDegrees()).put("gapMm", digits.gapMm());
    ArrayNode modules = node.putArray("modules");
    digits
        .modules()
        .forEach(m -> modules.addObject().put("digits", m.digits()).put("name", m.name()));
    node.put("digitPitchMm", digits.digitPitchMm()).put("moduleGapMm", digits.moduleGapMm());
    node.put("ledsPerSegment", digits.ledsPerSegment());
    node.put("together", keyOf(ShapeReader.TOGETHER, digits.series()));
    node.put("decimalPoint", digits.decimalPoint());
    ArrayNode colons = node.putArray("colonsAfter");
    digits.colonsAfter().forEach(colons::add);
    ArrayNode custom = node.putArray("custom");
    digits
        .custom()
        .forEach(
            s ->
                custom
                    .addObject()
                    .put("name", s.name())
                    .put("x1Mm", s.x1Mm())
                    .put("y1Mm", s.y1Mm())
                    .put("x2Mm", s.x2Mm())
                    .put("y2Mm", s.y2Mm()));
    ArrayNode indicators = node.putArray("indicators");
    digits
        .indicators()
        .forEach(
            i ->
                indicators
                    .addObject()
                    .put("xMm", i.xMm())
                    .put("yMm", i.yMm())
                    .put("name", i.name()));
  }
}
