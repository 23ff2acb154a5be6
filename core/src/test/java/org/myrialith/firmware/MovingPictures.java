package org.myrialith.firmware;

import java.awt.Color;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.colour.Transfer;
import org.myrialith.firmware.pack.Order;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** Frames as makers show them on panels, strips and rings. */
final class MovingPictures {
  private static final int SIDE = 16;
  private static final int[] COLOURS = {
    0x000000, 0xff2800, 0xffc800, 0x0078ff, 0xffffff, 0x1e5a0a, 0x5a005a, 0x0a0a3c
  };

  private MovingPictures() {}

  /** A colour of a place of a frame. */
  private interface Shown {
    int at(int frame, int x, int y);
  }

  /** So many frames of a picture of so many columns and rows. */
  private record Kind(int count, int columns, int rows, Shown shown) {
    static Kind panel(int count, Shown shown) {
      return new Kind(count, SIDE, SIDE, shown);
    }

    static Kind strip(int count, int pixels, Shown shown) {
      return new Kind(count, pixels, 1, shown);
    }

    Gadget gadget() {
      List<Frame> frames = new ArrayList<>();
      for (int f = 0; f < count; f++) {
        byte[] rgb = new byte[3 * columns * rows];
        for (int i = 0; i < columns * rows; i++) {
          int one = shown.at(f, i % columns, i / columns);
          rgb[3 * i] = (byte) (one >> 16);
          rgb[3 * i + 1] = (byte) (one >> 8);
          rgb[3 * i + 2] = (byte) one;
        }
        frames.add(new Frame(Picture.of(columns, rows, rgb), 40));
      }
      Panel panel = new Panel(columns, rows, 8, 8, Corner.TOP_LEFT, false, true, 0);
      return Gadgets.of(
          "Kind",
          "",
          Controller.AVR8_256K,
          Optional.empty(),
          List.of(FirmwareScenarios.of(Fixture.of("f1", "Panel", panel), "one-wire-rgb")),
          List.of(OneWirePixels.usual("c1", List.of("f1"))),
          new ColourSettings(new Transfer.PowerLaw(1), 100),
          PowerSettings.USUAL,
          List.of(new Clip("k1", "Kind", "f1", frames)));
    }
  }

  static Map<String, List<Packing.Frame>> all() {
    Map<String, List<Packing.Frame>> all = new LinkedHashMap<>();
    some().forEach((name, kind) -> all.put(name, frames(kind)));
    return all;
  }

  private static Map<String, Kind> some() {
    Map<String, Kind> all = new LinkedHashMap<>();
    all.put("walker", Kind.panel(40, walker()));
    all.put("ball", Kind.panel(48, MovingPictures::ball));
    all.put("fire", Kind.panel(60, fire()));
    all.put("waves", Kind.panel(32, MovingPictures::waves));
    all.put("sparkle", Kind.strip(80, 60, sparkle()));
    all.put("chase", Kind.strip(24, 24, MovingPictures::chase));
    all.put("rainbow", Kind.strip(60, 60, (f, x, y) -> Color.HSBtoRGB((x + f) % 60 / 60f, 1, 1)));
    return all;
  }

  /** Twenty kinds of shows that makers play, frame after frame. */
  static Map<String, Gadget> twenty() {
    Map<String, Kind> all = some();
    int[] noise = new Random(7).ints(40_000, 0, 1 << 24).toArray();
    all.put("one light that walks", Kind.strip(60, 60, (f, x, y) -> x == f ? 0xffc040 : 0));
    all.put(
        "light to and fro", Kind.strip(58, 30, (f, x, y) -> x == (f < 30 ? f : 58 - f) ? 255 : 0));
    all.put("wipe along", Kind.strip(61, 60, (f, x, y) -> x < f ? 0xff40 : 0));
    all.put("wipe across", Kind.panel(17, (f, x, y) -> x < f ? 0xff8000 : 0x20));
    all.put("checkers", Kind.panel(2, (f, x, y) -> (x + y + f) % 2 == 0 ? 0xff0000 : 0xff));
    all.put("checkers that walk", Kind.panel(16, (f, x, y) -> ((x + f) / 4 + y / 4) % 2 * 0xff00));
    all.put(
        "breathing",
        Kind.strip(60, 30, (f, x, y) -> (int) (127 - 127 * Math.cos(f * Math.PI / 30)) << 8));
    all.put("plasma", Kind.panel(48, MovingPictures::plasma));
    all.put("noise", Kind.strip(20, 96, (f, x, y) -> noise[96 * f + x]));
    all.put(
        "noise of eight colours", Kind.strip(40, 96, (f, x, y) -> COLOURS[noise[96 * f + x] & 7]));
    all.put(
        "rain", Kind.panel(16, (f, x, y) -> (y + noise[x] % 16 + 16 - f) % 16 == 0 ? 0x4060ff : 0));
    all.put("blink", Kind.strip(2, 40, (f, x, y) -> f * 0xff0000));
    all.put(
        "one picture into another",
        Kind.panel(32, (f, x, y) -> between(noise[16 * y + x], noise[999 + 16 * y + x], f)));
    Map<String, Gadget> gadgets = new LinkedHashMap<>();
    all.forEach((name, kind) -> gadgets.put(name, kind.gadget()));
    return gadgets;
  }

  private static int plasma(int f, int x, int y) {
    double turn = f * Math.PI / 24;
    double heat =
        Math.sin(x * 0.3 + turn) + Math.sin(y * 0.4 - turn) + Math.sin((x + y) * 0.2 + turn);
    return Color.HSBtoRGB((float) (heat / 6 + 0.5), 1, 1);
  }

  private static int between(int one, int other, int f) {
    int mixed = 0;
    for (int shift = 0; shift < 24; shift += 8) {
      mixed |= ((one >> shift & 255) * (31 - f) + (other >> shift & 255) * f) / 31 << shift;
    }
    return mixed;
  }

  /** The order of a panel whose rows are wired to and fro. */
  static Order serpentine(int columns, int rows) {
    int[] cells = new int[columns * rows];
    for (int i = 0; i < cells.length; i++) {
      int row = i / columns;
      cells[i] = row * columns + (row % 2 == 0 ? i % columns : columns - 1 - i % columns);
    }
    return Order.of(cells, columns);
  }

  private static List<Packing.Frame> frames(Kind kind) {
    int columns = kind.columns();
    int rows = kind.rows();
    Order order = serpentine(columns, rows);
    List<Packing.Frame> frames = new ArrayList<>();
    for (int f = 0; f < kind.count(); f++) {
      byte[] wire = new byte[3 * columns * rows];
      for (int i = 0; i < columns * rows; i++) {
        int row = i / columns;
        int column = row % 2 == 0 ? i % columns : columns - 1 - i % columns;
        int rgb = kind.shown().at(f, column, row);
        wire[3 * i] = (byte) (rgb >> 8);
        wire[3 * i + 1] = (byte) (rgb >> 16);
        wire[3 * i + 2] = (byte) rgb;
      }
      frames.add(new Packing.Frame(Levels.of(wire), 3, order));
    }
    return frames.stream().distinct().toList();
  }

  private static Shown walker() {
    Random random = new Random(5);
    int[][][] poses = new int[2][8][8];
    for (int[][] pose : poses) {
      for (int[] row : pose) {
        for (int x = 0; x < 8; x++) {
          row[x] = random.nextInt(3) == 0 ? 0 : x > 2 && x < 6 ? 1 + random.nextInt(3) : 4;
        }
      }
    }
    return (f, x, y) -> {
      int own = Math.floorMod(x - f, SIDE);
      int high = y - 4 - (f % 4 == 1 ? 1 : 0);
      boolean on = own < 8 && high >= 0 && high < 8;
      int colour = on ? poses[f / 2 % 2][high][own] : 0;
      return COLOURS[colour != 0 ? colour : y > 12 ? 7 : 0];
    };
  }

  private static int ball(int f, int x, int y) {
    double across = x - 8 - 6 * Math.sin(f / 48.0 * 2 * Math.PI);
    double down = y - 8 - 5 * Math.cos(f / 24.0 * 2 * Math.PI);
    boolean on = across * across + down * down < 6;
    return COLOURS[on ? 2 : (x / 4 + y / 4) % 2 == 0 ? 7 : 3];
  }

  private static int heat(int step) {
    int red = Math.min(255, step * 40);
    int green = Math.max(0, Math.min(255, (step - 4) * 30));
    int blue = Math.max(0, Math.min(255, (step - 10) * 40));
    return red << 16 | green << 8 | blue;
  }

  private static Shown fire() {
    Random random = new Random(8);
    int[][][] all = new int[60][SIDE + 1][SIDE];
    for (int f = 0; f < all.length; f++) {
      for (int x = 0; x < SIDE; x++) {
        all[f][SIDE][x] = 6 + random.nextInt(10);
      }
      for (int y = 0; y < SIDE; y++) {
        for (int x = 0; x < SIDE; x++) {
          int[] below = all[f == 0 ? 0 : f - 1][y + 1];
          int sum = below[x] + below[(x + 1) % SIDE] + below[(x + SIDE - 1) % SIDE];
          all[f][y][x] = Math.max(0, sum / 3 - random.nextInt(2));
        }
      }
    }
    return (f, x, y) -> heat(all[f][y][x]);
  }

  private static int waves(int f, int x, int y) {
    double turn = f * Math.PI / 16;
    return heat(
        (int) (8 + 3.5 * Math.sin(x / 3.0 + turn) + 3.5 * Math.sin(y / 4.0 + x / 5.0 - turn)));
  }

  private static Shown sparkle() {
    Random random = new Random(3);
    int[][] all = new int[80][60];
    for (int f = 0; f < all.length; f++) {
      for (int x = 0; x < 60; x++) {
        all[f][x] = f == 0 ? 0 : Math.max(0, all[f - 1][x] - 40);
      }
      all[f][random.nextInt(60)] = 240;
      all[f][random.nextInt(60)] = 240;
    }
    return (f, x, y) -> all[f][x] << 16 | all[f][x] * 3 / 4 << 8 | all[f][x] / 3;
  }

  private static int chase(int f, int x, int y) {
    double left = Math.max(0, 1 - (f - x + 24) % 24 / 8.0);
    return (int) (255 * left * left);
  }
}
