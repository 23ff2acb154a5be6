package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.display.DisplayClass;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.colour.ColourSettings;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.frames.edit.DigitText;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;

/** Gadgets whose lights are on or off. */
final class DemoBoards {
  private static final int LIT = 0xff3010;

  private DemoBoards() {}

  private static SegmentDigits.Module three(String name) {
    return new SegmentDigits.Module(3, name);
  }

  /** A text over all digits of a fixture. */
  private static Frame text(SegmentDigits digits, String text, int hold) {
    Picture dark = Picture.dark(digits.seenColumns(), digits.seenRows());
    return new Frame(new DigitText(digits).on(dark, text, LIT), hold);
  }

  /** Returns the board: next boat in minutes, waiting people, tide and wind, three digits each. */
  static Gadget ferryBoard() {
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            40,
            22,
            6,
            6,
            List.of(three("boat"), three("waiting"), three("tide"), three("wind")),
            34,
            26,
            2,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    Fixture board = DemoShapes.fixture("f1", "Board", digits, 0, 0, "small-red");
    List<Frame> frames = new ArrayList<>();
    String[] shown = {
      " 12 84 3.2  5", " 11 91 3.1  5", " 10 97 3.0  6", "  9104 2.9  6", "  8118 2.8  6"
    };
    for (String line : shown) {
      frames.add(text(digits, line, 900));
    }
    return new Gadget(
        new Brief(
            "Ferry board",
            "Hangs in the waiting room: minutes to the next boat, people waiting, tide in metres, wind by the scale.",
            Controller.AVR8_32K,
            Optional.of(Supply.CLASSES.get(4))),
        Layout.EMPTY.withFixtures(List.of(board)),
        new Circuits(
            List.of(
                ShiftRegisters.usual("c1", List.of("f1"))
                    .with(OutputWiring.of(6, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE))
                    .called("Digits"))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        new Programme(List.of(new Clip("k1", "An evening", "f1", frames))));
  }

  private static final int COLUMNS = 5;
  private static final int ROWS = 8;

  /** A three-by-five picture of a digit, a bit a lamp from the top left. */
  private static final int[] LAMPS = {
    0b111101101101111, 0b010110010010111, 0b111001111100111, 0b111001111001111, 0b101101111001001,
    0b111100111001111, 0b111100111101111, 0b111001010010010, 0b111101111101111, 0b111101111001111
  };

  private static Frame lamps(int number, int hold) {
    int across = 3 * 3;
    byte[] rgb = new byte[across * 5 * 3];
    String text = Integer.toString(1000 + number).substring(1);
    for (int digit = 0; digit < 3; digit++) {
      int picture = LAMPS[text.charAt(digit) - '0'];
      for (int lamp = 0; lamp < 15; lamp++) {
        if ((picture >> 14 - lamp & 1) == 1) {
          DemoGadgets.put(rgb, lamp / 3 * across + digit * 3 + lamp % 3, 0xffd090);
        }
      }
    }
    return new Frame(Picture.of(across, 5, rgb), hold);
  }

  /** Berths of the harbour: free, taken, asked for. */
  private static Frame berths(int step, int hold) {
    int[] colours = {0x00ff00, 0xff0000, 0xffff00, 0x0000ff};
    byte[] rgb = new byte[COLUMNS * ROWS * 3];
    for (int cell = 0; cell < COLUMNS * ROWS; cell++) {
      int state = (cell * 7 + (cell % 11 == step % 11 ? step : 0)) % 4;
      DemoGadgets.put(rgb, cell, colours[state]);
    }
    return new Frame(Picture.of(COLUMNS, ROWS, rgb), hold);
  }

  /**
   * Returns the desk: a clock, a number of lamps and a chart of berths, each driven another way.
   */
  static Gadget pilotDesk() {
    SegmentDigits clock =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            20,
            12,
            6,
            1,
            List.of(
                new SegmentDigits.Module(2, "hours"),
                new SegmentDigits.Module(2, "minutes"),
                new SegmentDigits.Module(2, "seconds")),
            16,
            6,
            1,
            true,
            false,
            List.of(2, 4),
            List.of(),
            List.of());
    List<Fixture> fixtures =
        List.of(
            DemoShapes.fixture("f1", "Clock", clock, 0, 0, "small-red"),
            DemoShapes.fixture(
                "f2",
                "Draught",
                new LampDigits(List.of("###", "###", "###", "###", "###"), 3, 14, 12),
                0,
                50,
                "lamp"),
            DemoShapes.fixture(
                "f3",
                "Berths",
                new Panel(COLUMNS, ROWS, 12, 12, Corner.TOP_LEFT, false, true, 0),
                190,
                0,
                "rgb-pins"));
    List<Frame> times = new ArrayList<>();
    List<Frame> draughts = new ArrayList<>();
    List<Frame> charts = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      times.add(text(clock, "22:47:1" + i, 1000));
      draughts.add(lamps(314 + i, 1000));
      charts.add(berths(i, 1000));
    }
    return new Gadget(
        new Brief(
            "Pilot desk",
            "Stands before the pilot: the time, the draught in centimetres by lamps, the berths by colour.",
            Controller.AVR8_32K,
            Optional.of(Supply.CLASSES.get(4))),
        Layout.EMPTY.withFixtures(fixtures),
        new Circuits(
                List.of(
                    DisplayDrivers.usual("c1", List.of("f1"))
                        .of(DisplayClass.TWO_WIRE)
                        .called("Clock driver"),
                    ShiftRegisters.usual("c2", List.of("f2"))
                        .with(
                            OutputWiring.of(150, Side.TO_SUPPLY)
                                .through(SwitchType.MOSFET_LOGIC, 6))
                        .onPins(List.of("B0", "B1", "B2"))
                        .called("Lamp switches"),
                    ShiftRegisters.usual("c3", List.of("f3"))
                        .of(RegisterClass.GREY_24)
                        .with(OutputWiring.of(6, Side.TO_SUPPLY))
                        .onPins(List.of("C0", "C1", "C2"))
                        .called("Berth sinks")))
            .with(
                new InputList(
                    List.of(
                        new Input("Watch button", InputSort.BUTTONS_UP, "D2", 1, 5, 4, 3),
                        new Input("Dimmer knob", InputSort.KNOB, "D3 D4", 1, 5, 3, 2))))
            .because("c1", "fewest parts for six digits")
            .because("c3", "shades of colour, and one resistor a chip in place of one a channel"),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        new Programme(
            List.of(
                new Clip("k1", "Evening", "f1", times),
                new Clip("k2", "Rising", "f2", draughts),
                new Clip("k3", "Traffic", "f3", charts))));
  }
}
