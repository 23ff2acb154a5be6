package org.myrialith.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

/**
 * A font of dots, read from a file in the Glyph Bitmap Distribution Format, 2.1 (Adobe, 1993).
 *
 * @param ascent rows above the baseline
 * @param descent rows below it
 * @param glyphs by their encodings
 * @param fallback shown for what is missing, -1 for none
 */
public record BdfFont(int ascent, int descent, Map<Integer, Glyph> glyphs, int fallback) {
  /** Longest file that is read (characters). */
  public static final int MOST_LENGTH = 12 << 20;

  /** Allowed heights of a font, and sides of a glyph. */
  public static final Bounds HEIGHT = Bounds.count(1, 128);

  private static final Bounds SIDE = Bounds.count(0, 256);
  private static final Bounds OFFSET = Bounds.count(-256, 256);
  private static final int MOST_GLYPHS = 70_000;
  private static final String FONT = "font";

  /**
   * A glyph.
   *
   * @param advance to the next (dots)
   * @param width of its dots
   * @param left from where it begins to its dots, may be below 0
   * @param foot of its lowest row, above the baseline
   * @param rows from the top, the leftmost dot in the highest of {@code width} bits
   */
  public record Glyph(int advance, int width, int left, int foot, List<long[]> rows) {
    /** Returns whether a dot is lit. */
    public boolean lit(int column, int row) {
      return (rows.get(row)[column / Long.SIZE] >>> Long.SIZE - 1 - column % Long.SIZE & 1) == 1;
    }
  }

  public BdfFont {
    glyphs = Map.copyOf(glyphs);
  }

  /** Returns the rows of a line. */
  public int height() {
    return ascent + descent;
  }

  /** Returns the glyph of a character; empty when the font has none. */
  public Optional<Glyph> glyph(int character) {
    return Optional.ofNullable(glyphs.get(character));
  }

  /**
   * Reads a file.
   *
   * @throws InputException that names the line that can't be read
   */
  public static BdfFont read(String text) {
    if (text.length() > MOST_LENGTH) {
      throw refused(0, text.length() + " characters", "at most " + MOST_LENGTH + " characters");
    }
    return new Reader(text.split("\\R")).font();
  }

  private static InputException refused(int line, String read, String allowed) {
    return new InputException(line == 0 ? FONT : FONT + ", line " + line, read, allowed);
  }

  /** Mutable, reads one file. */
  private static final class Reader {
    private final String[] lines;
    private int at;
    private int ascent = Integer.MIN_VALUE;
    private int descent = Integer.MIN_VALUE;
    private int boxHeight;
    private int boxFoot;
    private int fallback = -1;
    private final Map<Integer, Glyph> glyphs = new LinkedHashMap<>();

    Reader(String[] lines) {
      this.lines = lines;
    }

    private String[] next() {
      while (at < lines.length) {
        String line = lines[at++].strip();
        if (!line.isEmpty()) {
          return line.split("\\s+");
        }
      }
      throw refused(lines.length, "the end of the file", "ENDFONT before it");
    }

    private int number(String[] words, int word, Bounds bounds) {
      if (word >= words.length) {
        throw refused(at, String.join(" ", words), words[0] + " with more numbers");
      }
      try {
        double read = Double.parseDouble(words[word]);
        if (bounds.allow(read)) {
          return (int) read;
        }
      } catch (NumberFormatException e) {
        // told below
      }
      throw refused(at, String.join(" ", words), words[0] + " with " + bounds.allowed());
    }

    BdfFont font() {
      if (lines.length == 0 || !next()[0].equals("STARTFONT")) {
        throw refused(1, lines.length == 0 ? "" : shortened(lines[0]), "STARTFONT 2.1");
      }
      String[] words = next();
      while (!words[0].equals("ENDFONT")) {
        take(words);
        words = next();
      }
      int high = ascent == Integer.MIN_VALUE ? boxHeight + boxFoot : ascent;
      int low = descent == Integer.MIN_VALUE ? -boxFoot : descent;
      if (!HEIGHT.allow(high + low)) {
        throw refused(0, high + low + " rows high", HEIGHT.allowed() + " rows");
      }
      if (glyphs.isEmpty()) {
        throw refused(0, "no glyphs", "a glyph at least");
      }
      return new BdfFont(high, low, new HashMap<>(glyphs), fallback);
    }

    private static String shortened(String line) {
      return line.length() <= 40 ? line : line.substring(0, 40) + "…";
    }

    private void take(String[] words) {
      switch (words[0]) {
        case "FONTBOUNDINGBOX" -> {
          number(words, 1, HEIGHT);
          boxHeight = number(words, 2, HEIGHT);
          boxFoot = number(words, 4, OFFSET);
        }
        case "FONT_ASCENT" -> ascent = number(words, 1, OFFSET);
        case "FONT_DESCENT" -> descent = number(words, 1, OFFSET);
        case "DEFAULT_CHAR" -> fallback = number(words, 1, Bounds.count(-1, 0x10ffff));
        case "STARTCHAR" -> glyph();
        default -> {
          // names, sizes in points, properties: not asked for
        }
      }
    }

    private void glyph() {
      int encoding = -1;
      int advance = -1;
      int[] box = null;
      String[] words = next();
      while (!words[0].equals("BITMAP")) {
        switch (words[0]) {
          case "ENCODING" -> encoding = number(words, 1, Bounds.count(-1, 0x10ffff));
          case "DWIDTH" -> advance = number(words, 1, SIDE);
          case "BBX" ->
              box =
                  new int[] {
                    number(words, 1, SIDE),
                    number(words, 2, SIDE),
                    number(words, 3, OFFSET),
                    number(words, 4, OFFSET)
                  };
          case "ENDCHAR", "ENDFONT", "STARTCHAR" -> throw refused(at, words[0], "BITMAP before it");
          default -> {
            // widths for printing: not asked for
          }
        }
        words = next();
      }
      if (box == null) {
        throw refused(at, "BITMAP", "BBX before it");
      }
      Glyph read =
          new Glyph(advance < 0 ? box[0] : advance, box[0], box[2], box[3], rows(box[0], box[1]));
      if (encoding >= 0) {
        glyphs.putIfAbsent(encoding, read);
      }
      if (glyphs.size() > MOST_GLYPHS) {
        throw refused(at, "more glyphs", "at most " + MOST_GLYPHS);
      }
    }

    private List<long[]> rows(int width, int height) {
      List<long[]> rows = new ArrayList<>();
      for (String word = next()[0]; !word.equals("ENDCHAR"); word = next()[0]) {
        rows.add(row(word, width));
      }
      if (rows.size() != height) {
        throw refused(at, rows.size() + " rows of dots", height + ", as BBX says");
      }
      return List.copyOf(rows);
    }

    private long[] row(String hex, int width) {
      if (!hex.matches("[0-9a-fA-F]+") || hex.length() * 4 < width) {
        throw refused(at, shortened(hex), (width + 7) / 8 * 2 + " digits of base 16");
      }
      long[] bits = new long[width / Long.SIZE + 1];
      for (int column = 0; column < width; column++) {
        int digit = Character.digit(hex.charAt(column / 4), 16);
        if ((digit >> 3 - column % 4 & 1) == 1) {
          bits[column / Long.SIZE] |= 1L << Long.SIZE - 1 - column % Long.SIZE;
        }
      }
      return bits;
    }
  }
}
