package org.myrialith.frames.edit;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;

/**
 * Writes on segment digits: a character a digit, to the right as numbers stand. A point lights the
 * point of the digit before it, a colon the colon behind it. What is no digit, point or colon stays
 * as it is painted.
 *
 * @param zeros whether a number that is shorter than the digits gets leading zeros
 * @param more whether of a text that is too long the end is shown, the point of the first digit lit
 *     to say that there is more
 * @param own characters of the maker's, each with the segments that are lit
 */
public record DigitText(
    SegmentDigits digits, boolean zeros, boolean more, Map<Character, Set<String>> own) {
  private static final int DARK = 0;

  /** A text that has to fit, without leading zeros. */
  public DigitText(SegmentDigits digits) {
    this(digits, false, false, Map.of());
  }

  /** What one digit shows. */
  private static final class Cell {
    private final char character;
    private boolean point;
    private boolean colon;

    Cell(char character) {
      this.character = character;
    }
  }

  /**
   * Returns a picture with a text on it.
   *
   * @param on of the size of the digits
   * @param colour of what is lit, 0xRRGGBB
   * @throws InputException when it is too long, or has what these digits can't show
   */
  public Picture on(Picture on, String text, int colour) {
    if (digits.style() == SegmentStyle.CUSTOM && own.isEmpty()) {
      throw new InputException("text", text, "nothing: own digits have no characters yet");
    }
    List<Cell> cells = cells(text);
    List<String> names = digits.segmentNames();
    int columns = on.columns();
    byte[] rgb = on.rgb();
    int first = digits.digits() - cells.size();
    for (int digit = 0; digit < digits.digits(); digit++) {
      Cell cell = digit < first ? new Cell(' ') : cells.get(digit - first);
      Set<String> lit = segments(cell.character).orElseThrow();
      for (int row = 0; row < names.size(); row++) {
        put(rgb, row * columns + digit, lit.contains(names.get(row)) ? colour : DARK);
      }
      if (digits.decimalPoint()) {
        put(rgb, names.size() * columns + digit, cell.point ? colour : DARK);
      }
      if (hasColon(digit)) {
        int row = names.size() + (digits.decimalPoint() ? 1 : 0);
        put(rgb, row * columns + digit, cell.colon ? colour : DARK);
      }
    }
    return Picture.of(columns, on.rows(), rgb);
  }

  /** The maker's own first, just as typed. */
  private Optional<Set<String>> segments(char one) {
    return Characters.segments(digits.style(), own, one);
  }

  private boolean hasColon(int digit) {
    return digits.colonsAfter().contains(digit + 1);
  }

  private List<Cell> cells(String text) {
    List<Cell> cells = new ArrayList<>();
    for (char one : text.toCharArray()) {
      boolean mark = one == '.' || one == ',' || one == ':';
      if (mark && !cells.isEmpty()) {
        Cell last = cells.get(cells.size() - 1);
        last.point |= one != ':';
        last.colon |= one == ':';
      } else if (mark || segments(one).isEmpty()) {
        throw new InputException(
            "text",
            text,
            phrase("characters that %s can show; not “%s” there", digits.style().words(), one));
      } else {
        cells.add(new Cell(one));
      }
    }
    List<Cell> fitted = more ? shortened(cells) : zeros ? padded(cells) : cells;
    requireRoom(text, fitted);
    return fitted;
  }

  /** Zeros behind the sign of a number. */
  private List<Cell> padded(List<Cell> cells) {
    List<Cell> padded = new ArrayList<>(cells);
    int sign = cells.size() > 1 && cells.get(0).character == '-' ? 1 : 0;
    boolean number = cells.size() > sign && Character.isDigit(cells.get(sign).character);
    while (number && padded.size() < digits.digits()) {
      padded.add(sign, new Cell('0'));
    }
    return padded;
  }

  private List<Cell> shortened(List<Cell> cells) {
    if (cells.size() <= digits.digits() || !digits.decimalPoint()) {
      return zeros ? padded(cells) : cells;
    }
    List<Cell> end = cells.subList(cells.size() - digits.digits(), cells.size());
    end.get(0).point = true;
    return end;
  }

  private void requireRoom(String text, List<Cell> cells) {
    if (cells.size() > digits.digits()) {
      throw new InputException("text", text, phrase("at most %d characters", digits.digits()));
    }
    int first = digits.digits() - cells.size();
    for (int i = 0; i < cells.size(); i++) {
      if (cells.get(i).point && !digits.decimalPoint()) {
        throw new InputException("text", text, "no point: these digits have none");
      }
      if (cells.get(i).colon && !hasColon(first + i)) {
        throw new InputException(
            "text", text, phrase("no colon after digit %d: there is none", first + i + 1));
      }
    }
  }

  private static void put(byte[] rgb, int cell, int colour) {
    rgb[3 * cell] = (byte) (colour >> 16);
    rgb[3 * cell + 1] = (byte) (colour >> 8);
    rgb[3 * cell + 2] = (byte) colour;
  }
}
