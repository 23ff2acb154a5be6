package org.myrialith.firmware.pack;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Frames as codes of symbols. A symbol is a colour, or a rule that stands for two symbols; a frame
 * is a few of them where it is like others, or like itself.
 *
 * <pre>
 * palette  the colours, those that stand in frames most often first, as wide as the widest pixel
 * rules    of each rule its two symbols; symbols below the number of colours are colours.
 *          Up to 256 symbols two bytes; up to 4096 three: the low bytes of both, then the high bits, the first's in the
 *          upper half; else two of two bytes, the low one first
 * frame    codes: two bits for the class, then as many as the class has: added to its first symbol they say which one it is
 * </pre>
 *
 * @param way in which frames go over their pictures
 * @param colours how many there are
 * @param rules two symbols each
 * @param classes of the codes
 * @param codes how many each frame is
 */
public record Dictionary(
    Order.Way way,
    int colours,
    List<int[]> rules,
    CodeClasses classes,
    Map<Packing.Frame, Integer> codes) {
  /** Rules in each other: as many symbols wait while a frame is unpacked. */
  static final int DEEPEST = 20;

  /** More can't be told apart by a code. */
  private static final int MOST_COLOURS = 8192;

  /** More are not tried: no controller here has the flash (pixels of all frames). */
  private static final int MOST_PIXELS = 1 << 20;

  /** Colours, rules and orders: frames and these have to lie within reach of a short pointer. */
  private static final int MOST_TABLE_BYTES = 24_000;

  /** The rules and classes that texts were coded by. */
  static Dictionary of(Order.Way way, CodedTexts coded, Map<Packing.Frame, Integer> codes) {
    return new Dictionary(way, coded.terminals(), coded.rules(), coded.classes(), codes);
  }

  /** Returns whether there are rules, and tables that a short pointer reaches. */
  boolean withinReach(Packing.Packed packed) {
    return !rules.isEmpty() && packed.bytes() - packed.dataBytes() <= MOST_TABLE_BYTES;
  }

  /** Returns the bytes of a rule. */
  public int ruleBytes() {
    int symbols = colours + rules.size();
    return symbols <= 256 ? 2 : symbols <= 4096 ? 3 : 4;
  }

  /** Returns how many symbols wait at most while a frame is unpacked. */
  public int deepest() {
    int[] deep = new int[colours + rules.size()];
    int most = 2; // of one a compiler thinks that it is read before it is written
    for (int symbol = colours; symbol < deep.length; symbol++) {
      most = Math.max(most, deep(symbol, deep));
    }
    return most;
  }

  private int deep(int symbol, int[] known) {
    if (symbol >= colours && known[symbol] == 0) {
      int[] rule = rules.get(symbol - colours);
      known[symbol] = Math.max(1 + deep(rule[0], known), deep(rule[1], known));
    }
    return known[symbol];
  }

  /** Returns the rules as they stand in flash. */
  public byte[] packedRules() {
    byte[] all = new byte[rules.size() * ruleBytes()];
    int at = 0;
    for (int[] rule : rules) {
      switch (ruleBytes()) {
        case 2 -> {
          all[at] = (byte) rule[0];
          all[at + 1] = (byte) rule[1];
        }
        case 3 -> {
          all[at] = (byte) rule[0];
          all[at + 1] = (byte) rule[1];
          all[at + 2] = (byte) (rule[0] >> 8 << 4 | rule[1] >> 8);
        }
        default -> {
          all[at] = (byte) rule[0];
          all[at + 1] = (byte) (rule[0] >> 8);
          all[at + 2] = (byte) rule[1];
          all[at + 3] = (byte) (rule[1] >> 8);
        }
      }
      at += ruleBytes();
    }
    return all;
  }

  /** Returns the flash of the tables that unpacking needs beside the frames (bytes). */
  int tableBytes() {
    return rules.size() * ruleBytes() + CodeClasses.COUNT * 3;
  }

  /** Returns the flash of the ways over pictures (bytes). */
  static int orderBytes(Order.Way way, Collection<Packing.Frame> frames) {
    return orders(way, frames).stream().mapToInt(units -> units.length).sum()
        * (wide(frames) ? 2 : 1);
  }

  /** Whether a unit's number takes two bytes. */
  public static boolean wide(Collection<Packing.Frame> frames) {
    return frames.stream().anyMatch(frame -> frame.pixels() > 256);
  }

  /** The ways over pictures that are not as wired, each once. */
  public static List<int[]> orders(Order.Way way, Collection<Packing.Frame> frames) {
    return frames.stream()
        .filter(frame -> !frame.bits())
        .map(Packing.Frame::order)
        .distinct()
        .map(order -> order.units(way))
        .filter(units -> units.length > 0)
        .toList();
  }

  /**
   * Packs frames of levels; empty where there are too many pixels or colours, nothing comes again,
   * or the tables grow too large.
   *
   * @param bits data of the frames of bits, which is kept as it is
   */
  static Optional<Packing.Packed> pack(Set<Packing.Frame> frames, Map<Packing.Frame, byte[]> bits) {
    if (frames.stream().mapToLong(Packing.Frame::pixels).sum() > MOST_PIXELS) {
      return Optional.empty();
    }
    int width = frames.stream().mapToInt(Packing.Frame::width).max().orElse(1);
    Map<Long, Integer> palette = Packing.palette(frames, width, MOST_COLOURS);
    if (palette.size() > MOST_COLOURS) {
      return Optional.empty();
    }
    List<Packing.Frame> all = List.copyOf(frames);
    List<int[]> wired = all.stream().map(frame -> colours(frame, palette, width)).toList();
    List<Draft> drafts =
        Arrays.stream(Order.Way.values())
            .filter(way -> way == Order.Way.WIRED || !orders(way, all).isEmpty())
            .map(way -> Draft.of(way, all, palette, width, wired))
            .toList();
    return Optional.of(best(drafts).packed(bits))
        .filter(packed -> packed.dictionary().orElseThrow().withinReach(packed));
  }

  /** There is no guessing where there is one. */
  private static Draft best(List<Draft> drafts) {
    Draft best = drafts.get(0);
    double least = drafts.size() > 1 ? best.guess() : 0;
    for (Draft draft : drafts.subList(1, drafts.size())) {
      double guess = draft.guess();
      if (guess < least) {
        least = guess;
        best = draft;
      }
    }
    return best;
  }

  /** The colours of a frame by their numbers. */
  private static int[] colours(Packing.Frame frame, Map<Long, Integer> palette, int width) {
    int[] all = new int[frame.pixels()];
    long before = 0;
    for (int pixel = 0; pixel < all.length; pixel++) {
      long colour = frame.wideColour(pixel, width);
      boolean same = pixel > 0 && colour == before; // neighbours are often alike
      all[pixel] = same ? all[pixel - 1] : palette.get(colour);
      before = colour;
    }
    return all;
  }

  /**
   * Frames on their way into codes.
   *
   * @param texts the frames as colours
   */
  private record Draft(
      Order.Way way,
      List<Packing.Frame> frames,
      Map<Long, Integer> palette,
      int width,
      List<int[]> texts) {
    /** As many pixels are paired each way, to choose one; of more a guess has to do. */
    private static final int TRIED = 2_000;

    static Draft of(
        Order.Way way,
        List<Packing.Frame> frames,
        Map<Long, Integer> palette,
        int width,
        List<int[]> wired) {
      Map<Order, int[]> units = new HashMap<>();
      List<int[]> texts = new ArrayList<>();
      for (int f = 0; f < wired.size(); f++) {
        int[] own = wired.get(f);
        int[] order = units.computeIfAbsent(frames.get(f).order(), one -> one.units(way));
        texts.add(order.length > 0 ? IntStream.of(order).map(u -> own[u]).toArray() : own);
      }
      return new Draft(way, frames, palette, width, texts);
    }

    /** What it takes, about; by the first frames where there are many (bytes). */
    double guess() {
      List<int[]> first = new ArrayList<>();
      int pixels = 0;
      for (int[] text : texts) {
        if (pixels < TRIED) {
          first.add(text);
          pixels += text.length;
        }
      }
      int all = texts.stream().mapToInt(text -> text.length).sum();
      return CodedTexts.guess(first, palette.size(), DEEPEST) * all / Math.max(1, pixels)
          + orderBytes(way, frames);
    }

    Packing.Packed packed(Map<Packing.Frame, byte[]> bits) {
      CodedTexts coded = CodedTexts.of(texts, palette.size(), DEEPEST);
      Map<Packing.Frame, byte[]> data = new LinkedHashMap<>(bits);
      Map<Packing.Frame, Integer> codes = new HashMap<>();
      for (int f = 0; f < frames.size(); f++) {
        data.put(frames.get(f), coded.data(f));
        codes.put(frames.get(f), coded.texts().get(f).length);
      }
      return new Packing.Packed(
          Packing.DICTIONARY,
          levels(coded.number()),
          0,
          data,
          Optional.of(Dictionary.of(way, coded, codes)),
          Optional.empty());
    }

    private byte[] levels(int[] number) {
      byte[] levels = new byte[palette.size() * width];
      palette.forEach((colour, at) -> Packing.putColour(colour, width, levels, number[at] * width));
      return levels;
    }
  }
}
