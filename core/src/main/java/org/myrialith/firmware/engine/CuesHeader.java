package org.myrialith.firmware.engine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Comparison;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Press;
import org.myrialith.cue.Received;
import org.myrialith.cue.Setting;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.cue.table.Row;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Target;
import org.myrialith.cue.table.Term;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FramesHeader;
import org.myrialith.firmware.target.TableFile;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Limiter;

/**
 * Cues, scenes, values and inputs as tables for the engine: {@code cues.h} says what there is,
 * {@code tables.c} has it, apart from the engine, so that its code is the same whatever they say.
 */
public final class CuesHeader {
  /** In place of a number of a byte, or of a word, where there is none. */
  static final int NONE_BYTE = 0xff;

  static final int NONE_WORD = 0xffff;

  private final FirmwareWork work;
  private final FramesHeader frames;
  private final CueTable cues;
  private final TableFile out = new TableFile();

  /**
   * Works them out.
   *
   * @param frames that scenes show
   */
  public CuesHeader(FirmwareWork work, FramesHeader frames) {
    boolean banked = frames.banked();
    this.work = work;
    this.frames = frames;
    this.cues = work.cues().orElseThrow();
    out.header(
        """
        /* What is shown when, as tables. Made by Myrialith; change the gadget, not this file. */
        #ifndef CUES_H
        #define CUES_H

        #include <stdint.h>

        """);
    out.tables(
        """
        /* What cues.h says that there is. Made by Myrialith; change the gadget, not this file. */
        #include "cues.h"

        #ifdef __AVR__
        #include <avr/pgmspace.h>
        """);
    out.tables(
        banked
            ? "#define TABLE __attribute__((section(\".progmem.gcc_tables\")))\n"
            : "#define TABLE PROGMEM\n");
    out.tables("#else\n#define TABLE\n#endif\n\n");
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
      new ReadoutTables(cues, out).write();
    }
    work.sent().limiter().ifPresent(this::weights);
    out.header("#endif\n");
  }

  public String text() {
    return out.headerText();
  }

  public String tables() {
    return out.tablesText();
  }

  /** Returns the bytes of flash that the tables take. */
  public int tableBytes() {
    return out.bytes();
  }

  private void constants() {
    out.define("CUES", cues.rows().size());
    out.define("SCENES", cues.scenes().size());
    out.define("TARGETS", cues.targets().size());
    out.define("TICK_MS", cues.tickMillis() + "u");
    if (cues.fades()) {
      out.define("FADES", 1);
      out.define("FADE_MS", cues.fadeMillis() + "u");
    }
    if (!cues.senses().isEmpty()) {
      out.define("SENSES", cues.senses().size());
      out.define("LONG_MS", Press.LONG_MILLIS + "u");
      out.define("DOUBLE_MS", Press.DOUBLE_MILLIS + "u");
      out.define("AGAIN_MS", Press.AGAIN_MILLIS + "u");
      out.number("SENSE_", InputState.Sort.values());
    }
    if (cues.senses().stream().anyMatch(s -> s.sort() == InputState.Sort.ANALOGUE)) {
      out.define("ANALOGUE", 1);
    }
    if (cues.senses().stream().anyMatch(s -> s.sort() == InputState.Sort.ROTARY)) {
      out.define("ROTARY", 1);
    }
    if (cues.reads()) {
      messages();
    }
    if (cues.chance()) {
      out.define("CHANCE", 1);
      out.define("FIRST_CHANCE", Integer.toUnsignedString(cues.firstChance()) + "UL");
    }
    if (cues.rows().stream().anyMatch(row -> row.kind() == Firing.By.EVERY)) {
      out.define("EVERY", 1);
    }
    out.define("NO_CLIP", NONE_WORD + "u");
    out.define("NO_SCENE", NONE_BYTE + "u");
    out.number("WHEN_", Firing.By.values());
    out.number("STAY_", Stay.values());
    out.number("CLEARS_", Clears.values());
  }

  private void messages() {
    out.define("READS", 1);
    out.define("LINE_MOST", Received.MOST_LETTERS + "u");
    out.define("LETTERS_AT_ONCE", CueEngine.LETTERS_AT_ONCE + "u");
    out.define("MESSAGES", cues.messages().size() + "u");
    if (!cues.messages().isEmpty()) {
      out.bytes("message_texts", texts(cues.messages()));
    }
    List<Integer> told =
        IntStream.range(0, cues.values().size())
            .filter(v -> cues.values().get(v).told())
            .boxed()
            .toList();
    if (!told.isEmpty()) {
      out.define("TOLD", told.size() + "u");
      out.bytes("told_names", texts(told.stream().map(v -> cues.values().get(v).name()).toList()));
      out.bytes("told_values", told.stream());
    }
  }

  /** Texts one behind the other, each with a 0 at its end. */
  private static Stream<Integer> texts(List<String> all) {
    return String.join("\0", all).concat("\0").chars().boxed();
  }

  private void kept() {
    KeptRecord record = KeptRecord.of(cues, work.controller().keptMemory().orElseThrow());
    out.define("KEPT", record.values().size() + "u");
    out.define("KEEP_MS", Variable.KEPT_MILLIS + "u");
    out.define("KEPT_BYTES", record.bytes() + "u");
    out.define("KEPT_SLOTS", record.slots() + "u");
    out.define("KEPT_SIGN", "0x" + Integer.toHexString(record.sign()) + "u");
    out.bytes("kept_values", cues.kept().stream());
    out.bytes("value_kept", cues.values().stream().map(v -> v.kept() ? 1 : 0));
  }

  // what is painted

  private void targets() {
    List<Target> all = cues.targets();
    out.words("target_first_byte", all.stream().map(this::firstByte));
    out.words(
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
      out.words("target_first_place", firsts.stream());
      out.words("places", places.stream());
    }
    if (frames.ordered()) {
      out.words("first_order", all.stream().map(this::firstOrder));
    }
    if (!work.alike()) {
      out.bytes("target_channels", all.stream().map(Target::unitBytes));
    }
    if (cues.fades() && all.stream().anyMatch(CuesHeader::deep)) {
      out.define("DEEP_TARGETS", 1);
      out.bytes("target_deep", all.stream().map(target -> deep(target) ? 1 : 0));
    }
  }

  private int firstOrder(Target target) {
    return frames.firstOrder(
        work.kept().stream().filter(clip -> target.is(clip.circuit(), clip.stretch())).findFirst());
  }

  static boolean deep(Target target) {
    return target.plan().levelBits() > 8;
  }

  private int firstByte(Target target) {
    int line = work.firstByte(target.circuit());
    int each = deep(target) ? 2 : 1;
    return target.plan().dims() ? line + each * target.stretch().firstChannel() : line;
  }

  private static Stream<ClipLevels> played(CueTable cues) {
    return cues.scenes().stream()
        .flatMap(scene -> Arrays.stream(scene.clips()))
        .filter(Objects::nonNull);
  }

  /** Returns whether dark pixels of any clip show what lies beneath. */
  static boolean seesThrough(CueTable cues) {
    return played(cues).anyMatch(clip -> clip.clip().seeThrough());
  }

  /** Returns the RAM in which frames of such clips stand before they are laid (bytes). */
  static int liftedBytes(CueTable cues) {
    return played(cues)
        .filter(clip -> clip.clip().seeThrough() && clip.plan().dims())
        .mapToInt(clip -> clip.stretch().units() * clip.unitBytes())
        .max()
        .orElse(0);
  }

  private void scenes() {
    List<Integer> clips = new ArrayList<>();
    int next = 0;
    for (SceneTable scene : cues.scenes()) {
      for (int t = 0; t < cues.targets().size(); t++) {
        clips.add(scene.clips()[t] == null ? NONE_WORD : next++);
      }
    }
    if (seesThrough(cues)) {
      out.define("SEE_THROUGH", 1);
      out.define("MOST_LIFTED", Math.max(1, liftedBytes(cues)) + "u");
      out.bytes("clip_through", played(cues).map(clip -> clip.clip().seeThrough() ? 1 : 0));
    }
    out.words("scene_clips", clips.stream());
    out.longs("scene_ms", cues.scenes().stream().map(SceneTable::lengthMillis));
  }

  // what is read and counted

  private void senses() {
    List<InputState> all = cues.senses();
    out.words("sense_every", all.stream().map(InputState::everyMillis));
    out.bytes("sense_sort", all.stream().map(s -> s.sort().ordinal()));
    out.bytes("sense_mask", all.stream().map(s -> (1 << Math.min(8, s.looks())) - 1));
    out.bytes("sense_on", all.stream().map(InputState::agreeing));
    out.bytes("sense_off", all.stream().map(s -> s.looks() - s.agreeing()));
    out.bytes("sense_doubles", all.stream().map(s -> s.doubles() ? 1 : 0));
  }

  private void values() {
    out.define("VALUES", cues.values().size());
    if (cues.clock() >= 0) {
      out.define("CLOCK", cues.clock());
      if (!cues.chip().isEmpty()) {
        out.define("CLOCK_CHIP", 1);
      }
    }
    if (!cues.kept().isEmpty()) {
      kept();
    }
    out.define("OF_VALUE", "0x80u");
    out.define("OF_HOW", "0x7fu");
    out.number("IS_", Comparison.values());
    out.number("DO_", Setting.How.values());
    out.signed("value_least", cues.values().stream().map(v -> v.least()));
    out.signed("value_most", cues.values().stream().map(v -> v.most()));
    out.signed("value_start", cues.values().stream().map(v -> v.start()));
    out.bytes("value_wraps", cues.values().stream().map(v -> v.wraps() ? 1 : 0));
    out.signed("term_operand", cues.terms().stream().map(Term::operand));
    out.bytes("term_value", cues.terms().stream().map(Term::value));
    out.bytes("term_how", cues.terms().stream().map(t -> t.how() | (t.ofValue() ? 0x80 : 0)));
  }

  // cues

  private Stream<Integer> of(ToIntFunction<Row> what) {
    return cues.rows().stream().map(what::applyAsInt);
  }

  static int orNone(int number) {
    return number < 0 ? NONE_BYTE : number;
  }

  /** The values that a condition is about, a bit each. */
  private int about(Row.Terms terms) {
    int all = 0;
    for (Term term : cues.terms(terms)) {
      all |= 1 << term.value() | (term.ofValue() ? 1 << term.operand() : 0);
    }
    return all;
  }

  private void rows() {
    out.bytes("cue_kind", of(row -> row.kind().ordinal()));
    out.longs("cue_a", of(row -> row.kind() == Firing.By.BECOMES ? about(row.whens()) : row.a()));
    out.longs("cue_b", of(Row::b));
    out.bytes("cue_scene", of(row -> orNone(row.scene())));
    out.bytes("cue_priority", of(row -> row.cue().priority()));
    out.bytes("cue_clears", of(row -> row.cue().clears().ordinal()));
    out.bytes("cue_stay", of(row -> row.cue().stay().ordinal()));
    out.longs("cue_stay_ms", of(row -> row.cue().stayMillis()));
    if (cues.fades()) {
      out.words("cue_fade_in", of(row -> row.cue().fadeIn()));
      out.words("cue_fade_out", of(row -> row.cue().fadeOut()));
    }
    if (!cues.senses().isEmpty()) {
      out.bytes("cue_sense", of(row -> orNone(row.sense())));
    }
    if (!cues.values().isEmpty()) {
      out.words("cue_when", of(row -> row.whens().first()));
      out.bytes("cue_whens", of(row -> row.whens().count()));
      out.words("cue_only", of(row -> row.onlys().first()));
      out.bytes("cue_onlys", of(row -> row.onlys().count()));
      out.words("cue_then", of(row -> row.thens().first()));
      out.bytes("cue_thens", of(row -> row.thens().count()));
    }
    List<Integer> counters = new ArrayList<>();
    int next = 0;
    for (Row row : cues.rows()) {
      boolean counts = row.kind() == Firing.By.EVERY || row.kind() == Firing.By.TURNED;
      counters.add(counts ? next++ : NONE_BYTE);
    }
    if (next > 0) {
      out.define("COUNTERS", next);
      out.bytes("cue_counter", counters.stream());
    }
  }

  /** Returns how many cues count something down or up. */
  static int counters(CueTable cues) {
    return (int)
        cues.rows().stream()
            .filter(row -> row.kind() == Firing.By.EVERY || row.kind() == Firing.By.TURNED)
            .count();
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
        for (ChannelRange stretch : line.stretches()) {
          IntStream.range(0, stretch.channels())
              .forEach(channel -> weights.add(own.get(stretch.group(channel))));
        }
      }
      counts.add(weights.size() - firsts.get(firsts.size() - 1));
    }
    out.words("line_weight", firsts.stream());
    out.words("line_weights", counts.stream());
    out.words("weights_of", weights.stream());
  }
}
