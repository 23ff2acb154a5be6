package org.myrialith.drive;

/** The order in which a pixel takes its three channels. */
public enum ColourOrder {
  RGB(0, 1, 2),
  RBG(0, 2, 1),
  GRB(1, 0, 2),
  GBR(1, 2, 0),
  BRG(2, 0, 1),
  BGR(2, 1, 0);

  private final int[] channels;

  ColourOrder(int... channels) {
    this.channels = channels;
  }

  /** Returns the channel (0 red, 1 green, 2 blue) sent at a position (0 to 2). */
  public int channelAt(int position) {
    return channels[position];
  }
}
