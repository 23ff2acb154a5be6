package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.SwitchedPlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Limiter;

/**
 * The text of {@code frames.h}: all frames of the show as tables for the player.
 *
 * @param work what the firmware is made from
 * @param packed the frames
 */
record FramesHeader(FirmwareWork work, Packing.Packed packed) {
  /** Most bytes of one array: the compiler for 8-bit cores takes 32 767. */
  private static final int BANK_BYTES = 32_000;

  /** In place of the first of an order. */
  static final int NO_ORDER = 0xffff;

  /** In place of the first place of a clip that has levels. */
  private static final int NO_PLACES = 0xffff;

  /** Data of frames that stand in one array, and where each begins in it. */
  private record Bank(ByteArrayOutputStream data, Map<Packing.Frame, Integer> places) {}

  /** Frames in their order, in as many arrays as they need; a frame is never parted. */
  private List<Bank> banks() {
    List<Bank> banks = new ArrayList<>();
    packed
        .data()
        .forEach(
            (frame, data) -> {
              Bank last = banks.isEmpty() ? null : banks.get(banks.size() - 1);
              if (last == null || last.data.size() + data.length > BANK_BYTES) {
                last = new Bank(new ByteArrayOutputStream(), new HashMap<>());
                banks.add(last);
              }
              last.places.put(frame, last.data.size());
              last.data.writeBytes(data);
            });
    if (banks.isEmpty()) { // all is worked out; an array is never empty
      banks.add(new Bank(new ByteArrayOutputStream(), Map.of()));
      banks.get(0).data.write(0);
    }
    return banks;
  }

  /** Returns the effects that are worked out, as tables; empty where there are none. */
  Optional<EffectTables> effects() {
    List<ClipLevels> programs = work.programs();
    return programs.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new EffectTables(programs, EffectTime.passMask(work.target(), programs), banked()));
  }

  /** Returns the arrays that the frames take. */
  int bankCount() {
    return banked() ? banks().size() : 1;
  }

  /** Returns whether the frames need more than one array. */
  boolean banked() {
    return dataBytes() > BANK_BYTES;
  }

  private int dataBytes() {
    return packed.dataBytes();
  }

  private List<int[]> orders() {
    return packed
        .dictionary()
        .map(d -> Dictionary.orders(d.way(), packed.data().keySet()))
        .orElse(List.of());
  }

  /** Returns whether pixels are unpacked in another order than that of the wire. */
  boolean ordered() {
    return !orders().isEmpty();
  }

  /** Returns where the order of a clip begins among all; of none that is as wired. */
  int firstOrder(Optional<ClipLevels> clip) {
    int[] own =
        clip.filter(c -> c.plan().dims())
            .map(c -> Order.of(c).units(packed.dictionary().orElseThrow().way()))
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

  /** Returns the bytes of flash that the tables take, frame data included. */
  int tableBytes() {
    int kept = Math.max(1, work.kept().stream().mapToInt(c -> c.perFrame().size()).sum());
    int frames = clips().stream().mapToInt(c -> c.perFrame().size()).sum();
    int programs = programs().isEmpty() ? 0 : clips().size() + 2 * programs().size();
    int empty = packed.data().isEmpty() ? 1 : 0;
    int offset = banked() ? 3 : 2;
    if (work.cues().isPresent()) {
      return packed.bytes()
          + empty
          + kept * (2 + offset)
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
        + kept * (2 + offset)
        + programs
        + clips().size() * 8
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

  String text() {
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

        #define PACKED_RAW 0
        #define PACKED_PALETTE 1
        #define PACKED_RUNS 2
        #define PACKED_DICTIONARY 3

        """);
    constants(out);
    tables(out);
    out.append("#endif\n");
    return out.toString();
  }

  private void constants(StringBuilder out) {
    define(out, "PACKING", "PACKED_" + packed.packing().name());
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
    if (packed.packing() == Packing.PALETTE) {
      define(out, "INDEX_BITS", packed.indexBits() + "u");
      define(out, "PALETTE_WIDTH", paletteWidth() + "u");
    }
    packed.dictionary().ifPresent(dictionary -> codes(out, dictionary));
    out.append('\n');
    if (banked()) {
      out.append("/* small tables come before all frames, within reach of a short pointer */\n");
    }
    out.append(TableFile.place(banked())).append('\n');
  }

  /** Bytes of a colour: those of the widest pixel that any kept frame has. */
  private int paletteWidth() {
    return packed.data().keySet().stream().mapToInt(Packing.Frame::width).max().orElse(1);
  }

  private void codes(StringBuilder out, Dictionary dictionary) {
    define(out, "PALETTE_WIDTH", paletteWidth() + "u");
    define(out, "COLOURS", dictionary.colours() + "u");
    define(out, "RULE_BYTES", dictionary.ruleBytes() + "");
    define(out, "DEEPEST", dictionary.deepest() + "u");
    if (ordered()) {
      define(out, "ORDERED", "1");
      define(out, "NO_ORDER", "0x" + Integer.toHexString(NO_ORDER) + "u");
    }
  }

  private static void define(StringBuilder out, String name, String value) {
    out.append("#define ").append(name).append(' ').append(value).append('\n');
  }

  private void tables(StringBuilder out) {
    List<Integer> counts = clips().stream().map(clip -> clip.perFrame().size()).toList();
    if (work.cues().isEmpty()) {
      ofClips(out);
    }
    words(out, "clip_first_frame", firstFrames());
    words(out, "clip_frames", counts);
    words(
        out,
        "frame_hold_ms",
        orZero(
            work.kept().stream()
                .flatMap(c -> c.clip().frames().stream())
                .map(Frame::holdMillis)
                .toList()));
    if (!programs().isEmpty()) {
      ofPrograms(out);
    }
    List<Bank> banks = banks();
    offsets(out, banks);
    limiter().ifPresent(limiter -> weights(out, limiter));
    if (packed.palette().length > 0) {
      table(out, "uint8_t", "palette", bytes(packed.palette()));
    }
    packed.dictionary().ifPresent(dictionary -> ofCodes(out, dictionary));
    data(out, banks);
  }

  /** Frames that are kept are numbered first, then those that are worked out. */
  private List<Integer> firstFrames() {
    List<ClipLevels> kept = work.kept();
    List<ClipLevels> order = new ArrayList<>(kept);
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
    return programs().stream().mapToInt(FirmwareWork::unitBytes).max().orElse(1);
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
    words(
        out,
        "program_hold_ms",
        programs().stream()
            .map(clip -> clip.computed().orElseThrow().recipe().holdMillis())
            .toList());
  }

  /** What codes mean, and where their pixels go. */
  private void ofCodes(StringBuilder out, Dictionary dictionary) {
    words(out, "class_first", IntStream.of(dictionary.classes().first()).boxed().toList());
    table(out, "uint8_t", "class_bits", IntStream.of(dictionary.classes().bits()).boxed());
    table(out, "uint8_t", "rules", bytes(dictionary.packedRules()));
    if (ordered()) {
      boolean wide = Dictionary.wide(packed.data().keySet());
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
      table(out, "uint8_t", "clip_channels", clips().stream().map(FirmwareWork::unitBytes));
    }
  }

  /** The frames, and how the player comes to each. */
  private void data(StringBuilder out, List<Bank> banks) {
    if (!banked()) {
      frames(out, "frame_data", banks.get(0));
      out.append(
          """
          typedef const uint8_t *data_at_t;
          #define READ_DATA(at) READ_BYTE(at)
          #define FRAME_AT(frame) (frame_data + READ_WORD(&frame_offset[frame]))

          """);
      return;
    }
    StringBuilder cases = new StringBuilder();
    for (int b = 0; b < banks.size(); b++) {
      frames(out, "frame_data_" + b, banks.get(b));
      cases.append(
          b + 1 < banks.size()
              ? phrase("    case %d:\n      return BANK_AT(frame_data_%d);\n", b, b)
              : phrase("    default:\n      return BANK_AT(frame_data_%d);\n", b));
    }
    out.append(
            """
            #ifdef __AVR__
            typedef uint_farptr_t data_at_t;
            #define READ_DATA(at) pgm_read_byte_far(at)
            #define BANK_AT(data) pgm_get_far_address(data)
            #else
            typedef const uint8_t *data_at_t;
            #define READ_DATA(at) (*(at))
            #define BANK_AT(data) (data)
            #endif

            static data_at_t bank_at(uint8_t bank) {
              switch (bank) {
            """)
        .append(cases)
        .append(
            """
              }
            }

            #define FRAME_AT(frame) (bank_at(READ_BYTE(&frame_bank[frame])) + READ_WORD(&frame_offset[frame]))

            """);
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

  private void offsets(StringBuilder out, List<Bank> banks) {
    List<Integer> inBank = new ArrayList<>();
    List<Integer> offsets = new ArrayList<>();
    for (Packing.Frame frame : work.kept().stream().flatMap(FirmwareWork::frames).toList()) {
      int bank = 0;
      while (!banks.get(bank).places.containsKey(frame)) {
        bank++;
      }
      inBank.add(bank);
      offsets.add(banks.get(bank).places.get(frame));
    }
    words(out, "frame_offset", orZero(offsets));
    if (banked()) {
      table(out, "uint8_t", "frame_bank", inBank.stream());
    }
  }

  private static void words(StringBuilder out, String name, List<Integer> values) {
    table(out, "uint16_t", name, values.stream());
  }

  private static void frames(StringBuilder out, String name, Bank bank) {
    table(out, "uint8_t", name, "PROGMEM", bytes(bank.data.toByteArray()));
  }

  private static Stream<Integer> bytes(byte[] values) {
    return IntStream.range(0, values.length).mapToObj(i -> values[i] & 0xff);
  }

  private static void table(
      StringBuilder out, String type, String name, Stream<? extends Number> values) {
    table(out, type, name, "TABLE", values);
  }

  private static void table(
      StringBuilder out, String type, String name, String place, Stream<? extends Number> values) {
    out.append(CTable.text(type, name, place, values));
  }
}
