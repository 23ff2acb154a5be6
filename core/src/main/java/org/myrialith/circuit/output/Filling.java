package org.myrialith.circuit.output;

/** How channels are laid into the outputs of chips. */
public enum Filling {
  /** One after the other, without a gap. */
  PACKED("packed", "packed, no spare outputs between fixtures"),
  /** Each digit or named part begins a byte: at the first or ninth output of a chip. */
  FIELD_A_BYTE("field-a-byte", "each digit or part begins at a new byte");

  private final String key;
  private final String title;

  Filling(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }
}
