package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;

/** A post at a landing stage with pixels of three classes, each on a circuit of its own. */
final class DemoPixels {
  private static final int BEACON = 16;
  private static final int LAMP = 20;
  private static final int ROPE = 12;

  private DemoPixels() {}

  private static int scaled(int colour, double by) {
    int red = (int) Math.round((colour >> 16) * by);
    int green = (int) Math.round((colour >> 8 & 255) * by);
    int blue = (int) Math.round((colour & 255) * by);
    return red << 16 | green << 8 | blue;
  }

  private interface Light {
    int at(int frame, int emitter);
  }

  private static Clip clip(
      String id, String name, String fixture, int emitters, int frames, int hold, Light light) {
    List<Frame> all = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      byte[] rgb = new byte[emitters * 3];
      for (int e = 0; e < emitters; e++) {
        DemoGadgets.put(rgb, e, light.at(f, e));
      }
      all.add(new Frame(Picture.of(emitters, 1, rgb), hold));
    }
    return new Clip(id, name, fixture, all);
  }

  private static int beacon(int frame, int emitter) {
    int behind = Math.floorMod(frame - emitter, BEACON);
    return behind < 5 ? scaled(0x20c0ff, Math.pow(0.5, behind)) : 0x000814;
  }

  private static int lamp(int frame, int emitter) {
    double breath = 0.5 - 0.5 * Math.cos(2 * Math.PI * frame / 16);
    return scaled(0xffe0b0, 0.25 + 0.55 * breath * (emitter % 4 == 3 ? 0.4 : 1));
  }

  private static int rope(int frame, int emitter) {
    return (frame + emitter) % 4 == 0 ? 0xff5a10 : 0x301004;
  }

  /** Returns the post: a clocked ring, an RGBW strip and a string of the older one-wire class. */
  static Gadget mooringPost() {
    List<Fixture> fixtures =
        List.of(
            DemoShapes.fixture(
                "f1",
                "Beacon",
                new Ring(List.of(new Ring.Circle(BEACON, 55)), 0, 360, true),
                0,
                0,
                "clocked-rgb"),
            DemoShapes.fixture(
                "f2",
                "Lamp",
                new Strip(LAMP, 60, List.of(new Point(0, 0), new Point(0, 340))),
                -110,
                -60,
                "one-wire-rgbw"),
            DemoShapes.fixture(
                "f3",
                "Rope",
                new Strip(
                    ROPE, 30, List.of(new Point(0, 0), new Point(90, 230), new Point(300, 230))),
                70,
                40,
                "one-wire-rgb"));
    return new Gadget(
        new Brief(
            "Mooring post",
            "Marks the landing stage at night: a beacon turns, a lamp breathes, a rope glows. Old string from the drawer.",
            Controller.AVR8_32K,
            Optional.of(Supply.CLASSES.get(4))),
        Layout.EMPTY.withFixtures(fixtures),
        new Circuits(
            List.of(
                ClockedPixels.usual("c1", List.of("f1")).onPins("B3", "B5").called("Beacon ring"),
                OneWirePixels.usual("c2", List.of("f2"))
                    .inOrder(ColourOrder.GRBW)
                    .onPin("D6")
                    .called("Lamp line"),
                OneWirePixels.usual("c3", List.of("f3"))
                    .inOrder(ColourOrder.RGB)
                    .atRate(BitRate.KHZ_400)
                    .onPin("D5")
                    .called("Rope line"))),
        new ColourSettings(new Transfer.Srgb(), 80),
        new PowerSettings(20, PlanningBasis.WORST_CASE, 20),
        new Programme(
            List.of(
                clip("k1", "Turning", "f1", BEACON, BEACON, 120, DemoPixels::beacon),
                clip("k2", "Breathing", "f2", LAMP, 16, 120, DemoPixels::lamp),
                clip("k3", "Glow", "f3", ROPE, 4, 480, DemoPixels::rope))));
  }
}
