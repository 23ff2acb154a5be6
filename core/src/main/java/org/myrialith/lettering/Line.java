package org.myrialith.lettering;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.formats.BdfFont;

/**
 * A line of text in dots.
 *
 * @param columns wide
 * @param rows high
 * @param lit dots row by row from the left top
 * @param missing characters that the font has no glyph for, each once
 */
public record Line(int columns, int rows, boolean[] lit, List<String> missing) {
  /**
   * Sets a text. What the font lacks is shown by what it has for that, else left out; so are
   * control characters.
   */
  public static Line of(String text, BdfFont font) {
    List<BdfFont.Glyph> glyphs = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    text.codePoints()
        .filter(c -> !Character.isISOControl(c))
        .forEach(
            c -> {
              BdfFont.Glyph glyph = font.glyph(c).orElse(font.glyphs().get(font.fallback()));
              if (font.glyph(c).isEmpty() && !missing.contains(Character.toString(c))) {
                missing.add(Character.toString(c));
              }
              if (glyph != null) {
                glyphs.add(glyph);
              }
            });
    int width = 0;
    int pen = 0;
    for (BdfFont.Glyph glyph : glyphs) {
      width = Math.max(width, pen + Math.max(glyph.advance(), glyph.left() + glyph.width()));
      pen += glyph.advance();
    }
    boolean[] lit = new boolean[width * font.height()];
    pen = 0;
    for (BdfFont.Glyph glyph : glyphs) {
      draw(glyph, pen, width, font, lit);
      pen += glyph.advance();
    }
    return new Line(width, font.height(), lit, List.copyOf(missing));
  }

  private static void draw(BdfFont.Glyph glyph, int pen, int width, BdfFont font, boolean[] lit) {
    int top = font.ascent() - glyph.foot() - glyph.rows().size();
    for (int row = 0; row < glyph.rows().size(); row++) {
      int y = top + row;
      for (int column = 0; column < glyph.width(); column++) {
        int x = pen + glyph.left() + column;
        if (glyph.lit(column, row) && y >= 0 && y < font.height() && x >= 0 && x < width) {
          lit[y * width + x] = true;
        }
      }
    }
  }

  /** Returns whether a dot is lit; none beyond its ends. */
  boolean at(int column, int row) {
    return column >= 0 && column < columns && row >= 0 && row < rows && lit[row * columns + column];
  }
}
