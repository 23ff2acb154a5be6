package org.myrialith.frames;

import java.util.Objects;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;

/**
 * One picture and how long it is held.
 *
 * @param holdMillis 1 ms to 60 s, as moving bars want
 */
public record Frame(Picture picture, int holdMillis) {
  /** Allowed hold time. */
  public static final Bounds HOLD = Bounds.count(1, 60_000, "ms");

  /** How it stands in the format. */
  public static final Description<Frame> DESCRIPTION =
      Description.of(
          Frame.class,
          Field.of(
              "picture",
              "Picture",
              new Types.Reference<>(
                  Picture.class,
                  Picture::hash,
                  "^[0-9a-f]{64}$",
                  "the hash of a picture of this gadget")),
          Field.count("holdMillis", "Hold", HOLD));

  public Frame {
    Objects.requireNonNull(picture, "picture");
    HOLD.require("holdMillis", holdMillis);
  }
}
