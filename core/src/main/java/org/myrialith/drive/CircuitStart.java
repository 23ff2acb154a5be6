package org.myrialith.drive;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;

/** A circuit to begin with, for each way to drive. */
public enum CircuitStart {
  ONE_WIRE_RGB("one-wire-rgb", "one-wire RGB pixels", id -> OneWirePixels.usual(id, List.of())),
  ONE_WIRE_RGBW(
      "one-wire-rgbw",
      "one-wire RGBW pixels",
      id -> OneWirePixels.usual(id, List.of()).inOrder(ColourOrder.GRBW).called("RGBW line")),
  CLOCKED_RGB("clocked-rgb", "clocked RGB pixels", id -> ClockedPixels.usual(id, List.of())),
  DIRECT_PINS("direct-pins", "pins of the controller", id -> DirectPins.usual(id, List.of())),
  DIMMED_PINS(
      "dimmed-pins",
      "pins that the controller's timers dim",
      id -> DirectPins.usual(id, List.of()).dimmed(PinDimming.TIMERS).called("Dimmed pins")),
  MATRIX("matrix", "rows and columns on pins", id -> ScannedPins.usual(id, List.of())),
  REGISTER_MATRIX(
      "register-matrix",
      "rows and columns on shift registers",
      id -> ScannedRegisters.usual(id, List.of())),
  SINK_MATRIX(
      "sink-matrix",
      "rows on registers, columns on sinks",
      id ->
          ScannedRegisters.usual(id, List.of())
              .of(RegisterClass.SINK, 8, 16, RowSwitch.MOSFET)
              .called("Sink matrix")),
  CHARLIEPLEX("charlieplex", "charlieplexed pins", id -> Charlieplex.usual(id, List.of())),
  SOFT_PINS(
      "soft-pins",
      "pins that an interrupt dims",
      id ->
          ScannedPins.usual(id, List.of())
              .through(RowSwitch.NONE)
              .scanned(Scan.of(200, 6, 0))
              .called("Soft pins")),
  SOFT_REGISTERS(
      "soft-registers",
      "shift registers that an interrupt dims",
      id ->
          ScannedRegisters.usual(id, List.of())
              .of(RegisterClass.HC, 1, 8, RowSwitch.NONE)
              .scanned(Scan.of(200, 5, 0))
              .called("Soft registers")),
  SHIFT_REGISTERS(
      "shift-registers", "8-bit shift registers", id -> ShiftRegisters.usual(id, List.of())),
  SINKS(
      "sinks",
      "16-channel sinks, on or off",
      id ->
          ShiftRegisters.usual(id, List.of())
              .of(RegisterClass.SINK)
              .with(Hookup.of(10, Side.TO_SUPPLY))
              .called("Sinks")),
  GREY_SINKS(
      "grey-sinks",
      "16-channel sinks with grey scale",
      id ->
          ShiftRegisters.usual(id, List.of())
              .of(RegisterClass.GREY_12)
              .with(Hookup.of(10, Side.TO_SUPPLY))
              .called("Grey sinks")),
  GREY_SINKS_24(
      "grey-sinks-24",
      "24-channel sinks with grey scale",
      id ->
          ShiftRegisters.usual(id, List.of())
              .of(RegisterClass.GREY_24)
              .with(Hookup.of(10, Side.TO_SUPPLY))
              .called("Grey sinks")),
  EXPANDERS("expanders", "16-bit port expanders", id -> Expanders.usual(id, List.of())),
  PWM_CHIPS(
      "pwm-chips",
      "16-channel PWM chips on I2C",
      id -> Expanders.usual(id, List.of()).of(ExpanderClass.PWM_16).called("PWM chips")),
  DISPLAY_DRIVERS(
      "display-drivers", "three-wire display drivers", id -> DisplayDrivers.usual(id, List.of())),
  I2C_DRIVER(
      "i2c-driver",
      "I2C display drivers",
      id -> DisplayDrivers.usual(id, List.of()).of(DisplayClass.I2C)),
  TWO_WIRE_DRIVER(
      "two-wire-driver",
      "a two-wire display driver",
      id -> DisplayDrivers.usual(id, List.of()).of(DisplayClass.TWO_WIRE)),
  SWITCHED_PINS(
      "switched-pins",
      "transistors on pins",
      id ->
          DirectPins.usual(id, List.of())
              .with(Hookup.of(100, Side.TO_SUPPLY).through(Through.MOSFET_LOGIC, 0))
              .called("Switches")),
  DIMMED_SWITCHES(
      "dimmed-switches",
      "transistors on pins that timers dim",
      id ->
          DirectPins.usual(id, List.of())
              .dimmed(PinDimming.TIMERS)
              .with(Hookup.of(100, Side.TO_SUPPLY).through(Through.MOSFET_LOGIC, 0))
              .called("Dimmed switches")),
  SWITCHED_REGISTERS(
      "switched-registers",
      "transistors on shift registers",
      id ->
          ShiftRegisters.usual(id, List.of())
              .with(Hookup.of(100, Side.TO_SUPPLY).through(Through.MOSFET_LOGIC, 0))
              .heldBy("D4")
              .called("Switches"));

  private final String key;
  private final String title;
  private final Function<String, Circuit> usual;

  CircuitStart(String key, String title, Function<String, Circuit> usual) {
    this.key = key;
    this.title = title;
    this.usual = usual;
  }

  /** Returns the name used in requests. */
  public String key() {
    return key;
  }

  /** Returns what it is made of, in the plural. */
  public String title() {
    return title;
  }

  /** Returns the start of that key. */
  public static Optional<CircuitStart> of(String key) {
    return Arrays.stream(values()).filter(s -> s.key().equals(key)).findFirst();
  }

  /** Returns all ways to begin with for emitters of a kind. */
  public static List<CircuitStart> fitting(EmitterKind kind) {
    return Arrays.stream(values()).filter(s -> s.usual.apply("c").drives(kind)).toList();
  }

  /**
   * Returns the only way there is for emitters of a kind, as for pixels, which say by themselves
   * how they are driven; empty where the maker has a choice or nothing fits.
   */
  public static Optional<CircuitStart> only(EmitterKind kind) {
    return kind.pixel() ? fitting(kind).stream().findFirst() : Optional.empty();
  }

  /**
   * Returns a circuit beside others: on pins that are free as long as there are some, under a name
   * that none of them has.
   */
  public Circuit beside(Circuits others, Controller controller, String id) {
    Circuit circuit = forLogic(usual.apply(id), controller);
    return CircuitPins.free(circuit, others.takenPins(), controller).called(name(circuit, others));
  }

  /** Returns the same for fixtures that it is to drive, with currents that they can carry. */
  public Circuit beside(
      Circuits others, Controller controller, String id, Layout layout, List<String> fixtures) {
    Circuit circuit = beside(others, controller, id).withFixtures(fixtures);
    return circuit instanceof SwitchedCircuit switched
        ? switched.suited(
            switched.members(layout).stream().map(Section::fixture).map(layout::emitterOf).toList())
        : circuit;
  }

  /** Where logic is lower than the supply, chips and MOSFETs that are told by less. */
  private static Circuit forLogic(Circuit circuit, Controller controller) {
    if (!controller.portable() || !(circuit instanceof SwitchedCircuit switched)) {
      return circuit;
    }
    boolean gate = switched.hookup().through() == Through.MOSFET_LOGIC;
    SwitchedCircuit told =
        gate
            ? switched.with(
                switched.hookup().through(Through.MOSFET_LOW, switched.hookup().railVolts()))
            : switched;
    if (told instanceof ScannedRegisters matrix && matrix.sort() == RegisterClass.HC) {
      return matrix.of(RegisterClass.HCT, matrix.rows(), matrix.columns(), matrix.rowSwitch());
    }
    return told instanceof ShiftRegisters registers && registers.sort() == RegisterClass.HC
        ? registers.of(RegisterClass.HCT)
        : told;
  }

  private static String name(Circuit circuit, Circuits others) {
    List<String> names = others.circuits().stream().map(Circuit::name).toList();
    String name = circuit.name();
    for (int number = 2; names.contains(name); number++) {
      name = circuit.name() + " " + number;
    }
    return name;
  }
}
