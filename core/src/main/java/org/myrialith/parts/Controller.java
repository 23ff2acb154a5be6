package org.myrialith.parts;

import java.util.Arrays;
import java.util.List;

/**
 * A class of controller that the firmware can be built for.
 *
 * <p>Sizes and clock are those of the common 8-bit parts with this much memory (part-class data).
 */
public enum Controller {
  /** 8-bit, 16 MHz crystal, 2 KB RAM, 32 KB flash, 5 V logic. */
  AVR8_32K(
      "8bit-32k",
      "8-bit controller, 16 MHz, 2 KB RAM, 32 KB flash, 5 V",
      "atmega328p",
      2048,
      32768,
      List.of(
          "B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1", "C2", "C3", "D2", "D3", "D4", "D5", "D6",
          "D7")),
  /** 8-bit, 16 MHz from its own PLL, 512 bytes RAM, 8 KB flash, 5 V logic. */
  AVR8_8K(
      "8bit-8k",
      "8-bit controller, 16 MHz, 512 bytes RAM, 8 KB flash, 5 V",
      "attiny85",
      512,
      8192,
      List.of("B0", "B1", "B2", "B3", "B4"));

  /** Clock of both classes (Hz). */
  public static final int CLOCK_HZ = 16_000_000;

  /** High level that the pins of both classes give on a 5 V supply, lightly loaded (V). */
  public static final double LOGIC_VOLTS = 5.0;

  private final String key;
  private final String title;
  private final String core;
  private final int ramBytes;
  private final int flashBytes;
  private final List<String> pins;

  Controller(
      String key, String title, String core, int ramBytes, int flashBytes, List<String> pins) {
    this.key = key;
    this.title = title;
    this.core = core;
    this.ramBytes = ramBytes;
    this.flashBytes = flashBytes;
    this.pins = pins;
  }

  /** Returns the controller class of that key, or null. */
  public static Controller of(String key) {
    return Arrays.stream(values()).filter(c -> c.key.equals(key)).findFirst().orElse(null);
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /** Returns the compiler's name of the core, an argument of tools only. */
  public String core() {
    return core;
  }

  /** Returns the size of the RAM (bytes). */
  public int ramBytes() {
    return ramBytes;
  }

  /** Returns the size of the flash (bytes). */
  public int flashBytes() {
    return flashBytes;
  }

  /** Returns the pins that may carry the data line: port letter and bit. */
  public List<String> pins() {
    return pins;
  }
}
