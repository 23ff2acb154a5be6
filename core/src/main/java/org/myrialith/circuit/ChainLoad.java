package org.myrialith.circuit;

import org.myrialith.colour.Levels;

/**
 * What each pixel of a chain draws.
 *
 * @param channels that a pixel has
 * @param idleAmps of its chip (A)
 * @param channelAmps of each channel at its full level (A), by position
 * @param fullLevel of a channel
 * @param mostAmps of its channels at its most (A)
 * @param volts that pixels are fed with (V)
 * @param ownRail whether that is not the supply of the gadget
 */
public record ChainLoad(
    int channels,
    double idleAmps,
    double[] channelAmps,
    int fullLevel,
    double mostAmps,
    double volts,
    boolean ownRail) {
  /** Returns what a pixel of a chain draws (A). */
  public double amps(Levels levels, int pixel) {
    double amps = idleAmps;
    for (int channel = 0; channel < channels; channel++) {
      amps += levels.at(pixel * channels + channel) * channelAmps[channel] / fullLevel;
    }
    return amps;
  }

  /** Returns what a pixel draws at its most, its channels at a share of the full level (A). */
  public double mostAmps(double share) {
    return idleAmps + Math.round(share * fullLevel) * mostAmps / fullLevel;
  }
}
