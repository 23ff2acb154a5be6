package org.myrialith.firmware.engine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.myrialith.cue.Readout;
import org.myrialith.cue.table.Cell;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.ReadoutTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.firmware.target.TableFile;

/** Values that scenes show, as tables: readouts, their cells, the dots and glyphs of those. */
record ReadoutTables(CueTable cues, TableFile out) {
  void write() {
    out.define("READOUTS", cues.readouts().size());
    out.define("BLINK_MS", Readout.BLINK_MILLIS / 2 + "u");
    out.define("NO_UNIT", CuesHeader.NONE_WORD + "u");
    out.define("NO_VALUE", CuesHeader.NONE_BYTE + "u");
    out.define("CELL_SORT", "0x0fu");
    out.define("CELL_ZEROS", "0x80u");
    out.number("CELL_", Cell.Sort.values());
    List<ReadoutTable> all = cues.readouts();
    if (twelves(cues)) {
      out.define("TWELVES", 1);
    }
    List<Integer> firsts = new ArrayList<>();
    int next = 0;
    for (SceneTable scene : cues.scenes()) {
      firsts.add(next);
      next += scene.readouts().size();
    }
    out.bytes("scene_first_readout", firsts.stream());
    out.bytes("scene_readouts", cues.scenes().stream().map(s -> s.readouts().size()));
    out.bytes("readout_target", all.stream().map(ReadoutTable::target));
    out.words("readout_blink", all.stream().map(r -> r.blinks().first()));
    out.bytes("readout_blinks", all.stream().map(r -> r.blinks().count()));
    out.bytes("readout_blinking", all.stream().map(r -> r.blinking() ? 1 : 0));
    out.longs("readout_values", all.stream().map(ReadoutTables::shown));
    levels(all);
    cells(all);
  }

  /** Returns whether anything is read as of half a day. */
  static boolean twelves(CueTable cues) {
    return cues.readouts().stream()
        .flatMap(readout -> readout.cells().stream())
        .anyMatch(cell -> cell.sort() == Cell.Sort.TWELVE || cell.sort() == Cell.Sort.HALF);
  }

  /** Returns whether anything is added to a value before it is shown. */
  static boolean offsets(CueTable cues) {
    return cues.readouts().stream()
        .flatMap(readout -> readout.cells().stream())
        .anyMatch(cell -> cell.offset().more() > 0);
  }

  private static int shown(ReadoutTable readout) {
    return readout.cells().stream()
        .filter(cell -> cell.value() >= 0)
        .mapToInt(cell -> 1 << cell.value())
        .reduce(0, (one, other) -> one | other);
  }

  private void levels(List<ReadoutTable> all) {
    List<Integer> firsts = new ArrayList<>();
    List<Integer> counts = new ArrayList<>();
    List<Integer> levels = new ArrayList<>();
    for (ReadoutTable readout : all) {
      boolean two = CuesHeader.deep(cues.targets().get(readout.target()));
      firsts.add(levels.size());
      for (int level : readout.on()) {
        if (two) {
          levels.add(level >> 8);
        }
        levels.add(level & 0xff);
      }
      counts.add(levels.size() - firsts.get(firsts.size() - 1));
    }
    out.words("readout_on", firsts.stream());
    out.bytes("readout_levels", counts.stream());
    out.bytes("on_levels", levels.stream());
  }

  private void cells(List<ReadoutTable> all) {
    List<Cell> cells = all.stream().flatMap(r -> r.cells().stream()).toList();
    List<Integer> firsts = new ArrayList<>();
    int next = 0;
    for (ReadoutTable readout : all) {
      firsts.add(next);
      next += readout.cells().size();
    }
    out.words("readout_first_cell", firsts.stream());
    out.bytes("readout_cells", all.stream().map(r -> r.cells().size()));
    out.bytes("cell_sort", cells.stream().map(c -> c.sort().ordinal() | (c.zeros() ? 0x80 : 0)));
    out.bytes("cell_value", cells.stream().map(c -> CuesHeader.orNone(c.value())));
    out.words("cell_divisor", cells.stream().map(c -> c.divisor() & CuesHeader.NONE_WORD));
    out.words("cell_limit", cells.stream().map(Cell::limit));
    if (offsets(cues)) {
      out.define("OFFSETS", 1);
      out.words("cell_more", cells.stream().map(c -> c.offset().more()));
      out.words("cell_least", cells.stream().map(c -> c.offset().least() & CuesHeader.NONE_WORD));
      out.words("cell_span", cells.stream().map(c -> c.offset().span()));
    }
    out.words("cell_dots", cells.stream().map(c -> c.units().length));
    List<Integer> dots = new ArrayList<>();
    Map<List<Integer>, Integer> knownDots = new HashMap<>();
    List<Integer> glyphs = new ArrayList<>();
    Map<List<Integer>, Integer> knownGlyphs = new HashMap<>();
    List<Integer> firstDots = new ArrayList<>();
    List<Integer> firstGlyphs = new ArrayList<>();
    for (Cell cell : cells) {
      List<Integer> units =
          IntStream.of(cell.units()).map(u -> u & CuesHeader.NONE_WORD).boxed().toList();
      firstDots.add(place(units, dots, knownDots));
      firstGlyphs.add(place(packed(cell), glyphs, knownGlyphs));
    }
    out.words("cell_first_dot", firstDots.stream());
    out.words("cell_glyphs", firstGlyphs.stream());
    out.words("dot_unit", dots.stream());
    out.bytes("glyph_bits", glyphs.stream());
  }

  /** Where something stands in a list, put behind it when it is not in it yet. */
  private static int place(
      List<Integer> what, List<Integer> all, Map<List<Integer>, Integer> known) {
    Integer at = known.putIfAbsent(what, all.size());
    if (at == null) {
      all.addAll(what);
    }
    return Objects.requireNonNullElse(at, all.size() - what.size());
  }

  /** Its glyphs, each from a byte on, the first dot in the highest bit. */
  private static List<Integer> packed(Cell cell) {
    List<Integer> bytes = new ArrayList<>();
    for (boolean[] glyph : cell.glyphs()) {
      for (int from = 0; from < glyph.length; from += 8) {
        int one = 0;
        for (int bit = 0; bit < 8 && from + bit < glyph.length; bit++) {
          one |= glyph[from + bit] ? 0x80 >> bit : 0;
        }
        bytes.add(one);
      }
    }
    return bytes;
  }
}
