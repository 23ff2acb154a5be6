package org.myrialith.parts;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A class of controller: what it has and what it needs.
 *
 * <p>Sizes and clock are those of the common 8-bit parts with this much memory (part-class data).
 */
public enum Controller {
  /** 8-bit, 16 MHz crystal, 2 KB RAM, 32 KB flash, 5 V logic. */
  AVR8_32K(
      "8bit-32k",
      "8-bit controller, 16 MHz, 2 KB RAM, 32 KB flash, 5 V",
      2048,
      32768,
      List.of(
          "B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1", "C2", "C3", "C4", "C5", "D0", "D1", "D2",
          "D3", "D4", "D5", "D6", "D7"),
      Map.of("B6", "the crystal", "B7", "the crystal", "C6", "reset"),
      List.of("D3", "B3"),
      Map.of("D6", "0A", "D5", "0B", "B3", "2A", "D3", "2B")),
  /** 8-bit, 16 MHz from its own PLL, 512 bytes RAM, 8 KB flash, 5 V logic. */
  AVR8_8K(
      "8bit-8k",
      "8-bit controller, 16 MHz, 512 bytes RAM, 8 KB flash, 5 V",
      512,
      8192,
      List.of("B0", "B1", "B2", "B3", "B4"),
      Map.of("B5", "reset"),
      List.of(),
      Map.of()),
  /** 8-bit, 16 MHz crystal, 8 KB RAM, 256 KB flash, 5 V logic, many pins. */
  AVR8_256K(
      "8bit-256k",
      "8-bit controller, 16 MHz, 8 KB RAM, 256 KB flash, 5 V, many pins",
      8192,
      262144,
      pinsOf("A7", "B7", "C7", "D7", "E7", "F7", "G5"),
      Map.of(),
      List.of("B4"),
      Map.of("B7", "0A", "G5", "0B", "B4", "2A", "E3", "3A", "E4", "3B", "E5", "3C"));

  /** Clock of all classes (Hz). */
  public static final int CLOCK_HZ = 16_000_000;

  /** Highest supply of all classes (V). */
  public static final double MOST_VOLTS = 5.5;

  /** A pin: 0.8 V lost at 20 mA, which is planned with; 40 mA at the most, 200 mA the chip. */
  public static final OutputStage STAGE = new OutputStage(35, 40, 20, 40, 200, MOST_VOLTS);

  private final String key;
  private final String title;
  private final int ramBytes;
  private final int flashBytes;
  private final List<String> pins;
  private final Map<String, String> takenPins;
  private final List<String> clockPins;
  private final Map<String, String> timerOutputs;

  Controller(
      String key,
      String title,
      int ramBytes,
      int flashBytes,
      List<String> pins,
      Map<String, String> takenPins,
      List<String> clockPins,
      Map<String, String> timerOutputs) {
    this.key = key;
    this.title = title;
    this.ramBytes = ramBytes;
    this.flashBytes = flashBytes;
    this.pins = pins;
    this.takenPins = takenPins;
    this.clockPins = clockPins;
    this.timerOutputs = timerOutputs;
  }

  /** Whole ports, each to its highest bit. */
  private static List<String> pinsOf(String... last) {
    return Arrays.stream(last)
        .flatMap(
            pin ->
                IntStream.rangeClosed(0, pin.charAt(1) - '0')
                    .mapToObj(bit -> pin.charAt(0) + "" + bit))
        .toList();
  }

  /** Returns the controller class of that key. */
  public static Optional<Controller> of(String key) {
    return Arrays.stream(values()).filter(c -> c.key.equals(key)).findFirst();
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /** Returns what a pin gives, the same in all classes (data of the class). */
  public OutputStage stage() {
    return STAGE;
  }

  /** Returns the size of the RAM (bytes). */
  public int ramBytes() {
    return ramBytes;
  }

  /** Returns the size of the flash (bytes). */
  public int flashBytes() {
    return flashBytes;
  }

  /**
   * Returns the least supply at its clock (V): 10 MHz from 2.7 V, 20 MHz from 4.5 V, straight
   * between (data of the class).
   */
  public double leastVolts() {
    return 2.7 + (CLOCK_HZ - 10e6) / (20e6 - 10e6) * (4.5 - 2.7);
  }

  /** Returns the pins that may carry a data line: port letter and bit. */
  public List<String> pins() {
    return pins;
  }

  /** Returns the pins that a timer which nothing else wants can clock by itself. */
  public List<String> clockPins() {
    return clockPins;
  }

  /**
   * Returns the pins that timers turn by themselves, each with number and output of its timer;
   * without those of the timer that the player counts its time by.
   */
  public Map<String, String> timerOutputs() {
    return timerOutputs;
  }

  /** Returns why a pin can't carry a data line; empty when it can. */
  public Optional<String> whyNot(String pin) {
    if (pins.contains(pin)) {
      return Optional.empty();
    }
    String taken = takenPins.get(pin);
    return Optional.of(
        taken == null
            ? phrase("this class has no pin %s", pin)
            : phrase("pin %s belongs to %s", pin, taken));
  }
}
