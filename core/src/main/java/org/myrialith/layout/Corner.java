package org.myrialith.layout;

/** A corner of a panel as it lies before it is turned. */
public enum Corner {
  TOP_LEFT("top-left", false, false),
  TOP_RIGHT("top-right", true, false),
  BOTTOM_LEFT("bottom-left", false, true),
  BOTTOM_RIGHT("bottom-right", true, true);

  private final String key;
  private final boolean right;
  private final boolean bottom;

  Corner(String key, boolean right, boolean bottom) {
    this.key = key;
    this.right = right;
    this.bottom = bottom;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns its name for makers. */
  public String words() {
    return key.replace('-', ' ');
  }

  boolean right() {
    return right;
  }

  boolean bottom() {
    return bottom;
  }
}
