package org.myrialith.circuit;

/** What of an asked colour a channel shows. A picture has red, green and blue. */
public enum ChannelSource {
  RED,
  GREEN,
  BLUE,
  /** What red, green and blue share, for a white die that takes it over. */
  WHITE,
  /** What is left of each when white has taken over. */
  RED_REST,
  GREEN_REST,
  BLUE_REST,
  /** The strongest of the three, for a die of a colour of its own. */
  MOST,
  /** Nothing: the die stays dark. */
  NOTHING;

  /**
   * Returns what a die shows by its place among the dies of an emitter.
   *
   * @param colour 0 red, 1 green, 2 blue
   * @param rest whether a white die takes over what the three share
   */
  public static ChannelSource ofColour(int colour, boolean rest) {
    return values()[rest ? RED_REST.ordinal() + colour : colour];
  }

  /** Returns whether white has taken its share away. */
  public boolean rest() {
    return this == RED_REST || this == GREEN_REST || this == BLUE_REST;
  }

  /** Returns the asked value (0 to 255) that counts for it, before white takes its share. */
  public int value(int red, int green, int blue) {
    return switch (this) {
      case RED, RED_REST -> red;
      case GREEN, GREEN_REST -> green;
      case BLUE, BLUE_REST -> blue;
      case WHITE -> Math.min(red, Math.min(green, blue));
      case MOST -> Math.max(red, Math.max(green, blue));
      case NOTHING -> 0;
    };
  }
}
