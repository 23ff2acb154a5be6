package org.myrialith.firmware.export;

import static org.myrialith.finding.Phrase.phrase;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.text.Normalizer;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.formats.SpreadsheetText;

/**
 * Which channel is switched by which output, and where its bit stands in what is sent: as a table
 * and as constants for C.
 *
 * @param circuits that are only on or off; others are passed over
 */
public record BitMapFile(List<? extends CircuitPlan> circuits) {
  private static final CSVFormat CSV =
      CSVFormat.RFC4180
          .builder()
          .setHeader(
              "circuit",
              "fixture",
              "name",
              "channel",
              "switches",
              "field",
              "counted by",
              "chip",
              "output",
              "turn",
              "byte",
              "bit")
          .get();

  private List<SwitchedPlan> switched() {
    return circuits.stream()
        .filter(SwitchedPlan.class::isInstance)
        .map(SwitchedPlan.class::cast)
        .filter(p -> !p.map().channels().isEmpty())
        .toList();
  }

  /** Returns whether there is anything to tell. */
  public boolean empty() {
    return switched().isEmpty();
  }

  /**
   * Returns it as CSV (RFC 4180): chips, rows or digits, as the column before tells, count from 1
   * for the nearest, outputs from 0, turns from 0 in the order that bits are clocked out.
   */
  public String csv() {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, CSV)) {
      for (SwitchedPlan plan : switched()) {
        OutputMap map = plan.map();
        for (int c = 0; c < map.channels().size(); c++) {
          SwitchedChannel channel = map.channels().get(c);
          printer.printRecord(
              plan.circuit().id(),
              channel.fixture().id(),
              SpreadsheetText.harmless(channel.fixture().name()),
              channel.number(),
              SpreadsheetText.harmless(channel.name()),
              SpreadsheetText.harmless(channel.field()),
              plan.chipWord(),
              map.chip(c) + 1,
              map.output(c),
              map.turn(c),
              map.place(c) / 8,
              map.place(c) % 8);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
    return text.toString();
  }

  /** Returns it as constants: where each channel stands in what board_show takes. */
  public String header() {
    StringBuilder text =
        new StringBuilder(
            """
            /* Where each channel stands in what board_show() takes, which is all circuits one after the other: ..._AT is the first
             * byte of a circuit, ..._BYTES how many it has. Of what is on or off, a channel is eight times the byte plus the bit,
             * 0 the lowest, counted from the circuit's first byte; a set bit lights. Of what is dimmed, a channel is its byte, or
             * the first of its two, the high one.
             * Made by Myrialith; change the gadget, not this file. */
            #ifndef BITMAP_H
            #define BITMAP_H

            """);
    Set<String> taken = new HashSet<>();
    int at = 0;
    for (CircuitPlan circuit : circuits) {
      if (circuit instanceof SwitchedPlan plan && !plan.map().channels().isEmpty()) {
        text.append(constants(plan, at, taken));
      }
      at += circuit.bufferBytes();
    }
    return text + "#endif\n";
  }

  private static String constants(SwitchedPlan plan, int at, Set<String> taken) {
    StringBuilder text = new StringBuilder();
    String circuit = word(plan.circuit().name());
    int deep = plan.levelBits() > Byte.SIZE ? 2 : 1;
    text.append(
        plan.dims()
            ? phrase(
                "/* %s: levels of 0 to %d, %s each. */\n",
                BoardFile.plain(plan.circuit().name()),
                plan.fullLevel(),
                deep == 1 ? "a byte" : "two bytes")
            : phrase("/* %s: on or off. */\n", BoardFile.plain(plan.circuit().name())));
    text.append(phrase("#define %s %du\n", unique(circuit + "_AT", taken), at));
    text.append(phrase("#define %s %du\n", unique(circuit + "_BYTES", taken), plan.bufferBytes()));
    for (int c = 0; c < plan.map().channels().size(); c++) {
      SwitchedChannel channel = plan.map().channels().get(c);
      int place = plan.dims() ? deep * c : plan.map().place(c);
      if (channel.startsField() && !channel.field().isEmpty()) {
        String field = unique("FIELD_" + word(channel.field()), taken);
        text.append(phrase("#define %s %du\n", field, place));
      }
      String name = word(channel.fixture().name() + " " + channel.name());
      text.append(phrase("#define %s %du\n", unique(name, taken), place));
    }
    return text.append('\n').toString();
  }

  /** Returns a name as a word of C: letters, digits and underscores, not beginning with a digit. */
  static String word(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "")
            .toUpperCase(Locale.ROOT)
            .replaceAll("[^A-Z0-9]+", "_")
            .replaceAll("^_+|_+$", "");
    return plain.isEmpty() ? "PART" : Character.isDigit(plain.charAt(0)) ? "N" + plain : plain;
  }

  private static String unique(String word, Set<String> taken) {
    String free = word;
    for (int number = 2; !taken.add(free); number++) {
      free = word + "_" + number;
    }
    return free;
  }
}
