package org.myrialith.web.pages;

/** Steps of axes and rulers: 1, 2 or 5 times a power of ten. */
public final class RoundStep {
  private RoundStep() {}

  /** Returns the least such step that is no less than a length above 0. */
  public static double atLeast(double length) {
    double power = Math.pow(10, Math.floor(Math.log10(length)));
    for (double times : new double[] {1, 2, 5}) {
      if (length <= times * power * 1.0001) {
        return times * power;
      }
    }
    return 10 * power;
  }
}
