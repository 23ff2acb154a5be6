package org.myrialith.firmware.effect;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.colour.LevelTable;
import org.myrialith.effects.Blend;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Footprint;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Place;
import org.myrialith.effects.Recipe;
import org.myrialith.effects.Waves;
import org.myrialith.firmware.target.TableFile;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Computed;

/**
 * Effects that the controller works out, as tables: {@code effects.h} says what there is, {@code
 * effect_tables.c} has it, apart from the code, so that this is the same whatever they say.
 *
 * <p>A program is what one clip shows on one stretch of a line: layers, each with its numbers, and
 * the places of its pixels. Places and layers that are the same stand there once.
 */
public final class EffectTables {
  /** In place of a program where a clip is kept as frames. */
  public static final int NO_PROGRAM = 0xff;

  /** In place of a place where a pixel stays dark. */
  private static final int NO_PLACE = -1;

  private static final int FLAT = 1;
  private static final int FLAT_IN_PART = 2;

  private final List<ClipLevels> programs;
  private final TableFile out = new TableFile();

  /**
   * Works them out.
   *
   * @param programs clips that are worked out
   * @param passMask after which pixels the board is told that time passes: bits of their numbers
   *     that are 0
   * @param banked whether frames lie beyond what a short pointer reaches
   */
  public EffectTables(List<ClipLevels> programs, int passMask, boolean banked) {
    this.programs = programs;
    out.header(
        """
        /* Effects as tables. Made by Myrialith; change the gadget, not this file. */
        #ifndef EFFECTS_H
        #define EFFECTS_H

        #include <stdint.h>

        """);
    out.header("#ifndef READ_BYTE\n" + TableFile.READS + "#endif\n\n");
    out.header(
        """
        #ifdef __AVR__
        void board_pass(void);
        #define PASS() board_pass()
        #else
        #define PASS() ((void)0)
        #endif

        #ifndef TABLE
        """);
    out.header(TableFile.place(banked));
    out.header("#endif\n\n");
    out.tables(
        """
        /* What effects.h says that there is. Made by Myrialith; change the gadget, not this file. */
        #include "effects.h"

        """);
    out.define("PASS_MASK", passMask + "u");
    used();
    layers();
    places();
    channels();
    levels();
    out.header(
        """

        /* Goes to a frame of a program. */
        void effect_begin(uint8_t which, uint16_t frame);

        /* Writes what a pixel of it is sent, and returns how many bytes that is. */
        uint8_t effect_unit(uint16_t pixel, uint8_t *levels);

        #endif
        """);
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

  private static Computed computed(ClipLevels program) {
    return program.computed().orElseThrow();
  }

  private static Recipe recipe(ClipLevels program) {
    return computed(program).recipe();
  }

  private Stream<Integer> each(ToIntFunction<ClipLevels> what) {
    return programs.stream().map(what::applyAsInt);
  }

  /** Which parts of the code are wanted. */
  private void used() {
    EffectParts parts = new EffectParts(programs);
    parts.names().forEach(name -> out.define(name, 1));
    if (parts.movers() > 0) {
      out.define("MOVERS", parts.movers());
    }
    if (!parts.grids().isEmpty()) {
      int each = EffectParts.GENERATION_BYTES;
      out.define("CELL_BYTES", parts.grids().stream().mapToInt(bytes -> bytes + each).sum());
      out.define("MOST_CELL_BYTES", parts.grids().stream().mapToInt(b -> b).max().orElse(0));
    }
    if (parts.shared() > 0) {
      out.define("SHARED", parts.shared());
    }
    if (parts.flats()) {
      out.define("FLATS", 1);
      out.define("FLAT_IN_PART", FLAT_IN_PART + "u");
      out.bytes("program_flat", each(EffectTables::flat));
    }
    out.number("IS_", EffectKinds.ALL.kinds().stream().map(EffectKinds::symbol).toList());
    out.number("COMES_", Blend.values());
    out.number("ASKS_", ChannelSource.values());
    out.define("NO_PLACE", "0xffffffffu");
    if (parts.has(Footprint.Part.TABLED)) {
      out.bytes("raised_cosine", IntStream.of(Waves.raised()).boxed());
    }
  }

  private void layers() {
    List<Layer> all = new ArrayList<>();
    List<Integer> firsts = new ArrayList<>();
    List<Integer> numbers = new ArrayList<>();
    List<Integer> firstNumbers = new ArrayList<>();
    Iterator<Integer> grids = new EffectParts(programs).grids().iterator();
    int nextGrid = 0;
    for (ClipLevels program : programs) {
      firsts.add(all.size());
      for (Layer layer : recipe(program).layers()) {
        all.add(layer);
        firstNumbers.add(numbers.size());
        for (int number : layer.effect().numbers(computed(program).places())) {
          numbers.add(number);
        }
        if (layer.effect().grows()) { // and where its cells are kept
          numbers.add(nextGrid);
          nextGrid += grids.next() + EffectParts.GENERATION_BYTES;
        }
      }
    }
    out.words("program_first_layer", firsts.stream());
    out.bytes("program_layers", each(program -> recipe(program).layers().size()));
    out.words("program_frames", each(program -> recipe(program).frames()));
    out.words("program_width", each(program -> computed(program).places().width()));
    out.words("program_height", each(program -> computed(program).places().height()));
    out.words("program_depth", each(program -> computed(program).places().depth()));
    out.bytes("layer_kind", all.stream().map(layer -> EffectKinds.number(layer.effect())));
    out.bytes("layer_blend", all.stream().map(layer -> layer.blend().ordinal()));
    out.bytes("layer_share", all.stream().map(Layer::share));
    out.words("layer_first_number", firstNumbers.stream());
    out.longs("numbers", numbers.stream());
  }

  private static boolean dark(ClipLevels program) {
    return IntStream.of(program.cells()).anyMatch(cell -> cell == ClipLevels.DARK);
  }

  /** Whether all pixels have one colour at a time, or all but those that stay dark. */
  private static int flat(ClipLevels program) {
    return !EffectParts.flat(program) ? 0 : dark(program) ? FLAT_IN_PART : FLAT;
  }

  /** Where pixels are, which does not matter where all have one colour. */
  private static Site site(ClipLevels program) {
    return flat(program) == FLAT
        ? new Site(List.of(), List.of(), List.of())
        : new Site(places(program), indices(program), cells(program));
  }

  /** Where each unit of a stretch is. */
  private static List<Integer> places(ClipLevels program) {
    List<Place> cells = computed(program).places().places();
    return Arrays.stream(program.cells())
        .mapToObj(
            cell -> {
              Place at = cell == ClipLevels.DARK ? null : cells.get(cell);
              return at == null ? NO_PLACE : at.x() | at.y() << 10 | at.z() << 20;
            })
        .toList();
  }

  /** Its number in the order of the data. */
  private static List<Integer> indices(ClipLevels program) {
    List<Place> cells = computed(program).places().places();
    return IntStream.range(0, program.cells().length)
        .mapToObj(
            unit -> {
              int cell = program.cells()[unit];
              return cell == ClipLevels.DARK ? unit : cells.get(cell).index();
            })
        .toList();
  }

  /** Its cell of the picture; of one that stays dark nobody asks. */
  private static List<Integer> cells(ClipLevels program) {
    return Arrays.stream(program.cells()).map(cell -> Math.max(0, cell)).boxed().toList();
  }

  private record Site(List<Integer> places, List<Integer> indices, List<Integer> cells) {}

  private void places() {
    Map<Site, Integer> firsts = new LinkedHashMap<>();
    List<Integer> own = new ArrayList<>();
    int next = 0;
    for (ClipLevels program : programs) {
      Site site = site(program);
      if (!firsts.containsKey(site)) {
        firsts.put(site, next);
        next += site.places.size();
      }
      own.add(firsts.get(site));
    }
    out.words("program_first_pixel", own.stream());
    out.longs("places_of_pixels", firsts.keySet().stream().flatMap(site -> site.places.stream()));
    boolean apart =
        firsts.keySet().stream()
            .anyMatch(
                site ->
                    !site.indices.equals(IntStream.range(0, site.indices.size()).boxed().toList()));
    if (apart && new EffectParts(programs).reads(Footprint.Variable.INDEX)) {
      out.define("INDEXED", 1);
      out.words("index_of_pixels", firsts.keySet().stream().flatMap(s -> s.indices.stream()));
    }
    if (new EffectParts(programs).reads(Footprint.Variable.CELL)) {
      out.words("cell_of_pixels", firsts.keySet().stream().flatMap(s -> s.cells.stream()));
    }
  }

  private void channels() {
    Map<List<Integer>, Integer> firsts = new LinkedHashMap<>();
    List<Integer> own = new ArrayList<>();
    int next = 0;
    for (ClipLevels program : programs) {
      List<Integer> asks =
          program.stretch().shows().stream()
              .map(ChannelRange.Shows::asks)
              .map(ChannelSource::ordinal)
              .toList();
      if (!firsts.containsKey(asks)) {
        firsts.put(asks, next);
        next += asks.size();
      }
      own.add(firsts.get(asks));
    }
    out.words("program_first_channel", own.stream());
    out.bytes("program_channels", each(program -> program.stretch().channelsPerUnit()));
    out.bytes("channel_asks", firsts.keySet().stream().flatMap(List::stream));
  }

  private void levels() {
    Set<Integer> depths =
        programs.stream()
            .map(program -> program.plan().levelBits())
            .collect(Collectors.toCollection(TreeSet::new));
    boolean deep = depths.stream().anyMatch(bits -> bits > 8);
    List<Integer> order = List.copyOf(depths);
    out.words(
        "program_first_level",
        each(program -> LevelTable.SIZE * order.indexOf(program.plan().levelBits())));
    out.header(
        deep
            ? "typedef uint16_t level_t;\n#define READ_LEVEL(at) READ_WORD(at)\n"
            : "typedef uint8_t level_t;\n#define READ_LEVEL(at) READ_BYTE(at)\n");
    if (deep) {
      out.define("DEEP_PROGRAMS", 1);
      out.bytes("program_deep", each(program -> program.plan().levelBits() > 8 ? 1 : 0));
    }
    List<Integer> all =
        order.stream()
            .flatMap(
                bits ->
                    programs.stream()
                        .filter(program -> program.plan().levelBits() == bits)
                        .map(program -> computed(program).table())
                        .findFirst()
                        .stream())
            .flatMap(table -> IntStream.of(table.toArray()).boxed())
            .toList();
    out.table("level_t", deep ? 2 : 1, "levels_of_asked", all);
  }
}
