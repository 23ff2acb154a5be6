package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.colour.ColourSettings;
import org.myrialith.drive.Circuits;
import org.myrialith.drive.Filling;
import org.myrialith.drive.Hookup;
import org.myrialith.drive.ShiftRegisters;
import org.myrialith.drive.Side;
import org.myrialith.frames.Characters;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;

/** Gadgets whose lights are on or off. */
final class DemoBoards {
  private static final int LIT = 0xff3010;

  private DemoBoards() {}

  private static SegmentDigits.Module three(String name) {
    return new SegmentDigits.Module(3, name);
  }

  /** A text over all digits of a fixture; a point after a digit lights the digit's own. */
  private static Frame text(SegmentDigits digits, String text, int hold) {
    int columns = digits.seenColumns();
    byte[] rgb = new byte[columns * digits.seenRows() * 3];
    List<String> names = digits.segmentNames();
    int digit = -1;
    for (char one : text.toCharArray()) {
      if (one == '.') {
        DemoGadgets.put(rgb, names.size() * columns + digit, LIT);
        continue;
      }
      digit++;
      for (String segment : Characters.segments(digits.style(), one).orElseThrow()) {
        DemoGadgets.put(rgb, names.indexOf(segment) * columns + digit, LIT);
      }
    }
    return new Frame(Picture.of(columns, digits.seenRows(), rgb), hold);
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
                    .with(Hookup.of(6, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE))
                    .called("Digits"))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        new Programme(List.of(new Clip("k1", "An evening", "f1", frames))));
  }
}
