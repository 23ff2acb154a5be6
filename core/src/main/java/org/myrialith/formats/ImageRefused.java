package org.myrialith.formats;

import org.myrialith.finding.InputError;

/** An image file that can't be taken, with the reason. */
public final class ImageRefused extends Exception {
  private static final long serialVersionUID = 1L;

  private final transient InputError error;

  /** Takes what was looked at, what was read and what is allowed. */
  public ImageRefused(String what, String read, String allowed) {
    this(new InputError("image " + what, read, allowed));
  }

  private ImageRefused(InputError error) {
    super(error.sentence());
    this.error = error;
  }

  /** Returns the reason. */
  public InputError error() {
    return error;
  }
}
