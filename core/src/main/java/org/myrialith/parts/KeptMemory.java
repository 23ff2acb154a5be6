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

  /** Returns that of a class; empty where its usual environment has none. */
  public static Optional<KeptMemory> of(Controller controller) {
    return switch (controller.key()) {
      case "8bit-8k" -> Optional.of(new KeptMemory(512, EEPROM_WRITES, true));
      case "8bit-32k" -> Optional.of(new KeptMemory(1024, EEPROM_WRITES, true));
      case "8bit-256k" -> Optional.of(new KeptMemory(4096, EEPROM_WRITES, true));
      case "32bit-2m", "32bit-4m" -> Optional.of(new KeptMemory(FLASH_BYTES, FLASH_WRITES, false));
      default -> Optional.empty();
    };
  }
}
