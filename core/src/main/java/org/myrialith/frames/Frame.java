package org.myrialith.frames;

import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

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
