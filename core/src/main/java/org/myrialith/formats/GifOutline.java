package org.myrialith.formats;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;

/**
 * The block structure of a GIF (GIF89a, 17 to 27), walked without decoding, so that size and number
 * of frames are known and bounded before any picture is made. What other readers let pass, this one
 * lets pass too, with a note: a missing trailer, a file that is cut off behind a whole picture,
 * bytes between blocks, a part past the canvas.
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
 * @param notes what is not as it should be and was let pass, in words
 */
record GifOutline(int columns, int rows, List<Part> parts, List<String> notes) {

  /**
   * Where one picture goes on the canvas, and where the file has it.
   *
   * @param control what stood before it
   * @param colours first byte of the colour table; -1 when there is none
   * @param tableSize entries of the colour table
   * @param data the byte that says how wide the first codes are; sub-blocks follow
   */
  record Part(
      int x,
      int y,
      int columns,
      int rows,
      boolean interlaced,
      Control control,
      int colours,
      int tableSize,
      int data) {}

  /**
   * How a picture is shown.
   *
   * @param disposal 0 to 7 as stored
   * @param delayCentis as stored (1/100 s)
   * @param transparent index that leaves what is below; -1 for none
   */
  record Control(int disposal, int delayCentis, int transparent) {
    /** Shorter ones mean that nobody set one (common practice). */
    private static final int LEAST_CENTIS = 2;

    /** Returns the delay (ms), 0 when none is set. */
    int delayMillis() {
      return delayCentis < LEAST_CENTIS ? 0 : 10 * delayCentis;
    }

    static final Control NONE = new Control(0, 0, -1);
  }

  private static final int EXTENSION = 0x21;
  private static final int PICTURE = 0x2c;
  private static final int TRAILER = 0x3b;
  private static final int CONTROL = 0xf9;
  private static final int TABLE = 0x80;
  private static final int INTERLACED = 0x40;

  static GifOutline scan(byte[] file, ImageBounds bounds) throws ImageRefused {
    return new Walk(file, bounds).run();
  }

  /** Mutable position in the file. */
  private static final class Walk {
    private final byte[] file;
    private final ImageBounds bounds;
    private final List<String> notes = new ArrayList<>();
    private int at = 6;
    private Control control = Control.NONE;
    private int colours = -1;
    private int tableSize;
    private int widest;
    private int highest;
    private int stray;
    private boolean ended;

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
      if ((packed & TABLE) != 0) {
        colours = at;
        tableSize = 2 << (packed & 7);
      }
      skipTable(packed);
      List<Part> parts = new ArrayList<>();
      walk(parts, columns, rows);
      if (parts.isEmpty()) {
        throw new ImageRefused("frames", "none", "at least one frame");
      }
      if (stray > 0) {
        notes.add(phrase("%d bytes between the pictures belong to nothing; skipped.", stray));
      }
      long outside =
          parts.stream()
              .filter(p -> p.x() + p.columns() > columns || p.y() + p.rows() > rows)
              .count();
      if (outside > 0) {
        notes.add(phrase("Pictures beyond the canvas: %d; cropped.", outside));
      }
      return new GifOutline(columns, rows, List.copyOf(parts), List.copyOf(notes));
    }

    /** A file that is cut off has given its whole pictures before. */
    private void walk(List<Part> parts, int columns, int rows) throws ImageRefused {
      try {
        while (at < file.length) {
          switch (next()) {
            case EXTENSION -> extension();
            case PICTURE -> {
              Part part = picture();
              parts.add(part);
              widest = Math.max(widest, part.columns());
              highest = Math.max(highest, part.rows());
              bounds.requireFrames(
                  parts.size(), Math.max(columns, widest), Math.max(rows, highest));
            }
            case TRAILER -> {
              return;
            }
            default -> stray++;
          }
        }
      } catch (ImageRefused refused) {
        if (!ended || parts.isEmpty()) {
          throw refused;
        }
      }
      notes.add(
          ended
              ? phrase("The file is truncated; its %d whole pictures are imported.", parts.size())
              : "The end mark is missing; imported up to the last whole picture.");
    }

    private Part picture() throws ImageRefused {
      int x = word();
      int y = word();
      int columns = word();
      int rows = word();
      if (columns == 0 || rows == 0) {
        throw new ImageRefused("part", columns + " × " + rows, "at least one pixel");
      }
      bounds.requireSize(columns, rows);
      int packed = next();
      boolean own = (packed & TABLE) != 0;
      int table = own ? at : colours;
      skipTable(packed);
      int data = at;
      skip(1);
      skipBlocks();
      int size = own ? 2 << (packed & 7) : tableSize;
      boolean interlaced = (packed & INTERLACED) != 0;
      Part part = new Part(x, y, columns, rows, interlaced, control, table, size, data);
      control = Control.NONE;
      return part;
    }

    private void extension() throws ImageRefused {
      if (next() == CONTROL && at < file.length && file[at] == 4) {
        skip(1);
        int packed = next();
        int delay = word();
        int index = next();
        control = new Control(packed >> 2 & 7, delay, (packed & 1) == 0 ? -1 : index);
      }
      skipBlocks();
    }

    private void skipBlocks() throws ImageRefused {
      for (int length = next(); length != 0; length = next()) {
        skip(length);
      }
    }

    private void skipTable(int packed) throws ImageRefused {
      if ((packed & TABLE) != 0) {
        skip(3 << (packed & 7) + 1);
      }
    }

    private void skip(int bytes) throws ImageRefused {
      at += bytes;
      if (at > file.length) {
        ended = true;
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
