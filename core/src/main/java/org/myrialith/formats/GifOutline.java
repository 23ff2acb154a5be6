package org.myrialith.formats;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;

/**
 * The block structure of a GIF, walked without decoding, so that size and number of frames are
 * known and bounded before any picture is made.
 *
 * <pre>
 * 6 signature, 2 columns, 2 rows, 1 packed (bit 7: global table, bits 0-2: its size), 1 background, 1 aspect, table
 * 0x21 label sub-blocks                extension; label 0xF9: 4 packed(bits 2-4 disposal, 0 transparent) delay(2) index
 * 0x2C x y columns rows packed table code-size sub-blocks     picture
 * 0x3B                                 trailer
 * sub-blocks: n, n bytes, …, 0
 * </pre>
 *
 * @param parts one for each picture
 */
record GifOutline(int columns, int rows, List<Part> parts) {

  /**
   * Where one picture goes on the canvas.
   *
   * @param disposal 0 to 7 as stored
   * @param delayCentis as stored (1/100 s)
   */
  record Part(int x, int y, int columns, int rows, int disposal, int delayCentis) {}

  static GifOutline scan(byte[] file, ImageBounds bounds) throws ImageRefused {
    return new Walk(file, bounds).run();
  }

  /** Mutable position in the file. */
  private static final class Walk {
    private final byte[] file;
    private final ImageBounds bounds;
    private int at = 6;
    private int disposal;
    private int delay;

    Walk(byte[] file, ImageBounds bounds) {
      this.file = file;
      this.bounds = bounds;
    }

    GifOutline run() throws ImageRefused {
      int columns = word();
      int rows = word();
      bounds.requireSize(columns, rows);
      int packed = next();
      skip(2);
      skipTable(packed);
      List<Part> parts = new ArrayList<>();
      for (int block = next(); block != 0x3b; block = next()) {
        if (block == 0x21) {
          extension();
        } else if (block == 0x2c) {
          parts.add(picture(columns, rows));
          bounds.requireFrames(parts.size(), columns, rows);
        } else {
          throw ImageFile.damaged(
              "unknown block 0x" + Integer.toHexString(block) + " at byte " + (at - 1));
        }
      }
      if (parts.isEmpty()) {
        throw new ImageRefused("frames", "none", "at least one frame");
      }
      return new GifOutline(columns, rows, List.copyOf(parts));
    }

    private Part picture(int canvasColumns, int canvasRows) throws ImageRefused {
      int x = word();
      int y = word();
      int columns = word();
      int rows = word();
      if (columns == 0 || rows == 0 || x + columns > canvasColumns || y + rows > canvasRows) {
        throw new ImageRefused(
            "part",
            phrase("%d × %d at %d, %d", columns, rows, x, y),
            "within the canvas of " + canvasColumns + " × " + canvasRows);
      }
      skipTable(next());
      skip(1);
      skipBlocks();
      Part part = new Part(x, y, columns, rows, disposal, delay);
      disposal = 0;
      delay = 0;
      return part;
    }

    private void extension() throws ImageRefused {
      if (next() == 0xf9 && at < file.length && file[at] == 4) {
        skip(1);
        disposal = next() >> 2 & 7;
        delay = word();
        skip(1);
      }
      skipBlocks();
    }

    private void skipBlocks() throws ImageRefused {
      for (int length = next(); length != 0; length = next()) {
        skip(length);
      }
    }

    private void skipTable(int packed) throws ImageRefused {
      if ((packed & 0x80) != 0) {
        skip(3 << (packed & 7) + 1);
      }
    }

    private void skip(int bytes) throws ImageRefused {
      at += bytes;
      if (at > file.length) {
        throw ImageFile.damaged("ends at byte " + file.length);
      }
    }

    private int next() throws ImageRefused {
      skip(1);
      return file[at - 1] & 0xff;
    }

    private int word() throws ImageRefused {
      return next() | next() << 8;
    }
  }
}
