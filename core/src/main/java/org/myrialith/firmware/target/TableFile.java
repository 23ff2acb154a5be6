package org.myrialith.firmware.target;

import static org.myrialith.finding.Phrase.phrase;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Constants for a header, and tables that are declared there and stand in a file of their own.
 * Mutable.
 */
public final class TableFile {
  /** How numbers in flash are read. */
  public static final String READS =
      """
      #ifdef __AVR__
      #include <avr/pgmspace.h>
      #define READ_BYTE(at) pgm_read_byte(at)
      #define READ_WORD(at) pgm_read_word(at)
      #define READ_LONG(at) pgm_read_dword(at)
      #else
      #define PROGMEM
      #define READ_BYTE(at) (*(at))
      #define READ_WORD(at) (*(at))
      #define READ_LONG(at) (*(at))
      #endif
      """;

  /**
   * Returns where in flash tables go: before all frames where those take more than a short pointer
   * reaches.
   */
  public static String place(boolean banked) {
    return banked
        ? """
        #ifdef __AVR__
        #define TABLE __attribute__((section(".progmem.gcc_tables")))
        #else
        #define TABLE
        #endif
        """
        : "#define TABLE PROGMEM\n";
  }

  private final StringBuilder header = new StringBuilder();
  private final StringBuilder tables = new StringBuilder();
  private final Map<String, Integer> sizes = new LinkedHashMap<>();

  public void header(String text) {
    header.append(text);
  }

  public void tables(String text) {
    tables.append(text);
  }

  public String headerText() {
    return header.toString();
  }

  public String tablesText() {
    return tables.toString();
  }

  /** Returns the bytes of flash that the tables take. */
  public int bytes() {
    return sizes.values().stream().mapToInt(Integer::intValue).sum();
  }

  public void define(String name, Object value) {
    header.append("#define ").append(name).append(' ').append(value).append('\n');
  }

  /** Numbers for the names of an enum, as the engine knows them. */
  public void number(String prefix, Enum<?>[] all) {
    number(prefix, Stream.of(all).map(Enum::name).toList());
  }

  /** Defines names by their places, from 0. */
  public void number(String prefix, List<String> names) {
    for (int n = 0; n < names.size(); n++) {
      define(prefix + names.get(n), n + "u");
    }
    header.append('\n');
  }

  public void bytes(String name, Stream<Integer> values) {
    table("uint8_t", 1, name, values.toList());
  }

  public void words(String name, Stream<Integer> values) {
    table("uint16_t", 2, name, values.toList());
  }

  public void signed(String name, Stream<Integer> values) {
    table("int16_t", 2, name, values.toList());
  }

  public void longs(String name, Stream<Integer> values) {
    table("uint32_t", 4, name, values.map(Integer::toUnsignedLong).toList());
  }

  /** A table is never empty: C has no such. */
  public void table(String type, int each, String name, List<? extends Number> values) {
    List<? extends Number> all = values.isEmpty() ? List.of(0) : values;
    sizes.put(name, each * all.size());
    header.append(phrase("extern const %s %s[%d];\n", type, name, all.size()));
    tables.append(CTable.text(type, name, "TABLE", all.stream()).replaceFirst("^static ", ""));
  }
}
