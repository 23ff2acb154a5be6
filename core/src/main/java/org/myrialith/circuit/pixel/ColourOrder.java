package org.myrialith.circuit.pixel;

import java.util.Arrays;
import java.util.List;

/** The order in which a pixel takes its channels. */
public enum ColourOrder {
  RGB(0, 1, 2),
  RBG(0, 2, 1),
  GRB(1, 0, 2),
  GBR(1, 2, 0),
  BRG(2, 0, 1),
  BGR(2, 1, 0),
  RGBW(0, 1, 2, 3),
  RBGW(0, 2, 1, 3),
  GRBW(1, 0, 2, 3),
  GBRW(1, 2, 0, 3),
  BRGW(2, 0, 1, 3),
  BGRW(2, 1, 0, 3),
  WRGB(3, 0, 1, 2),
  WRBG(3, 0, 2, 1),
  WGRB(3, 1, 0, 2),
  WGBR(3, 1, 2, 0),
  WBRG(3, 2, 0, 1),
  WBGR(3, 2, 1, 0);

  /** The channel of a white die. */
  public static final int WHITE = 3;

  /** Names of the channels. */
  static final List<String> NAMES = List.of("red", "green", "blue", "white");

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
