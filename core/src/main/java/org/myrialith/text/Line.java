package org.myrialith.text;

import java.text.Bidi;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import org.myrialith.formats.BdfFont;

/**
 * A line of text in dots, laid out left to right as it is seen.
 *
 * @param columns wide
 * @param rows high, with what stands beyond the rows of the font
 * @param over rows of that above the font's own
 * @param lit dots row by row from the left top
 * @param missing characters that the font has no glyph for, each once
 * @param leftward whether it is read from right to left
 */
public record Line(
    int columns, int rows, int over, boolean[] lit, List<String> missing, boolean leftward) {
  /** A glyph and where it begins. */
  private record Set(BdfFont.Glyph glyph, int pen) {
    int left() {
      return pen + glyph.left();
    }

    int right() {
      return Math.max(left() + glyph.width(), pen + glyph.advance());
    }
  }

  /**
   * Sets a text. Letters and accents that come apart are put together (Unicode normalization form
   * C); an accent that stays apart is laid over the letter before it. Text from right to left is
   * put in the order in which it is seen (Unicode bidirectional algorithm). What the font lacks is
   * shown by what it has for that, else left out; so are control characters.
   */
  public static Line of(String text, BdfFont font) {
    String whole = Normalizer.normalize(text, Normalizer.Form.NFC);
    boolean leftward = leftward(whole);
    List<String> missing = new ArrayList<>();
    List<Set> glyphs = set(seen(whole), font, missing);
    int left = glyphs.stream().mapToInt(Set::left).min().orElse(0);
    int right = glyphs.stream().mapToInt(Set::right).max().orElse(0);
    int over = 0;
    int under = 0;
    for (Set one : glyphs) {
      over = Math.max(over, -top(one.glyph(), font));
      under = Math.max(under, top(one.glyph(), font) + one.glyph().rows().size() - font.height());
    }
    int begins = Math.min(0, left);
    int columns = Math.max(0, right - begins);
    int rows = font.height() + over + under;
    boolean[] lit = new boolean[columns * rows];
    for (Set one : glyphs) {
      draw(one.glyph(), one.left() - begins, top(one.glyph(), font) + over, columns, lit);
    }
    return new Line(columns, rows, over, lit, List.copyOf(missing), leftward);
  }

  /** The row of a glyph's highest dots, from the highest of the font. */
  private static int top(BdfFont.Glyph glyph, BdfFont font) {
    return font.ascent() - glyph.foot() - glyph.rows().size();
  }

  private static List<Set> set(List<Integer> seen, BdfFont font, List<String> missing) {
    List<Set> glyphs = new ArrayList<>();
    int pen = 0;
    int before = 0;
    for (int c : seen) {
      BdfFont.Glyph glyph = font.glyph(c).orElse(font.glyphs().get(font.fallback()));
      if (font.glyph(c).isEmpty() && !missing.contains(Character.toString(c))) {
        missing.add(Character.toString(c));
      }
      if (glyph == null) {
        continue;
      }
      if (mark(c)) {
        glyphs.add(new Set(glyph, glyph.advance() == 0 ? pen : before));
      } else {
        glyphs.add(new Set(glyph, pen));
        before = pen;
        pen += glyph.advance();
      }
    }
    return glyphs;
  }

  /** Whether a character is laid over the one before it. */
  private static boolean mark(int c) {
    int type = Character.getType(c);
    return type == Character.NON_SPACING_MARK || type == Character.ENCLOSING_MARK;
  }

  private static Bidi bidi(String text) {
    return new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
  }

  private static boolean leftward(String text) {
    return !bidi(text).baseIsLeftToRight();
  }

  /** The characters in the order in which they are seen, each mark behind its letter. */
  private static List<Integer> seen(String text) {
    int[] points = text.codePoints().filter(c -> !Character.isISOControl(c)).toArray();
    if (points.length == 0) {
      return List.of();
    }
    String bare = new String(points, 0, points.length);
    Bidi bidi = bidi(bare);
    List<List<Integer>> letters = new ArrayList<>();
    List<Byte> levels = new ArrayList<>();
    int at = 0;
    for (int c : points) {
      int level = bidi.getLevelAt(at);
      at += Character.charCount(c);
      if (mark(c) && !letters.isEmpty()) {
        letters.get(letters.size() - 1).add(c);
      } else if (Character.getType(c) != Character.FORMAT) {
        letters.add(new ArrayList<>(List.of(level % 2 == 1 ? Mirrored.of(c) : c)));
        levels.add((byte) level);
      }
    }
    Object[] order = letters.toArray();
    byte[] each = new byte[levels.size()];
    for (int i = 0; i < each.length; i++) {
      each[i] = levels.get(i);
    }
    Bidi.reorderVisually(each, 0, order, 0, order.length);
    List<Integer> seen = new ArrayList<>();
    for (Object letter : order) {
      ((List<?>) letter).forEach(c -> seen.add((Integer) c));
    }
    return seen;
  }

  private static void draw(BdfFont.Glyph glyph, int left, int top, int width, boolean[] lit) {
    for (int row = 0; row < glyph.rows().size(); row++) {
      for (int column = 0; column < glyph.width(); column++) {
        if (glyph.lit(column, row)) {
          lit[(top + row) * width + left + column] = true;
        }
      }
    }
  }

  /** Returns whether a dot is lit, by the row from the font's highest; none beyond its ends. */
  public boolean at(int column, int row) {
    int here = row + over;
    return column >= 0
        && column < columns
        && here >= 0
        && here < rows
        && lit[here * columns + column];
  }
}
