package org.myrialith.drive;

import java.util.Arrays;

/** The order in which a pixel takes its channels. */
public enum ColourOrder {
  RGB(0, 1, 2),
  RBG(0, 2, 1),
  GRB(1, 0, 2),
  GBR(1, 2, 0),
  BRG(2, 0, 1),
  BGR(2, 1, 0),
  RGBW(0, 1, 2, CircuitPlan.WHITE),
  RBGW(0, 2, 1, CircuitPlan.WHITE),
  GRBW(1, 0, 2, CircuitPlan.WHITE),
  GBRW(1, 2, 0, CircuitPlan.WHITE),
  BRGW(2, 0, 1, CircuitPlan.WHITE),
  BGRW(2, 1, 0, CircuitPlan.WHITE),
  WRGB(CircuitPlan.WHITE, 0, 1, 2),
  WRBG(CircuitPlan.WHITE, 0, 2, 1),
  WGRB(CircuitPlan.WHITE, 1, 0, 2),
  WGBR(CircuitPlan.WHITE, 1, 2, 0),
  WBRG(CircuitPlan.WHITE, 2, 0, 1),
  WBGR(CircuitPlan.WHITE, 2, 1, 0);

  private final int[] channels;

  ColourOrder(int... channels) {
    this.channels = channels;
  }

  /** Returns the channels of a pixel: 3, or 4 with white. */
  public int channels() {
    return channels.length;
  }

  /** Returns the channel (0 red, 1 green, 2 blue, 3 white) sent at a position. */
  public int channelAt(int position) {
    return channels[position];
  }

  /** Returns the orders of pixels without white. */
  public static ColourOrder[] withoutWhite() {
    return Arrays.stream(values()).filter(o -> o.channels() == 3).toArray(ColourOrder[]::new);
  }
}
