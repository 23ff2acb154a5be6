package org.myrialith.firmware.player;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.firmware.effect.EffectTables;
import org.myrialith.firmware.effect.EffectTime;
import org.myrialith.firmware.pack.Dictionary;
import org.myrialith.firmware.pack.FrameBanks;
import org.myrialith.firmware.pack.Order;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.target.CTable;
import org.myrialith.firmware.target.TableFile;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Limiter;

/**
 * The text of {@code frames.h}: all frames of the show as tables for the player.
 *
 * @param work what the firmware is made from
 * @param packed the frames
 */
public record FramesHeader(FirmwareWork work, PackedClips packed) {
  /** In place of the first of an order. */
  static final int NO_ORDER = 0xffff;

  /** Of fewer frames it does not pay to tell where they begin in short. */
  private static final int ENOUGH_FRAMES = 40;

  /** In place of the first place of a clip that has levels. */
  private static final int NO_PLACES = 0xffff;

  /** Returns the effects that are worked out, as tables; empty where there are none. */
  public Optional<EffectTables> effects() {
    List<ClipLevels> programs = work.programs();
    return programs.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new EffectTables(programs, EffectTime.passMask(work.target(), programs), banked()));
  }

  /** Returns the arrays that the frames take. */
  public int bankCount() {
    return banked() ? new FrameBanks(packed).count() : 1;
  }

  /** Returns whether the frames need more than one array. */
  public boolean banked() {
    return FrameBanks.several(packed);
  }

  private List<int[]> orders() {
    return packed
        .byDictionary()
        .map(part -> Dictionary.orders(dictionary(part).way(), part.data().keySet()))
        .orElse(List.of());
  }

  private static Dictionary dictionary(Packing.Packed part) {
    return part.dictionary().orElseThrow();
  }

  /** Returns whether pixels are unpacked in another order than that of the wire. */
  public boolean ordered() {
    return !orders().isEmpty();
  }

  /** Returns where the order of a clip begins among all; of none that is as wired. */
  public int firstOrder(Optional<ClipLevels> clip) {
    int[] own =
        clip.filter(c -> c.plan().dims())
            .map(c -> Order.of(c).units(dictionary(packed.byDictionary().orElseThrow()).way()))
            .orElse(new int[0]);
    int first = 0;
    for (int[] order : orders()) {
      if (Arrays.equals(order, own)) {
        return first;
      }
      first += order.length;
    }
    return NO_ORDER;
  }

  /** Returns the clips that are streams, and their tables. */
  StreamTables streams() {
    return new StreamTables(work, packed);
  }

  /** Returns the clips whose frames have an offset each, in the order of their numbers. */
  private List<ClipLevels> apart() {
    return work.kept().stream().filter(clip -> !packed.streams(clip)).toList();
  }

  /** Returns whether all clips of levels that are kept are streams. */
  public boolean onlyStreams() {
    return streams().any() && apart().stream().noneMatch(clip -> clip.plan().dims());
  }

  /** Returns whether every clip holds all of its frames alike, which is then stored once. */
  boolean evenHolds() {
    return work.cues().isEmpty()
        && work.kept().stream()
            .allMatch(
                c -> c.clip().frames().stream().map(Frame::holdMillis).distinct().count() == 1);
  }

  /** Returns whether any table is asked by the number of a frame. */
  private boolean numbered() {
    return !apart().isEmpty() || !evenHolds() || limiter().isPresent();
  }

  /** Returns whether a byte is enough to tell where a frame begins. */
  boolean shortOffsets() {
    return offsetStep(new FrameBanks(packed)) > 0;
  }

  /** Bytes that all frames begin at multiples of, where a byte can count them; else 0. */
  private int offsetStep(FrameBanks banks) {
    List<Integer> offsets = apart().stream().flatMap(packed::data).map(banks::offset).toList();
    int step = offsets.stream().reduce(0, FramesHeader::commonDivisor);
    boolean few = offsets.size() < ENOUGH_FRAMES || banked();
    return few || offsets.stream().anyMatch(offset -> offset / Math.max(1, step) > 0xff) ? 0 : step;
  }

  private static int commonDivisor(int one, int other) {
    return other == 0 ? one : commonDivisor(other, one % other);
  }

  private static int frames(List<ClipLevels> clips) {
    return clips.stream().mapToInt(clip -> clip.perFrame().size()).sum();
  }

  /** What leads to the frames: how long each is held, and where it begins. */
  private int waysToFrames() {
    int offset = banked() ? 3 : 2;
    int start = shortOffsets() ? 1 : offset;
    int holds = evenHolds() ? 2 * clips().size() : 2 * Math.max(1, frames(work.kept()));
    int starts = Math.max(streams().any() ? 0 : 1, frames(apart()));
    return holds + start * starts + streams().bytes(offset);
  }

  /** Returns the bytes of flash that the tables take, frame data included. */
  public int tableBytes() {
    int kept = Math.max(1, work.kept().stream().mapToInt(c -> c.perFrame().size()).sum());
    int frames = clips().stream().mapToInt(c -> c.perFrame().size()).sum();
    int programs =
        programs().isEmpty() ? 0 : clips().size() + (evenHolds() ? 0 : 2 * programs().size());
    int empty = packed.different() == 0 ? 1 : 0;
    int ways = packed.several() ? clips().size() : 0;
    int offset = banked() ? 3 : 2;
    if (work.cues().isPresent()) {
      return packed.bytes()
          + empty
          + ways
          + ways
          + kept * (2 + (shortOffsets() ? 1 : offset))
          + clips().size() * 4
          + programs
          + limiterLines();
    }
    int limiter = limiter().isPresent() ? frames * 4 + limiterLines() : 0;
    int channels = work.alike() ? 0 : clips().size();
    int places = work.switches() ? 2 * (clips().size() + places().size()) : 0;
    int orders = ordered() ? 2 * clips().size() : 0;
    return packed.bytes()
        + empty
        + ways
        + waysToFrames()
        + programs
        + clips().size() * (numbered() ? 8 : 6)
        + channels
        + limiter
        + orders
        + places;
  }

  private int limiterLines() {
    return limiter().isPresent() ? work.lines().size() * (work.deep() ? 5 : 4) : 0;
  }

  /** Where each channel that is only on or off stands in what its line sends, clip after clip. */
  private List<Integer> places() {
    List<Integer> places = new ArrayList<>();
    for (ClipLevels clip : clips()) {
      if (clip.plan() instanceof SwitchedPlan plan && !plan.dims()) {
        int first = clip.stretch().firstChannel();
        IntStream.range(first, first + clip.stretch().channels())
            .forEach(channel -> places.add(plan.map().place(channel)));
      }
    }
    return places;
  }

  /** Where the places of each clip begin; a clip of levels has none. */
  private List<Integer> firstPlaces() {
    List<Integer> firsts = new ArrayList<>();
    int next = 0;
    for (ClipLevels clip : clips()) {
      firsts.add(clip.plan().dims() ? NO_PLACES : next);
      next += clip.plan().dims() ? 0 : clip.stretch().channels();
    }
    return firsts;
  }

  private List<ClipLevels> clips() {
    return work.clips();
  }

  private List<ClipLevels> programs() {
    return work.programs();
  }

  private Optional<Limiter> limiter() {
    return work.sent().limiter();
  }

  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(
        """
        /* The frames of the show as levels, in the order of the wire. Made by Myrialith; change the gadget, not this file. */
        #ifndef FRAMES_H
        #define FRAMES_H

        #include <stdint.h>

        """);
    out.append(TableFile.READS);
    out.append(
        """

        """);
    constants(out);
    tables(out);
    out.append("#endif\n");
    return out.toString();
  }

  private void constants(StringBuilder out) {
    ways(out);
    define(out, "CHAIN_BYTES", work.sent().wiring().bufferBytes() + "u");
    define(out, "CLIPS", String.valueOf(clips().size()));
    if (work.cues().isEmpty()) {
      define(out, "SHOW_MS", work.sent().show().lengthMillis() + "UL");
    }
    define(out, "LINES", String.valueOf(work.lines().size()));
    String most = Integer.toString(work.mostBytes());
    if (work.switches()) {
      define(out, "SWITCHED", "1");
    }
    if (work.switches() && work.dims()) {
      define(out, "LEVELS", "1");
      define(out, "NO_PLACES", "0x" + Integer.toHexString(NO_PLACES) + "u");
    }
    if (work.threes()) {
      define(out, "THREES", "1");
    } else if (work.alike()) {
      define(out, "CHANNELS", most);
    }
    if (work.cues().isEmpty()) {
      ofHolds(out);
    }
    limiter().ifPresent(limiter -> define(out, "LIMIT_SUM", limiter.limit() + "UL"));
    limiter().ifPresent(limiter -> define(out, "MOST_CHANNELS", "" + work.mostGroups()));
    if (limiter().isPresent() && work.deep()) {
      define(out, "DEEP", "1");
    }
    if (limiter().isPresent() && !work.lines().stream().allMatch(CircuitPlan::limited)) {
      define(out, "PASSED_OVER", "1");
    }
    if (!programs().isEmpty()) {
      define(out, "PROGRAMS", "1");
      define(out, "NO_PROGRAM", EffectTables.NO_PROGRAM + "u");
      define(out, "MOST_UNIT_BYTES", mostUnitBytes() + "u");
      if (!work.keepsLevels()) {
        define(out, "ALL_COMPUTED", "1");
      }
    }
    out.append('\n');
    if (banked()) {
      out.append("/* small tables come before all frames, within reach of a short pointer */\n");
    }
    out.append(TableFile.place(banked())).append('\n');
  }

  private void ofHolds(StringBuilder out) {
    if (evenHolds()) {
      define(out, "EVEN_HOLDS", "1");
    }
    if (numbered()) {
      define(out, "NUMBERED", "1");
    }
    if (onlyStreams()) {
      define(out, "ONLY_STREAMS", "1");
    }
  }

  /** How frames are packed; where in several ways, the number of each. */
  private void ways(StringBuilder out) {
    if (packed.several()) {
      define(out, "SEVERAL_PACKINGS", "1");
    }
    for (Packing.Packed part : packed.parts()) {
      String name = part.packing().name();
      define(out, "BY_" + name, "1");
      if (packed.several()) {
        define(out, "PACKED_" + name, Integer.toString(part.packing().ordinal()));
      }
      switch (part.packing()) {
        case PALETTE -> {
          define(out, "INDEX_BITS", part.indexBits() + "u");
          define(out, "PALETTE_WIDTH", part.paletteWidth() + "u");
        }
        case CHANGES -> define(out, "CHANGE_COLOUR_WIDTH", part.paletteWidth() + "u");
        case DICTIONARY -> codes(out, part);
        case STREAM -> {
          codes(out, part);
          streams().constants(out);
        }
        case RAW, RUNS -> {}
      }
    }
  }

  private void codes(StringBuilder out, Packing.Packed part) {
    Dictionary dictionary = dictionary(part);
    define(out, "CODE_COLOUR_WIDTH", part.paletteWidth() + "u");
    define(out, "COLOURS", dictionary.colours() + "u");
    define(out, "RULE_BYTES", dictionary.ruleBytes() + "");
    define(out, "DEEPEST", dictionary.deepest() + "u");
    if (ordered()) {
      define(out, "ORDERED", "1");
      define(out, "NO_ORDER", "0x" + Integer.toHexString(NO_ORDER) + "u");
    }
  }

  static void define(StringBuilder out, String name, String value) {
    out.append("#define ").append(name).append(' ').append(value).append('\n');
  }

  private void tables(StringBuilder out) {
    List<Integer> counts = clips().stream().map(clip -> clip.perFrame().size()).toList();
    if (work.cues().isEmpty()) {
      ofClips(out);
    }
    if (work.cues().isPresent() || numbered()) {
      words(out, "clip_first_frame", firstFrames());
    }
    words(out, "clip_frames", counts);
    if (evenHolds()) {
      words(out, "clip_hold_ms", clips().stream().map(FramesHeader::hold).toList());
    } else {
      words(
          out,
          "frame_hold_ms",
          orZero(
              inOrder().flatMap(c -> c.clip().frames().stream()).map(Frame::holdMillis).toList()));
    }
    if (!programs().isEmpty()) {
      ofPrograms(out);
    }
    if (packed.several()) {
      table(out, "uint8_t", "clip_packing", clips().stream().map(this::way));
    }
    FrameBanks banks = new FrameBanks(packed);
    offsets(out, banks);
    limiter().ifPresent(limiter -> weights(out, limiter));
    for (Packing.Packed part : packed.parts()) {
      if (part.palette().length > 0) {
        table(out, "uint8_t", palette(part.packing()), CTable.bytes(part.palette()));
      }
      part.dictionary().ifPresent(dictionary -> ofCodes(out, dictionary, part));
    }
    out.append(banks.text(offsetStep(banks)));
  }

  /** How long each frame of a clip is held (ms). */
  private static int hold(ClipLevels clip) {
    return clip.clip().frames().get(0).holdMillis();
  }

  /** Clips that are kept, those first whose frames have an offset each. */
  private Stream<ClipLevels> inOrder() {
    return Stream.concat(apart().stream(), streams().clips().stream());
  }

  private static String palette(Packing packing) {
    return switch (packing) {
      case CHANGES -> "change_colours";
      case DICTIONARY, STREAM -> "code_colours";
      default -> "palette";
    };
  }

  /** The number of the way that a clip is packed; of one that is worked out nobody asks. */
  private int way(ClipLevels clip) {
    Packing.Packed part = packed.of().get(clip);
    return part == null ? 0 : part.packing().ordinal();
  }

  /** Frames that are kept are numbered first, then those that are worked out. */
  private List<Integer> firstFrames() {
    List<ClipLevels> order = new ArrayList<>(inOrder().toList());
    order.addAll(programs());
    Map<ClipLevels, Integer> firsts = new IdentityHashMap<>();
    int next = 0;
    for (ClipLevels clip : order) {
      firsts.put(clip, next);
      next += clip.perFrame().size();
    }
    return clips().stream().map(firsts::get).toList();
  }

  /** A table is never empty: C has no such. */
  private static List<Integer> orZero(List<Integer> values) {
    return values.isEmpty() ? List.of(0) : values;
  }

  private int mostUnitBytes() {
    return programs().stream().mapToInt(ClipLevels::unitBytes).max().orElse(1);
  }

  /** Which clips are worked out, and how long each of their frames is held. */
  private void ofPrograms(StringBuilder out) {
    Map<ClipLevels, Integer> numbers = new IdentityHashMap<>();
    programs().forEach(program -> numbers.put(program, numbers.size()));
    table(
        out,
        "uint8_t",
        "clip_program",
        clips().stream().map(clip -> numbers.getOrDefault(clip, EffectTables.NO_PROGRAM)));
    if (evenHolds()) {
      return;
    }
    words(
        out,
        "program_hold_ms",
        programs().stream()
            .map(clip -> clip.computed().orElseThrow().recipe().holdMillis())
            .toList());
  }

  /** What codes mean, and where their pixels go. */
  private void ofCodes(StringBuilder out, Dictionary dictionary, Packing.Packed part) {
    words(out, "class_first", IntStream.of(dictionary.classes().first()).boxed().toList());
    table(out, "uint8_t", "class_bits", IntStream.of(dictionary.classes().bits()).boxed());
    table(out, "uint8_t", "rules", CTable.bytes(dictionary.packedRules()));
    if (ordered()) {
      boolean wide = Dictionary.wide(part.data().keySet());
      String type = wide ? "uint16_t" : "uint8_t";
      out.append(phrase("typedef %s order_t;\n", type));
      out.append(phrase("#define READ_ORDER(at) %s(at)\n", wide ? "READ_WORD" : "READ_BYTE"));
      table(out, type, "orders", orders().stream().flatMapToInt(IntStream::of).boxed());
      if (work.cues().isEmpty()) {
        words(
            out,
            "first_order",
            clips().stream().map(clip -> firstOrder(Optional.of(clip))).toList());
      }
    }
  }

  /** Where each clip is laid; with cues that is told of what they paint. */
  private void ofClips(StringBuilder out) {
    words(out, "clip_first_byte", clips().stream().map(this::firstByte).toList());
    words(out, "clip_pixels", clips().stream().map(FramesHeader::steps).toList());
    if (work.switches()) {
      words(out, "clip_first_place", firstPlaces());
      words(out, "places", places());
    }
    if (!work.alike()) {
      table(out, "uint8_t", "clip_channels", clips().stream().map(ClipLevels::unitBytes));
    }
  }

  /** What the player counts a frame by: pixels, or bits. */
  private static int steps(ClipLevels clip) {
    return clip.plan().dims() ? clip.stretch().units() : clip.stretch().channels();
  }

  private int firstByte(ClipLevels clip) {
    int line = work.firstByte(clip.circuit());
    int each = clip.plan().levelBits() > 8 ? 2 : 1;
    return clip.plan().dims() ? line + each * clip.stretch().firstChannel() : line;
  }

  /** What the limiter adds up: the weighted sum of each frame, and the lines that it scales. */
  private void weights(StringBuilder out, Limiter limiter) {
    if (work.cues().isEmpty()) {
      table(
          out,
          "uint32_t",
          "frame_sum",
          Stream.concat(work.kept().stream(), programs().stream())
              .flatMap(c -> c.sums().stream().map(s -> limiter.weighted(c.circuit(), s))));
    }
    words(out, "line_bytes", work.lines().stream().map(CircuitPlan::bufferBytes).toList());
    if (work.deep()) {
      table(
          out,
          "uint8_t",
          "line_deep",
          work.lines().stream().map(line -> line.levelBits() > 8 ? 1 : 0));
    }
    // a line that can't be dimmed is passed over
    words(
        out,
        "line_channels",
        work.lines().stream().map(line -> line.limited() ? line.groups() : 0).toList());
  }

  private void offsets(StringBuilder out, FrameBanks banks) {
    List<byte[]> all = apart().stream().flatMap(packed::data).toList();
    int step = offsetStep(banks);
    if (step > 0) {
      table(out, "uint8_t", "frame_offset", all.stream().map(data -> banks.offset(data) / step));
    } else if (!all.isEmpty() || !streams().any()) {
      words(out, "frame_offset", orZero(all.stream().map(banks::offset).toList()));
      if (banked()) {
        table(out, "uint8_t", "frame_bank", all.stream().map(banks::bank));
      }
    }
    if (streams().any()) {
      streams().tables(out, banks, banked());
    }
  }

  static void words(StringBuilder out, String name, List<Integer> values) {
    table(out, "uint16_t", name, values.stream());
  }

  static void table(StringBuilder out, String type, String name, Stream<? extends Number> values) {
    out.append(CTable.text(type, name, "TABLE", values));
  }
}
