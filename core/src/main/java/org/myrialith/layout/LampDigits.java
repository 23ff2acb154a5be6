package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * Coarse digits of single lamps, as on old scoreboards: the same grid again and again, with lamps
 * where the mask has them. The origin is the left top lamp place of the first digit.
 *
 * @param mask rows of one digit, {@code #} for a lamp, {@code .} for none, all of one length
 * @param digits side by side
 * @param pitchMm from lamp place to lamp place
 * @param gapMm more than the pitch from one digit to the next
 */
public record LampDigits(List<String> mask, int digits, double pitchMm, double gapMm)
    implements Shape {
  /** Allowed digits. */
  public static final Bounds DIGITS = Bounds.count(1, 32);

  /** Allowed pitch. */
  public static final Bounds PITCH = Bounds.measure(2, 500, "mm");

  /** Allowed gap. */
  public static final Bounds GAP = Bounds.measure(0, 2000, "mm");

  /** Most rows and columns of a digit. */
  public static final int MOST_SIDE = 16;

  /** How it stands in the format. */
  public static final Kind<LampDigits> KIND =
      Kind.of(
          "lamps",
          "lamp digits",
          new LampDigits(
              List.of("####", "#..#", "#..#", "####", "#..#", "#..#", "####"), 2, 40, 40),
          Field.count("digits", "Digits", DIGITS),
          Field.measure("pitchMm", "Lamp pitch", PITCH),
          Field.measure("gapMm", "Extra gap between digits", GAP),
          Field.rows(
                  "mask",
                  "One digit: # for a lamp, . for none",
                  new Types.Words(Types.Words.Rule.ANY),
                  1,
                  MOST_SIDE)
              .explained("lines of # for a lamp and . for none, all of one length"));

  public LampDigits {
    mask = List.copyOf(mask);
    DIGITS.require("digits", digits);
    PITCH.require("pitchMm", pitchMm);
    GAP.require("gapMm", gapMm);
    if (mask.isEmpty() || mask.size() > MOST_SIDE) {
      throw new InputException("mask", mask.size() + " rows", "1 to " + MOST_SIDE + " rows");
    }
    for (int row = 0; row < mask.size(); row++) {
      String line = mask.get(row);
      if (!line.matches("[#.]{1," + MOST_SIDE + "}") || line.length() != mask.get(0).length()) {
        throw new InputException(
            "mask[" + row + "]",
            line,
            "# for a lamp and . for none, 1 to " + MOST_SIDE + ", as many as in the first row");
      }
    }
    if (mask.stream().noneMatch(line -> line.contains("#"))) {
      throw new InputException("mask", String.join(" ", mask), "at least one lamp");
    }
  }

  private int across() {
    return mask.get(0).length();
  }

  private List<int[]> lamps() {
    List<int[]> lamps = new ArrayList<>();
    for (int row = 0; row < mask.size(); row++) {
      for (int column = 0; column < across(); column++) {
        if (mask.get(row).charAt(column) == '#') {
          lamps.add(new int[] {column, row});
        }
      }
    }
    return lamps;
  }

  /** Returns whether it has lamps along the strokes of figures only, not at every place. */
  public boolean strokes() {
    return mask.stream().anyMatch(line -> line.contains("."));
  }

  /**
   * Returns the strokes, a to g as of seven segments, that a lamp of a digit is part of; one at the
   * end of a stroke is part of all that meet there.
   *
   * @param lamp from the left top, row by row
   */
  public Set<String> strokes(int lamp) {
    int column = lamps().get(lamp)[0];
    int row = lamps().get(lamp)[1];
    int last = mask.size() - 1;
    Set<String> all = new HashSet<>();
    add(all, row == 0, "a");
    add(all, row == last, "d");
    add(all, row == last / 2, "g");
    boolean upper = row <= last / 2;
    boolean lower = row >= last / 2;
    add(all, column == 0 && upper, "f");
    add(all, column == 0 && lower, "e");
    add(all, column == across() - 1 && upper, "b");
    add(all, column == across() - 1 && lower, "c");
    return all;
  }

  private static void add(Set<String> all, boolean part, String stroke) {
    if (part) {
      all.add(stroke);
    }
  }

  /** Returns the lamps of one digit. */
  public int lampsPerDigit() {
    return (int) mask.stream().flatMapToInt(String::chars).filter(c -> c == '#').count();
  }

  @Override
  public String usualEmitter() {
    return "lamp";
  }

  @Override
  public int count() {
    return digits * lampsPerDigit();
  }

  @Override
  public int seenColumns() {
    return digits * across();
  }

  @Override
  public int seenRows() {
    return mask.size();
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count());
    int digit = index / lampsPerDigit();
    int[] lamp = lamps().get(index % lampsPerDigit());
    double left = digit * (across() * pitchMm + gapMm);
    return new Position(
        left + lamp[0] * pitchMm, lamp[1] * pitchMm, digit * across() + lamp[0], lamp[1]);
  }

  @Override
  public String part(int index) {
    return "digit " + (index / lampsPerDigit() + 1);
  }

  @Override
  public boolean leapsAfter(int index) {
    return (index + 1) % lampsPerDigit() == 0;
  }

  @Override
  public boolean pictorial() {
    return true;
  }

  @Override
  public double characterMm() {
    return (mask.size() - 1) * pitchMm;
  }

  @Override
  public double spacingMm() {
    return pitchMm;
  }

  @Override
  public String describe() {
    return phrase("%d lamp digit%s of %d", digits, digits == 1 ? "" : "s", lampsPerDigit());
  }
}
