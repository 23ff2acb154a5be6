package org.myrialith.effects;

/** Curves over a turn of 65 536 parts, 0 to 255 high. */
public final class Waves {
  /** A turn. */
  static final int TURN = 1 << 16;

  static final int FULL = 255;
  private static final int STEPS = 256;
  private static final int[] RAISED = new int[STEPS];

  static {
    for (int i = 0; i < STEPS; i++) {
      RAISED[i] = (int) Math.round((1 - Math.cos(2 * Math.PI * i / STEPS)) * FULL / 2);
    }
  }

  private Waves() {}

  /** Returns a cosine that begins dark, is full at half a turn, and ends dark. */
  static int raised(int turn) {
    return RAISED[turn >> 8 & FULL];
  }

  /** Returns that cosine over 256 steps of a turn. */
  public static int[] raised() {
    return RAISED.clone();
  }

  /** Returns a sine from -255 to 255. */
  static int sine(int turn) {
    return 2 * raised(turn + TURN / 4) - FULL;
  }

  /** Returns a cosine from -255 to 255. */
  static int cosine(int turn) {
    return sine(turn + TURN / 4);
  }

  /** Returns straight up to half a turn, and straight down. */
  static int triangle(int turn) {
    int at = turn >> 7 & 0x1ff;
    return at < STEPS ? at : 0x1ff - at;
  }

  /** Returns the part of a turn for degrees. */
  static int degrees(int degrees) {
    return degrees * TURN / 360;
  }

  /** Returns the largest whole number whose square is no more. */
  static int root(int square) {
    int root = 0;
    int bit = 1 << 30;
    int left = square;
    while (bit > left) {
      bit >>= 2;
    }
    while (bit != 0) {
      if (left >= root + bit) {
        left -= root + bit;
        root = (root >> 1) + bit;
      } else {
        root >>= 1;
      }
      bit >>= 2;
    }
    return root;
  }
}
