package org.myrialith.parts;

import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.finding.Bounds;

/**
 * One-wire RGB pixel, 5 V.
 *
 * @param channelMilliamps current of one channel at full level (mA)
 * @param idleMilliamps current of the pixel's own chip with all channels dark (mA)
 */
public record PixelClass(double channelMilliamps, double idleMilliamps) {
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
          Field.measure("channelMilliamps", "A channel, full on", CHANNEL),
          Field.measure("idleMilliamps", "A pixel, dark", IDLE));

  public PixelClass {
    CHANNEL.require("channelMilliamps", channelMilliamps);
    IDLE.require("idleMilliamps", idleMilliamps);
  }
}
