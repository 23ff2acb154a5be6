package org.myrialith.firmware;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.colour.Levels;

/**
 * Outputs as a maker has wired them by the exported table: which of them lights which channel.
 *
 * @param chips how many the table tells
 */
record Wired(List<CSVRecord> rows, int chips) {
  static Wired of(Path folder, SwitchedPlan plan) throws IOException {
    try (Reader in = Files.newBufferedReader(folder.resolve("bitmap.csv"))) {
      List<CSVRecord> rows =
          CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get().parse(in).stream()
              .filter(row -> row.get("circuit").equals(plan.circuit().id()))
              .toList();
      int chips =
          rows.stream().mapToInt(row -> Integer.parseInt(row.get("chip"))).max().orElseThrow();
      return new Wired(rows, chips);
    }
  }

  /** Returns the levels of channels whose outputs are on for so many counts. */
  Levels levels(int[] counts, int width, int bits) {
    int[] levels = new int[rows.size()];
    for (int c = 0; c < levels.length; c++) {
      int chip = Integer.parseInt(rows.get(c).get("chip")) - 1;
      levels[c] = counts[chip * width + Integer.parseInt(rows.get(c).get("output"))];
    }
    return Levels.of(bits, levels);
  }

  /**
   * Returns the levels that outputs count to.
   *
   * @param stages of the chain, the nearest first
   * @param bits of each output
   */
  Levels counted(boolean[] stages, int width, int bits) {
    int[] levels = new int[rows.size()];
    for (int c = 0; c < levels.length; c++) {
      int chip = Integer.parseInt(rows.get(c).get("chip")) - 1;
      int output = Integer.parseInt(rows.get(c).get("output"));
      for (int bit = 0; bit < bits; bit++) {
        levels[c] |= stages[(chip * width + output) * bits + bit] ? 1 << bit : 0;
      }
    }
    return Levels.of(bits, levels);
  }

  /**
   * Returns what lights when outputs have those levels.
   *
   * @param low whether a low output lights
   */
  Levels lit(boolean[] outputs, int width, boolean low) {
    int[] lit = new int[rows.size()];
    for (int c = 0; c < lit.length; c++) {
      int chip = Integer.parseInt(rows.get(c).get("chip")) - 1;
      int output = Integer.parseInt(rows.get(c).get("output"));
      lit[c] = outputs[chip * width + output] != low ? 1 : 0;
    }
    return Levels.of(1, lit);
  }
}
