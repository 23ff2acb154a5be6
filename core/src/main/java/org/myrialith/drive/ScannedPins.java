package org.myrialith.drive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.describe.Field;
import org.myrialith.describe.Kind;
import org.myrialith.describe.Part;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;

/**
 * Rows and columns on pins: a row at a time is on, and its columns say which of its lights are lit.
 *
 * @param rowPins in the order of the rows
 * @param columnPins in the order of the columns
 * @param rowSwitch what lets the current of a row through
 * @param refreshHz wanted turns of all rows a second
 * @param depth bits of a level, 1 for on or off
 * @param blankMicros that all rows stay off between two slots at least (µs)
 * @param hookup how the LEDs hang on the columns; its current is that of an LED in its turn
 */
public record ScannedPins(
    String id,
    String name,
    List<String> rowPins,
    List<String> columnPins,
    RowSwitch rowSwitch,
    double refreshHz,
    int depth,
    double blankMicros,
    Hookup hookup,
    List<String> fixtures)
    implements SwitchedCircuit {
  /** Allowed refresh. */
  public static final Bounds REFRESH = Bounds.measure(20, 10_000, "Hz");

  /** Allowed depth. */
  public static final Bounds DEPTH = Bounds.count(1, 8, "bits");

  /** Allowed blanking. */
  public static final Bounds BLANK = Bounds.measure(0, 40, "µs");

  /** How it stands in the format. */
  public static final Kind<ScannedPins> KIND =
      Kind.of(
          "scanned-pins",
          "rows and columns on pins",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows(
                  "rowPins",
                  "Row pins",
                  new Types.Words(Types.Words.Rule.ANY),
                  0,
                  DirectPins.MOST_PINS)
              .or(List.of())
              .explained("a pin for each row"),
          Field.rows(
                  "columnPins",
                  "Column pins",
                  new Types.Words(Types.Words.Rule.ANY),
                  0,
                  DirectPins.MOST_PINS)
              .or(List.of())
              .explained("a pin and a resistor for each column"),
          Field.of(
                  "rowSwitch",
                  "Rows through",
                  Types.Choice.of(RowSwitch.values(), RowSwitch::key, RowSwitch::title))
              .or(RowSwitch.PIN),
          Field.measure("refreshHz", "Refresh", REFRESH).or(200.0),
          Field.count("depth", "Depth", DEPTH).or(4),
          Field.measure("blankMicros", "Blanking", BLANK)
              .or(4.0)
              .explained("all rows off while the columns change"),
          Part.of("hookup", Hookup.DESCRIPTION),
          Members.field());

  public ScannedPins {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    rowPins = named("rowPins", rowPins);
    columnPins = named("columnPins", columnPins);
    List<String> all = new ArrayList<>(rowPins);
    all.addAll(columnPins);
    if (new HashSet<>(all).size() != all.size()) {
      throw new InputException("columnPins", String.join(", ", columnPins), "each pin once");
    }
    Objects.requireNonNull(rowSwitch, "rowSwitch");
    REFRESH.require("refreshHz", refreshHz);
    DEPTH.require("depth", depth);
    BLANK.require("blankMicros", blankMicros);
    Objects.requireNonNull(hookup, "hookup");
    if (hookup.through() != Through.NONE) {
      throw new InputException(
          "through",
          hookup.through().title(),
          "straight: columns are pins, rows have the switches");
    }
    fixtures = Members.once(fixtures);
  }

  private static List<String> named(String field, List<String> pins) {
    for (int i = 0; i < pins.size(); i++) {
      PinName.require(field + "[" + i + "]", pins.get(i));
    }
    return List.copyOf(pins);
  }

  /** Returns a circuit as a maker would start with: without a pin, until there are channels. */
  public static ScannedPins usual(String id, List<String> fixtures) {
    return new ScannedPins(
        id,
        "Matrix",
        List.of(),
        List.of(),
        RowSwitch.PIN,
        200,
        4,
        4,
        Hookup.of(8, Side.TO_GROUND).filled(Filling.FIELD_A_BYTE),
        fixtures);
  }

  private ScannedPins as(String called, Hookup hung, List<String> ids) {
    return new ScannedPins(
        id, called, rowPins, columnPins, rowSwitch, refreshHz, depth, blankMicros, hung, ids);
  }

  /** Returns it on other rows and columns. */
  public ScannedPins on(List<String> rows, List<String> columns) {
    return new ScannedPins(
        id, name, rows, columns, rowSwitch, refreshHz, depth, blankMicros, hookup, fixtures);
  }

  /** Returns it with rows through something else. */
  public ScannedPins through(RowSwitch other) {
    return new ScannedPins(
        id, name, rowPins, columnPins, other, refreshHz, depth, blankMicros, hookup, fixtures);
  }

  /** Returns it scanned otherwise. */
  public ScannedPins scanned(double hertz, int bits, double micros) {
    return new ScannedPins(
        id, name, rowPins, columnPins, rowSwitch, hertz, bits, micros, hookup, fixtures);
  }

  @Override
  public ScannedPins with(Hookup other) {
    return as(name, other, fixtures);
  }

  @Override
  public ScannedPins called(String other) {
    return as(other, hookup, fixtures);
  }

  @Override
  public ScannedPins withFixtures(List<String> ids) {
    return as(name, hookup, ids);
  }

  @Override
  public List<String> pins() {
    List<String> all = new ArrayList<>(rowPins);
    all.addAll(columnPins);
    return List.copyOf(all);
  }

  @Override
  public ScannedPins onPins(List<String> pins) {
    int rows = Math.min(rowPins.size(), pins.size());
    return on(pins.subList(0, rows), pins.subList(rows, pins.size()));
  }

  @Override
  public Map<String, String> timers(Controller controller) {
    return Map.of("2", "scans the rows of " + id);
  }

  @Override
  public boolean minds(String field) {
    return !field.equals("through");
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, Controller.STAGE);
  }

  @Override
  public String drives() {
    return "what has pins of its own";
  }

  /** Returns the columns that it has, one at least. */
  private int width() {
    return Math.max(1, columnPins.size());
  }

  /** What the LEDs hang on: the supply, or the high level of the pins that feed them (V). */
  private double volts(Brief brief) {
    if (hookup.ownRail()) {
      return hookup.railVolts();
    }
    boolean fromPins = rowSwitch == RowSwitch.PIN || hookup.side() == Side.TO_GROUND;
    return fromPins ? brief.controller().logicVolts(brief.volts()) : brief.volts();
  }

  @Override
  public ScannedPlan plan(Layout layout, Brief brief) {
    ScanTiming timing =
        ScanTiming.of(
            Math.max(1, rowPins.size()), depth, refreshHz, blankMicros * 1e-6, interrupt());
    Switching switching =
        Switching.byTurns(
            members(layout),
            layout,
            hookup,
            volts(brief),
            brief.controller().stage(),
            rowSwitch.stage(brief.controller().stage()),
            timing.duty());
    BitMap map =
        BitMap.ofRows(switching.channels(), hookup, width(), Math.max(1, rowPins.size()))
            .withDepth(depth, Sending.LEVELS);
    return new ScannedPlan(this, brief, switching, map, timing);
  }

  /** Returns what its interrupt has to do. */
  public ScanTiming.Interrupt interrupt() {
    return new ScanTiming.Interrupt(ports(columnPins), ports(rowPins));
  }

  /** Ports that pins stand on, one at least. */
  private static int ports(List<String> pins) {
    return Math.max(1, (int) pins.stream().map(pin -> pin.charAt(0)).distinct().count());
  }
}
