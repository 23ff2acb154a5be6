package org.myrialith.circuit.matrix;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.LevelShift;
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
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PinName;
import org.myrialith.parts.RegisterClass;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * Rows and columns on one chain of chips: the columns on the nearer chips, the rows on 8-bit
 * registers at its end. While a slot is shown, the next one is shifted in.
 *
 * @param blankPin output enable of all chips: high is dark
 * @param sort class of the chips of the columns
 * @param rows 1 where each light has its column and is only dimmed
 * @param rowSwitch what lets the current of a row through
 * @param scan how rows have their turns
 * @param hookup how the LEDs hang on the columns; its current is that of an LED in its turn
 */
@RecordBuilder
public record ScannedRegisters(
    String id,
    String name,
    String dataPin,
    String clockPin,
    String latchPin,
    String blankPin,
    RegisterClass sort,
    int rows,
    int columns,
    RowSwitch rowSwitch,
    Scan scan,
    OutputWiring hookup,
    List<String> fixtures,
    LevelShift shift)
    implements ScannedCircuit {
  /** Allowed rows. */
  public static final Bounds ROWS = Bounds.count(1, 64, "rows");

  /** Allowed columns. */
  public static final Bounds COLUMNS = Bounds.count(1, 128, "columns");

  private static final int ROW_CHIP = 8;

  /** How it stands in the format. */
  public static final Kind<ScannedRegisters> KIND =
      Kind.of(
          "scanned-registers",
          "row–column matrix on shift registers",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          PinName.field("latchPin", "Latch pin"),
          PinName.field("blankPin", "Blanking pin"),
          Field.of(
                  "sort",
                  "Column chips",
                  Types.Choice.of(RegisterClass.values(), RegisterClass::key, RegisterClass::title))
              .or(RegisterClass.HC),
          Field.count("rows", "Rows", ROWS),
          Field.count("columns", "Columns", COLUMNS),
          Field.of(
                  "rowSwitch",
                  "Row switch",
                  Types.Choice.of(RowSwitch.values(), RowSwitch::key, RowSwitch::title))
              .or(RowSwitch.MOSFET),
          Part.of("scan", Scan.DESCRIPTION),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          LevelShift.field(),
          MemberList.field());

  /** Rows and columns. */
  public static final CircuitStart MATRIX =
      new CircuitStart(
          "register-matrix", "row–column matrix on shift registers", id -> usual(id, List.of()));

  /** Columns on constant-current sinks. */
  public static final CircuitStart SINK_MATRIX =
      new CircuitStart(
          "sink-matrix",
          "row–column matrix, columns on constant-current drivers",
          id ->
              usual(id, List.of())
                  .of(RegisterClass.SINK, 8, 16, RowSwitch.MOSFET)
                  .called("Driver matrix"));

  /** An output for each light, dimmed by an interrupt. */
  public static final CircuitStart SOFT =
      new CircuitStart(
          "soft-registers",
          "shift registers, software PWM",
          id ->
              usual(id, List.of())
                  .of(RegisterClass.HC, 1, 8, RowSwitch.NONE)
                  .scanned(Scan.of(200, 5, 0))
                  .called("Soft registers"));

  public ScannedRegisters {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    PinName.require("latchPin", latchPin);
    PinName.require("blankPin", blankPin);
    Objects.requireNonNull(sort, "sort");
    ROWS.require("rows", rows);
    COLUMNS.require("columns", columns);
    Objects.requireNonNull(rowSwitch, "rowSwitch");
    Objects.requireNonNull(scan, "scan");
    Objects.requireNonNull(hookup, "hookup");
    List<String> pins = pins(rowSwitch, dataPin, clockPin, latchPin, blankPin);
    if (new HashSet<>(pins).size() < pins.size()) {
      throw new InputException("latchPin", latchPin, pins.size() + " different pins");
    }
    if (sort.depth() > 1) {
      throw new InputException(
          "sort",
          sort.title(),
          "chips that only switch on or off (grey-scale chips dim by themselves)");
    }
    if (!rowSwitch.turns() && rows != 1) {
      throw new InputException("rows", Integer.toString(rows), "1 without row switches");
    }
    if (hookup.through() != SwitchType.NONE) {
      throw new InputException(
          "through", hookup.through().title(), "straight: the rows have switches");
    }
    hookup.requireSide(sort.stage());
    Objects.requireNonNull(shift, "shift");
    fixtures = MemberList.once(fixtures);
  }

  private static List<String> pins(
      RowSwitch rows, String data, String clock, String latch, String blank) {
    return rows.turns() ? List.of(data, clock, latch, blank) : List.of(data, clock, latch);
  }

  /** Returns a circuit as a maker would start with. */
  public static ScannedRegisters usual(String id, List<String> fixtures) {
    return new ScannedRegisters(
        id,
        "Register matrix",
        "B3",
        "B5",
        "B2",
        "B1",
        RegisterClass.HC,
        8,
        8,
        RowSwitch.MOSFET,
        Scan.USUAL,
        OutputWiring.of(8, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE),
        fixtures,
        LevelShift.NONE);
  }

  /** Returns it of other chips, of so many rows and columns. */
  public ScannedRegisters of(RegisterClass other, int down, int across, RowSwitch by) {
    return ScannedRegistersBuilder.builder(this)
        .sort(other)
        .rows(down)
        .columns(across)
        .rowSwitch(by)
        .build();
  }

  @Override
  public ScannedRegisters through(RowSwitch other) {
    return of(sort, rows, columns, other);
  }

  @Override
  public ScannedRegisters scanned(Scan other) {
    return ScannedRegistersBuilder.builder(this).scan(other).build();
  }

  @Override
  public ScannedRegisters with(OutputWiring other) {
    return ScannedRegistersBuilder.builder(this).hookup(other).build();
  }

  @Override
  public ScannedRegisters called(String other) {
    return ScannedRegistersBuilder.builder(this).name(other).build();
  }

  @Override
  public ScannedRegisters withFixtures(List<String> ids) {
    return ScannedRegistersBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public List<String> pins() {
    return pins(rowSwitch, dataPin, clockPin, latchPin, blankPin);
  }

  @Override
  public ScannedRegisters onPins(List<String> pins) {
    return ScannedRegistersBuilder.builder(this)
        .dataPin(pins.get(0))
        .clockPin(pins.get(1))
        .latchPin(pins.get(2))
        .blankPin(pins.size() > 3 ? pins.get(3) : blankPin)
        .build();
  }

  @Override
  public boolean minds(String field) {
    return switch (field) {
      case "through" -> false;
      case "side" -> !sort.stage().keeps();
      case "rows", "blankPin", "order", "blankMicros" -> rowSwitch.turns();
      default -> true;
    };
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, sort.stage());
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  /** Returns the chips of the columns. */
  public int columnChips() {
    return (columns + sort.width() - 1) / sort.width();
  }

  /** Returns the registers of the rows. */
  public int rowChips() {
    return rowSwitch.turns() ? (rows + ROW_CHIP - 1) / ROW_CHIP : 0;
  }

  /** Returns the bytes of the columns' chips. */
  public int columnBytes() {
    return columnChips() * sort.width() / Byte.SIZE;
  }

  @Override
  public int chips() {
    return columnChips() + rowChips();
  }

  @Override
  public String rowOutput(int row) {
    return rowSwitch.turns() ? (columnChips() + row / ROW_CHIP + 1) + "." + row % ROW_CHIP : "";
  }

  @Override
  public String columnOutput(int row, int column) {
    return column < columns ? (column / sort.width() + 1) + "." + column % sort.width() : "";
  }

  @Override
  public int slotBytes() {
    return columnBytes() + rowChips() + 1;
  }

  @Override
  public boolean oneSinks() {
    return sort.oneSinks();
  }

  @Override
  public OutputStage columnStage(Controller controller) {
    return sort.stage();
  }

  @Override
  public OutputStage rowOutputStage(Controller controller) {
    return RegisterClass.HC.stage();
  }

  @Override
  public List<Finding> judged(ScannedPlan plan) {
    return new ChainFindings(plan, this).all();
  }

  @Override
  public ScanTiming.Interrupt interrupt() {
    return ScanTiming.Interrupt.onChain(columnBytes() + rowChips(), rowSwitch.turns());
  }

  @Override
  public ScannedPlan plan(Layout layout, Brief brief) {
    ScanTiming timing = ScanTiming.of(rows, scan, interrupt(), brief.controller());
    OutputStage rowStage = rowSwitch.stage(rowOutputStage(brief.controller()));
    Switching switching =
        Switching.byTurns(
            members(layout),
            layout,
            hookup,
            volts(brief, false),
            sort.stage(),
            rowStage,
            timing.duty());
    List<SwitchedChannel> channels = switching.channels();
    OutputMap map =
        (rowSwitch.turns()
                ? OutputMap.ofRows(channels, hookup, columns, rows)
                : OutputMap.ofRow(channels, hookup, columns))
            .withDepth(scan.depth(), Sending.LEVELS);
    return new ScannedPlan(this, brief, switching, map, timing);
  }

  @Override
  public boolean takesShift() {
    return true;
  }

  @Override
  public Map<PartSort, Integer> chipParts() {
    Map<PartSort, Integer> counts = new EnumMap<>(PartSort.class);
    counts.put(sort.part(), columnChips());
    counts.merge(PartSort.REGISTER, rowChips(), Integer::sum);
    return counts;
  }

  /** In series with clock and latch, the one that keeps all dark at first, and setting ones. */
  @Override
  public int chipResistors() {
    return 2 + (rowSwitch.turns() ? 1 : 0) + (sort.stage().keeps() ? columnChips() : 0);
  }

  @Override
  public boolean chained() {
    return true;
  }

  @Override
  public ScannedRegisters forLowLogic() {
    ScannedRegisters driven = with(hookup.forLowLogic());
    return sort == RegisterClass.HC
        ? driven.of(RegisterClass.HCT, rows, columns, rowSwitch)
        : driven;
  }

  @Override
  public Circuit ofSort(String key) {
    return RegisterClass.of(key)
        .map(other -> (Circuit) of(other, rows, columns, rowSwitch))
        .orElse(this);
  }

  /** A chain of as many rows and columns as it takes. */
  @Override
  public ScannedCircuit enough(List<String> free, Layout layout, Brief brief) {
    List<SwitchedChannel> channels = plan(layout, brief).map().channels();
    boolean turns = rowSwitch.turns();
    List<Grid> grids =
        turns ? Grid.ofChips(channels, hookup) : List.of(Grid.single(channels, hookup));
    Optional<Grid> fitting =
        grids.stream()
            .filter(grid -> ROWS.allow(grid.rows()) && COLUMNS.allow(grid.columns()))
            .findFirst();
    if (fitting.isEmpty()) {
      return this;
    }
    Grid grid = fitting.get();
    ScannedRegisters made =
        with(hookup.filled(grid.filling())).of(sort, grid.rows(), grid.columns(), rowSwitch);
    return turns ? made.carrying(layout, brief) : made;
  }

  @Override
  public String about(Controller controller) {
    return "Columns are on the chips next to the controller, rows on 8-bit registers at the end of the chain, each through a switch. Outputs are blanked while a slot is latched; the next slot is shifted in while the present one is on. The blanking pin drives output enable of all chips, with a pull-up, so that nothing lights before the scan starts. One row without a switch dims plain LEDs on registers. ";
  }
}
