package org.myrialith.formats;

import java.util.Arrays;
import java.util.Optional;

/** Which way y grows in a file. */
public enum YAxis {
  /** As on a screen and in this application. */
  DOWN("down"),
  /** As in drawings of boards and in what assembly houses take (common practice). */
  UP("up");

  private final String key;

  YAxis(String key) {
    this.key = key;
  }

  /** Returns its word. */
  public String key() {
    return key;
  }

  /** Returns the one of that word. */
  public static Optional<YAxis> of(String key) {
    return Arrays.stream(values()).filter(axis -> axis.key.equals(key)).findFirst();
  }
}
