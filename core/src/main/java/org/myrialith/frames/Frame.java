package org.myrialith.frames;

import java.util.Objects;
import org.myrialith.finding.Bounds;

/**
 * One picture and how long it is held.
 *
 * @param holdMillis 10 ms to 60 s
 */
public record Frame(Picture picture, int holdMillis) {
  /** Allowed hold time. */
  public static final Bounds HOLD = Bounds.count(10, 60_000, "ms");

  public Frame {
    Objects.requireNonNull(picture, "picture");
    HOLD.require("holdMillis", holdMillis);
  }
}
