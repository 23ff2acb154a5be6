package org.myrialith.power;

/** What the supply is planned for. */
public enum PlanningBasis {
  WORST_CASE("worst-case", "Plan for the worst case: full white"),
  THESE_FRAMES("these-frames", "Plan for these frames: the firmware limits the rest");

  private final String key;
  private final String title;

  PlanningBasis(String key, String title) {
    this.key = key;
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }
}
