package org.myrialith.text;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.formats.BdfFont;

/**
 * What a text shows on so many columns and rows.
 *
 * @param shots pictures one after the other
 * @param missing characters that the font lacks
 * @param lettersPerSecond that are to be read
 * @param wide columns of the widest page, or of a text that stands; 0 for one that scrolls
 * @param cut whether lit dots lie above or below the cells, though the font's rows do not
 */
public record CaptionPlan(
    Caption caption,
    int columns,
    int rows,
    BdfFont font,
    List<Shot> shots,
    List<String> missing,
    double lettersPerSecond,
    boolean cut,
    int wide) {
  /** Most pictures. */
  public static final int MOST_SHOTS = 2000;

  /** Captions of films are no faster (letters a second), common practice. */
  private static final double READABLE = 15;

  private static final double COMFORTABLE = 10;

  /**
   * A picture.
   *
   * @param rgb red, green, blue of each cell, row by row
   */
  public record Shot(byte[] rgb, int holdMillis) {}

  /**
   * Works it out.
   *
   * @param own fonts of the gadget
   * @throws InputException for a font that is not there, a text of more pictures than there may be
   */
  public static CaptionPlan of(Caption caption, List<FontFile> own, int columns, int rows) {
    BdfFont font =
        Fonts.of(caption.font(), own)
            .orElseThrow(
                () ->
                    new InputException(
                        "font", caption.font(), String.join(", ", Fonts.titles(own).keySet())));
    return new Setting(caption, font, columns, rows).plan();
  }

  /** Returns what is to be said of it, the length of it first. */
  public List<String> notes() {
    List<String> notes = new ArrayList<>();
    double seconds = shots.stream().mapToInt(Shot::holdMillis).sum() / 1000.0;
    notes.add(
        phrase(
            "%s, %s. %s letters per second: %s.",
            shots.size() == 1 ? "1 frame" : Quantity.number(shots.size()) + " frames",
            Quantity.text(seconds, "s"),
            Quantity.number(Math.round(10 * lettersPerSecond) / 10.0),
            cutOff().isPresent()
                ? "part of it is cut off"
                : lettersPerSecond > READABLE
                    ? "too fast to read"
                    : lettersPerSecond > COMFORTABLE ? "fast" : "easy to read"));
    if (!missing.isEmpty()) {
      notes.add(phrase("The font has no %s.", String.join(" ", missing)));
    }
    Joined.script(caption.text())
        .ifPresent(
            script ->
                notes.add(
                    phrase(
                        "%s letters join in writing; a dot font shows each letter separately.",
                        script)));
    cutOff().ifPresent(notes::add);
    return List.copyOf(notes);
  }

  /**
   * Returns in words what of a text is beyond so many columns and rows, without setting its
   * pictures; empty when all is seen, or the font is not there.
   */
  public static Optional<String> cutOff(
      Caption caption, List<FontFile> own, int columns, int rows) {
    return Fonts.of(caption.font(), own)
        .flatMap(
            font -> {
              Setting setting = new Setting(caption, font, columns, rows);
              Line line = setting.line(caption.text().replaceAll("\\s+", " ").strip());
              int wide = caption.way() == Caption.Way.STANDS ? Setting.inked(line) : 0;
              return cutOff(font, wide, setting.beyond(line), columns, rows);
            });
  }

  private Optional<String> cutOff() {
    return cutOff(font, wide, cut, columns, rows);
  }

  private static Optional<String> cutOff(
      BdfFont font, int wide, boolean cut, int columns, int rows) {
    List<String> cuts = new ArrayList<>();
    if (wide > columns) {
      cuts.add(
          phrase(
              "Text width %s, fixture %s: cut off on both sides.",
              Quantity.text(wide, "columns"), Quantity.text(columns, "columns")));
    }
    if (cut) {
      cuts.add("Accents or other dots above or below the fixture are cut off.");
    }
    if (font.height() > rows) {
      cuts.add(
          phrase(
              "Font height %s, fixture %s: the rest is cut off.",
              Quantity.text(font.height(), "rows"), Quantity.text(rows, "rows")));
    }
    return cuts.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", cuts));
  }

  /** Mutable while one text is set. */
  private record Setting(Caption caption, BdfFont font, int columns, int rows) {
    CaptionPlan plan() {
      return switch (caption.way()) {
        case SCROLLS -> scrolls();
        case PAGES -> pages(wrapped());
        case STANDS -> pages(List.of(caption.text().strip()));
      };
    }

    private Line line(String text) {
      return Line.of(text, font);
    }

    private CaptionPlan scrolls() {
      Line line = line(caption.text().replaceAll("\\s+", " "));
      long count = (long) line.columns() + columns;
      if (count > MOST_SHOTS) {
        throw new InputException(
            "text",
            phrase("%d columns including the dark ones before it", count),
            phrase("at most %d, a frame each", MOST_SHOTS));
      }
      List<Shot> shots = new ArrayList<>();
      for (int step = 0; step < count; step++) {
        int left = line.leftward() ? step - line.columns() : columns - step;
        shots.add(new Shot(picture(line, left), hold(step)));
      }
      double letters = caption.text().codePointCount(0, caption.text().length());
      double seconds = line.columns() / (double) caption.dotsPerSecond();
      return done(shots, line.missing(), seconds > 0 ? letters / seconds : 0, beyond(line), 0);
    }

    /** Whole milliseconds whose sum keeps the speed. */
    private int hold(int step) {
      long before = Math.round(1000.0 * step / caption.dotsPerSecond());
      return (int) (Math.round(1000.0 * (step + 1) / caption.dotsPerSecond()) - before);
    }

    private CaptionPlan pages(List<String> texts) {
      if (texts.size() > MOST_SHOTS) {
        throw new InputException(
            "text", texts.size() + " pages", "at most " + MOST_SHOTS + " pages");
      }
      List<Shot> shots = new ArrayList<>();
      Set<String> missing = new LinkedHashSet<>();
      double most = 0;
      boolean cut = false;
      int wide = 0;
      for (String text : texts) {
        Line line = line(text);
        missing.addAll(line.missing());
        shots.add(new Shot(picture(line, (columns - line.columns()) / 2), caption.pageMillis()));
        most = Math.max(most, text.codePointCount(0, text.length()));
        cut |= beyond(line);
        wide = Math.max(wide, inked(line));
      }
      return done(shots, List.copyOf(missing), most * 1000 / caption.pageMillis(), cut, wide);
    }

    private CaptionPlan done(
        List<Shot> shots, List<String> missing, double letters, boolean cut, int wide) {
      return new CaptionPlan(
          caption, columns, rows, font, List.copyOf(shots), missing, letters, cut, wide);
    }

    /** Whether dots that a font has beyond its own rows lie beyond the cells too. */
    private boolean beyond(Line line) {
      int top = top();
      boolean fits = font.height() <= rows;
      return fits && (top < line.over() || top + line.rows() - line.over() > rows);
    }

    /** The row of the font's highest dots. */
    private int top() {
      return Math.floorDiv(rows - font.height(), 2) + caption.down();
    }

    /** Words as many to a page as fit; a word that is wider is parted. */
    private List<String> wrapped() {
      List<String> pages = new ArrayList<>();
      String page = "";
      for (String word : caption.text().strip().split("\\s+")) {
        String both = page.isEmpty() ? word : page + " " + word;
        if (fits(both)) {
          page = both;
        } else {
          if (!page.isEmpty()) {
            pages.add(page);
          }
          page = parted(word, pages);
        }
      }
      pages.add(page);
      return pages;
    }

    private String parted(String word, List<String> pages) {
      String left = word;
      while (!fits(left)) {
        int end = 1;
        while (end < left.length() && fits(left.substring(0, end + 1))) {
          end++;
        }
        if (end >= left.length()) {
          break; // one letter that is wider than all: cut off
        }
        pages.add(left.substring(0, end));
        left = left.substring(end);
      }
      return left;
    }

    /** A last column of space needs no place. */
    private boolean fits(String text) {
      return inked(line(text)) <= columns;
    }

    private static int inked(Line line) {
      int used = line.columns();
      while (used > 0 && empty(line, used - 1)) {
        used--;
      }
      return used;
    }

    private static boolean empty(Line line, int column) {
      for (int row = -line.over(); row < line.rows() - line.over(); row++) {
        if (line.at(column, row)) {
          return false;
        }
      }
      return true;
    }

    private byte[] picture(Line line, int left) {
      byte[] rgb = new byte[3 * columns * rows];
      int top = top();
      for (int cell = 0; cell < columns * rows; cell++) {
        boolean lit = line.at(cell % columns - left, cell / columns - top);
        int tone = lit ? caption.colour() : caption.background();
        rgb[3 * cell] = (byte) (tone >> 16);
        rgb[3 * cell + 1] = (byte) (tone >> 8);
        rgb[3 * cell + 2] = (byte) tone;
      }
      return rgb;
    }
  }
}
