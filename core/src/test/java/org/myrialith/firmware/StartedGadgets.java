package org.myrialith.firmware;

import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.Gadgets;

/** Every machine to begin with, each on other lights and another way to drive them. */
final class StartedGadgets {
  private StartedGadgets() {}

  static Gadget of(CueStart start) {
    return of(start, controller(start));
  }

  static Gadget of(CueStart start, Controller controller) {
    Fixture fixture = fixture(start);
    Gadget bare =
        Gadgets.of(
            start.title(),
            "",
            controller,
            Optional.of(new Supply("port", 5, 3)),
            List.of(fixture),
            List.of(circuit(start)),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    Gadget fitted = bare.with(CircuitPins.fitted(bare.circuits(), controller)).withPins("c1");
    return start.on(fitted, fixture);
  }

  private static Controller controller(CueStart start) {
    return switch (start) {
      case WATCH -> Controller.AVR8_8K;
      case MEMORY -> Controller.AVR8_256K;
      default -> Controller.AVR8_32K;
    };
  }

  private static Panel panel(int columns, int rows) {
    return new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, true, true, 0);
  }

  private static Fixture fixture(CueStart start) {
    return switch (start) {
      case MOOD ->
          Fixture.of("f1", "Ring", new Ring(List.of(new Ring.Circle(24, 60)), 0, 360, true));
      case CLOCK -> SwitchedGadgets.of(Fixture.of("f1", "Board", digits()), "single-red");
      case COUNTER -> Fixture.of("f1", "Board", panel(12, 7));
      case SIGN -> Fixture.of("f1", "Sign", panel(16, 8));
      case WATCH -> Fixture.of("f1", "Row", row(6));
      case MEMORY -> Fixture.of("f1", "Pads", panel(4, 4));
      case ARROWS -> Fixture.of("f1", "Back", row(16));
      case DIE -> SwitchedGadgets.of(Fixture.of("f1", "Pips", panel(3, 3)), "single-red");
    };
  }

  private static Strip row(int count) {
    return new Strip(count, 60, List.of(new Point(0, 0), new Point(300, 0)));
  }

  /** Four digits with points and a colon in the middle. */
  private static SegmentDigits digits() {
    return new SegmentDigits(
        SegmentStyle.SEVEN,
        56,
        30,
        8,
        8,
        List.of(new SegmentDigits.Module(2, "hours"), new SegmentDigits.Module(2, "minutes")),
        50,
        20,
        1,
        false,
        true,
        List.of(2),
        List.of(),
        List.of());
  }

  private static Circuit circuit(CueStart start) {
    return switch (start) {
      case CLOCK -> ShiftRegisters.usual("c1", List.of("f1"));
      case MEMORY -> ClockedPixels.usual("c1", List.of("f1"));
      case DIE -> DirectPins.usual("c1", List.of("f1"));
      default -> OneWirePixels.usual("c1", List.of("f1"));
    };
  }
}
