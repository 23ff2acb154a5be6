package org.myrialith.cue.table;

import java.util.List;

/**
 * A place of a readout, and what it can show.
 *
 * @param sort where what it shows comes from
 * @param value which value; -1 for a letter
 * @param divisor of a digit: 1, 10, 100, 1000; of a bar or pointer: the least value
 * @param limit from which on a value does not fit; of a bar or pointer: how many values there are
 * @param zeros whether leading zeros are shown
 * @param offset that is added first
 * @param units of the target that it lights, in the order of the glyphs' bits
 * @param glyphs by what is shown: one of a letter; 0 to 9, blank and minus of a digit; blank and
 *     minus of a sign; A and P of half a day; none of bars and pointers
 */
public record Cell(
    Sort sort,
    int value,
    int divisor,
    int limit,
    boolean zeros,
    Offset offset,
    int[] units,
    List<boolean[]> glyphs) {
  /**
   * What is added to a value before it is shown; beyond the greatest it goes on at the least.
   *
   * @param more 0 to below {@code span}
   * @param least value
   * @param span how many values there are
   */
  public record Offset(int more, int least, int span) {
    /** Values are shown as they are. */
    public static final Offset NONE = new Offset(0, 0, 1);

    /** Returns the offset of a value by any number. */
    public static Offset of(int by, Value value) {
      int span = value.most() - value.least() + 1;
      int more = Math.floorMod(by, span);
      return more == 0 ? NONE : new Offset(more, value.least(), span);
    }

    public int shown(int value) {
      return more == 0 ? value : least + (value - least + more) % span;
    }
  }

  /** Position of the blank among the glyphs of a digit. */
  public static final int BLANK = 10;

  private static final int NOON = 12;

  /** Position of the minus there. */
  public static final int MINUS = 11;

  /** Where what it shows comes from. */
  public enum Sort {
    LETTER,
    COLON,
    DIGIT,
    SIGN,
    TWELVE,
    HALF,
    BAR,
    POINTER
  }

  public Cell {
    glyphs = List.copyOf(glyphs);
  }

  /** Returns which glyph shows a value. */
  public int glyph(int shown) {
    return switch (sort) {
      case DIGIT -> digit(Math.abs(shown));
      case TWELVE -> digit((Math.abs(shown) + NOON - 1) % NOON + 1);
      case HALF -> shown >= NOON ? 1 : 0;
      case SIGN -> shown < 0 ? 1 : 0;
      default -> 0;
    };
  }

  private int digit(int size) {
    if (size >= limit) {
      return MINUS;
    }
    int left = size / divisor;
    return left == 0 && divisor > 1 && !zeros ? BLANK : left % 10;
  }

  /** Returns how many lights of a bar a value is; of a pointer, which one. */
  int reach(int shown) {
    int more = sort == Sort.BAR ? 1 : 0;
    return (shown - divisor) * (units.length + more) / limit;
  }

  /** Returns whether a light is on. */
  public boolean lit(int dot, int value) {
    int shown = offset.shown(value);
    return switch (sort) {
      case BAR -> dot < reach(shown);
      case POINTER -> dot == reach(shown);
      default -> glyphs.get(glyph(shown))[dot];
    };
  }
}
