package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.cues.Clears;
import org.myrialith.cues.Comparison;
import org.myrialith.cues.Press;
import org.myrialith.cues.Readout;
import org.myrialith.cues.Received;
import org.myrialith.cues.Setting;
import org.myrialith.cues.Stay;
import org.myrialith.cues.Variable;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Stretch;
import org.myrialith.drive.SwitchedPlan;
import org.myrialith.frames.Limiter;
import org.myrialith.parts.KeptMemory;
import org.myrialith.play.Cell;
import org.myrialith.play.CueEngine;
import org.myrialith.play.CueTable;
import org.myrialith.play.KeptRecord;
import org.myrialith.play.ReadoutTable;
import org.myrialith.play.Row;
import org.myrialith.play.SceneTable;
import org.myrialith.play.Sense;
import org.myrialith.play.Target;
import org.myrialith.play.Term;

/**
 * Cues, scenes, values and inputs as tables for the engine: {@code cues.h} says what there is,
 * {@code tables.c} has it, apart from the engine, so that its code is the same whatever they say.
 */
final class CuesHeader {
  private static final int NONE_BYTE = 0xff;
  private static final int NONE_WORD = 0xffff;

  private final FirmwareWork work;
  private final FramesHeader frames;
  private final CueTable cues;
  private final StringBuilder out = new StringBuilder();
  private final StringBuilder tables = new StringBuilder();
  private final Map<String, Integer> sizes = new LinkedHashMap<>();

  /**
   * Works them out.
   *
   * @param frames that scenes show
   */
  CuesHeader(FirmwareWork work, FramesHeader frames) {
    boolean banked = frames.banked();
    this.work = work;
    this.frames = frames;
    this.cues = work.cues().orElseThrow();
    out.append(
        """
        /* What is shown when, as tables. Made by Myrialith; change the gadget, not this file. */
        #ifndef CUES_H
        #define CUES_H

        #include <stdint.h>

        """);
    tables.append(
        """
        /* What cues.h says that there is. Made by Myrialith; change the gadget, not this file. */
        #include "cues.h"

        #ifdef __AVR__
        #include <avr/pgmspace.h>
        """);
    tables.append(
        banked
            ? "#define TABLE __attribute__((section(\".progmem.gcc_tables\")))\n"
            : "#define TABLE PROGMEM\n");
    tables.append("#else\n#define TABLE\n#endif\n\n");
    constants();
    targets();
    scenes();
    if (!cues.senses().isEmpty()) {
      senses();
    }
    if (!cues.values().isEmpty()) {
      values();
    }
    rows();
    if (!cues.readouts().isEmpty()) {
      readouts();
    }
    work.sent().limiter().ifPresent(this::weights);
    out.append("#endif\n");
  }

  String text() {
    return out.toString();
  }

  String tables() {
    return tables.toString();
  }

  /** Returns the bytes of flash that the tables take. */
  int tableBytes() {
    return sizes.values().stream().mapToInt(Integer::intValue).sum();
  }

  private void define(String name, Object value) {
    out.append("#define ").append(name).append(' ').append(value).append('\n');
  }

  /** Numbers for the names of an enum, as the engine knows them. */
  private void number(String prefix, Enum<?>[] all) {
    for (Enum<?> one : all) {
      define(prefix + one.name(), one.ordinal() + "u");
    }
    out.append('\n');
  }

  private void constants() {
    define("CUES", cues.rows().size());
    define("SCENES", cues.scenes().size());
    define("TARGETS", cues.targets().size());
    define("TICK_MS", cues.tickMillis() + "u");
    if (cues.fades()) {
      define("FADES", 1);
      define("FADE_MS", cues.fadeMillis() + "u");
    }
    if (!cues.senses().isEmpty()) {
      define("SENSES", cues.senses().size());
      define("LONG_MS", Press.LONG_MILLIS + "u");
      define("DOUBLE_MS", Press.DOUBLE_MILLIS + "u");
      define("AGAIN_MS", Press.AGAIN_MILLIS + "u");
      number("SENSE_", Sense.Sort.values());
    }
    if (cues.senses().stream().anyMatch(s -> s.sort() == Sense.Sort.ANALOGUE)) {
      define("ANALOGUE", 1);
    }
    if (cues.senses().stream().anyMatch(s -> s.sort() == Sense.Sort.ROTARY)) {
      define("ROTARY", 1);
    }
    if (cues.reads()) {
      messages();
    }
    if (cues.chance()) {
      define("CHANCE", 1);
      define("FIRST_CHANCE", Integer.toUnsignedString(cues.firstChance()) + "UL");
    }
    if (cues.rows().stream().anyMatch(row -> row.kind() == Row.Kind.EVERY)) {
      define("EVERY", 1);
    }
    define("NO_CLIP", NONE_WORD + "u");
    define("NO_SCENE", NONE_BYTE + "u");
    number("WHEN_", Row.Kind.values());
    number("STAY_", Stay.values());
    number("CLEARS_", Clears.values());
  }

  private void messages() {
    define("READS", 1);
    define("LINE_MOST", Received.MOST_LETTERS + "u");
    define("LETTERS_AT_ONCE", CueEngine.LETTERS_AT_ONCE + "u");
    define("MESSAGES", cues.messages().size() + "u");
    if (!cues.messages().isEmpty()) {
      bytes("message_texts", texts(cues.messages()));
    }
    List<Integer> told =
        IntStream.range(0, cues.values().size())
            .filter(v -> cues.values().get(v).told())
            .boxed()
            .toList();
    if (!told.isEmpty()) {
      define("TOLD", told.size() + "u");
      bytes("told_names", texts(told.stream().map(v -> cues.values().get(v).name()).toList()));
      bytes("told_values", told.stream());
    }
  }

  /** Texts one behind the other, each with a 0 at its end. */
  private static Stream<Integer> texts(List<String> all) {
    return String.join("\0", all).concat("\0").chars().boxed();
  }

  private void kept() {
    KeptRecord record = KeptRecord.of(cues, KeptMemory.of(work.controller()).orElseThrow());
    define("KEPT", record.values().size() + "u");
    define("KEEP_MS", Variable.KEPT_MILLIS + "u");
    define("KEPT_BYTES", record.bytes() + "u");
    define("KEPT_SLOTS", record.slots() + "u");
    define("KEPT_SIGN", "0x" + Integer.toHexString(record.sign()) + "u");
    bytes("kept_values", cues.kept().stream());
    bytes("value_kept", cues.values().stream().map(v -> v.kept() ? 1 : 0));
  }

  private void bytes(String name, Stream<Integer> values) {
    table("uint8_t", 1, name, values.toList());
  }

  private void words(String name, Stream<Integer> values) {
    table("uint16_t", 2, name, values.toList());
  }

  private void signed(String name, Stream<Integer> values) {
    table("int16_t", 2, name, values.toList());
  }

  private void longs(String name, Stream<Integer> values) {
    table("uint32_t", 4, name, values.map(Integer::toUnsignedLong).toList());
  }

  /** A table is never empty: C has no such. */
  private void table(String type, int each, String name, List<? extends Number> values) {
    List<? extends Number> all = values.isEmpty() ? List.of(0) : values;
    sizes.put(name, each * all.size());
    out.append(phrase("extern const %s %s[%d];\n", type, name, all.size()));
    tables.append(CTable.text(type, name, "TABLE", all.stream()).replaceFirst("^static ", ""));
  }

  // what is painted

  private void targets() {
    List<Target> all = cues.targets();
    words("target_first_byte", all.stream().map(this::firstByte));
    words(
        "target_pixels",
        all.stream().map(t -> t.plan().dims() ? t.stretch().units() : t.stretch().channels()));
    if (work.switches()) {
      List<Integer> places = new ArrayList<>();
      List<Integer> firsts = new ArrayList<>();
      for (Target target : all) {
        firsts.add(target.plan().dims() ? NONE_WORD : places.size());
        if (target.plan() instanceof SwitchedPlan plan && !plan.dims()) {
          int first = target.stretch().firstChannel();
          IntStream.range(first, first + target.stretch().channels())
              .forEach(channel -> places.add(plan.map().place(channel)));
        }
      }
      words("target_first_place", firsts.stream());
      words("places", places.stream());
    }
    if (frames.ordered()) {
      words("first_order", all.stream().map(this::firstOrder));
    }
    if (!work.alike()) {
      bytes("target_channels", all.stream().map(FirmwareWork::unitBytes));
    }
    if (cues.fades() && all.stream().anyMatch(CuesHeader::deep)) {
      define("DEEP_TARGETS", 1);
      bytes("target_deep", all.stream().map(target -> deep(target) ? 1 : 0));
    }
  }

  private int firstOrder(Target target) {
    return frames.firstOrder(
        work.clips().stream()
            .filter(clip -> target.is(clip.circuit(), clip.stretch()))
            .findFirst());
  }

  private static boolean deep(Target target) {
    return target.plan().levelBits() > 8;
  }

  private int firstByte(Target target) {
    int line = work.firstByte(target.circuit());
    int each = deep(target) ? 2 : 1;
    return target.plan().dims() ? line + each * target.stretch().firstChannel() : line;
  }

  private void scenes() {
    List<Integer> clips = new ArrayList<>();
    int next = 0;
    for (SceneTable scene : cues.scenes()) {
      for (int t = 0; t < cues.targets().size(); t++) {
        clips.add(scene.clips()[t] == null ? NONE_WORD : next++);
      }
    }
    words("scene_clips", clips.stream());
    longs("scene_ms", cues.scenes().stream().map(SceneTable::lengthMillis));
  }

  // what is read and counted

  private void senses() {
    List<Sense> all = cues.senses();
    words("sense_every", all.stream().map(Sense::everyMillis));
    bytes("sense_sort", all.stream().map(s -> s.sort().ordinal()));
    bytes("sense_mask", all.stream().map(s -> (1 << Math.min(8, s.looks())) - 1));
    bytes("sense_on", all.stream().map(Sense::agreeing));
    bytes("sense_off", all.stream().map(s -> s.looks() - s.agreeing()));
    bytes("sense_doubles", all.stream().map(s -> s.doubles() ? 1 : 0));
  }

  private void values() {
    define("VALUES", cues.values().size());
    if (cues.clock() >= 0) {
      define("CLOCK", cues.clock());
      if (!cues.chip().isEmpty()) {
        define("CLOCK_CHIP", 1);
      }
    }
    if (!cues.kept().isEmpty()) {
      kept();
    }
    define("OF_VALUE", "0x80u");
    define("OF_HOW", "0x7fu");
    number("IS_", Comparison.values());
    number("DO_", Setting.How.values());
    signed("value_least", cues.values().stream().map(v -> v.least()));
    signed("value_most", cues.values().stream().map(v -> v.most()));
    signed("value_start", cues.values().stream().map(v -> v.start()));
    bytes("value_wraps", cues.values().stream().map(v -> v.wraps() ? 1 : 0));
    signed("term_operand", cues.terms().stream().map(Term::operand));
    bytes("term_value", cues.terms().stream().map(Term::value));
    bytes("term_how", cues.terms().stream().map(t -> t.how() | (t.ofValue() ? 0x80 : 0)));
  }

  // cues

  private Stream<Integer> of(ToIntFunction<Row> what) {
    return cues.rows().stream().map(what::applyAsInt);
  }

  private static int orNone(int number) {
    return number < 0 ? NONE_BYTE : number;
  }

  private void rows() {
    bytes("cue_kind", of(row -> row.kind().ordinal()));
    longs("cue_a", of(Row::a));
    longs("cue_b", of(Row::b));
    bytes("cue_scene", of(row -> orNone(row.scene())));
    bytes("cue_priority", of(row -> row.cue().priority()));
    bytes("cue_clears", of(row -> row.cue().clears().ordinal()));
    bytes("cue_stay", of(row -> row.cue().stay().ordinal()));
    longs("cue_stay_ms", of(row -> row.cue().stayMillis()));
    if (cues.fades()) {
      words("cue_fade_in", of(row -> row.cue().fadeIn()));
      words("cue_fade_out", of(row -> row.cue().fadeOut()));
    }
    if (!cues.senses().isEmpty()) {
      bytes("cue_sense", of(row -> orNone(row.sense())));
    }
    if (!cues.values().isEmpty()) {
      words("cue_when", of(row -> row.whens().first()));
      bytes("cue_whens", of(row -> row.whens().count()));
      words("cue_only", of(row -> row.onlys().first()));
      bytes("cue_onlys", of(row -> row.onlys().count()));
      words("cue_then", of(row -> row.thens().first()));
      bytes("cue_thens", of(row -> row.thens().count()));
    }
    List<Integer> counters = new ArrayList<>();
    int next = 0;
    for (Row row : cues.rows()) {
      boolean counts = row.kind() == Row.Kind.EVERY || row.kind() == Row.Kind.TURNED;
      counters.add(counts ? next++ : NONE_BYTE);
    }
    if (next > 0) {
      define("COUNTERS", next);
      bytes("cue_counter", counters.stream());
    }
  }

  /** Returns how many cues count something down or up. */
  static int counters(CueTable cues) {
    return (int)
        cues.rows().stream()
            .filter(row -> row.kind() == Row.Kind.EVERY || row.kind() == Row.Kind.TURNED)
            .count();
  }

  // readouts

  private void readouts() {
    define("READOUTS", cues.readouts().size());
    define("BLINK_MS", Readout.BLINK_MILLIS / 2 + "u");
    define("NO_UNIT", NONE_WORD + "u");
    define("NO_VALUE", NONE_BYTE + "u");
    define("CELL_SORT", "0x0fu");
    define("CELL_ZEROS", "0x80u");
    number("CELL_", Cell.Sort.values());
    List<ReadoutTable> all = cues.readouts();
    List<Integer> firsts = new ArrayList<>();
    int next = 0;
    for (SceneTable scene : cues.scenes()) {
      firsts.add(next);
      next += scene.readouts().size();
    }
    bytes("scene_first_readout", firsts.stream());
    bytes("scene_readouts", cues.scenes().stream().map(s -> s.readouts().size()));
    bytes("readout_target", all.stream().map(ReadoutTable::target));
    words("readout_blink", all.stream().map(r -> r.blinks().first()));
    bytes("readout_blinks", all.stream().map(r -> r.blinks().count()));
    bytes("readout_blinking", all.stream().map(r -> r.blinking() ? 1 : 0));
    longs("readout_values", all.stream().map(CuesHeader::shown));
    levels(all);
    cells(all);
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
      boolean two = deep(cues.targets().get(readout.target()));
      firsts.add(levels.size());
      for (int level : readout.on()) {
        if (two) {
          levels.add(level >> 8);
        }
        levels.add(level & 0xff);
      }
      counts.add(levels.size() - firsts.get(firsts.size() - 1));
    }
    words("readout_on", firsts.stream());
    bytes("readout_levels", counts.stream());
    bytes("on_levels", levels.stream());
  }

  private void cells(List<ReadoutTable> all) {
    List<Cell> cells = all.stream().flatMap(r -> r.cells().stream()).toList();
    List<Integer> firsts = new ArrayList<>();
    int next = 0;
    for (ReadoutTable readout : all) {
      firsts.add(next);
      next += readout.cells().size();
    }
    words("readout_first_cell", firsts.stream());
    bytes("readout_cells", all.stream().map(r -> r.cells().size()));
    bytes("cell_sort", cells.stream().map(c -> c.sort().ordinal() | (c.zeros() ? 0x80 : 0)));
    bytes("cell_value", cells.stream().map(c -> orNone(c.value())));
    words("cell_divisor", cells.stream().map(c -> c.divisor() & NONE_WORD));
    words("cell_limit", cells.stream().map(Cell::limit));
    words("cell_dots", cells.stream().map(c -> c.units().length));
    List<Integer> dots = new ArrayList<>();
    Map<List<Integer>, Integer> knownDots = new HashMap<>();
    List<Integer> glyphs = new ArrayList<>();
    Map<List<Integer>, Integer> knownGlyphs = new HashMap<>();
    List<Integer> firstDots = new ArrayList<>();
    List<Integer> firstGlyphs = new ArrayList<>();
    for (Cell cell : cells) {
      List<Integer> units = IntStream.of(cell.units()).map(u -> u & NONE_WORD).boxed().toList();
      firstDots.add(place(units, dots, knownDots));
      firstGlyphs.add(place(packed(cell), glyphs, knownGlyphs));
    }
    words("cell_first_dot", firstDots.stream());
    words("cell_glyphs", firstGlyphs.stream());
    words("dot_unit", dots.stream());
    bytes("glyph_bits", glyphs.stream());
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

  // the limiter

  /** What a level of each channel weighs: of a unit over and over, or of all one by one. */
  private void weights(Limiter limiter) {
    List<Integer> firsts = new ArrayList<>();
    List<Integer> counts = new ArrayList<>();
    List<Integer> weights = new ArrayList<>();
    for (CircuitPlan line : work.lines()) {
      int circuit = work.sent().wiring().plans().indexOf(line);
      firsts.add(weights.size());
      List<Integer> own = limiter.weights().get(circuit);
      boolean regular =
          line.stretches().stream()
              .allMatch(s -> s.groups() == null && s.channelsPerUnit() == own.size());
      if (regular) {
        weights.addAll(own);
      } else {
        for (Stretch stretch : line.stretches()) {
          IntStream.range(0, stretch.channels())
              .forEach(channel -> weights.add(own.get(stretch.group(channel))));
        }
      }
      counts.add(weights.size() - firsts.get(firsts.size() - 1));
    }
    words("line_weight", firsts.stream());
    words("line_weights", counts.stream());
    words("weights_of", weights.stream());
  }
}
