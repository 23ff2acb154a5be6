package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.flicker.LightBar;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.flicker.Strobe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Controller;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailSettings;

/** Lights between pins, and a wand that writes on the night. */
final class DemoTurns {
  private static final int BERTHS_ACROSS = 6;
  private static final int BERTHS_DOWN = 5;
  private static final int WAND = 24;
  private static final int COLUMNS = 48;
  private static final int COLUMN_MILLIS = 3;

  private DemoTurns() {}

  /** Thirty lamps of berths on six pins; a gap runs through them. */
  static Gadget berthLamps() {
    Panel panel = new Panel(BERTHS_ACROSS, BERTHS_DOWN, 14, 14, Corner.TOP_LEFT, false, false, 0);
    Fixture berths = DemoShapes.fixture("f1", "Berths", panel, 0, 0, "single-red");
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < BERTHS_ACROSS + BERTHS_DOWN; f++) {
      byte[] rgb = new byte[3 * BERTHS_ACROSS * BERTHS_DOWN];
      for (int cell = 0; cell < BERTHS_ACROSS * BERTHS_DOWN; cell++) {
        int off = Math.abs(cell % BERTHS_ACROSS + cell / BERTHS_ACROSS - f);
        rgb[3 * cell] = (byte) Math.min(255, 40 + 90 * off);
      }
      frames.add(new Frame(Picture.of(BERTHS_ACROSS, BERTHS_DOWN, rgb), 150));
    }
    Charlieplex circuit =
        Charlieplex.usual("c1", List.of("f1")).onPins(List.of("B0", "B1", "B2", "B3", "B4", "B5"));
    return gadget(
        "Berth lamps",
        "A lamp for each berth of the harbour, thirty on six pins.",
        berths,
        new Circuits(List.of(circuit)),
        frames,
        ScanSettings.USUAL);
  }

  /** A wand that is swept: a wave, column by column; on its shelf a wheel of seven arms. */
  static Gadget pierWand() {
    Fixture wand = DemoShapes.fixture("f1", "Wand", new Bar(WAND, 7, 0), 0, 0, "clocked-rgb");
    List<Frame> frames = new ArrayList<>();
    for (int column = 0; column < COLUMNS; column++) {
      byte[] rgb = new byte[3 * WAND];
      double crest = WAND / 2.0 * (1 + 0.7 * Math.sin(2 * Math.PI * column / COLUMNS * 3));
      for (int led = 0; led < WAND; led++) {
        double off = led - crest;
        double foam = Math.exp(-off * off / 3);
        double water = off < 0 ? 0.35 + 0.3 * led / WAND : 0;
        rgb[3 * led] = (byte) Math.round(255 * foam);
        rgb[3 * led + 1] = (byte) Math.round(255 * Math.min(1, foam + 0.5 * water));
        rgb[3 * led + 2] = (byte) Math.round(255 * Math.min(1, foam + water));
      }
      frames.add(new Frame(Picture.of(WAND, 1, rgb), COLUMN_MILLIS));
    }
    ScanSettings moved =
        ScanSettings.USUAL
            .with(
                new LightBar(
                    WAND,
                    LightBar.Motion.SWEEPS,
                    7,
                    0,
                    1000.0 / (COLUMNS * COLUMN_MILLIS),
                    COLUMNS,
                    600))
            .with(new Strobe(7, 12, 1, 300, 0.5, 60, 1, 700, 3.2, 30));
    Gadget planned =
        gadget(
            "Pier wand",
            "Swept through the dark it writes a wave; its strobe holds the weather wheel of seven arms still.",
            wand,
            new Circuits(List.of(ClockedPixels.usual("c1", List.of("f1")))),
            frames,
            moved);
    return onACell(planned);
  }

  /** A lithium cell behind its charge board, stepped up to 5 V; for two hours of an evening. */
  private static Gadget onACell(Gadget gadget) {
    Supply cell = new Supply("Lithium cell", 3.7, 3, SupplyKind.LITHIUM, 2500);
    SupplyTree tree = SupplyTree.NONE.with(ConverterSort.CHARGER).with(ConverterSort.BOOST);
    RailSettings rail =
        new RailSettings(
            "c1", Conductor.TRACK_70, false, 0, 30, List.of(new Feed(0, Conductor.MM2_0_5, 200)));
    return gadget
        .with(gadget.brief().withSupply(Optional.of(cell)).with(tree))
        .with(
            gadget
                .power()
                .plannedFor(PlanningBasis.THESE_FRAMES)
                .with(rail)
                .with(new DailyUse(2, 0.5, 0.05, 2)));
  }

  private static Gadget gadget(
      String title,
      String notes,
      Fixture fixture,
      Circuits circuits,
      List<Frame> frames,
      ScanSettings scan) {
    return new Gadget(
            new Brief(title, notes, Controller.AVR8_32K, Optional.of(Supply.CLASSES.get(3))),
            Layout.EMPTY.withFixtures(List.of(fixture)),
            circuits,
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            new Programme(List.of(new Clip("k1", "In turn", fixture.id(), frames))))
        .with(scan);
  }
}
