package org.myrialith.firmware;

import java.awt.Color;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.myrialith.colour.Levels;

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

  static Map<String, List<Packing.Frame>> all() {
    Map<String, List<Packing.Frame>> all = new LinkedHashMap<>();
    all.put("walker", pictures(40, walker()));
    all.put("ball", pictures(48, MovingPictures::ball));
    all.put("fire", pictures(60, fire()));
    all.put("waves", pictures(32, MovingPictures::waves));
    all.put("sparkle", strip(80, 60, sparkle()));
    all.put("chase", strip(24, 24, MovingPictures::chase));
    all.put("rainbow", strip(60, 60, (f, x, y) -> Color.HSBtoRGB((x + f) % 60 / 60f, 1, 1)));
    return all;
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

  private static List<Packing.Frame> pictures(int count, Shown shown) {
    return frames(count, SIDE, SIDE, shown);
  }

  private static List<Packing.Frame> strip(int count, int pixels, Shown shown) {
    return frames(count, pixels, 1, shown);
  }

  private static List<Packing.Frame> frames(int count, int columns, int rows, Shown shown) {
    Order order = serpentine(columns, rows);
    List<Packing.Frame> frames = new ArrayList<>();
    for (int f = 0; f < count; f++) {
      byte[] wire = new byte[3 * columns * rows];
      for (int i = 0; i < columns * rows; i++) {
        int row = i / columns;
        int column = row % 2 == 0 ? i % columns : columns - 1 - i % columns;
        int rgb = shown.at(f, column, row);
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
