package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Segment digits in modules side by side, with points, colons and indicators. The origin is the
 * left top corner of the first digit, before the slant.
 *
 * <p>All emitters of a segment show one cell of the picture: its column is the digit, its row the
 * segment; below the segments come the point, the colon after the digit, and the indicators, as far
 * as there are any. The data runs digit by digit: segments, point, colon; indicators last.
 *
 * @param style which segments a digit has
 * @param heightMm of a digit, between the middle lines of its outermost segments
 * @param widthMm of a digit, likewise
 * @param slantDegrees by which uprights lean to the right
 * @param gapMm between the ends of segments that meet
 * @param modules from left to right
 * @param digitPitchMm from digit to digit in a module
 * @param moduleGapMm more than the pitch from one module to the next
 * @param ledsPerSegment evenly along it
 * @param series whether those are wired in series; otherwise in parallel
 * @param decimalPoint whether each digit has one
 * @param colonsAfter digits, from 1, that a colon of two emitters follows
 * @param custom segments of a custom digit
 * @param indicators single emitters of their own
 */
public record SegmentDigits(
    SegmentStyle style,
    double heightMm,
    double widthMm,
    double slantDegrees,
    double gapMm,
    List<Module> modules,
    double digitPitchMm,
    double moduleGapMm,
    int ledsPerSegment,
    boolean series,
    boolean decimalPoint,
    List<Integer> colonsAfter,
    List<Segment> custom,
    List<Indicator> indicators)
    implements Shape {
  /** Allowed height and width of a digit. */
  public static final Bounds SIDE = Bounds.measure(2, 1000, "mm");

  /** Allowed slant. */
  public static final Bounds SLANT = Bounds.measure(-30, 30, "°");

  /** Allowed gap between segments. */
  public static final Bounds GAP = Bounds.measure(0, 100, "mm");

  /** Allowed pitch of digits. */
  public static final Bounds PITCH = Bounds.measure(2, 2000, "mm");

  /** Allowed gap between modules. */
  public static final Bounds MODULE_GAP = Bounds.measure(0, 2000, "mm");

  /** Allowed emitters of a segment. */
  public static final Bounds LEDS = Bounds.count(1, 8);

  /** Most modules. */
  public static final int MOST_MODULES = 16;

  /** Most colons: one after each digit. */
  public static final int MOST_COLONS = 128;

  /** Most segments of a custom digit. */
  public static final int MOST_SEGMENTS = 64;

  /** Most indicators. */
  public static final int MOST_INDICATORS = 64;

  /**
   * Digits built as one part.
   *
   * @param digits in it
   * @param name what it shows, such as "hours"
   */
  public record Module(int digits, String name) {
    /** Allowed digits. */
    public static final Bounds DIGITS = Bounds.count(1, 8);

    /** How it stands in the format. */
    public static final Description<Module> DESCRIPTION =
        Description.of(
            Module.class, Field.count("digits", "Digits", DIGITS), Field.named("name", "Shows"));

    public Module {
      DIGITS.require("digits", digits);
      name = TextRules.name("name", name);
    }
  }

  /** A single emitter of its own (mm from the origin, not slanted). */
  public record Indicator(double xMm, double yMm, String name) {
    /** How it stands in the format. */
    public static final Description<Indicator> DESCRIPTION =
        Description.of(
            Indicator.class,
            Field.measure("xMm", "x", Fixture.PLACE),
            Field.measure("yMm", "y", Fixture.PLACE),
            Field.named("name", "Name"));

    public Indicator {
      Fixture.PLACE.require("xMm", xMm);
      Fixture.PLACE.require("yMm", yMm);
      name = TextRules.name("name", name);
    }
  }

  /** How it stands in the format. */
  public static final Kind<SegmentDigits> KIND =
      Kind.of(
          "segments",
          "segment digits",
          new SegmentDigits(
              SegmentStyle.SEVEN,
              56,
              30,
              8,
              8,
              List.of(new Module(2, "hours"), new Module(2, "minutes")),
              50,
              20,
              2,
              true,
              false,
              List.of(2),
              List.of(),
              List.of()),
          Field.of(
              "style",
              "Segments",
              Types.Choice.of(SegmentStyle.values(), SegmentStyle::key, SegmentStyle::words)),
          Field.measure("heightMm", "Digit height", SIDE),
          Field.measure("widthMm", "Digit width", SIDE),
          Field.measure("slantDegrees", "Slant", SLANT),
          Field.measure("gapMm", "Gap between segments", GAP).explained("at the ends of a segment"),
          Field.measure("digitPitchMm", "Digit spacing", PITCH),
          Field.measure("moduleGapMm", "Extra gap between modules", MODULE_GAP),
          Field.count("ledsPerSegment", "LEDs per segment", LEDS),
          Field.of(
                  "together",
                  "LED wiring",
                  Types.Choice.ofTwo("series", true, "series", "parallel", false, "parallel"))
              .in("series"),
          Field.flag("decimalPoint", "Decimal points", "none", "one per digit"),
          Field.rows(
                  "colonsAfter",
                  "Colons after digits",
                  new Types.Count(Bounds.count(1, MOST_COLONS)),
                  0,
                  MOST_COLONS)
              .or(List.of())
              .explained("numbers of digits followed by a colon"),
          Field.rows("modules", "Modules", Module.DESCRIPTION, 1, MOST_MODULES),
          Field.rows("indicators", "Indicators", Indicator.DESCRIPTION, 0, MOST_INDICATORS)
              .or(List.of()),
          Field.rows("custom", "Own segments", Segment.DESCRIPTION, 0, MOST_SEGMENTS)
              .or(List.of())
              .when("style", "custom")
              .explained("lines of a custom digit; one without length is a point"));

  public SegmentDigits {
    Objects.requireNonNull(style, "style");
    SIDE.require("heightMm", heightMm);
    SIDE.require("widthMm", widthMm);
    SLANT.require("slantDegrees", slantDegrees);
    GAP.require("gapMm", gapMm);
    PITCH.require("digitPitchMm", digitPitchMm);
    MODULE_GAP.require("moduleGapMm", moduleGapMm);
    LEDS.require("ledsPerSegment", ledsPerSegment);
    modules = List.copyOf(modules);
    colonsAfter = List.copyOf(colonsAfter);
    custom = List.copyOf(custom);
    indicators = List.copyOf(indicators);
    requireLength("modules", modules, 1, MOST_MODULES);
    requireLength("custom", custom, style == SegmentStyle.CUSTOM ? 1 : 0, MOST_SEGMENTS);
    requireLength("indicators", indicators, 0, MOST_INDICATORS);
    requireColons(colonsAfter, modules.stream().mapToInt(Module::digits).sum());
    if (style != SegmentStyle.CUSTOM && !custom.isEmpty()) {
      throw new InputException(
          "custom", custom.size() + " segments", "none unless the style is custom");
    }
  }

  private static void requireLength(String field, List<?> list, int least, int most) {
    if (list.size() < least || list.size() > most) {
      throw new InputException(field, list.size() + " entries", least + " to " + most + " entries");
    }
  }

  private static void requireColons(List<Integer> colons, int digits) {
    for (int after : colons) {
      Bounds.count(1, digits).require("colonsAfter", after);
    }
    if (new HashSet<>(colons).size() != colons.size()) {
      throw new InputException("colonsAfter", colons, "each digit once");
    }
  }

  /** One thing of the display that is on or off, with its emitters. */
  private record Part(String name, int digit, int row, List<Point> leds) {}

  /** Returns the segments of one digit in its own box, without slant. */
  public List<Segment> outline() {
    return segments();
  }

  private List<Segment> segments() {
    return style == SegmentStyle.CUSTOM ? custom : style.segments(widthMm, heightMm);
  }

  /**
   * Returns these digits in another style. An own digit starts with the lines that are there, which
   * go when it is given up.
   */
  public SegmentDigits styled(SegmentStyle other) {
    if (other == style) {
      return this;
    }
    return new SegmentDigits(
        other,
        heightMm,
        widthMm,
        slantDegrees,
        gapMm,
        modules,
        digitPitchMm,
        moduleGapMm,
        ledsPerSegment,
        series,
        decimalPoint,
        colonsAfter,
        other == SegmentStyle.CUSTOM ? segments() : List.of(),
        indicators);
  }

  /** Returns the digits in all modules. */
  public int digits() {
    return modules.stream().mapToInt(Module::digits).sum();
  }

  /** Returns the names of the segments of a digit, in the order of the rows of its picture. */
  public List<String> segmentNames() {
    return segments().stream().map(Segment::name).toList();
  }

  private int pointRow() {
    return segments().size();
  }

  private int colonRow() {
    return pointRow() + (decimalPoint ? 1 : 0);
  }

  private int indicatorRow() {
    return colonRow() + (colonsAfter.isEmpty() ? 0 : 1);
  }

  private double leftOf(int digit) {
    double left = 0;
    int before = 0;
    for (Module module : modules) {
      if (digit < before + module.digits()) {
        return left + (digit - before) * digitPitchMm;
      }
      before += module.digits();
      left += module.digits() * digitPitchMm + moduleGapMm;
    }
    throw new IndexOutOfBoundsException(digit);
  }

  private Point slanted(double x, double y) {
    return new Point(x + (heightMm - y) * Math.tan(Math.toRadians(slantDegrees)), y);
  }

  private List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    List<Segment> segments = segments();
    int digit = 0;
    for (Module module : modules) {
      for (int in = 1; in <= module.digits(); in++, digit++) {
        String name = module.name() + (module.digits() == 1 ? "" : " " + in);
        addDigit(parts, segments, name, digit);
      }
    }
    int firstRow = indicatorRow();
    for (int i = 0; i < indicators.size(); i++) {
      Indicator one = indicators.get(i);
      parts.add(
          new Part(
              one.name(),
              i % digit,
              firstRow + i / digit,
              List.of(new Point(one.xMm(), one.yMm()))));
    }
    return parts;
  }

  private void addDigit(List<Part> parts, List<Segment> segments, String name, int digit) {
    double left = leftOf(digit);
    int pointRow = segments.size();
    for (int s = 0; s < segments.size(); s++) {
      Segment segment = segments.get(s);
      parts.add(new Part(name + " " + segment.name(), digit, s, along(segment, left)));
    }
    // a fifth of the width to the right of the digit, on its base line
    if (decimalPoint) {
      parts.add(
          new Part(
              name + " point", digit, pointRow, List.of(slanted(left + 1.2 * widthMm, heightMm))));
    }
    if (colonsAfter.contains(digit + 1)) {
      double x = left + (widthMm + Math.max(digitPitchMm, widthMm)) / 2;
      parts.add(
          new Part(
              name + " colon",
              digit,
              pointRow + (decimalPoint ? 1 : 0),
              List.of(slanted(x, heightMm / 3), slanted(x, 2 * heightMm / 3))));
    }
  }

  private List<Point> along(Segment segment, double left) {
    List<Point> leds = new ArrayList<>();
    int number = segment.point() ? 1 : ledsPerSegment;
    double usable = Math.max(0, segment.lengthMm() - gapMm);
    for (int i = 0; i < number; i++) {
      double share =
          segment.point() ? 0 : 0.5 + ((i + 0.5) / number - 0.5) * usable / segment.lengthMm();
      leds.add(at(segment, left, share));
    }
    return leds;
  }

  /**
   * A segment as it looks: a line between two ends.
   *
   * @param column of its cell, {@code row}: of it
   */
  public record Line(int column, int row, Point from, Point to) {}

  /** Returns the segments of all digits as they look; points and lamps are not among them. */
  public List<Line> lines() {
    List<Line> lines = new ArrayList<>();
    List<Segment> segments = segments();
    for (int digit = 0; digit < digits(); digit++) {
      double left = leftOf(digit);
      for (int row = 0; row < segments.size(); row++) {
        Segment segment = segments.get(row);
        if (!segment.point()) {
          double gap = Math.min(1, gapMm / segment.lengthMm()) / 2;
          lines.add(new Line(digit, row, at(segment, left, gap), at(segment, left, 1 - gap)));
        }
      }
    }
    return lines;
  }

  @Override
  public String usualEmitter() {
    return "single-red";
  }

  /** All at once: the parts are worked out only here. */
  @Override
  public List<Placement> placements() {
    List<Placement> seats = new ArrayList<>(count());
    List<Part> parts = parts();
    for (int p = 0; p < parts.size(); p++) {
      Part part = parts.get(p);
      boolean ends = p + 1 < parts.size() && parts.get(p + 1).digit() != part.digit();
      for (int led = 0; led < part.leds().size(); led++) {
        Point at = part.leds().get(led);
        Position place = new Position(at.xMm(), at.yMm(), part.digit(), part.row());
        Pose pose = new Pose(at.xMm(), at.yMm(), 0, Facing.VIEWER);
        seats.add(new Placement(place, pose, part.name(), ends && led + 1 == part.leds().size()));
      }
    }
    return seats;
  }

  @Override
  public boolean spansArea() {
    return true;
  }

  @Override
  public int count() {
    int inDigit =
        segments().stream().mapToInt(s -> s.point() ? 1 : ledsPerSegment).sum()
            + (decimalPoint ? 1 : 0);
    return digits() * inDigit + 2 * colonsAfter.size() + indicators.size();
  }

  /** Segments, points, colons and indicators. */
  @Override
  public int switched() {
    return digits() * (segments().size() + (decimalPoint ? 1 : 0))
        + colonsAfter.size()
        + indicators.size();
  }

  @Override
  public int[] switches() {
    int[] all = new int[count()];
    int emitter = 0;
    List<Part> parts = parts();
    for (int part = 0; part < parts.size(); part++) {
      for (int led = 0; led < parts.get(part).leds().size(); led++) {
        all[emitter++] = part;
      }
    }
    return all;
  }

  @Override
  public boolean switchedInSeries() {
    return series;
  }

  @Override
  public int seenColumns() {
    return digits();
  }

  @Override
  public int seenRows() {
    return indicatorRow() + (indicators.size() + digits() - 1) / digits();
  }

  @Override
  public Position position(int index) {
    return placements().get(index).position();
  }

  @Override
  public String part(int index) {
    return placements().get(index).part();
  }

  @Override
  public boolean leapsAfter(int index) {
    return placements().get(index).endsPiece();
  }

  @Override
  public double spacingMm() {
    double shortest = Math.min(widthMm, heightMm) / 2;
    for (Segment segment : segments()) {
      if (!segment.point()) {
        shortest = Math.min(shortest, Math.max(0.5, segment.lengthMm() - gapMm));
      }
    }
    return shortest / ledsPerSegment;
  }

  /** The segments as lines. */
  @Override
  public List<Edge> edges() {
    List<Edge> lines = new ArrayList<>();
    for (int digit = 0; digit < digits(); digit++) {
      double left = leftOf(digit);
      for (Segment segment : segments()) {
        if (!segment.point()) {
          double cut = Math.min(0.45, gapMm / 2 / segment.lengthMm());
          lines.add(
              new Edge(
                  Edge.Kind.GUIDE, List.of(at(segment, left, cut), at(segment, left, 1 - cut))));
        }
      }
    }
    return lines;
  }

  private Point at(Segment segment, double left, double share) {
    return slanted(
        left + segment.x1Mm() + (segment.x2Mm() - segment.x1Mm()) * share,
        segment.y1Mm() + (segment.y2Mm() - segment.y1Mm()) * share);
  }

  @Override
  public double characterMm() {
    return heightMm;
  }

  @Override
  public String describe() {
    int digits = digits();
    String kind =
        switch (style) {
          case SEVEN -> "7-segment";
          case FOURTEEN -> "14-segment";
          case SIXTEEN -> "16-segment";
          case CUSTOM -> segments().size() + "-segment";
        };
    return phrase("%d %s digit%s", digits, kind, digits == 1 ? "" : "s");
  }
}
