package org.myrialith.flicker;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * A camera whose lines are exposed one after the other.
 *
 * @param framesHz frames a second
 * @param shutterMillis that each line is exposed for (ms)
 * @param readoutMillis from the exposure of the first line to that of the last (ms); 0 for all at
 *     once
 */
public record Camera(double framesHz, double shutterMillis, double readoutMillis) {
  /** Allowed frames a second. */
  public static final Bounds FRAMES = Bounds.measure(1, 2000, "Hz");

  /** Allowed shutter. */
  public static final Bounds SHUTTER = Bounds.measure(0.01, 1000, "ms");

  /** Allowed read-out. */
  public static final Bounds READOUT = Bounds.measure(0, 1000, "ms");

  private static final double MILLI = 1000;

  /** A telephone indoors (common practice). */
  public static final Camera USUAL = new Camera(30, 8, 20);

  /** How it stands in the format. */
  public static final Description<Camera> DESCRIPTION =
      Description.of(
          Camera.class,
          Field.measure("framesHz", "Camera frame rate", FRAMES).or(USUAL.framesHz),
          Field.measure("shutterMillis", "Shutter", SHUTTER)
              .or(USUAL.shutterMillis)
              .explained("exposure time of a line"),
          Field.measure("readoutMillis", "Rolling-shutter read-out", READOUT)
              .or(USUAL.readoutMillis)
              .explained("first line to last; 0 = global shutter"));

  public Camera {
    FRAMES.require("framesHz", framesHz);
    SHUTTER.require("shutterMillis", shutterMillis);
    READOUT.require("readoutMillis", readoutMillis);
    within("shutterMillis", shutterMillis, framesHz);
    within("readoutMillis", readoutMillis, framesHz);
  }

  /** Returns it as photographers write it, such as "30 fps, 1/125 s". */
  public String says() {
    double parts = 1 / shutterSeconds();
    double whole = Math.rint(parts);
    String shutter =
        whole > 1 && Math.abs(parts - whole) < 0.005 * whole
            ? "1/" + Quantity.text(whole, "s")
            : Quantity.text(shutterSeconds(), "s");
    return Quantity.text(framesHz, "fps") + ", " + shutter;
  }

  private static void within(String field, double millis, double framesHz) {
    double frame = MILLI / framesHz;
    if (millis > frame * (1 + 1e-9)) {
      throw new InputException(
          field,
          Quantity.text(millis, "ms"),
          "at most " + Quantity.text(frame, "ms") + ", the time of a frame");
    }
  }

  /** Returns the shutter (s). */
  public double shutterSeconds() {
    return shutterMillis / MILLI;
  }

  /** Returns it with another shutter (s). */
  public Camera shut(double seconds) {
    return new Camera(framesHz, seconds * MILLI, readoutMillis);
  }

  /**
   * Returns when a line begins to be exposed (s).
   *
   * @param frame from 0
   * @param down share of the picture's height above it, 0 to 1
   */
  public double opensSeconds(int frame, double down) {
    return frame / framesHz + down * readoutMillis / MILLI;
  }
}
