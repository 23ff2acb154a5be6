package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.colour.Levels;
import org.myrialith.drive.CircuitPlan;
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
  private static final int NARROW = 0xffff;

  /** Returns the bytes of flash that the tables take, frame data included. */
  int tableBytes() {
    int frames = clips().stream().mapToInt(c -> c.perFrame().size()).sum();
    int data = packed.bytes() - packed.palette().length;
    int offset = data > NARROW ? 4 : 2;
    int limiter = limiter().isPresent() ? frames * 4 + work.lines().size() * 4 : 0;
    return packed.bytes() + frames * (2 + offset) + clips().size() * 8 + limiter;
  }

  private List<ClipLevels> clips() {
    return work.sent().clips();
  }

  private Optional<Limiter> limiter() {
    return work.sent().limiter();
  }

  private byte[] packedData() {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    packed.data().values().forEach(all::writeBytes);
    return all.toByteArray();
  }

  String text() {
    StringBuilder out = new StringBuilder();
    out.append(
        """
        /* The frames of the show as levels, in the order of the wire. Made by Myrialith; change the gadget, not this file. */
        #ifndef FRAMES_H
        #define FRAMES_H

        #include <stdint.h>

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

        #define PACKED_RAW 0
        #define PACKED_PALETTE 1
        #define PACKED_RUNS 2

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
    define(out, "SHOW_MS", work.sent().show().lengthMillis() + "UL");
    define(out, "LINES", String.valueOf(work.lines().size()));
    limiter().ifPresent(limiter -> define(out, "LIMIT_SUM", limiter.limit() + "UL"));
    limiter()
        .ifPresent(
            limiter -> {
              int most =
                  work.lines().stream().mapToInt(CircuitPlan::channelsPerEmitter).max().orElse(1);
              define(out, "MOST_CHANNELS", Integer.toString(most));
            });
    if (packed.packing() == Packing.PALETTE) {
      define(out, "INDEX_BITS", packed.indexBits() + "u");
    }
    out.append('\n');
  }

  private static void define(StringBuilder out, String name, String value) {
    out.append("#define ").append(name).append(' ').append(value).append('\n');
  }

  private void tables(StringBuilder out) {
    List<Integer> first = new ArrayList<>();
    List<Integer> counts = new ArrayList<>();
    int next = 0;
    for (ClipLevels clip : clips()) {
      first.add(next);
      counts.add(clip.perFrame().size());
      next += clip.perFrame().size();
    }
    words(out, "clip_first_byte", clips().stream().map(this::firstByte).toList());
    words(out, "clip_pixels", clips().stream().map(c -> c.cells().length).toList());
    words(out, "clip_first_frame", first);
    words(out, "clip_frames", counts);
    words(
        out,
        "frame_hold_ms",
        clips().stream().flatMap(c -> c.clip().frames().stream()).map(Frame::holdMillis).toList());
    offsets(out);
    limiter().ifPresent(limiter -> weights(out, limiter));
    if (packed.packing() == Packing.PALETTE) {
      bytes(out, "palette", packed.palette());
    }
    bytes(out, "frame_data", packedData());
  }

  private int firstByte(ClipLevels clip) {
    int each = clip.plan().bufferBytes() / clip.plan().emitters();
    return work.firstByte(clip.spot().circuit()) + clip.spot().emitter() * each;
  }

  /** What the limiter adds up: the weighted sum of each frame, and the lines that it scales. */
  private void weights(StringBuilder out, Limiter limiter) {
    table(
        out,
        "uint32_t",
        "frame_sum",
        clips().stream()
            .flatMap(
                c ->
                    c.sums().stream()
                        .map(
                            s ->
                                Arrays.stream(s).sum()
                                    * limiter.weights().get(c.spot().circuit()))));
    words(out, "line_bytes", work.lines().stream().map(CircuitPlan::bufferBytes).toList());
    words(
        out, "line_channels", work.lines().stream().map(CircuitPlan::channelsPerEmitter).toList());
  }

  private void offsets(StringBuilder out) {
    Map<Levels, Integer> places = new HashMap<>();
    int next = 0;
    for (Map.Entry<Levels, byte[]> frame : packed.data().entrySet()) {
      places.put(frame.getKey(), next);
      next += frame.getValue().length;
    }
    List<Integer> offsets =
        clips().stream().flatMap(c -> c.perFrame().stream()).map(places::get).toList();
    boolean wide = next > NARROW;
    out.append("#define READ_OFFSET(at) ")
        .append(wide ? "READ_LONG(at)" : "READ_WORD(at)")
        .append('\n');
    table(out, wide ? "uint32_t" : "uint16_t", "frame_offset", offsets.stream());
  }

  private static void words(StringBuilder out, String name, List<Integer> values) {
    table(out, "uint16_t", name, values.stream());
  }

  private static void bytes(StringBuilder out, String name, byte[] values) {
    table(out, "uint8_t", name, IntStream.range(0, values.length).mapToObj(i -> values[i] & 0xff));
  }

  private static void table(
      StringBuilder out, String type, String name, Stream<? extends Number> values) {
    List<String> all = values.map(String::valueOf).toList();
    out.append(phrase("static const %s %s[%d] PROGMEM = {\n", type, name, all.size()));
    for (int at = 0; at < all.size(); at += 16) {
      out.append("  ")
          .append(
              all.subList(at, Math.min(at + 16, all.size())).stream()
                  .collect(Collectors.joining(", ")))
          .append(",\n");
    }
    out.append("};\n\n");
  }
}
