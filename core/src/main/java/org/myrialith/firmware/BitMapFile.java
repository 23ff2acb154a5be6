package org.myrialith.firmware;

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
import org.myrialith.drive.BitMap;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.SwitchedChannel;
import org.myrialith.drive.SwitchedPlan;
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
   * Returns it as CSV (RFC 4180): chips count from 1 for the nearest, outputs from 0, turns from 0
   * in the order that bits are clocked out.
   */
  public String csv() {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, CSV)) {
      for (SwitchedPlan plan : switched()) {
        BitMap map = plan.map();
        for (int c = 0; c < map.channels().size(); c++) {
          SwitchedChannel channel = map.channels().get(c);
          printer.printRecord(
              plan.circuit().id(),
              channel.fixture().id(),
              SpreadsheetText.harmless(channel.fixture().name()),
              channel.number(),
              SpreadsheetText.harmless(channel.name()),
              SpreadsheetText.harmless(channel.field()),
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

  /** Returns it as constants: eight times the byte of what is sent, plus the bit. */
  public String header() {
    StringBuilder text =
        new StringBuilder(
            """
            /* Where each channel stands in what its circuit sends: eight times the byte, plus the bit, 0 the lowest.
             * Made by Myrialith; change the gadget, not this file. */
            #ifndef BITMAP_H
            #define BITMAP_H

            """);
    Set<String> taken = new HashSet<>();
    for (SwitchedPlan plan : switched()) {
      text.append(
          phrase(
              "#define %s %du\n",
              unique(word(plan.circuit().name()) + "_BYTES", taken), plan.map().bytes()));
      for (int c = 0; c < plan.map().channels().size(); c++) {
        SwitchedChannel channel = plan.map().channels().get(c);
        if (channel.startsField() && !channel.field().isEmpty()) {
          String field = unique("FIELD_" + word(channel.field()), taken);
          text.append(phrase("#define %s %du\n", field, plan.map().place(c)));
        }
        String name = word(channel.fixture().name() + " " + channel.name());
        text.append(phrase("#define %s %du\n", unique(name, taken), plan.map().place(c)));
      }
      text.append('\n');
    }
    return text + "#endif\n";
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
