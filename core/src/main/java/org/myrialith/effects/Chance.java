package org.myrialith.effects;

/** What looks like chance and is a hash: the same for the same numbers, everywhere. */
final class Chance {
  private static final int GOLDEN = 0x9e3779b9;

  private Chance() {}

  /** Returns 32 bits for a seed and two numbers. */
  static int bits(int seed, int a, int b) {
    int hash = seed * GOLDEN ^ a * 0x85ebca6b ^ b * 0xc2b2ae35;
    hash ^= hash >>> 16;
    hash *= 0x7feb352d;
    hash ^= hash >>> 15;
    hash *= 0x846ca68b;
    return hash ^ hash >>> 16;
  }

  /** Returns 0 to below a number of up to 16 bits. */
  static int below(int limit, int seed, int a, int b) {
    return (bits(seed, a, b) >>> 16) * limit >>> 16;
  }

  /** Returns a byte. */
  private static int knot(int seed, int a, int b) {
    return bits(seed, a, b) >>> 24;
  }

  /** Returns how far along a knot is, eased at both ends (0 to 255). */
  private static int eased(int part) {
    return Waves.raised(part << 7);
  }

  private static int between(int a, int b, int share) {
    return a + ((b - a) * share >> 8);
  }

  /**
   * Returns a smooth course between random knots (0 to 255).
   *
   * @param at in 256ths of a knot
   * @param knots after which it begins again
   */
  static int course(int seed, int row, int at, int knots) {
    int knot = (at >> 8) % knots;
    int next = knot + 1 == knots ? 0 : knot + 1;
    return between(knot(seed, row, knot), knot(seed, row, next), eased(at & 0xff));
  }

  /**
   * Returns a smooth field between random knots (0 to 255).
   *
   * @param x in 256ths of a knot
   * @param y the same; begins again after so many knots
   */
  static int field(int seed, int x, int y, int knots) {
    int column = x >> 8;
    int left = course(seed, column, y, knots);
    int right = course(seed, column + 1, y, knots);
    return between(left, right, eased(x & 0xff));
  }
}
