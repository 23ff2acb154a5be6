package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.web.desk.FormValues;

/** The fields of the form of each kind of fixture, in the order a maker asks for them. */
final class ShapeSlots {
  /**
   * One field.
   *
   * @param name in the format
   * @param unit shown behind it, may be empty
   * @param sort {@code entry}, {@code choice} or {@code lines}
   * @param choices of a choice: value to words
   */
  public record Slot(
      String name, String label, String unit, String sort, Map<String, String> choices) {}

  private static final Map<String, List<Slot>> KINDS = kinds();

  private ShapeSlots() {}

  /** Returns the fields that a kind has of its own; segments are drawn only for a custom digit. */
  static List<Slot> of(String kind, FormValues form) {
    return KINDS.getOrDefault(kind, List.of()).stream()
        .filter(slot -> !slot.name().equals("custom") || form.value("style").equals("custom"))
        .toList();
  }

  private static Slot entry(String name, String label, String unit) {
    return new Slot(name, label, unit, "entry", Map.of());
  }

  private static Slot count(String name, String label) {
    return entry(name, label, "");
  }

  private static Slot mm(String name, String label) {
    return entry(name, label, "mm");
  }

  private static Slot lines(String name, String label) {
    return new Slot(name, label, "", "lines", Map.of());
  }

  private static Slot choice(String name, String label, String... valuesAndWords) {
    Map<String, String> choices = new LinkedHashMap<>();
    for (int i = 0; i < valuesAndWords.length; i += 2) {
      choices.put(valuesAndWords[i], valuesAndWords[i + 1]);
    }
    return new Slot(name, label, "", "choice", choices);
  }

  private static Slot way() {
    return choice(
        "direction", "Data runs", "clockwise", "clockwise", "anticlockwise", "anticlockwise");
  }

  private static Map<String, List<Slot>> kinds() {
    Map<String, List<Slot>> all = new LinkedHashMap<>();
    all.put("panel", panel());
    all.put(
        "strip",
        List.of(
            entry("pixelsPerMetre", "Pixels per metre", ""),
            count("cutEvery", "Cut every … pixels"),
            lines("pieces", "Pieces: one a line: pixels, gap before in mm, turned"),
            lines("path", "Path: one corner a line: x, y in mm")));
    all.put(
        "ring",
        List.of(
            entry("startDegrees", "First pixel, from up", "°"),
            entry("sweepDegrees", "Sweep, 360 all round", "°"),
            way(),
            lines(
                "circles",
                "Circles: one a line: pixels, radius in mm, turned further by °, back")));
    all.put(
        "polygon",
        List.of(
            count("sides", "Sides"),
            count("pixelsPerModule", "Pixels a module"),
            mm("moduleLengthMm", "Module length"),
            mm("moduleWidthMm", "Module width"),
            mm("gapMm", "Gap at inner corners"),
            count("controllerModule", "Controller on module"),
            way()));
    all.put("segments", segments());
    all.put(
        "bar",
        List.of(
            count("count", "Emitters"),
            mm("pitchMm", "Pitch"),
            entry("bendDegrees", "Bend, 0 straight", "°")));
    all.put(
        "lamps",
        List.of(
            count("digits", "Digits"),
            mm("pitchMm", "Pitch of lamps"),
            mm("gapMm", "Extra gap of digits"),
            lines("mask", "One digit: # for a lamp, . for none")));
    all.put(
        "stack",
        List.of(
            count("columns", "Columns"),
            count("rows", "Rows"),
            count("layers", "Layers"),
            mm("pitchMm", "Pitch"),
            mm("layerGapMm", "Layer to layer"),
            mm("firstGapMm", "Under layer 1")));
    all.put("box", box());
    all.put(
        "panes",
        List.of(
            count("digits", "Digits"),
            count("panesPerDigit", "Panes a digit"),
            count("ledsPerPane", "LEDs under a pane"),
            mm("panePitchMm", "Pane to pane"),
            mm("sheetWidthMm", "Sheet width"),
            mm("sheetHeightMm", "Sheet height"),
            mm("sheetThicknessMm", "Sheet thickness"),
            mm("digitPitchMm", "Digit to digit")));
    all.put("loose", List.of(lines("emitters", "Emitters: one a line: x, y, z in mm, name")));
    return all;
  }

  private static List<Slot> panel() {
    return List.of(
        count("columns", "Columns"),
        count("rows", "Rows"),
        mm("pitchXMm", "Pitch across"),
        mm("pitchYMm", "Pitch down"),
        choice(
            "firstCorner",
            "First pixel",
            "top-left",
            "top left",
            "top-right",
            "top right",
            "bottom-left",
            "bottom left",
            "bottom-right",
            "bottom right"),
        choice(
            "run",
            "Data runs",
            "along-rows",
            "along the rows",
            "along-columns",
            "along the columns"),
        choice("wiring", "Next run", "serpentine", "comes back", "same-way", "same way again"),
        choice(
            "quarterTurns",
            "Turned, picture upright",
            "0",
            "0°",
            "1",
            "90°",
            "2",
            "180°",
            "3",
            "270°"));
  }

  private static List<Slot> segments() {
    return List.of(
        choice(
            "style",
            "Segments",
            "seven",
            "7 segments",
            "fourteen",
            "14 segments",
            "sixteen",
            "16 segments",
            "custom",
            "drawn by myself"),
        mm("heightMm", "Digit height"),
        mm("widthMm", "Digit width"),
        entry("slantDegrees", "Slant", "°"),
        mm("gapMm", "Gap of segments"),
        mm("digitPitchMm", "Digit to digit"),
        mm("moduleGapMm", "Extra gap of modules"),
        count("ledsPerSegment", "LEDs a segment"),
        choice("together", "Wired in", "series", "series", "parallel", "parallel"),
        choice("decimalPoint", "Decimal points", "false", "none", "true", "one a digit"),
        entry("colonsAfter", "Colons after digits", ""),
        lines("modules", "Modules: one a line: digits, what it shows"),
        lines("indicators", "Indicators: one a line: x, y in mm, name"),
        lines("custom", "Own segments: name, x1, y1, x2, y2 in mm"));
  }

  private static List<Slot> box() {
    List<Slot> slots =
        new ArrayList<>(
            List.of(
                mm("widthMm", "Width outside"),
                mm("heightMm", "Height outside"),
                mm("depthMm", "Depth outside"),
                mm("thicknessMm", "Board thickness"),
                mm("pitchMm", "Pitch on a face")));
    for (String face : org.myrialith.layout.BoxFaces.NAMES) {
      slots.add(
          entry(
              face,
              face.substring(0, 1).toUpperCase(java.util.Locale.ROOT)
                  + face.substring(1)
                  + ", pips or 4x3",
              ""));
    }
    return slots;
  }
}
