package org.myrialith.parts;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A class of memory beside a controller, read byte after byte.
 *
 * @param title shown to the maker
 * @param bytes that it has
 * @param pins of the controller that it takes; those of a bus that is there already are shared
 * @param byteSeconds that reading one takes (s)
 */
public record SerialMemory(String title, int bytes, int pins, double byteSeconds) {
  /** Eight bits and an answer at 400 kHz. */
  private static final double TWO_WIRE = 9 / 400e3;

  /** Eight bits at 8 MHz, and as long again to wait for them. */
  private static final double SHIFTED = 2e-6;

  /** Usual classes, the smallest first (sizes: common practice). */
  public static final List<SerialMemory> CLASSES =
      List.of(
          new SerialMemory("EEPROM of 32 KB on I2C", 32 << 10, 2, TWO_WIRE),
          new SerialMemory("EEPROM of 128 KB on I2C", 128 << 10, 2, TWO_WIRE),
          new SerialMemory("serial flash of 1 MB on SPI", 1 << 20, 4, SHIFTED),
          new SerialMemory("serial flash of 16 MB on SPI", 16 << 20, 4, SHIFTED));

  /**
   * Returns the smallest that holds so many bytes and is read quickly enough.
   *
   * @param longest bytes that are read at once
   * @param seconds in which they have to be there (s)
   */
  public static Optional<SerialMemory> holding(long bytes, int longest, double seconds) {
    return CLASSES.stream()
        .filter(memory -> memory.bytes >= bytes && longest * memory.byteSeconds <= seconds)
        .min(Comparator.comparingInt(SerialMemory::bytes));
  }
}
