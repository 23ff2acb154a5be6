package org.myrialith.power;

import org.myrialith.parts.PixelClass;

/**
 * Everything that draws current.
 *
 * @param pixels in the chain
 * @param pixel their class
 * @param controllerMilliamps the controller's own draw (mA)
 */
public record Load(int pixels, PixelClass pixel, double controllerMilliamps) {
  private static final double MILLI = 1e-3;

  /** Returns the current (A) when the levels of all channels add up to {@code levelSum}. */
  public double amps(long levelSum) {
    return pixel.amps(levelSum, pixels) + controllerMilliamps * MILLI;
  }

  /** Returns the current (A) with every channel at {@code level}. */
  public double ampsAllAt(int level) {
    return amps((long) pixels * PixelClass.CHANNELS * level);
  }

  /**
   * Returns the largest sum of levels that keeps within {@code amps} (A), 0 when even dark does
   * not.
   */
  public long levelSumWithin(double amps) {
    double left = (amps - amps(0)) / MILLI / pixel.channelMilliamps() * PixelClass.FULL;
    // a hair's breadth of rounding must not cost a whole level
    return Math.max(0, (long) Math.floor(left + 1e-9));
  }
}
