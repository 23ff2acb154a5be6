package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.display.DisplayClass;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pin.PinDimming;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Strip;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** Gadgets whose lights are only on or off. */
final class SwitchedGadgets {
  private SwitchedGadgets() {}

  static Fixture of(Fixture fixture, String emitter) {
    return fixture.with(fixture.mount().withEmitter(emitter));
  }

  /** Frames of a fixture with cells of any colour, a third of them dark. */
  static List<Frame> frames(Fixture fixture, int count, int hold, long seed) {
    Random random = new Random(seed);
    List<Frame> frames = new ArrayList<>();
    int cells = fixture.seenColumns() * fixture.seenRows();
    for (int f = 0; f < count; f++) {
      byte[] rgb = new byte[3 * cells];
      random.nextBytes(rgb);
      for (int cell = 0; cell < cells; cell++) {
        if (random.nextInt(3) == 0) {
          rgb[3 * cell] = 0;
          rgb[3 * cell + 1] = 0;
          rgb[3 * cell + 2] = 0;
        }
      }
      frames.add(new Frame(Picture.of(fixture.seenColumns(), fixture.seenRows(), rgb), hold + f));
    }
    return frames;
  }

  /** One cell after the other: no frame is like the one before it. */
  private static List<Frame> walk(Fixture fixture, int count, int hold) {
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < count; f++) {
      byte[] rgb = new byte[3 * fixture.seenColumns() * fixture.seenRows()];
      rgb[3 * f + 1] = (byte) 200;
      frames.add(new Frame(Picture.of(fixture.seenColumns(), fixture.seenRows(), rgb), hold + f));
    }
    return frames;
  }

  static SegmentDigits digits(int modules, int each, boolean series) {
    List<SegmentDigits.Module> all = new ArrayList<>();
    for (int m = 1; m <= modules; m++) {
      all.add(new SegmentDigits.Module(each, "group " + m));
    }
    return new SegmentDigits(
        SegmentStyle.SEVEN,
        56,
        30,
        8,
        8,
        all,
        50,
        20,
        2,
        series,
        true,
        List.of(2, 4),
        List.of(),
        List.of());
  }

  /** Six modules of three digits with a point each and two colons, two LEDs in a segment. */
  static Gadget eighteenDigits() {
    return eighteenDigits(RegisterClass.HC);
  }

  /** The same on registers of a class. */
  static Gadget eighteenDigits(RegisterClass sort) {
    Fixture board = of(Fixture.of("f1", "Board", digits(6, 3, true)), "single-red");
    return Gadgets.of(
        "Eighteen",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 3)),
        List.of(board),
        List.of(
            ShiftRegisters.usual("c1", List.of("f1"))
                .of(sort)
                .with(OutputWiring.of(6, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Count", "f1", frames(board, 6, 20, 3))));
  }

  /** The same, dark until the first frame, its lines through a buffer. */
  static Gadget heldDark() {
    Gadget gadget = eighteenDigits();
    ShiftRegisters line = (ShiftRegisters) gadget.circuits().circuits().get(0);
    return gadget.with(line.heldBy("D6"));
  }

  static Gadget rgbSmall() {
    Fixture grid =
        of(
            Fixture.of("f1", "Grid", new Panel(5, 3, 10, 10, Corner.TOP_LEFT, false, true, 0)),
            "rgb-pins");
    ShiftRegisters line =
        ShiftRegisters.usual("c1", List.of("f1"))
            .onPins(List.of("B0", "B1", "B2"))
            .with(
                OutputWiring.of(5, Side.TO_GROUND)
                    .withMoved(
                        List.of(
                            new OutputWiring.Moved("f1", 3, 50),
                            new OutputWiring.Moved("f1", 44, 3))));
    return Gadgets.of(
        "Grid",
        "",
        Controller.AVR8_8K,
        Optional.of(new Supply("port", 5, 1)),
        List.of(grid),
        List.of(line),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Grid", "f1", frames(grid, 5, 25, 4))));
  }

  /** Clocked pixels, and two fixtures of other emitters on one chain of registers. */
  static Gadget beside(boolean limited) {
    Fixture strip =
        of(
            Fixture.of(
                "f1", "Strip", new Strip(21, 60, List.of(new Point(0, 0), new Point(300, 0)))),
            "clocked-rgb");
    Fixture digits = of(Fixture.of("f2", "Digits", digits(2, 2, false), 0, 50), "single-green");
    Fixture lamps =
        of(
            Fixture.of(
                "f3", "Lamps", new Panel(4, 2, 10, 10, Corner.TOP_LEFT, false, true, 0), 0, 150),
            "two-colour");
    return Gadgets.of(
        "Beside",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, limited ? 1 : 3)),
        List.of(strip, digits, lamps),
        List.of(
            ClockedPixels.usual("c1", List.of("f1")).onPins("D2", "D3"),
            ShiftRegisters.usual("c2", List.of("f3", "f2"))),
        ColourSettings.USUAL,
        limited ? new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20) : PowerSettings.USUAL,
        List.of(
            new Clip("k1", "Strip", "f1", frames(strip, 4, 30, 5)),
            new Clip("k2", "Digits", "f2", frames(digits, 3, 24, 6)),
            new Clip("k3", "Lamps", "f3", frames(lamps, 5, 17, 7))));
  }

  private static Gadget one(Controller controller, Fixture fixture, Circuit circuit, long seed) {
    return Gadgets.of(
        fixture.name(),
        "",
        controller,
        Optional.of(new Supply("supply", 5, 4)),
        List.of(fixture),
        List.of(circuit),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Clip", "f1", frames(fixture, 5, 18, seed))));
  }

  static Gadget bar() {
    Fixture bar = of(Fixture.of("f1", "Bar", new Bar(12, 10, 0)), "single-amber");
    List<String> pins =
        List.of("B0", "B1", "B2", "B3", "B4", "B5", "D2", "D3", "D4", "C0", "C5", "D7");
    return one(Controller.AVR8_32K, bar, DirectPins.usual("c1", List.of("f1")).onPins(pins), 41);
  }

  static Gadget sinks() {
    Fixture grid =
        of(
            Fixture.of("f1", "Grid", new Panel(5, 8, 10, 10, Corner.TOP_LEFT, false, true, 0)),
            "rgb-pins");
    return one(
        Controller.AVR8_32K,
        grid,
        ShiftRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.SINK)
            .with(OutputWiring.of(12, Side.TO_SUPPLY)),
        42);
  }

  private static Fixture grid(int columns, int rows) {
    Panel panel = new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0);
    return of(Fixture.of("f1", "Grid", panel), "rgb-pins");
  }

  /** Sinks with grey scale; a few channels stand elsewhere. */
  static Gadget grey(Controller controller, RegisterClass sort, Fixture fixture, double amps) {
    ShiftRegisters line =
        ShiftRegisters.usual("c1", List.of("f1"))
            .of(sort)
            .onPins(
                switch (controller.key()) {
                  case "8bit-8k" -> List.of("B0", "B1", "B2");
                  case "8bit-32k" -> List.of("C0", "B5", "C2", "D3", "D4");
                  default -> List.of("A0", "A1", "A2", "B4", "A3");
                })
            .with(
                OutputWiring.of(12, Side.TO_SUPPLY)
                    .withMoved(
                        List.of(
                            new OutputWiring.Moved("f1", 3, fixture.count() < 20 ? 47 : 20),
                            new OutputWiring.Moved("f1", 20, 3))));
    return Gadgets.of(
        "Grey",
        "",
        controller,
        Optional.of(new Supply("port", 5, amps)),
        List.of(fixture),
        List.of(line),
        new ColourSettings(new Transfer.Lightness(), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(new Clip("k1", "Drift", "f1", frames(fixture, 5, 20, 44))));
  }

  static Gadget greyOwn() {
    return grey(Controller.AVR8_32K, RegisterClass.GREY_24, grid(5, 8), 0.3);
  }

  static Gadget greySmall() {
    return grey(Controller.AVR8_8K, RegisterClass.GREY_24, grid(5, 2), 2);
  }

  static Gadget greyDeep() {
    return grey(Controller.AVR8_256K, RegisterClass.GREY_16, grid(4, 3), 2);
  }

  /** Sinks that the controller clocks and blanks, a strip of pixels beside them; limited or not. */
  static Gadget greyBlanked(double amps) {
    Gadget sinks = grey(Controller.AVR8_32K, RegisterClass.GREY_12, grid(5, 3), amps);
    Fixture strip =
        Fixture.of("f2", "Strip", new Strip(9, 60, List.of(new Point(0, 0), new Point(200, 0))));
    return sinks
        .with(strip)
        .with(OneWirePixels.usual("c2", List.of("f2")).onPins(List.of("D6")))
        .with(new Clip("k2", "Run", "f2", frames(strip, 4, 34, 45)));
  }

  /** Three digits of 3 by 5 lamps, each lamp on a transistor behind a register. */
  static Gadget lamps() {
    List<String> mask = List.of("###", "###", "###", "###", "###");
    Fixture digits = of(Fixture.of("f1", "Lamps", new LampDigits(mask, 3, 30, 30)), "lamp");
    return one(
        Controller.AVR8_32K,
        digits,
        ShiftRegisters.usual("c1", List.of("f1"))
            .with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 6)),
        43);
  }

  static Gadget quasi() {
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            56,
            30,
            8,
            8,
            List.of(new SegmentDigits.Module(3, "sum")),
            50,
            20,
            1,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    return one(
        Controller.AVR8_8K,
        of(Fixture.of("f1", "Three", digits), "small-red"),
        Expanders.usual("c1", List.of("f1")).of(ExpanderClass.QUASI_8).onPins(List.of("B0", "B2")),
        44);
  }

  /** Six digits drawn by ourselves, of eleven segments each. */
  static Gadget elevens() {
    List<Segment> own = new ArrayList<>();
    for (int i = 0; i < 11; i++) {
      own.add(new Segment("s" + (i + 1), 2 * i, 0, 2 * i + 1, 40));
    }
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.CUSTOM,
            40,
            24,
            0,
            1,
            List.of(new SegmentDigits.Module(6, "own")),
            34,
            0,
            1,
            true,
            false,
            List.of(),
            own,
            List.of());
    return one(
        Controller.AVR8_32K,
        of(Fixture.of("f1", "Own", digits), "small-red"),
        Expanders.usual("c1", List.of("f1")),
        45);
  }

  /** The same gadget, its I2C buses at another speed. */
  static Gadget at(BusSpeed speed, Gadget gadget) {
    Circuits circuits = gadget.circuits();
    for (Circuit circuit : gadget.circuits().circuits()) {
      circuits =
          circuits.with(
              circuit instanceof Expanders bus
                  ? bus.at(speed)
                  : circuit instanceof DisplayDrivers display ? display.at(speed) : circuit);
    }
    return gadget.with(circuits);
  }

  /** PWM chips on a bus, the LEDs on the supply or fed by them, pixels beside. */
  static Gadget pwm(Controller controller, Side side) {
    Fixture grid = grid(4, 3);
    boolean small = controller == Controller.AVR8_8K;
    Fixture strip =
        Fixture.of("f2", "Strip", new Strip(7, 60, List.of(new Point(0, 0), new Point(200, 0))));
    return Gadgets.of(
        "PWM",
        "",
        controller,
        Optional.of(new Supply("port", 5, 0.6)),
        List.of(grid, strip),
        List.of(
            Expanders.usual("c1", List.of("f1"))
                .of(ExpanderClass.PWM_16)
                .onPins(small ? List.of("B0", "B2") : List.of("C4", "C5"))
                .with(
                    OutputWiring.of(8, side)
                        .withMoved(
                            List.of(
                                new OutputWiring.Moved("f1", 3, 47),
                                new OutputWiring.Moved("f1", 30, 3)))),
            OneWirePixels.usual("c2", List.of("f2")).onPins(List.of(small ? "B1" : "D6"))),
        new ColourSettings(new Transfer.Lightness(), 80),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(
            new Clip("k1", "Drift", "f1", frames(grid, 5, 20, 44)),
            new Clip("k2", "Run", "f2", frames(strip, 2, 50, 45))));
  }

  /** Pins that timers dim, of LEDs or of lamps on transistors, pixels beside. */
  static Gadget dimmed(Controller controller, boolean lamps) {
    List<String> pins =
        controller == Controller.AVR8_32K
            ? List.of("D6", "D5", "B3", "D3")
            : List.of("E3", "B7", "B4", "G5", "E5", "E4");
    Fixture bar =
        of(Fixture.of("f2", "Bar", new Bar(pins.size(), 10, 0)), lamps ? "lamp" : "single-green");
    Fixture strip =
        Fixture.of("f1", "Strip", new Strip(7, 60, List.of(new Point(0, 0), new Point(200, 0))));
    DirectPins circuit =
        DirectPins.usual("c2", List.of("f2")).dimmed(PinDimming.TIMERS).onPins(pins);
    return Gadgets.of(
        "Dimmed",
        "",
        controller,
        Optional.of(new Supply("port", 5, 2)),
        List.of(strip, bar),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")).onPins(List.of("B0")),
            circuit.with(
                lamps
                    ? OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 6)
                    : OutputWiring.of(8, Side.TO_SUPPLY))),
        new ColourSettings(new Transfer.Lightness(), 100),
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(
            new Clip("k1", "Run", "f1", frames(strip, 6, 20, 45)),
            new Clip("k2", "Drift", "f2", frames(bar, 6, 20, 47))));
  }

  /** Two I2C drivers, each with eight digits of fourteen segments and a point. */
  static Gadget fourteens() {
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.FOURTEEN,
            40,
            24,
            0,
            1,
            List.of(new SegmentDigits.Module(8, "name"), new SegmentDigits.Module(3, "sum")),
            34,
            0,
            1,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    return one(
        Controller.AVR8_32K,
        of(Fixture.of("f1", "Words", digits), "small-red"),
        DisplayDrivers.usual("c1", List.of("f1"))
            .of(DisplayClass.I2C)
            .with(OutputWiring.of(10, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE))
            .onPins(List.of("C4", "C5")),
        46);
  }

  /** One-wire pixels, expanders of the other register class, and switches on pins. */
  static Gadget threeWays() {
    Fixture strip =
        Fixture.of("f1", "Strip", new Strip(9, 60, List.of(new Point(0, 0), new Point(150, 0))));
    Fixture grid =
        of(
            Fixture.of(
                "f2", "Grid", new Panel(6, 3, 10, 10, Corner.TOP_LEFT, false, true, 0), 0, 40),
            "single-green");
    Fixture bar = of(Fixture.of("f3", "Bar", new Bar(4, 20, 0), 0, 90), "high-power");
    return Gadgets.of(
        "Three ways",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("supply", 5, 4)),
        List.of(strip, grid, bar),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")).onPin("B1"),
            Expanders.usual("c2", List.of("f2"))
                .of(ExpanderClass.REGISTER_B)
                .onPins(List.of("D0", "D1")),
            DirectPins.usual("c3", List.of("f3"))
                .with(OutputWiring.of(300, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 0))
                .onPins(List.of("C0", "C1", "C2", "C3"))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of(
            new Clip("k1", "Strip", "f1", frames(strip, 4, 20, 51)),
            new Clip("k2", "Grid", "f2", frames(grid, 4, 20, 52)),
            new Clip("k3", "Bar", "f3", walk(bar, 4, 20))));
  }

  /** Six digits with points and two colons on one chip; or nine digits on two in a chain. */
  static Gadget clock(boolean twoWire) {
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            20,
            12,
            6,
            1,
            twoWire
                ? List.of(new SegmentDigits.Module(6, "time"))
                : List.of(new SegmentDigits.Module(8, "sum"), new SegmentDigits.Module(1, "unit")),
            15,
            0,
            1,
            true,
            !twoWire,
            twoWire ? List.of(2, 4) : List.of(),
            List.of(),
            List.of());
    Fixture clock = of(Fixture.of("f1", "Clock", digits), "small-red");
    DisplayDrivers drivers = DisplayDrivers.usual("c1", List.of("f1"));
    return one(
        Controller.AVR8_32K, clock, twoWire ? drivers.of(DisplayClass.TWO_WIRE) : drivers, 47);
  }

  /** Two lines of pixels for 12 V on a rail of their own, beside one of 5 V that is limited. */
  static Gadget twelveVolts() {
    Fixture[] strips = new Fixture[3];
    for (int i = 0; i < 3; i++) {
      strips[i] =
          Fixture.of(
              "f" + (i + 1),
              "Strip " + (i + 1),
              new Strip(10 + i, 20, List.of(new Point(0, 30 * i), new Point(600, 30 * i))));
    }
    return Gadgets.of(
        "Twelve",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 0.12)),
        List.of(strips),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")).onPin("D4").onRail(12),
            OneWirePixels.usual("c2", List.of("f2")).onPin("D5"),
            OneWirePixels.usual("c3", List.of("f3")).onPin("D6").onRail(12)),
        ColourSettings.USUAL,
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(
            new Clip("k1", "One", "f1", frames(strips[0], 4, 30, 71)),
            new Clip("k2", "Two", "f2", frames(strips[1], 4, 30, 72)),
            new Clip("k3", "Three", "f3", frames(strips[2], 4, 30, 73))));
  }

  /**
   * A panel parted over two lines, its middle on the second; a bar parted between registers and
   * pins.
   */
  static Gadget parted() {
    Fixture panel =
        Fixture.of("f1", "Panel", new Panel(6, 4, 10, 10, Corner.TOP_LEFT, true, true, 0));
    Fixture board = of(Fixture.of("f2", "Bar", new Bar(21, 10, 0)), "single-red");
    return Gadgets.of(
        "Parted",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("port", 5, 0.4)),
        List.of(panel, board),
        List.of(
            OneWirePixels.usual("c1", List.of("f1:16-23", "f1:0-6")).onPin("B0"),
            OneWirePixels.usual("c2", List.of("f1:7-15")).onPin("D6"),
            ShiftRegisters.usual("c3", List.of("f2:0-9")).with(OutputWiring.of(4, Side.TO_SUPPLY)),
            DirectPins.usual("c4", List.of("f2:10-20"))
                .onPins(List.of("C0", "C1", "C2", "C3", "C4", "C5", "D2", "D3", "D4", "D5", "B1"))),
        ColourSettings.USUAL,
        new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20),
        List.of(
            new Clip("k1", "Panel", "f1", frames(panel, 6, 30, 5)),
            new Clip("k2", "Digits", "f2", frames(board, 6, 30, 6))));
  }
}
