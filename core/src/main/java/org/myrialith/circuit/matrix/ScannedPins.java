package org.myrialith.circuit.matrix;

import static org.myrialith.finding.Phrase.phrase;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedCircuit;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.Sending;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * Rows and columns on pins: a row at a time is on, and its columns say which of its lights are lit.
 *
 * @param rowPins in the order of the rows
 * @param columnPins in the order of the columns
 * @param rowSwitch what lets the current of a row through
 * @param scan how rows have their turns
 * @param hookup how the LEDs hang on the columns; its current is that of an LED in its turn
 */
@RecordBuilder
public record ScannedPins(
    String id,
    String name,
    List<String> rowPins,
    List<String> columnPins,
    RowSwitch rowSwitch,
    Scan scan,
    OutputWiring hookup,
    List<String> fixtures)
    implements ScannedCircuit {
  private static final double LIGHT_CYCLES = 52;

  /** How it stands in the format. */
  public static final Kind<ScannedPins> KIND =
      Kind.of(
          "scanned-pins",
          "row–column matrix on pins",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows("rowPins", "Row pins", new Types.Words(Types.Words.Rule.ANY), 0, PinName.MOST)
              .or(List.of())
              .explained("one pin per row"),
          Field.rows(
                  "columnPins",
                  "Column pins",
                  new Types.Words(Types.Words.Rule.ANY),
                  0,
                  PinName.MOST)
              .or(List.of())
              .explained("one pin and one resistor per column"),
          Field.of(
                  "rowSwitch",
                  "Row switch",
                  Types.Choice.of(RowSwitch.values(), RowSwitch::key, RowSwitch::title))
              .or(RowSwitch.PIN),
          Part.of("scan", Scan.DESCRIPTION),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          MemberList.field());

  /** Rows and columns. */
  public static final CircuitStart MATRIX =
      new CircuitStart("matrix", "row–column matrix on pins", id -> usual(id, List.of()));

  /** A pin for each light, dimmed by an interrupt. */
  public static final CircuitStart SOFT =
      new CircuitStart(
          "soft-pins",
          "pins, software PWM",
          id ->
              usual(id, List.of())
                  .through(RowSwitch.NONE)
                  .scanned(Scan.of(200, 6, 0))
                  .called("Software PWM"));

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
    Objects.requireNonNull(scan, "scan");
    Objects.requireNonNull(hookup, "hookup");
    if (hookup.through() != SwitchType.NONE) {
      throw new InputException(
          "through",
          hookup.through().title(),
          "straight: columns are pins, the rows have switches");
    }
    fixtures = MemberList.once(fixtures);
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
        Scan.USUAL,
        OutputWiring.of(8, Side.TO_GROUND).filled(Filling.FIELD_A_BYTE),
        fixtures);
  }

  /** Returns it on other rows and columns. */
  public ScannedPins on(List<String> rows, List<String> columns) {
    return ScannedPinsBuilder.builder(this).rowPins(rows).columnPins(columns).build();
  }

  @Override
  public ScannedPins through(RowSwitch other) {
    return ScannedPinsBuilder.builder(this).rowSwitch(other).build();
  }

  @Override
  public ScannedPins scanned(Scan other) {
    return ScannedPinsBuilder.builder(this).scan(other).build();
  }

  /** Returns it scanned otherwise. */
  public ScannedPins scanned(double hertz, int bits, double micros) {
    return scanned(scan.at(hertz).deep(bits).blanked(micros));
  }

  @Override
  public ScannedPins with(OutputWiring other) {
    return ScannedPinsBuilder.builder(this).hookup(other).build();
  }

  @Override
  public ScannedPins called(String other) {
    return ScannedPinsBuilder.builder(this).name(other).build();
  }

  @Override
  public ScannedPins withFixtures(List<String> ids) {
    return ScannedPinsBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public List<String> pins() {
    List<String> all = new ArrayList<>(rowSwitch.turns() ? rowPins : List.of());
    all.addAll(columnPins);
    return List.copyOf(all);
  }

  @Override
  public ScannedPins onPins(List<String> pins) {
    int rows = rowSwitch.turns() ? Math.min(rowPins.size(), pins.size()) : 0;
    return on(pins.subList(0, rows), pins.subList(rows, pins.size()));
  }

  @Override
  public boolean minds(String field) {
    return switch (field) {
      case "through" -> false;
      case "rowPins", "order", "blankMicros", "filling" -> rowSwitch.turns();
      default -> true;
    };
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, Controller.STAGE);
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  /** Returns the columns that it has, one at least. */
  private int width() {
    return Math.max(1, columnPins.size());
  }

  @Override
  public int rows() {
    return rowSwitch.turns() ? rowPins.size() : 1;
  }

  @Override
  public int columns() {
    return columnPins.size();
  }

  @Override
  public String rowOutput(int row) {
    return row < rowPins.size() ? rowPins.get(row) : "";
  }

  @Override
  public String columnOutput(int row, int column) {
    return column < columnPins.size() ? columnPins.get(column) : "";
  }

  @Override
  public ScannedPlan plan(Layout layout, Brief brief) {
    int rows = Math.max(1, rows());
    ScanTiming timing = ScanTiming.of(rows, scan, interrupt(), brief.controller());
    boolean fedByPins = rowSwitch == RowSwitch.PIN || hookup.side() == Side.TO_GROUND;
    Switching switching =
        Switching.byTurns(
            members(layout),
            layout,
            hookup,
            volts(brief, fedByPins),
            brief.controller().stage(),
            rowSwitch.stage(brief.controller().stage()),
            timing.duty());
    OutputWiring filled = rowSwitch.turns() ? hookup : hookup.filled(Filling.PACKED);
    OutputMap map =
        OutputMap.ofRows(switching.channels(), filled, width(), rows)
            .withDepth(scan.depth(), Sending.LEVELS);
    return new ScannedPlan(this, brief, switching, map, timing);
  }

  @Override
  public ScanTiming.Interrupt interrupt() {
    return ScanTiming.Interrupt.onPins(
        Math.max(1, PinName.ports(columnPins)),
        rowSwitch.turns() ? Math.max(1, PinName.ports(rowPins)) : 0,
        columnPins.size());
  }

  @Override
  public int slotBytes() {
    return PinName.ports(columnPins) + (rowSwitch.turns() ? PinName.ports(rowPins) : 0) + 1;
  }

  /** Its columns have a place in each port that they stand on. */
  @Override
  public double lightCycles() {
    return LIGHT_CYCLES;
  }

  /** On free pins; a column for each light where rows have no turns. */
  @Override
  public ScannedCircuit enough(List<String> free, Layout layout, Brief brief) {
    List<SwitchedChannel> channels = plan(layout, brief).map().channels();
    if (!rowSwitch.turns()) {
      return free.size() < channels.size() ? this : on(List.of(), free.subList(0, channels.size()));
    }
    return Grid.ofPins(channels, hookup).stream()
        .filter(grid -> grid.rows() + grid.columns() <= free.size())
        .findFirst()
        .map(
            grid ->
                with(hookup.filled(grid.filling()))
                    .on(
                        free.subList(0, grid.rows()),
                        free.subList(grid.rows(), grid.rows() + grid.columns()))
                    .carrying(layout, brief))
        .orElse(this);
  }

  @Override
  public String about(Controller controller) {
    return phrase(
        "Multiplexed: one row is on at a time. Bit-angle modulation lights each bit of a level for 1, 2, 4 ... units of time. The LED current is the peak current; the mean is the peak times the duty cycle. Small transistors turn off slowly, so set 5 µs of blanking. A row driven straight by a pin has a design limit of %s. Without rows, each LED has its own column pin and is only dimmed. Peak pulsed current may exceed the continuous rating of an LED. ",
        Quantity.text(controller.stage().planMilliamps() * 1e-3, "A"));
  }
}
