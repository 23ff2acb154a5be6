package org.myrialith.parts;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Series of preferred values for resistors (IEC 60063, from memory): the values of a decade, which
 * repeat in all.
 */
public enum PreferredValues {
  E12("e12", "E12, 10 %", 10, 12, 15, 18, 22, 27, 33, 39, 47, 56, 68, 82),
  E24(
      "e24",
      "E24, 5 %",
      10,
      11,
      12,
      13,
      15,
      16,
      18,
      20,
      22,
      24,
      27,
      30,
      33,
      36,
      39,
      43,
      47,
      51,
      56,
      62,
      68,
      75,
      82,
      91),
  /** Rounded to three digits, which holds for this series without exception. */
  E96(
      "e96",
      "E96, 1 %",
      IntStream.range(0, 96).map(i -> (int) Math.round(100 * Math.pow(10, i / 96.0))).toArray());

  /** Least and greatest value that is sold as a matter of course (ohm). */
  public static final double LEAST = 1;

  /** See {@link #LEAST}. */
  public static final double MOST = 10e6;

  private final String key;
  private final String title;
  private final int[] decade;

  PreferredValues(String key, String title, int... decade) {
    this.key = key;
    this.title = title;
    this.decade = decade;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people, with the usual tolerance. */
  public String title() {
    return title;
  }

  private double value(int step) {
    int size = decade.length;
    int power = Math.floorDiv(step, size);
    double digits = decade[Math.floorMod(step, size)] / (double) decade[0];
    // in tenths of powers of ten, so that 47 comes out as 47
    return power >= 0 ? digits * Math.pow(10, power) : digits / Math.pow(10, -power);
  }

  /** Step of the greatest value that is no more than that many ohm. */
  private int stepBelow(double ohms) {
    int step = (int) Math.floor(Math.log10(ohms) * decade.length) - 2;
    while (value(step + 1) <= ohms * (1 + 1e-12)) {
      step++;
    }
    return step;
  }

  /** Returns the least value that is no less than that many ohm, within what is sold. */
  public double atLeast(double ohms) {
    double wanted = Math.max(LEAST, Math.min(MOST, ohms));
    int below = stepBelow(wanted);
    return value(below) >= wanted * (1 - 1e-12) ? value(below) : value(below + 1);
  }

  /** Returns the value whose ratio to that many ohm is the smallest, within what is sold. */
  public double nearest(double ohms) {
    double wanted = Math.max(LEAST, Math.min(MOST, ohms));
    double below = value(stepBelow(wanted));
    double above = atLeast(wanted);
    return above / wanted < wanted / below ? above : below;
  }

  /** Returns the values of a decade, the first as it stands in the standard. */
  public int[] decade() {
    return Arrays.copyOf(decade, decade.length);
  }
}
