package org.myrialith.parts;

import java.util.Arrays;

/** Which fuse stands before a wire. Ratings are those of IEC 60127 and of common blade fuses. */
public final class Fuse {
  private static final double[] RATINGS = {
    0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 7.5, 10, 15, 20, 25, 30, 40
  };

  /** A fuse carries this share of its rating continuously (common practice). */
  private static final double SHARE = 0.75;

  private Fuse() {}

  /** Returns the rating (A) of the smallest that carries a current (A); 0 where there is none. */
  public static double carrying(double amps) {
    return Arrays.stream(RATINGS).filter(f -> SHARE * f >= amps).findFirst().orElse(0);
  }

  /** Returns whether it blows before a wire that carries so much (A) is harmed. */
  public static boolean guards(double fuse, double carriesAmps) {
    return fuse > 0 && fuse <= carriesAmps * 1.0001;
  }
}
