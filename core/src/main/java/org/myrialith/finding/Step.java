package org.myrialith.finding;

/** The steps of the work, lowest layer first. */
public enum Step {
  BRIEF("Brief"),
  LAYOUT("Layout"),
  CIRCUITS("Circuits"),
  SCAN("Flicker"),
  POWER("Power"),
  COLOUR("Colour"),
  FRAMES("Frames"),
  CUES("Cues"),
  FIRMWARE("Firmware");

  private final String title;

  Step(String title) {
    this.title = title;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }
}
