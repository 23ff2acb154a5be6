package org.myrialith.parts;

import java.util.Optional;

/**
 * Memory of a class of controller that keeps what is written while power is off.
 *
 * @param bytes how much there is (bytes)
 * @param writes that a byte stands (times)
 * @param spread whether every byte wears by itself, so that writing in turn spreads it; else all of
 *     it is written anew each time
 */
public record KeptMemory(int bytes, int writes, boolean spread) {
  /** Data sheets of the 8-bit classes. */
  private static final int EEPROM_WRITES = 100_000;

  /** Flash that stands in for it, erased as a whole (data sheets, the least of them). */
  private static final int FLASH_WRITES = 10_000;

  private static final int FLASH_BYTES = 1024;

  /** Returns an EEPROM of so many bytes. */
  static Optional<KeptMemory> eeprom(int bytes) {
    return Optional.of(new KeptMemory(bytes, EEPROM_WRITES, true));
  }

  /** Returns a page of flash that stands in for one. */
  static Optional<KeptMemory> inFlash() {
    return Optional.of(new KeptMemory(FLASH_BYTES, FLASH_WRITES, false));
  }
}
