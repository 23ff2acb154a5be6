package org.myrialith.parts;

/**
 * What counts a gadget's seconds, and how far it may be off (data sheets of common parts, from
 * memory; common practice).
 */
public enum Timekeeping {
  /** A quartz, with its temperature and age. */
  CRYSTAL("the controller's crystal", 50),
  /** As it leaves the factory. */
  BUILT_IN("the controller's built-in oscillator", 100_000),
  /** With a clock crystal of its own. */
  CHIP("the clock chip", 20);

  /** A ceramic resonator, which many small boards have in place of a crystal (ppm). */
  public static final int RESONATOR_PPM = 5000;

  private static final double SECONDS_OF_A_DAY = 86_400;

  private final String title;
  private final int ppm;

  Timekeeping(String title, int ppm) {
    this.title = title;
    this.ppm = ppm;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /** Returns how far it may be off, either way (parts in a million). */
  public int ppm() {
    return ppm;
  }

  /** Returns the seconds that a clock may be off after a day (s). */
  public static double offAfterADay(int ppm) {
    return SECONDS_OF_A_DAY * ppm / 1e6;
  }
}
