package org.myrialith.drive;

/**
 * What each pixel of a chain draws.
 *
 * @param channels that a pixel has
 * @param idleAmps of its chip (A)
 * @param channelAmps of a channel at its full level (A)
 * @param fullLevel of a channel
 * @param fullChannels that are full at once when all is at its most
 * @param volts that pixels are fed with (V)
 * @param ownRail whether that is not the supply of the gadget
 */
public record ChainLoad(
    int channels,
    double idleAmps,
    double channelAmps,
    int fullLevel,
    int fullChannels,
    double volts,
    boolean ownRail) {
  /** Returns what a pixel draws whose levels have that sum (A). */
  public double amps(long sum) {
    return idleAmps + sum * channelAmps / fullLevel;
  }

  /** Returns what a pixel draws at its most, its channels at a share of the full level (A). */
  public double mostAmps(double share) {
    return amps(Math.round(share * fullLevel) * fullChannels);
  }
}
