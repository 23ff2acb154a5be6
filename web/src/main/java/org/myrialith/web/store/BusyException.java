package org.myrialith.web.store;

/** As much as may be is being worked out at this moment. */
public class BusyException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Says so. */
  public BusyException() {
    super(
        "Other large gadgets are being planned. Nothing was changed: try again in a few seconds.");
  }
}
