package org.myrialith.colour;

/** How light a share of a light looks, CIE 1976 L*. */
public final class Lightness {
  private static final double KNEE = 216.0 / 24389;
  private static final double SLOPE = 24389.0 / 27;

  private Lightness() {}

  /**
   * Returns the lightness (%).
   *
   * @param share of a light that is taken as white, 0 to 1
   */
  public static double of(double share) {
    return share > KNEE ? 116 * Math.cbrt(share) - 16 : share * SLOPE;
  }
}
