package org.myrialith.firmware.target;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Flash of each piece of a program by target (bytes). The table is made by {@code ./myrialith fit}
 * from builds of gadgets by chance with the compilers that the tests use, by least squares; nobody
 * writes it by hand.
 */
public final class CodeSizes {
  /** The table, beside this class. */
  public static final String TABLE = "code-sizes.csv";

  private static final Map<FirmwareTarget, CodeSizes> ALL = read();

  private final Map<String, Double> bytes = new HashMap<>();

  private CodeSizes() {}

  /** Returns those of a target. */
  public static CodeSizes of(FirmwareTarget target) {
    return ALL.get(target);
  }

  /** Returns the targets that the columns of the table are of. */
  public static List<FirmwareTarget> columns() {
    return List.of(
        FirmwareTarget.AVR8_32K,
        FirmwareTarget.AVR8_8K,
        FirmwareTarget.AVR8_256K,
        FirmwareTarget.ARM32_SMALL);
  }

  /** All 32-bit targets are built for one core; one of another core has its own column. */
  public static FirmwareTarget column(FirmwareTarget target) {
    return columns().stream()
        .filter(column -> column.core().equals(target.core()))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no sizes for " + target));
  }

  private static Map<FirmwareTarget, CodeSizes> read() {
    Map<FirmwareTarget, CodeSizes> all = new EnumMap<>(FirmwareTarget.class);
    Arrays.stream(FirmwareTarget.values()).forEach(target -> all.put(target, new CodeSizes()));
    SourceText.read(TABLE)
        .lines()
        .skip(1)
        .map(line -> line.split(","))
        .forEach(
            cells ->
                all.forEach(
                    (target, sizes) -> {
                      int column = 1 + columns().indexOf(column(target));
                      sizes.bytes.put(cells[0], Double.parseDouble(cells[column]));
                    }));
    return all;
  }

  /** Returns the flash of a piece. */
  public double bytes(String piece) {
    Double size = bytes.get(piece);
    if (size == null) {
      throw new IllegalArgumentException("no size of " + piece);
    }
    return size;
  }
}
