package org.myrialith.firmware.pack;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.zip.Deflater;
import org.myrialith.colour.Levels;

/**
 * Clips as streams of codes that go on from frame to frame: what comes again and again may reach
 * over many frames. A symbol is what a unit of the frame differs by, byte by byte and modulo 256,
 * from what it lies on; the first frame of a clip lies on dark.
 *
 * @param unitBytes bytes that a symbol stands for: one, or those of a pixel
 * @param pixelBytes bytes that a picture moves on by
 * @param on what the frames of each stream lie on
 * @param works what each frame of a stream takes to be unpacked
 */
public record FrameStream(
    int unitBytes,
    int pixelBytes,
    Map<Packing.Frame, Base> on,
    Map<Packing.Frame, List<Work>> works) {
  /** Rules in each other: as many symbols wait from frame to frame. */
  private static final int DEEPEST = 16;

  /** More can't be told apart by a code. */
  private static final int MOST_VALUES = 4096;

  /** Values of pixels have to come this often to be worth their levels. */
  private static final int OFTEN = 4;

  /** More are not tried: no controller here has the flash. */
  private static final int MOST_BYTES = 1 << 19;

  /** What a frame lies on. */
  public enum Base {
    /** Nothing: each frame is coded in full. */
    DARK,
    /** The frame before. */
    BEFORE,
    /** The frame before, of which each pixel has moved on by one and the last stands first. */
    MOVED_ON,
    /** The same the other way. */
    MOVED_BACK
  }

  /**
   * What unpacking a frame takes.
   *
   * @param bits of its codes
   * @param codes that are read
   * @param rules that are followed
   * @param units that are put down
   */
  record Work(int bits, int codes, int rules, int units) {}

  /** Returns the bases that any stream has. */
  public Set<Base> bases() {
    return new LinkedHashSet<>(on.values());
  }

  /** Returns a clip as it is packed: all its frames in a row, which rest on the first. */
  public static Packing.Frame row(List<Packing.Frame> frames) {
    Packing.Frame first = frames.get(0);
    return new Packing.Frame(
        Levels.joined(frames.stream().map(Packing.Frame::levels).toList()),
        first.channels(),
        Order.WIRED,
        Optional.of(first.levels()));
  }

  private static int frameBytes(Packing.Frame row) {
    Levels first = row.before().orElseThrow();
    return first.size() * first.bytesEach();
  }

  /**
   * Returns what a common compressor makes of clips, about (bytes); beyond any flash if too much.
   */
  static long guess(Set<Packing.Frame> rows) {
    if (tooMuch(rows)) {
      return Integer.MAX_VALUE;
    }
    boolean alike = alike(rows);
    return rows.stream().mapToLong(row -> Best.of(row, alike).about()).sum();
  }

  private static boolean inOnePiece(Packing.Packed packed) {
    return packed.data().values().stream().allMatch(data -> data.length <= FrameBanks.MOST_BYTES);
  }

  private static boolean tooMuch(Set<Packing.Frame> rows) {
    return rows.stream()
            .mapToLong(row -> (long) row.levels().size() * row.levels().bytesEach())
            .sum()
        > MOST_BYTES;
  }

  private static boolean alike(Set<Packing.Frame> rows) {
    return rows.stream().map(Packing.Frame::width).distinct().count() == 1;
  }

  /**
   * Packs clips; empty where there is too much.
   *
   * @param rows clips of levels, each by {@link #row}; at least one
   * @param bits data of the frames of bits, which is kept as it is
   */
  static Optional<Packing.Packed> pack(Set<Packing.Frame> rows, Map<Packing.Frame, byte[]> bits) {
    if (tooMuch(rows)) {
      return Optional.empty();
    }
    boolean alike = alike(rows);
    Map<Packing.Frame, Base> on = new LinkedHashMap<>();
    Map<Packing.Frame, byte[]> differences = new LinkedHashMap<>();
    for (Packing.Frame row : rows) {
      Base base = Best.of(row, alike).base();
      on.put(row, base);
      differences.put(row, differences(row.levels().toBytes(), frameBytes(row), row.width(), base));
    }
    int pixel = rows.iterator().next().width();
    boolean pixels = pixel > 1 && alike && Values.of(differences.values(), pixel).pays();
    return IntStream.of(pixels ? new int[] {1, pixel} : new int[] {1})
        .mapToObj(unit -> new Draft(unit, pixel, on, differences).packed(bits))
        .filter(packed -> packed.dictionary().orElseThrow().withinReach(packed))
        .filter(FrameStream::inOnePiece)
        .min(Comparator.comparingInt(Packing.Packed::bytes));
  }

  /**
   * What a clip lies on best, by what a common compressor makes of the differences of its first
   * frames.
   *
   * @param about of the whole clip (bytes)
   */
  private record Best(Base base, long about) {
    /** As much is looked at (bytes), but two frames at least. */
    private static final int SAMPLE = 8_000;

    static Best of(Packing.Frame row, boolean moves) {
      byte[] levels = row.levels().toBytes();
      int frame = frameBytes(row);
      int looked = Math.min(levels.length, Math.max(2, SAMPLE / frame) * frame);
      byte[] first = Arrays.copyOf(levels, looked);
      Best best = null;
      Deflater deflater = new Deflater(Deflater.BEST_SPEED); // dear to make, cheap to use again
      try {
        for (Base base : Base.values()) {
          if (moves || base.compareTo(Base.MOVED_ON) < 0) {
            long about = deflated(deflater, differences(first, frame, row.width(), base));
            about = about * levels.length / looked;
            if (best == null || about < best.about) {
              best = new Best(base, about);
            }
          }
        }
      } finally {
        deflater.end();
      }
      return best;
    }

    private static int deflated(Deflater deflater, byte[] data) {
      deflater.reset();
      deflater.setInput(data);
      deflater.finish();
      byte[] out = new byte[4096];
      int bytes = 0;
      while (!deflater.finished()) {
        bytes += deflater.deflate(out);
      }
      return bytes;
    }
  }

  private static byte[] differences(byte[] levels, int frame, int pixel, Base base) {
    byte[] all = levels.clone();
    if (base == Base.DARK) {
      return all;
    }
    int shift =
        switch (base) {
          case MOVED_ON -> frame - pixel;
          case MOVED_BACK -> pixel;
          default -> 0;
        };
    for (int at = frame; at < levels.length; at++) {
      int last = at - at % frame - frame + (at % frame + shift) % frame;
      all[at] = (byte) (levels[at] - levels[last]);
    }
    return all;
  }

  /** The different values of units, numbered as they come. */
  private record Values(Map<Long, Integer> number, int units, int width) {
    static Values of(Iterable<byte[]> texts, int width) {
      Map<Long, Integer> number = new LinkedHashMap<>();
      int units = 0;
      for (byte[] text : texts) {
        for (int at = 0; at < text.length; at += width) {
          number.putIfAbsent(value(text, at, width), number.size());
          units++;
        }
      }
      return new Values(number, units, width);
    }

    static long value(byte[] text, int at, int width) {
      long value = 0;
      for (int i = 0; i < width; i++) {
        value = value << 8 | text[at + i] & 0xff;
      }
      return value;
    }

    boolean pays() {
      return number.size() * OFTEN <= units && number.size() <= MOST_VALUES;
    }
  }

  /** Streams on their way into codes. */
  private record Draft(
      int unit, int pixel, Map<Packing.Frame, Base> on, Map<Packing.Frame, byte[]> differences) {
    Packing.Packed packed(Map<Packing.Frame, byte[]> bits) {
      Values values = Values.of(differences.values(), unit);
      List<int[]> texts = differences.values().stream().map(text -> text(text, values)).toList();
      CodedTexts coded = CodedTexts.of(texts, values.number().size(), DEEPEST);
      Map<Packing.Frame, byte[]> data = new LinkedHashMap<>(bits);
      Map<Packing.Frame, Integer> codes = new HashMap<>();
      Map<Packing.Frame, List<Work>> works = new LinkedHashMap<>();
      int text = 0;
      for (Packing.Frame row : differences.keySet()) {
        data.put(row, coded.data(text));
        codes.put(row, coded.texts().get(text).length);
        works.put(row, works(coded, coded.texts().get(text), frameBytes(row) / unit));
        text++;
      }
      byte[] levels = new byte[values.number().size() * unit];
      values
          .number()
          .forEach(
              (value, at) -> Packing.putColour(value, unit, levels, coded.number()[at] * unit));
      return new Packing.Packed(
          Packing.STREAM,
          levels,
          0,
          data,
          Optional.of(Dictionary.of(Order.Way.WIRED, coded, codes)),
          Optional.of(new FrameStream(unit, pixel, on, works)));
    }

    private int[] text(byte[] bytes, Values values) {
      int[] text = new int[bytes.length / unit];
      for (int i = 0; i < text.length; i++) {
        text[i] = values.number().get(Values.value(bytes, i * unit, unit));
      }
      return text;
    }

    /**
     * Follows the codes as the controller does: what is left of a rule waits for the next frame.
     */
    private static List<Work> works(CodedTexts coded, int[] codes, int units) {
      List<Work> all = new ArrayList<>();
      Deque<Integer> waiting = new ArrayDeque<>();
      int next = 0;
      while (next < codes.length || !waiting.isEmpty()) {
        int first = next;
        int rules = 0;
        int bits = 0;
        for (int unit = 0; unit < units; unit++) {
          int symbol;
          if (waiting.isEmpty()) {
            symbol = codes[next++];
            bits += coded.classes().bitsOf(symbol);
          } else {
            symbol = waiting.pop();
          }
          while (symbol >= coded.terminals()) {
            int[] rule = coded.rules().get(symbol - coded.terminals());
            waiting.push(rule[1]);
            symbol = rule[0];
            rules++;
          }
        }
        all.add(new Work(bits, next - first, rules, units));
      }
      return List.copyOf(all);
    }
  }

  /** Returns the stream of a clip. */
  List<Work> works(Packing.Frame row) {
    return works.get(row);
  }

  /** Returns whether all streams lie on the same. */
  public boolean even() {
    return bases().size() == 1;
  }
}
