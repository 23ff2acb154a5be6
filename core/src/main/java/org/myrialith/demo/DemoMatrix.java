package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.colour.ColourSettings;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;

/** Sixty-four single LEDs on sixteen pins: rings that run outwards, as a bell is struck. */
final class DemoMatrix {
  private static final int SIDE = 8;
  private static final int FRAMES = 12;
  private static final int HOLD_MILLIS = 120;
  private static final int[] AMBER = {255, 150, 20};

  private DemoMatrix() {}

  static Gadget fogBell() {
    Panel panel = new Panel(SIDE, SIDE, 12, 12, Corner.TOP_LEFT, true, false, 0);
    Fixture bell = DemoShapes.fixture("f1", "Bell", panel, 0, 0, "single-amber");
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < FRAMES; f++) {
      frames.add(new Frame(ring(f * 0.55), HOLD_MILLIS));
    }
    ScannedPins circuit =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7"),
                List.of("B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1"))
            .through(RowSwitch.MOSFET)
            .scanned(240, 5, 4)
            .with(OutputWiring.of(18, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE));
    return new Gadget(
        new Brief(
            "Fog bell",
            "Stands on the pier when the fog comes in: each stroke of the bell is seen as well.",
            Controller.AVR8_32K,
            Optional.of(Supply.CLASSES.get(3))),
        Layout.EMPTY.withFixtures(List.of(bell)),
        new Circuits(List.of(circuit.called("Matrix"))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        new Programme(List.of(new Clip("k1", "A stroke", "f1", frames))));
  }

  private static Picture ring(double radius) {
    byte[] rgb = new byte[3 * SIDE * SIDE];
    double middle = (SIDE - 1) / 2.0;
    for (int cell = 0; cell < SIDE * SIDE; cell++) {
      double off = Math.hypot(cell % SIDE - middle, cell / SIDE - middle) - radius;
      double light = Math.exp(-off * off);
      for (int colour = 0; colour < AMBER.length; colour++) {
        rgb[3 * cell + colour] = (byte) Math.round(AMBER[colour] * light);
      }
    }
    return Picture.of(SIDE, SIDE, rgb);
  }
}
