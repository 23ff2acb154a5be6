package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;

/** The gadgets that a first start shows. Drawn by rule, the same at every start. */
public final class DemoGadgets {
  private static final int COLUMNS = 16;
  private static final int ROWS = 8;
  private static final int STRIP = 40;

  private static final int NIGHT = 0x06101f;
  private static final int SKY = 0x10243f;
  private static final int MOON = 0xf4e7b0;
  private static final int FOAM = 0x8fe0d0;
  private static final int SHALLOW = 0x178574;
  private static final int DEEP = 0x0a4a70;
  private static final int BEAM = 0xffffff;
  private static final int EMBER = 0xff9a3c;

  private DemoGadgets() {}

  /**
   * Returns a lantern with a panel and a strip that shows the tide in a harbour; its supply is too
   * weak for it.
   */
  public static Gadget tideLantern() {
    Fixture panel =
        Fixture.of(
            "f1",
            "Harbour window",
            new Panel(COLUMNS, ROWS, 10, 10, Corner.TOP_LEFT, false, true, 0),
            0,
            0);
    Fixture strip =
        Fixture.of(
            "f2",
            "Tide line",
            new Strip(
                STRIP,
                60,
                List.of(
                    new Point(-35, 100),
                    new Point(185, 100),
                    new Point(185, -35),
                    new Point(-130, -35))));
    OneWirePixels chain =
        new OneWirePixels(
            "c1", "Data line", "B0", ColourOrder.GRB, 300, List.of("f1", "f2"), PixelClass.USUAL);
    return new Gadget(
        new Brief(
            "Tide lantern",
            "Shows the tide in the harbour: the window fills and empties, the line round it swells. Stands on a shelf, indoors.",
            Controller.AVR8_32K,
            Optional.of(new Supply("Adapter from the drawer", 5, 2))),
        Layout.EMPTY.withFixtures(List.of(panel, strip)),
        new Circuits(List.of(chain)),
        new ColourSettings(new Transfer.PowerLaw(2.2), 100),
        PowerSettings.USUAL,
        new Programme(
            List.of(
                new Clip("k1", "Tide with lighthouse", "f1", harbour()),
                new Clip("k2", "Swell", "f2", swell()))));
  }

  private static List<Frame> harbour() {
    List<Frame> frames = new ArrayList<>();
    for (int step = 0; step < 16; step++) {
      int beam = step - 10;
      frames.add(new Frame(water(step, beam), beam == 1 ? 260 : 180));
    }
    return frames;
  }

  private static Picture water(int step, int beam) {
    byte[] rgb = new byte[COLUMNS * ROWS * 3];
    double tide = 4.5 + 2.2 * Math.cos(2 * Math.PI * step / 16);
    for (int column = 0; column < COLUMNS; column++) {
      double surface = tide + 0.8 * Math.sin(2 * Math.PI * (column / 8.0 + step / 8.0));
      for (int row = 0; row < ROWS; row++) {
        put(rgb, row * COLUMNS + column, harbourColour(column, row, surface, beam));
      }
    }
    return Picture.of(COLUMNS, ROWS, rgb);
  }

  private static int harbourColour(int column, int row, double surface, int beam) {
    if (beam >= 0
        && beam < 3
        && row < surface
        && Math.abs(column - 2 - 6 * beam) <= 2 + (ROWS - row) / 2) {
      return BEAM;
    }
    if (row >= surface + 2) {
      return DEEP;
    }
    if (row >= surface) {
      return row < surface + 1 ? FOAM : SHALLOW;
    }
    if (column >= 12 && column <= 13 && row >= 1 && row <= 2) {
      return MOON;
    }
    return row < 2 ? NIGHT : SKY;
  }

  private static List<Frame> swell() {
    List<Frame> frames = new ArrayList<>();
    for (int step = 0; step < 8; step++) {
      byte[] rgb = new byte[STRIP * 3];
      for (int at = 0; at < STRIP; at++) {
        int phase = Math.floorMod(at - step * 5, STRIP);
        put(rgb, at, phase < 3 ? FOAM : phase < 12 ? SHALLOW : phase < 24 ? DEEP : NIGHT);
      }
      frames.add(new Frame(Picture.of(STRIP, 1, rgb), 370));
    }
    return frames;
  }

  static void put(byte[] rgb, int cell, int colour) {
    rgb[cell * 3] = (byte) (colour >> 16);
    rgb[cell * 3 + 1] = (byte) (colour >> 8);
    rgb[cell * 3 + 2] = (byte) colour;
  }

  /** Returns a clock with digits of four sorts, laid out only. */
  public static Gadget quayClock() {
    return DemoShapes.quayClock();
  }

  /** Returns a shelf with polygon, rings, bar, box, stack and loose emitters, laid out only. */
  public static Gadget reefShelf() {
    return DemoShapes.reefShelf();
  }

  /** Returns a post with pixels of three classes, each on a circuit of its own. */
  public static Gadget mooringPost() {
    return DemoPixels.mooringPost();
  }

  /** Returns a board of four numbers on shift registers, each digit on a chip of its own. */
  public static Gadget ferryBoard() {
    return DemoBoards.ferryBoard();
  }

  /** Single LEDs as rows and columns on pins. */
  public static Gadget fogBell() {
    return DemoMatrix.fogBell();
  }

  /** Returns thirty lights between six pins. */
  public static Gadget berthLamps() {
    return DemoTurns.berthLamps();
  }

  /** Returns a wand that is swept, and a strobe. */
  public static Gadget pierWand() {
    return DemoTurns.pierWand();
  }

  /** Returns a badge on a coin cell whose frames are made of an effect. */
  public static Gadget duneBadge() {
    return DemoMade.duneBadge();
  }

  /** Returns a sign whose frames are made of a text. */
  public static Gadget gullSign() {
    return DemoMade.gullSign();
  }

  /** Returns a clock that is set by one button. */
  public static Gadget ternClock() {
    return DemoMade.ternClock();
  }

  /** Returns a jar of rings whose moods a button changes. */
  public static Gadget skerryJar() {
    return DemoMade.skerryJar();
  }

  /** Returns a desk with a clock, lamps and a chart, each driven another way. */
  public static Gadget pilotDesk() {
    return DemoBoards.pilotDesk();
  }

  /** Returns a small lamp on a strip round a doorway that holds on a charging port. */
  public static Gadget porchBuoy() {
    Fixture strip =
        Fixture.of(
            "f1",
            "Door frame",
            new Strip(
                24,
                30,
                List.of(
                    new Point(0, 300), new Point(0, 0), new Point(200, 0), new Point(200, 300))));
    OneWirePixels chain =
        new OneWirePixels(
            "c1", "Data line", "B1", ColourOrder.GRB, 300, List.of("f1"), PixelClass.USUAL);
    List<Frame> frames = new ArrayList<>();
    for (int step = 0; step < 12; step++) {
      byte[] rgb = new byte[24 * 3];
      for (int at = 0; at < 24; at++) {
        put(
            rgb,
            at,
            Math.floorMod(at - step * 2, 12) < 3
                ? EMBER
                : Math.floorMod(at - step * 2, 12) < 6 ? 0x7a3510 : 0x200c04);
      }
      frames.add(new Frame(Picture.of(24, 1, rgb), 240));
    }
    return new Gadget(
        new Brief(
            "Porch buoy",
            "A slow ember round the door, lit from a charging port.",
            Controller.AVR8_8K,
            Optional.of(Supply.CLASSES.get(2))),
        Layout.EMPTY.withFixtures(List.of(strip)),
        new Circuits(List.of(chain)),
        new ColourSettings(new Transfer.Srgb(), 60),
        new PowerSettings(20, PlanningBasis.WORST_CASE, 20),
        new Programme(List.of(new Clip("k1", "Ember", "f1", frames))));
  }
}
