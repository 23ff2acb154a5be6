package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** Strips with clips of several natures, so that each packing is the best for one of them. */
final class PackedGadgets {
  private PackedGadgets() {}

  /** Colours of a pixel in a frame, by chance that is the same each time. */
  private static byte[] colour(long seed, int colours) {
    byte[] one = new byte[3];
    new Random(new Random(seed).nextInt(colours)).nextBytes(one);
    return one;
  }

  /** All pixels differ, and in each frame a few are others than before. */
  static List<Frame> fewChange(int pixels, int frames, int colours, int changed, int hold) {
    Random random = new Random(pixels);
    byte[] rgb = new byte[pixels * 3];
    for (int p = 0; p < pixels; p++) {
      System.arraycopy(colour(random.nextLong(), colours), 0, rgb, 3 * p, 3);
    }
    List<Frame> all = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      all.add(new Frame(Picture.of(pixels, 1, rgb.clone()), hold));
      for (int c = 0; c < changed; c++) {
        byte[] one = colour(random.nextLong(), colours);
        System.arraycopy(one, 0, rgb, 3 * random.nextInt(pixels), 3);
      }
    }
    return all;
  }

  /** Noise of so many colours. */
  static List<Frame> noise(int pixels, int frames, int colours, int hold) {
    return fewChange(pixels, frames, colours, 8 * pixels, hold);
  }

  /** Strips one after another on a line; {@code white}: the last has white too. */
  static Gadget strips(Controller controller, boolean white, List<List<Frame>> clips) {
    List<Fixture> fixtures = new ArrayList<>();
    List<Clip> all = new ArrayList<>();
    List<OneWirePixels> lines = new ArrayList<>();
    for (int i = 0; i < clips.size(); i++) {
      String id = "f" + (i + 1);
      int pixels = clips.get(i).get(0).picture().columns();
      boolean four = white && i == clips.size() - 1;
      fixtures.add(
          FirmwareScenarios.of(
              Fixture.of(
                  id,
                  "Strip " + i,
                  new Strip(
                      pixels, 60, List.of(new Point(0, 30 * i), new Point(17 * pixels, 30 * i)))),
              four ? "one-wire-rgbw" : "one-wire-rgb"));
      OneWirePixels line =
          OneWirePixels.usual("c" + (i + 1), List.of(id)).onPin(controller.pins().get(i + 2));
      lines.add(four ? line.inOrder(ColourOrder.GRBW) : line);
      all.add(new Clip("k" + (i + 1), "Clip " + i, id, clips.get(i)));
    }
    return Gadgets.of(
        "Strips",
        "",
        controller,
        Optional.empty(),
        fixtures,
        List.copyOf(lines),
        new ColourSettings(new Transfer.PowerLaw(1), 100),
        PowerSettings.USUAL,
        all);
  }
}
