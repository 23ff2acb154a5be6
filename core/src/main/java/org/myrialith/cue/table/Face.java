package org.myrialith.cue.table;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.formats.BdfFont;
import org.myrialith.frames.edit.Characters;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Position;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.text.Line;

/** What characters of a readout look like: in dots of a picture, or on digits. */
sealed interface Face {
  /** Returns the cells that a character begins with at a place, all of them. */
  int[] cells(int place, int width);

  /** Returns which of them a character lights; empty when it can't be shown. */
  Optional<boolean[]> glyph(char character, int width);

  /** Returns how wide a character is. */
  default int width(char character) {
    return 1;
  }

  /** Characters in dots. */
  record Dots(BdfFont font, Fixture fixture, int column, int row) implements Face {
    private Line line(char character) {
      return Line.of(String.valueOf(character), font);
    }

    @Override
    public int width(char character) {
      return line(character).columns();
    }

    @Override
    public int[] cells(int place, int width) {
      int[] cells = new int[width * font.height()];
      for (int i = 0; i < cells.length; i++) {
        int x = column + place + i % width;
        int y = row + i / width;
        boolean inside = x >= 0 && x < fixture.seenColumns() && y >= 0 && y < fixture.seenRows();
        cells[i] = inside ? y * fixture.seenColumns() + x : -1;
      }
      return cells;
    }

    @Override
    public Optional<boolean[]> glyph(char character, int width) {
      Line line = line(character);
      if (!line.missing().isEmpty()) {
        return Optional.empty();
      }
      boolean[] lit = new boolean[width * font.height()];
      for (int y = 0; y < font.height(); y++) {
        for (int x = 0; x < Math.min(width, line.columns()); x++) {
          lit[y * width + x] = line.at(x, y);
        }
      }
      return Optional.of(lit);
    }
  }

  /** Characters on digits of lamps that stand along the strokes of seven segments. */
  record Lamps(LampDigits digits, int first) implements Face {
    @Override
    public int[] cells(int place, int width) {
      int digit = first + place;
      int[] cells = new int[digits.lampsPerDigit()];
      Arrays.fill(cells, -1);
      for (int lamp = 0; digit >= 0 && digit < digits.digits() && lamp < cells.length; lamp++) {
        Position at = digits.position(digit * cells.length + lamp);
        cells[lamp] = at.row() * digits.seenColumns() + at.column();
      }
      return cells;
    }

    @Override
    public Optional<boolean[]> glyph(char character, int width) {
      return Characters.segments(SegmentStyle.SEVEN, character)
          .map(
              strokes -> {
                boolean[] lit = new boolean[digits.lampsPerDigit()];
                for (int lamp = 0; lamp < lit.length; lamp++) {
                  lit[lamp] = digits.strokes(lamp).stream().anyMatch(strokes::contains);
                }
                return lit;
              });
    }
  }

  /** Figures on panes, one behind the other: that of 0 in front. */
  record Sheets(Panes panes, int first) implements Face {
    /** Returns how many figures there are, from 0 on. */
    int figures() {
      return Math.min(10, panes.panesPerDigit());
    }

    @Override
    public int[] cells(int place, int width) {
      int digit = first + place;
      int[] cells = new int[panes.seenRows()];
      for (int pane = 0; pane < cells.length; pane++) {
        boolean inside = digit >= 0 && digit < panes.digits();
        cells[pane] = inside ? pane * panes.seenColumns() + digit : -1;
      }
      return cells;
    }

    /** Blank, minus and figures without a pane are dark. */
    @Override
    public Optional<boolean[]> glyph(char character, int width) {
      boolean figure = character >= '0' && character <= '9';
      if (!figure && character != ' ' && character != '-') {
        return Optional.empty();
      }
      boolean[] lit = new boolean[panes.seenRows()];
      if (figure && character - '0' < figures()) {
        lit[character - '0'] = true;
      }
      return Optional.of(lit);
    }
  }

  /** Characters on digits; points and colons stand by the digit before them. */
  record Digits(SegmentDigits digits, int first, Map<Character, Set<String>> own) implements Face {
    private static boolean mark(char character) {
      return character == '.' || character == ',' || character == ':';
    }

    @Override
    public int width(char character) {
      return mark(character) ? 0 : 1;
    }

    /** A mark has the cells of point and colon behind the digit before it. */
    @Override
    public int[] cells(int place, int width) {
      int rows = digits.seenRows();
      int digit = first + place - (width == 0 ? 1 : 0);
      int[] cells = new int[rows];
      Arrays.fill(cells, -1);
      if (digit >= 0 && digit < digits.digits()) {
        for (int row = 0; row < rows; row++) {
          cells[row] = row * digits.seenColumns() + digit;
        }
      }
      return cells;
    }

    @Override
    public Optional<boolean[]> glyph(char character, int width) {
      boolean[] lit = new boolean[digits.seenRows()];
      List<String> names = digits.segmentNames();
      if (mark(character)) {
        int row = names.size() + (character == ':' && digits.decimalPoint() ? 1 : 0);
        if (character != ':' && !digits.decimalPoint() || row >= lit.length) {
          return Optional.empty();
        }
        lit[row] = true;
        return Optional.of(lit);
      }
      return Characters.segments(digits.style(), own, character)
          .map(
              segments -> {
                for (int row = 0; row < names.size(); row++) {
                  lit[row] = segments.contains(names.get(row));
                }
                return lit;
              });
    }
  }
}
