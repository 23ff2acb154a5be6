package org.myrialith.tool;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Values by chance for a property, from a seed that the test's name shows. The ends of a range come
 * often.
 */
public final class Chance {
  private static final int ENDS_EVERY = 10;

  private final Random random;

  /** Starts from a seed. */
  public Chance(long seed) {
    this.random = new Random(seed);
  }

  /** Returns a seed for something else. */
  public long seed() {
    return random.nextLong();
  }

  /** Returns yes or no. */
  public boolean flag() {
    return random.nextBoolean();
  }

  /** Returns a whole number in a range, ends included. */
  public int whole(int min, int max) {
    return switch (random.nextInt(ENDS_EVERY)) {
      case 0 -> min;
      case 1 -> max;
      default -> (int) (min + (long) (random.nextDouble() * ((long) max - min + 1)));
    };
  }

  /** Returns a number in a range, ends included. */
  public double measure(double min, double max) {
    return switch (random.nextInt(ENDS_EVERY)) {
      case 0 -> min;
      case 1 -> max;
      case 2 -> Math.max(min, Math.min(max, Math.rint(min + random.nextDouble() * (max - min))));
      default -> min + random.nextDouble() * (max - min);
    };
  }

  /** Returns some whole numbers. */
  public List<Integer> wholes(int least, int most, int min, int max) {
    List<Integer> all = new ArrayList<>();
    for (int i = whole(least, most); i > 0; i--) {
      all.add(whole(min, max));
    }
    return all;
  }

  /** Returns one of several. */
  public <T> T of(T[] values) {
    return values[random.nextInt(values.length)];
  }
}
