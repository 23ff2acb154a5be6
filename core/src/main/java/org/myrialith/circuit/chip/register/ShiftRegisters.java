package org.myrialith.circuit.chip.register;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.Sending;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.GreyClock;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PinName;
import org.myrialith.parts.RegisterClass;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * A chain of chips that hold their outputs: 8-bit registers with a bit and a resistor for each
 * channel, or sinks with one setting resistor a chip, on or off or with grey scale.
 *
 * @param greyClockPin that gives the grey-scale clock, for classes that want one
 * @param blankPin that starts the grey scale anew, for classes that want it
 * @param sort class of the chips
 * @param settingVolts current of an output times its setting resistor (V), 0 for that of the class
 * @param wireMm of clock and latch from the controller to the last chip
 * @param heldDark whether output enable is held high by a pull-up on the blank pin until the first
 *     frame, of chips that are only on or off
 * @param hookup how the LEDs hang on the outputs
 * @param fixtures identifiers in the order of the outputs
 * @param shift what stands in its lines between controller and first chip
 */
@RecordBuilder
public record ShiftRegisters(
    String id,
    String name,
    String dataPin,
    String clockPin,
    String latchPin,
    String greyClockPin,
    String blankPin,
    RegisterClass sort,
    double settingVolts,
    double wireMm,
    OutputWiring hookup,
    List<String> fixtures,
    LevelShift shift,
    boolean heldDark)
    implements SwitchedCircuit {
  /** Allowed length of the clock's wire. */
  public static final Bounds WIRE = Bounds.measure(0, 20_000, "mm");

  /** Allowed constant of the setting resistor. */
  public static final Bounds SETTING = Bounds.measure(0, 500, "V");

  /** How it stands in the format. */
  public static final Kind<ShiftRegisters> KIND =
      Kind.of(
          "shift-registers",
          "shift registers",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          PinName.field("latchPin", "Latch pin"),
          PinName.field("greyClockPin", "Grey-scale clock pin").or("D3"),
          PinName.field("blankPin", "Blanking pin").or("D4"),
          Field.of(
                  "sort",
                  "Class",
                  Types.Choice.of(RegisterClass.values(), RegisterClass::key, RegisterClass::title))
              .or(RegisterClass.HC),
          Field.measure("settingVolts", "Setting constant", SETTING)
              .or(0.0)
              .explained("output current × setting resistor; 0 = as the class"),
          Field.measure("wireMm", "Clock wire length", WIRE)
              .or(200.0)
              .explained("from the controller to the last chip"),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          LevelShift.field(),
          Field.flag("heldDark", "At power-on", "outputs undefined", "dark until the first frame")
              .or(false)
              .explained("output enable on the blanking pin, with a pull-up"),
          MemberList.field());

  /** Plain registers. */
  public static final CircuitStart PLAIN =
      new CircuitStart("shift-registers", "8-bit shift registers", id -> usual(id, List.of()));

  /** Constant-current sinks, on or off. */
  public static final CircuitStart SINKS =
      new CircuitStart(
          "sinks",
          "16-channel constant-current LED drivers, on or off",
          id ->
              usual(id, List.of())
                  .of(RegisterClass.SINK)
                  .with(OutputWiring.of(10, Side.TO_SUPPLY))
                  .called("LED drivers"));

  /** Sinks with a grey scale. */
  public static final CircuitStart GREY_SINKS =
      new CircuitStart(
          "grey-sinks",
          "16-channel constant-current LED drivers with PWM",
          id ->
              usual(id, List.of())
                  .of(RegisterClass.GREY_12)
                  .with(OutputWiring.of(10, Side.TO_SUPPLY))
                  .called("PWM LED drivers"));

  /** Sinks with a grey scale and an oscillator of their own. */
  public static final CircuitStart GREY_SINKS_24 =
      new CircuitStart(
          "grey-sinks-24",
          "24-channel constant-current LED drivers with PWM",
          id ->
              usual(id, List.of())
                  .of(RegisterClass.GREY_24)
                  .with(OutputWiring.of(10, Side.TO_SUPPLY))
                  .called("PWM LED drivers"));

  /** Through MOSFETs. */
  public static final CircuitStart SWITCHED =
      new CircuitStart(
          "switched-registers",
          "transistors on shift registers",
          id ->
              usual(id, List.of())
                  .with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 0))
                  .heldBy("D4")
                  .called("Switches"));

  public ShiftRegisters {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    Objects.requireNonNull(sort, "sort");
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    PinName.require("latchPin", latchPin);
    PinName.require("greyClockPin", greyClockPin);
    PinName.require("blankPin", blankPin);
    List<String> pins = pins(sort, heldDark, dataPin, clockPin, latchPin, greyClockPin, blankPin);
    if (new HashSet<>(pins).size() < pins.size()) {
      throw new InputException("latchPin", latchPin, pins.size() + " different pins");
    }
    SETTING.require("settingVolts", settingVolts);
    WIRE.require("wireMm", wireMm);
    Objects.requireNonNull(hookup, "hookup");
    if (sort.stage().keeps() && hookup.through() != SwitchType.NONE) {
      throw new InputException(
          "through",
          hookup.through().title(),
          "straight: these outputs set the current themselves");
    }
    hookup.requireSide(sort.stage());
    Objects.requireNonNull(shift, "shift");
    fixtures = MemberList.once(fixtures);
  }

  private static List<String> pins(
      RegisterClass sort,
      boolean held,
      String data,
      String clock,
      String latch,
      String grey,
      String blank) {
    List<String> pins = new ArrayList<>(List.of(data, clock, latch));
    if (sort.greyClock().fromController()) {
      pins.add(grey);
    }
    if (sort.greyClock() == GreyClock.BLANKED || held && sort.depth() == 1) {
      pins.add(blank);
    }
    return List.copyOf(pins);
  }

  /** Returns a circuit as a maker would start with. */
  public static ShiftRegisters usual(String id, List<String> fixtures) {
    return new ShiftRegisters(
        id,
        "Registers",
        "B3",
        "B5",
        "B2",
        "D3",
        "D4",
        RegisterClass.HC,
        0,
        200,
        OutputWiring.USUAL,
        fixtures,
        LevelShift.NONE,
        false);
  }

  @Override
  public ShiftRegisters with(OutputWiring other) {
    return ShiftRegistersBuilder.builder(this).hookup(other).build();
  }

  /** Returns the chain of another class. */
  public ShiftRegisters of(RegisterClass other) {
    return ShiftRegistersBuilder.builder(this).sort(other).build();
  }

  @Override
  public ShiftRegisters called(String other) {
    return ShiftRegistersBuilder.builder(this).name(other).build();
  }

  @Override
  public ShiftRegisters withFixtures(List<String> ids) {
    return ShiftRegistersBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public List<String> pins() {
    return pins(sort, heldDark, dataPin, clockPin, latchPin, greyClockPin, blankPin);
  }

  @Override
  public Map<String, String> timers(Controller controller) {
    return switch (sort.greyClock()) {
      case RUNS -> Map.of("2", "clocks at 4 MHz");
      case BLANKED -> Map.of("0", "blanks", "2", "clocks at 2 MHz");
      case NONE, OWN -> Map.of();
    };
  }

  @Override
  public int clockedPin() {
    return sort.greyClock().fromController() ? 3 : -1;
  }

  @Override
  public ShiftRegisters onPins(List<String> pins) {
    return ShiftRegistersBuilder.builder(this)
        .dataPin(pins.get(0))
        .clockPin(pins.get(1))
        .latchPin(pins.get(2))
        .greyClockPin(
            pins.size() > 3 && sort.greyClock().fromController() ? pins.get(3) : greyClockPin)
        .blankPin(blanks() ? pins.get(pins.size() - 1) : blankPin)
        .build();
  }

  @Override
  public boolean minds(String field) {
    return switch (field) {
      case "greyClockPin" -> sort.greyClock().fromController();
      case "blankPin" -> blanks();
      case "heldDark" -> sort.depth() == 1;
      case "settingVolts" -> sort.stage().keeps();
      case "side", "through" -> !sort.stage().keeps();
      default -> true;
    };
  }

  /** Returns whether output enable is held until the first frame. */
  public boolean held() {
    return heldDark && sort.depth() == 1;
  }

  private boolean blanks() {
    return held() || sort.greyClock() == GreyClock.BLANKED;
  }

  /** Returns it with output enable held dark until the first frame, on a pin. */
  public ShiftRegisters heldBy(String pin) {
    return ShiftRegistersBuilder.builder(this).blankPin(pin).heldDark(true).build();
  }

  /** Returns what an output gives. */
  OutputStage stage() {
    OutputStage own = sort.stage();
    return own.keeps() && settingVolts > 0
        ? OutputStage.keeping(
            own.planMilliamps(), own.chipMilliamps(), own.mostVolts(), settingVolts)
        : own;
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, sort.stage());
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  @Override
  public RegisterPlan plan(Layout layout, Brief brief) {
    Switching switching = Switching.of(members(layout), layout, hookup, stage(), brief.volts());
    OutputMap map =
        OutputMap.of(switching.channels(), hookup, sort.width(), true, 1)
            .withDepth(sort.depth(), Sending.WORDS);
    return new RegisterPlan(
        this, brief, sort.depth() > 1 ? switching.inOneGroup() : switching, map);
  }

  @Override
  public boolean takesShift() {
    return true;
  }

  @Override
  public ShiftRegisters forLowLogic() {
    ShiftRegisters driven = with(hookup.forLowLogic());
    return sort == RegisterClass.HC ? driven.of(RegisterClass.HCT) : driven;
  }

  @Override
  public Circuit ofSort(String key) {
    return RegisterClass.of(key).map(this::of).orElse(this);
  }
}
