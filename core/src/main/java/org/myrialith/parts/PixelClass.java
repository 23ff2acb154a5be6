package org.myrialith.parts;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * One-wire RGB pixel, 5 V.
 *
 * @param channelMilliamps current of one channel at full level (mA)
 * @param idleMilliamps current of the pixel's own chip with all channels dark (mA)
 * @param redMilliamps current of red where it has one of its own (mA); 0 for that of a channel, as
 *     for green, blue and white
 */
public record PixelClass(
    double channelMilliamps,
    double idleMilliamps,
    double redMilliamps,
    double greenMilliamps,
    double blueMilliamps,
    double whiteMilliamps) {
  /** Allowed current of a colour that has one of its own. */
  public static final Bounds COLOUR = Bounds.measure(0, 60, "mA");

  /** Allowed current of a channel (mA). */
  public static final Bounds CHANNEL = Bounds.measure(1, 60, "mA");

  /** Allowed idle current (mA). */
  public static final Bounds IDLE = Bounds.measure(0, 20, "mA");

  /** 20 mA a channel, about 1 mA idle (common practice for the class). */
  public static final PixelClass USUAL = new PixelClass(20, 1);

  /** Channels of a pixel: red, green, blue. */
  public static final int CHANNELS = 3;

  /** Largest level of a channel. */
  public static final int FULL = 255;

  /** How it stands in the format. */
  public static final Description<PixelClass> DESCRIPTION =
      Description.of(
          PixelClass.class,
          Field.measure("channelMilliamps", "Current per channel at full level", CHANNEL),
          Field.measure("idleMilliamps", "Idle current per pixel", IDLE),
          own("redMilliamps", "Red"),
          own("greenMilliamps", "Green"),
          own("blueMilliamps", "Blue"),
          own("whiteMilliamps", "White"));

  private static Field<Double> own(String name, String colour) {
    return Field.measure(name, colour + " at full level", COLOUR)
        .or(0.0)
        .explained("where it differs from that of a channel; 0 = as a channel");
  }

  public PixelClass {
    CHANNEL.require("channelMilliamps", channelMilliamps);
    IDLE.require("idleMilliamps", idleMilliamps);
    COLOUR.require("redMilliamps", redMilliamps);
    COLOUR.require("greenMilliamps", greenMilliamps);
    COLOUR.require("blueMilliamps", blueMilliamps);
    COLOUR.require("whiteMilliamps", whiteMilliamps);
  }

  /** All colours draw the same. */
  public PixelClass(double channelMilliamps, double idleMilliamps) {
    this(channelMilliamps, idleMilliamps, 0, 0, 0, 0);
  }

  /** Returns it with currents of its own for red, green, blue and white; 0 for none (mA). */
  public PixelClass with(double red, double green, double blue, double white) {
    return new PixelClass(channelMilliamps, idleMilliamps, red, green, blue, white);
  }

  /**
   * Returns the current of a colour at full level (mA): red, green, blue, white by their numbers.
   */
  public double milliamps(int colour) {
    double own =
        switch (colour) {
          case 0 -> redMilliamps;
          case 1 -> greenMilliamps;
          case 2 -> blueMilliamps;
          default -> whiteMilliamps;
        };
    return own > 0 ? own : channelMilliamps;
  }
}
