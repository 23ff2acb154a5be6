package org.myrialith.formats;

import java.util.Arrays;

/**
 * Lays the pictures of a GIF over each other as their disposal methods say: 0 and 1 leave, 2 clears
 * the part to transparent, 3 brings back what was there before (GIF89a, 23).
 */
final class GifDecoder {
  private static final int CLEAR = 2;
  private static final int PREVIOUS = 3;
  private static final int OPAQUE = 0xff000000;

  /** First row and distance of rows of the four passes of an interlaced picture (GIF89a, E). */
  private static final int[][] PASSES = {{0, 8}, {4, 8}, {2, 4}, {1, 2}};

  private final byte[] file;
  private final GifOutline outline;
  private final int[] canvas;

  GifDecoder(byte[] file, GifOutline outline) {
    this.file = file;
    this.outline = outline;
    this.canvas = new int[outline.columns() * outline.rows()];
  }

  void decode(ImageFile.FrameSink sink) throws ImageRefused {
    for (GifOutline.Part part : outline.parts()) {
      int[] before = part.control().disposal() == PREVIOUS ? canvas.clone() : null;
      lay(part);
      Raster whole = new Raster(outline.columns(), outline.rows(), canvas.clone());
      if (!sink.take(whole, part.control().delayMillis())) {
        return;
      }
      dispose(part, before);
    }
  }

  private void lay(GifOutline.Part part) throws ImageRefused {
    byte[] indices = GifCodes.decode(file, part.data(), part.columns() * part.rows());
    int[] colours = colours(part);
    int read = 0;
    for (int y : rows(part)) {
      int row = part.y() + y;
      for (int x = 0; x < part.columns(); x++) {
        int index = indices[read++] & 0xff;
        int column = part.x() + x;
        boolean inside = row < outline.rows() && column < outline.columns();
        if (inside && index != part.control().transparent() && index < colours.length) {
          canvas[row * outline.columns() + column] = colours[index];
        }
      }
    }
  }

  /** The rows in the order in which they are stored. */
  private static int[] rows(GifOutline.Part part) {
    int[] order = new int[part.rows()];
    int at = 0;
    for (int[] pass : part.interlaced() ? PASSES : new int[][] {{0, 1}}) {
      for (int y = pass[0]; y < part.rows(); y += pass[1]) {
        order[at++] = y;
      }
    }
    return order;
  }

  private int[] colours(GifOutline.Part part) throws ImageRefused {
    if (part.colours() < 0) {
      throw ImageFile.damaged("a picture without colours");
    }
    int[] colours = new int[part.tableSize()];
    for (int i = 0; i < colours.length; i++) {
      int at = part.colours() + 3 * i;
      colours[i] =
          OPAQUE | (file[at] & 0xff) << 16 | (file[at + 1] & 0xff) << 8 | file[at + 2] & 0xff;
    }
    return colours;
  }

  private void dispose(GifOutline.Part part, int[] before) {
    if (part.control().disposal() == CLEAR) {
      int from = Math.min(part.x(), outline.columns());
      int to = Math.min(part.x() + part.columns(), outline.columns());
      for (int y = part.y(); y < Math.min(part.y() + part.rows(), outline.rows()); y++) {
        Arrays.fill(canvas, y * outline.columns() + from, y * outline.columns() + to, 0);
      }
    } else if (before != null) {
      System.arraycopy(before, 0, canvas, 0, canvas.length);
    }
  }
}
