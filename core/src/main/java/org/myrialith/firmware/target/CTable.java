package org.myrialith.firmware.target;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A table of numbers in C. */
public final class CTable {
  private static final int PER_LINE = 16;

  private CTable() {}

  /** Returns bytes as the numbers of a table. */
  public static Stream<Integer> bytes(byte[] values) {
    return IntStream.range(0, values.length).mapToObj(i -> values[i] & 0xff);
  }

  /**
   * Returns a table.
   *
   * @param place what stands behind its name, such as where in memory it goes
   */
  public static String text(
      String type, String name, String place, Stream<? extends Number> values) {
    List<String> all = values.map(String::valueOf).toList();
    StringBuilder out =
        new StringBuilder(phrase("static const %s %s[%d] %s = {\n", type, name, all.size(), place));
    for (int at = 0; at < all.size(); at += PER_LINE) {
      out.append("  ")
          .append(
              all.subList(at, Math.min(at + PER_LINE, all.size())).stream()
                  .collect(Collectors.joining(", ")))
          .append(",\n");
    }
    return out.append("};\n\n").toString();
  }
}
