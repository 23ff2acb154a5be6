package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowOrder;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.multiplex.ScanMethod;
import org.myrialith.circuit.multiplex.ScannedCircuit;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.colour.ColourSettings;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Panes;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Stack;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** Gadgets whose lights have turns, in all ways and on all classes that scan. */
final class ScanGadgets {
  private ScanGadgets() {}

  private static Gadget gadget(Controller controller, Fixture fixture, ScannedCircuit circuit) {
    return Gadgets.of(
        "Scanned",
        "",
        controller,
        Optional.of(new Supply("port", 5, 2)),
        List.of(fixture),
        List.of(circuit),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of(new Clip("k1", "Frames", "f1", SwitchedGadgets.frames(fixture, 5, 40, 11))));
  }

  private static Fixture panel(int columns, int rows, String emitter) {
    return SwitchedGadgets.of(
        Fixture.of("f1", "Grid", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, true, false, 0)),
        emitter);
  }

  private static ScannedPins matrix(List<String> rows, List<String> columns) {
    return ScannedPins.usual("c1", List.of("f1")).on(rows, columns);
  }

  private static Fixture fourDigits() {
    SegmentDigits four =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            20,
            12,
            8,
            5,
            List.of(new SegmentDigits.Module(4, "tide")),
            20,
            0,
            1,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    return SwitchedGadgets.of(Fixture.of("f1", "Digits", four), "single-red");
  }

  static Gadget digits() {
    return gadget(
        Controller.AVR8_32K,
        fourDigits(),
        matrix(
                List.of("D4", "D5", "D6", "D7"),
                List.of("B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1"))
            .through(RowSwitch.TRANSISTOR)
            .scanned(250, 1, 6)
            .with(OutputWiring.of(10, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE)));
  }

  static Stream<Named<GadgetPlan>> scenarios() {
    return Stream.of(
        Named.of(
            "three by four on seven pins",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    matrix(List.of("D5", "D6", "D7"), List.of("B1", "B0", "C2", "B5"))))),
        Named.of(
            "eight by eight, large core, rows by MOSFETs",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_256K,
                    panel(8, 8, "single-green"),
                    matrix(
                            List.of("A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7"),
                            List.of("F7", "F6", "F5", "F4", "F3", "F2", "F1", "F0"))
                        .through(RowSwitch.MOSFET)
                        .scanned(120, 6, 3)
                        .with(OutputWiring.of(15, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE))))),
        Named.of("fog bell", GadgetPlan.of(DemoGadgets.fogBell())),
        Named.of("four digits, on or off", GadgetPlan.of(digits())),
        Named.of(
            "RGB, rows and columns on one port",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(2, 2, "rgb-pins"),
                    matrix(List.of("D4", "D7"), List.of("D2", "D3", "C0", "C1", "C5", "B4"))
                        .through(RowSwitch.TRANSISTOR)
                        .scanned(300, 5, 10)))),
        Named.of(
            "plain PWM, interlaced",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 5, "single-red"),
                    matrix(List.of("C0", "C1", "C2", "C3", "C5"), List.of("B0", "B1", "B2", "B3"))
                        .scanned(
                            Scan.of(150, 3, 4).by(ScanMethod.PLAIN).in(RowOrder.INTERLACED))))),
        Named.of(
            "split bit-angle (2 passes)",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    matrix(List.of("D5", "D6", "D7"), List.of("B1", "B0", "C2", "B5"))
                        .scanned(Scan.of(400, 5, 4).by(ScanMethod.TWO_PASSES))))),
        Named.of(
            "split bit-angle (4 passes)",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_256K,
                    panel(4, 3, "single-red"),
                    matrix(List.of("A5", "A6", "A7"), List.of("B1", "B0", "C2", "B5"))
                        .scanned(
                            Scan.of(500, 6, 4)
                                .by(ScanMethod.FOUR_PASSES)
                                .in(RowOrder.INTERLACED))))));
  }

  private static final ScannedRegisters CHAIN = ScannedRegisters.usual("c1", List.of("f1"));

  static Stream<Named<GadgetPlan>> others() {
    return Stream.of(
        Named.of(
            "a stack of five layers of three by three on fourteen pins",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    SwitchedGadgets.of(
                        Fixture.of("f1", "Stack", new Stack(3, 3, 5, 20, 20, 10)), "single-red"),
                    matrix(
                            List.of("C0", "C1", "C2", "C3", "C5"),
                            List.of("D2", "D3", "D4", "D5", "D6", "D7", "B0", "B1", "B2"))
                        .through(RowSwitch.TRANSISTOR)
                        .scanned(200, 4, 5)))),
        Named.of(
            "three by five with soft fades",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(3, 5, "single-green"),
                    matrix(List.of("D5", "D6", "D7"), List.of("B0", "B1", "B2", "B3", "B4"))
                        .scanned(200, 7, 3)))),
        Named.of(
            "eight panes by six digits",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    SwitchedGadgets.of(
                        Fixture.of("f1", "Board", new Panes(6, 8, 1, 6, 40, 60, 3, 50)),
                        "single-amber"),
                    CHAIN
                        .of(RegisterClass.HC, 6, 8, RowSwitch.MOSFET)
                        .scanned(Scan.of(200, 4, 4))))),
        Named.of(
            "rows and columns on registers",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(9, 7, "single-red"),
                    CHAIN.of(RegisterClass.HC, 7, 9, RowSwitch.MOSFET)))),
        Named.of(
            "rows on registers, columns on sinks, large core",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_256K,
                    panel(14, 10, "single-green"),
                    CHAIN
                        .of(RegisterClass.SINK, 10, 14, RowSwitch.TRANSISTOR)
                        .onPins(List.of("B2", "B1", "A0", "G1"))
                        .scanned(Scan.of(110, 4, 5))))),
        Named.of(
            "columns on power registers",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(9, 7, "single-red"),
                    CHAIN.of(RegisterClass.POWER, 7, 9, RowSwitch.MOSFET)))),
        Named.of(
            "power registers that an interrupt dims",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    CHAIN
                        .of(RegisterClass.POWER, 1, 12, RowSwitch.NONE)
                        .scanned(Scan.of(200, 3, 0))))),
        Named.of(
            "on or off by plain PWM",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(9, 7, "single-red"),
                    CHAIN
                        .of(RegisterClass.HC, 7, 9, RowSwitch.MOSFET)
                        .scanned(Scan.of(120, 1, 4).by(ScanMethod.PLAIN))))),
        Named.of(
            "columns on pins, on or off by plain PWM, as slowly as it can",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    matrix(List.of("D5", "D6", "D7"), List.of("B1", "B0", "C2", "B5"))
                        .scanned(Scan.of(60, 1, 4).by(ScanMethod.PLAIN))))),
        Named.of("four digits on the small class", GadgetPlan.of(smallDigits())),
        Named.of(
            "thirty lights between six pins, one at a time",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(6, 5, "single-red"),
                    Charlieplex.usual("c1", List.of("f1"))
                        .onPins(List.of("D2", "D3", "D4", "D5", "D6", "D7"))))),
        Named.of(
            "twelve lights between four pins of two ports, all of one anode",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_256K,
                    panel(4, 3, "single-red"),
                    Charlieplex.usual("c1", List.of("f1"))
                        .of(Charlieplex.Together.ANODE, Charlieplex.ResistorsAt.LIGHTS)
                        .scanned(Scan.of(150, 5, 2))
                        .onPins(List.of("C1", "A0", "C2", "A7"))))),
        Named.of(
            "six lights between three pins of the small class",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_8K,
                    panel(3, 2, "single-red"),
                    Charlieplex.usual("c1", List.of("f1")).onPins(List.of("B0", "B1", "B3"))))),
        Named.of(
            "pins, software PWM",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(5, 1, "rgb-pins"),
                    matrix(
                            List.of(),
                            List.of(
                                "B0", "B1", "C0", "D5", "D6", "B2", "B3", "C1", "D7", "B4", "B5",
                                "C2", "C3", "D2", "D3"))
                        .through(RowSwitch.NONE)
                        .scanned(200, 8, 0)))),
        Named.of(
            "registers that an interrupt dims",
            GadgetPlan.of(
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    CHAIN
                        .of(RegisterClass.HC, 1, 12, RowSwitch.NONE)
                        .scanned(Scan.of(200, 6, 0))))));
  }

  /** The same at clocks that coin cells carry. */
  static Stream<Named<GadgetPlan>> slower() {
    return Stream.of(
        Named.of("dune badge at 1 MHz", GadgetPlan.of(DemoGadgets.duneBadge())),
        Named.of(
            "three by four at 1 MHz",
            slow(
                ClockRate.MHZ_1,
                gadget(
                    Controller.AVR8_32K,
                    panel(4, 3, "single-red"),
                    matrix(List.of("D5", "D6", "D7"), List.of("B1", "B0", "C2", "B5"))
                        .scanned(Scan.of(120, 4, 4))))),
        Named.of(
            "rows and columns on registers at 8 MHz",
            slow(
                ClockRate.MHZ_8,
                gadget(
                    Controller.AVR8_32K,
                    panel(9, 7, "single-red"),
                    CHAIN
                        .of(RegisterClass.HC, 7, 9, RowSwitch.MOSFET)
                        .scanned(Scan.of(110, 4, 4))))),
        Named.of(
            "six lights between three pins of the small class at 1 MHz",
            slow(
                ClockRate.MHZ_1,
                gadget(
                    Controller.AVR8_8K,
                    panel(3, 2, "single-red"),
                    Charlieplex.usual("c1", List.of("f1"))
                        .scanned(Scan.of(100, 3, 2))
                        .onPins(List.of("B0", "B1", "B3"))))),
        Named.of(
            "six lights between three pins, large core, at 8 MHz",
            slow(
                ClockRate.MHZ_8,
                gadget(
                    Controller.AVR8_256K,
                    panel(3, 2, "single-red"),
                    Charlieplex.usual("c1", List.of("f1"))
                        .scanned(Scan.of(100, 6, 2))
                        .onPins(List.of("C1", "A0", "C2"))))));
  }

  private static GadgetPlan slow(ClockRate rate, Gadget gadget) {
    return GadgetPlan.of(
        gadget.with(gadget.brief().at(rate).withSupply(Optional.of(new Supply("coin", 3, 0.015)))));
  }

  private static Gadget smallDigits() {
    return gadget(
        Controller.AVR8_8K,
        fourDigits(),
        CHAIN
            .of(RegisterClass.HC, 4, 8, RowSwitch.TRANSISTOR)
            .onPins(List.of("B0", "B1", "B2", "B3"))
            .scanned(Scan.of(200, 3, 5)));
  }

  private static ScannedPins soft(String... columns) {
    return ScannedPins.usual("c1", List.of("f1"))
        .on(List.of(), List.of(columns))
        .through(RowSwitch.NONE);
  }

  /** One slot at all, so that no wire tells when it begins: one bit, pins on several ports. */
  static Stream<Named<GadgetPlan>> single() {
    Scan bit = Scan.of(100, 1, 0);
    return Stream.of(
        one("one light, one bit", Controller.AVR8_32K, 1, 1, soft("D3").scanned(bit)),
        one(
            "two ports, one bit, plain",
            Controller.AVR8_32K,
            4,
            1,
            soft("D3", "D4", "B0", "B1").scanned(bit.by(ScanMethod.PLAIN))),
        one("three ports, one bit", Controller.AVR8_32K, 3, 1, soft("D3", "B0", "C0").scanned(bit)),
        one("small core, one bit", Controller.AVR8_8K, 3, 1, soft("B0", "B1", "B3").scanned(bit)),
        one(
            "large core, one bit, far port",
            Controller.AVR8_256K,
            3,
            1,
            soft("G0", "A1", "F3").scanned(bit)),
        one("one light, one bit, small core", Controller.AVR8_8K, 1, 1, soft("B3").scanned(bit)),
        one(
            "one row, one column, one bit",
            Controller.AVR8_32K,
            1,
            1,
            matrix(List.of("D5"), List.of("B0")).scanned(Scan.of(200, 1, 4))));
  }

  /** Rows, columns and open pins on several ports. */
  static Stream<Named<GadgetPlan>> ends() {
    Charlieplex open = Charlieplex.usual("c1", List.of("f1"));
    return Stream.of(
        one(
            "rows and columns on two ports, 4 us",
            Controller.AVR8_32K,
            4,
            2,
            matrix(List.of("D5", "C2"), List.of("B0", "B1", "C0", "C1"))
                .scanned(Scan.of(200, 4, 4))),
        one(
            "open pins on two ports",
            Controller.AVR8_32K,
            4,
            3,
            open.onPins(List.of("D5", "D6", "B0", "B1"))),
        one(
            "open pins on three ports",
            Controller.AVR8_32K,
            4,
            3,
            open.onPins(List.of("D5", "B0", "B1", "C0"))));
  }

  /** Frames that differ: their numbers in bits. */
  private static List<Frame> counted(Fixture fixture) {
    List<Frame> frames = new ArrayList<>();
    int cells = fixture.seenColumns() * fixture.seenRows();
    for (int f = 1; f <= 5; f++) {
      byte[] rgb = new byte[3 * cells];
      for (int cell = 0; cell < cells; cell++) {
        rgb[3 * cell] = (f >> cell % 3 & 1) != 0 ? (byte) 255 : 0;
      }
      frames.add(new Frame(Picture.of(fixture.seenColumns(), fixture.seenRows(), rgb), 40 + f));
    }
    return frames;
  }

  private static Named<GadgetPlan> one(
      String name, Controller controller, int columns, int rows, ScannedCircuit circuit) {
    Fixture panel = panel(columns, rows, "single-red");
    return Named.of(
        name,
        GadgetPlan.of(
            gadget(controller, panel, circuit)
                .with(new Clip("k1", "Frames", "f1", counted(panel)))));
  }
}
