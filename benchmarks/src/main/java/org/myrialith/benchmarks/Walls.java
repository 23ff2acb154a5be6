package org.myrialith.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/**
 * Gadgets of any size to measure with: one panel that plays noise, of which no frame is like
 * another.
 */
final class Walls {
  private static final int HOLD_MS = 40;
  private static final int PITCH_MM = 10;

  private Walls() {}

  static Gadget playing(int columns, int rows, int frames) {
    Panel panel = new Panel(columns, rows, PITCH_MM, PITCH_MM, Corner.TOP_LEFT, false, true, 0);
    Gadget gadget = Gadget.blank("Wall").with(Fixture.of("f1", "Wall", panel, 0, 0));
    return gadget
        .with(OneWirePixels.usual("c1", List.of("f1")))
        .with(new Programme(List.of(noise(columns, rows, frames))));
  }

  /** Panels of 250 emitters, ten in a row. */
  static List<Fixture> panels(int count) {
    List<Fixture> panels = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Panel panel = new Panel(25, 10, PITCH_MM, PITCH_MM, Corner.TOP_LEFT, false, true, 0);
      panels.add(Fixture.of("f" + i, "Panel", panel, i % 10 * 300, i / 10 * 120));
    }
    return panels;
  }

  private static Clip noise(int columns, int rows, int frames) {
    Random random = new Random(7);
    List<Frame> all = new ArrayList<>();
    for (int i = 0; i < frames; i++) {
      byte[] rgb = new byte[columns * rows * 3];
      random.nextBytes(rgb);
      all.add(new Frame(Picture.of(columns, rows, rgb), HOLD_MS));
    }
    return new Clip("a1", "Noise", "f1", all);
  }
}
