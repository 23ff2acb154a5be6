package org.myrialith.gadget;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.myrialith.layout.Bar;
import org.myrialith.layout.BoxFaces;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Loose;
import org.myrialith.layout.ModulePolygon;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Stack;
import org.myrialith.layout.Strip;

/**
 * Reads fixtures: each kind by its own fields, then how it is put up, all in one object.
 *
 * @see ShapeWriter
 */
final class ShapeReader {
  static final Map<String, Corner> CORNERS = byKey(Corner.values(), Corner::key);
  static final Map<String, SegmentStyle> STYLES = byKey(SegmentStyle.values(), SegmentStyle::key);
  static final Map<String, Boolean> DIRECTIONS = ordered("clockwise", true, "anticlockwise", false);
  static final Map<String, Boolean> RUNS = ordered("along-rows", false, "along-columns", true);
  static final Map<String, Boolean> WIRINGS = ordered("serpentine", true, "same-way", false);
  static final Map<String, Boolean> TOGETHER = ordered("series", true, "parallel", false);

  /** The kinds of fixture by the name that the format has for them. */
  static final Map<String, Function<Fields, Shape>> KINDS = kinds();

  private ShapeReader() {}

  private static Map<String, Function<Fields, Shape>> kinds() {
    Map<String, Function<Fields, Shape>> kinds = new LinkedHashMap<>();
    kinds.put("panel", ShapeReader::panel);
    kinds.put("strip", ShapeReader::strip);
    kinds.put("ring", ShapeReader::ring);
    kinds.put("polygon", ShapeReader::polygon);
    kinds.put("segments", ShapeReader::segments);
    kinds.put("bar", ShapeReader::bar);
    kinds.put("lamps", ShapeReader::lamps);
    kinds.put("stack", ShapeReader::stack);
    kinds.put("box", ShapeReader::box);
    kinds.put("panes", ShapeReader::panes);
    kinds.put("loose", ShapeReader::loose);
    return kinds;
  }

  static <T> Map<String, T> byKey(T[] values, Function<T, String> key) {
    Map<String, T> map = new LinkedHashMap<>();
    for (T value : values) {
      map.put(key.apply(value), value);
    }
    return map;
  }

  static <T> Map<String, T> ordered(String one, T first, String two, T second) {
    Map<String, T> map = new LinkedHashMap<>();
    map.put(one, first);
    map.put(two, second);
    return map;
  }

  static <T> List<T> all(Fields parent, String name, int most, Function<Fields, T> read) {
    return parent.objects(name, most).stream().map(read).filter(Objects::nonNull).toList();
  }

  /** Returns the fixture, or null after an error. */
  static Fixture fixture(Fields fields) {
    Function<Fields, Shape> kind = fields.choice("kind", KINDS);
    if (kind == null) {
      return null;
    }
    String id = fields.text("id");
    String name = fields.text("name");
    // rings of the first days were placed by their centre, which is their origin now
    boolean centred = fields.has("centreXMm");
    double x = fields.numberOr(centred ? "centreXMm" : "xMm", Fixture.PLACE, 0);
    double y = fields.numberOr(centred ? "centreYMm" : "yMm", Fixture.PLACE, 0);
    double z = fields.numberOr("zMm", Fixture.PLACE, 0);
    double turn = fields.numberOr("turnDegrees", Mount.TURN, 0);
    boolean mirrored = fields.flagOr("mirrored", false);
    boolean reversed = fields.flagOr("reversed", false);
    List<Integer> dark = fields.wholes("dark", Mount.MOST_DARK);
    String emitter = fields.has("emitter") ? fields.text("emitter") : Mount.USUAL_EMITTER;
    Shape shape = kind.apply(fields);
    return fields.make(
        () ->
            new Fixture(
                id, name, shape, new Mount(x, y, z, turn, mirrored, reversed, dark, emitter)));
  }

  private static Shape panel(Fields fields) {
    int columns = fields.whole("columns", Panel.SIDE);
    int rows = fields.whole("rows", Panel.SIDE);
    double pitchX = fields.number("pitchXMm", Panel.PITCH);
    double pitchY = fields.number("pitchYMm", Panel.PITCH);
    Corner corner = fields.choice("firstCorner", CORNERS);
    Boolean alongColumns = fields.choice("run", RUNS);
    Boolean serpentine = fields.choice("wiring", WIRINGS);
    int turns = fields.whole("quarterTurns", Panel.TURNS);
    return fields.part(
        () -> new Panel(columns, rows, pitchX, pitchY, corner, alongColumns, serpentine, turns));
  }

  private static Shape strip(Fields fields) {
    List<Strip.Piece> pieces =
        fields.has("count")
            ? List.of(new Strip.Piece(fields.whole("count", Strip.COUNT), 0, false))
            : all(fields, "pieces", Strip.MOST_PIECES, ShapeReader::piece);
    int cutEvery = (int) fields.numberOr("cutEvery", Strip.CUT_EVERY, 1);
    double density = fields.number("pixelsPerMetre", Strip.DENSITY);
    List<Point> path = all(fields, "path", Strip.MOST_POINTS, ShapeReader::point);
    return fields.part(() -> new Strip(pieces, cutEvery, density, path));
  }

  private static Strip.Piece piece(Fields fields) {
    int pixels = fields.whole("pixels", Strip.COUNT);
    double gap = fields.numberOr("gapMm", Strip.Piece.GAP, 0);
    boolean turned = fields.flagOr("turned", false);
    return fields.make(() -> new Strip.Piece(pixels, gap, turned));
  }

  static Point point(Fields fields) {
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    return fields.make(() -> new Point(x, y));
  }

  private static Shape ring(Fields fields) {
    List<Ring.Circle> circles = all(fields, "circles", Ring.MOST_CIRCLES, ShapeReader::circle);
    double start = fields.number("startDegrees", Ring.START);
    double sweep = fields.number("sweepDegrees", Ring.SWEEP);
    Boolean clockwise = fields.choice("direction", DIRECTIONS);
    return fields.part(() -> new Ring(circles, start, sweep, clockwise));
  }

  private static Ring.Circle circle(Fields fields) {
    int count = fields.whole("count", Ring.Circle.COUNT);
    double radius = fields.number("radiusMm", Ring.Circle.RADIUS);
    double turn = fields.numberOr("turnDegrees", Ring.START, 0);
    boolean back = fields.flagOr("back", false);
    return fields.make(() -> new Ring.Circle(count, radius, turn, back));
  }

  private static Shape polygon(Fields fields) {
    int sides = fields.whole("sides", ModulePolygon.SIDES);
    int pixels = fields.whole("pixelsPerModule", ModulePolygon.PIXELS);
    double length = fields.number("moduleLengthMm", ModulePolygon.LENGTH);
    double width = fields.number("moduleWidthMm", ModulePolygon.WIDTH);
    double gap = fields.number("gapMm", ModulePolygon.GAP);
    int controller = fields.whole("controllerModule", ModulePolygon.SIDES_FROM_ONE);
    Boolean clockwise = fields.choice("direction", DIRECTIONS);
    return fields.part(
        () -> new ModulePolygon(sides, pixels, length, width, gap, controller, clockwise));
  }

  private static Shape segments(Fields fields) {
    SegmentStyle style = fields.choice("style", STYLES);
    double height = fields.number("heightMm", SegmentDigits.SIDE);
    double width = fields.number("widthMm", SegmentDigits.SIDE);
    double slant = fields.number("slantDegrees", SegmentDigits.SLANT);
    double gap = fields.number("gapMm", SegmentDigits.GAP);
    List<SegmentDigits.Module> modules =
        all(fields, "modules", SegmentDigits.MOST_MODULES, ShapeReader::module);
    double pitch = fields.number("digitPitchMm", SegmentDigits.PITCH);
    double moduleGap = fields.number("moduleGapMm", SegmentDigits.MODULE_GAP);
    int leds = fields.whole("ledsPerSegment", SegmentDigits.LEDS);
    Boolean series = fields.choice("together", TOGETHER);
    boolean point = fields.flag("decimalPoint");
    List<Integer> colons = fields.wholes("colonsAfter", SegmentDigits.MOST_COLONS);
    List<Segment> custom = all(fields, "custom", SegmentDigits.MOST_SEGMENTS, ShapeReader::segment);
    List<SegmentDigits.Indicator> indicators =
        all(fields, "indicators", SegmentDigits.MOST_INDICATORS, ShapeReader::indicator);
    return fields.part(
        () ->
            new SegmentDigits(
                style,
                height,
                width,
                slant,
                gap,
                modules,
                pitch,
                moduleGap,
                leds,
                series,
                point,
                colons,
                custom,
                indicators));
  }

  private static SegmentDigits.Module module(Fields fields) {
    int digits = fields.whole("digits", SegmentDigits.Module.DIGITS);
    String name = fields.text("name");
    return fields.make(() -> new SegmentDigits.Module(digits, name));
  }

  private static Segment segment(Fields fields) {
    String name = fields.text("name");
    double x1 = fields.number("x1Mm", Segment.PLACE);
    double y1 = fields.number("y1Mm", Segment.PLACE);
    double x2 = fields.number("x2Mm", Segment.PLACE);
    double y2 = fields.number("y2Mm", Segment.PLACE);
    return fields.make(() -> new Segment(name, x1, y1, x2, y2));
  }

  private static SegmentDigits.Indicator indicator(Fields fields) {
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    String name = fields.text("name");
    return fields.make(() -> new SegmentDigits.Indicator(x, y, name));
  }

  private static Shape bar(Fields fields) {
    int count = fields.whole("count", Bar.COUNT);
    double pitch = fields.number("pitchMm", Bar.PITCH);
    double bend = fields.number("bendDegrees", Bar.BEND);
    return fields.part(() -> new Bar(count, pitch, bend));
  }

  private static Shape lamps(Fields fields) {
    List<String> mask = fields.texts("mask", LampDigits.MOST_SIDE);
    int digits = fields.whole("digits", LampDigits.DIGITS);
    double pitch = fields.number("pitchMm", LampDigits.PITCH);
    double gap = fields.number("gapMm", LampDigits.GAP);
    return fields.part(() -> new LampDigits(mask, digits, pitch, gap));
  }

  private static Shape stack(Fields fields) {
    int columns = fields.whole("columns", Stack.SIDE);
    int rows = fields.whole("rows", Stack.SIDE);
    int layers = fields.whole("layers", Stack.SIDE);
    double pitch = fields.number("pitchMm", Stack.GAP);
    double layerGap = fields.number("layerGapMm", Stack.GAP);
    double firstGap = fields.number("firstGapMm", Stack.GAP);
    return fields.part(() -> new Stack(columns, rows, layers, pitch, layerGap, firstGap));
  }

  private static Shape box(Fields fields) {
    double width = fields.number("widthMm", BoxFaces.SIDE);
    double height = fields.number("heightMm", BoxFaces.SIDE);
    double depth = fields.number("depthMm", BoxFaces.SIDE);
    double thickness = fields.number("thicknessMm", BoxFaces.THICKNESS);
    double pitch = fields.number("pitchMm", BoxFaces.PITCH);
    List<String> faces = BoxFaces.NAMES.stream().map(fields::text).toList();
    return fields.part(() -> new BoxFaces(width, height, depth, thickness, pitch, faces));
  }

  private static Shape panes(Fields fields) {
    int digits = fields.whole("digits", Panes.DIGITS);
    int panes = fields.whole("panesPerDigit", Panes.PANES);
    int leds = fields.whole("ledsPerPane", Panes.LEDS);
    double pitch = fields.number("panePitchMm", Panes.PITCH);
    double width = fields.number("sheetWidthMm", Panes.SHEET);
    double height = fields.number("sheetHeightMm", Panes.SHEET);
    double thickness = fields.number("sheetThicknessMm", Panes.THICKNESS);
    double digitPitch = fields.number("digitPitchMm", Panes.SHEET);
    return fields.part(
        () -> new Panes(digits, panes, leds, pitch, width, height, thickness, digitPitch));
  }

  private static Shape loose(Fields fields) {
    List<Loose.Bead> beads = all(fields, "emitters", Fixture.MOST_EMITTERS, ShapeReader::bead);
    return fields.part(() -> new Loose(beads));
  }

  private static Loose.Bead bead(Fields fields) {
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    double z = fields.numberOr("zMm", Fixture.PLACE, 0);
    String name = fields.textIfAny("name");
    return fields.make(() -> new Loose.Bead(x, y, z, name));
  }
}
