package org.myrialith.firmware.pack;

import java.io.ByteArrayOutputStream;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.colour.Levels;

/**
 * Ways to keep the frames in flash.
 *
 * <pre>
 * raw      the levels of a pixel, in the order of the wire; of more than 8 bits two bytes each, the high one first
 * palette  all colours of the show, as many levels each as the pixel with most channels has; then 1, 2, 4 or 8 bits a
 *          pixel, the first in the highest bits; each frame starts on a byte. Only up to 256 colours.
 * runs     count (1 to 255), the levels of a pixel; again until all pixels are there
 * changes  count of pixels that stay as they were in the frame before (0 to 255), count of those that follow, the number
 *          of a colour for each of these; again until all pixels are there. Only up to 256 colours, and only where the
 *          frame before is still there: its levels as they were sent. The first frame of a clip is whole.
 * dictionary  codes of colours, and of what comes again and again: {@link Dictionary}
 * stream   codes of what each byte differs by from what it lies on, going on from frame to frame: {@link FrameStream}.
 *          A clip is one piece of data: its frames in a row, which only follow each other.
 * </pre>
 *
 * <p>Frames of what is only on or off are a bit a channel in all of them, the first in the highest
 * bit.
 */
public enum Packing {
  RAW("raw"),
  PALETTE("palette"),
  RUNS("run lengths"),
  DICTIONARY("dictionary"),
  CHANGES("changes"),
  STREAM("stream");

  private static final int MOST_COLOURS = 256;
  private static final int LONGEST_RUN = 255;

  /** Pixels that stay are said again where that takes no more than to pass over them. */
  private static final int SHORTEST_STAY = 3;

  private final String title;

  Packing(String title) {
    this.title = title;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /**
   * A frame of a clip.
   *
   * @param channels of a pixel, 0 for one of bits
   * @param order where its pixels stand in the picture
   * @param before the frame of the clip before it; empty for the first, and where nothing rests on
   *     it
   */
  public record Frame(Levels levels, int channels, Order order, Optional<Levels> before) {
    /** A frame that rests on no other. */
    public Frame(Levels levels, int channels, Order order) {
      this(levels, channels, order, Optional.empty());
    }

    /** A frame of which nothing is known but its levels. */
    public Frame(Levels levels, int channels) {
      this(levels, channels, Order.WIRED);
    }

    /** Returns the frame as it follows another. */
    public Frame after(Levels other) {
      return new Frame(levels, channels, order, Optional.of(other));
    }

    /** Returns whether a pixel is as it was. */
    boolean stays(int pixel) {
      if (before.isEmpty()) {
        return false;
      }
      Levels last = before.get();
      for (int at = pixel * channels; at < (pixel + 1) * channels; at++) {
        if (levels.at(at) != last.at(at)) {
          return false;
        }
      }
      return true;
    }

    /** Returns the bytes of a pixel: one or two a channel. */
    public int width() {
      return channels * levels.bytesEach();
    }

    /** Returns the frame of what is only on or off. */
    public static Frame ofBits(Levels levels) {
      return new Frame(levels, 0, Order.WIRED);
    }

    /** Returns whether it has a bit for each channel and nothing else. */
    public boolean bits() {
      return channels == 0;
    }

    public int pixels() {
      return bits() ? levels.size() : levels.size() / channels;
    }

    private byte[] packedBits() {
      byte[] packed = new byte[(levels.size() + 7) / 8];
      for (int i = 0; i < levels.size(); i++) {
        packed[i / 8] |= (byte) (levels.at(i) << 7 - i % 8);
      }
      return packed;
    }

    /** The levels of a pixel as one number, the first in the highest byte. */
    private long colour(int pixel) {
      if (channels == 3
          && levels.bytesEach()
              == 1) { // the most common by far, and asked for every pixel of every frame
        int at = 3 * pixel;
        return levels.at(at) << 16 | levels.at(at + 1) << 8 | levels.at(at + 2);
      }
      long colour = 0;
      for (int c = 0; c < channels; c++) {
        colour = colour << 8 * levels.bytesEach() | levels.at(pixel * channels + c);
      }
      return colour;
    }

    /** The same as wide as the widest pixel; the rest is dark. */
    long wideColour(int pixel, int width) {
      return colour(pixel) << 8 * (width - width());
    }

    private void write(int pixel, ByteArrayOutputStream out) {
      for (int c = 0; c < channels; c++) {
        int level = levels.at(pixel * channels + c);
        if (levels.bytesEach() > 1) {
          out.write(level >> 8);
        }
        out.write(level);
      }
    }
  }

  /**
   * Frames packed one way.
   *
   * @param palette levels of each colour; empty for raw frames and runs
   * @param indexBits of a pixel; 0 unless by palette or changes
   * @param data of each different frame
   * @param dictionary what the codes mean; empty unless by dictionary or stream
   * @param stream what the frames of a stream lie on; empty unless by stream
   */
  public record Packed(
      Packing packing,
      byte[] palette,
      int indexBits,
      Map<Frame, byte[]> data,
      Optional<Dictionary> dictionary,
      Optional<FrameStream> stream) {
    /** Frames that need no dictionary. */
    Packed(Packing packing, byte[] palette, int indexBits, Map<Frame, byte[]> data) {
      this(packing, palette, indexBits, data, Optional.empty(), Optional.empty());
    }

    /** Returns the flash it takes (bytes), without the tables that every packing needs. */
    public int bytes() {
      return palette.length
          + dataBytes()
          + dictionary
              .map(d -> d.tableBytes() + Dictionary.orderBytes(d.way(), data.keySet()))
              .orElse(0);
    }

    /** Returns the bytes of a colour: those of the widest pixel, or of a unit of a stream. */
    public int paletteWidth() {
      return stream.map(FrameStream::unitBytes).orElseGet(() -> width(data.keySet()));
    }

    /** Returns the flash of the frames alone (bytes). */
    public int dataBytes() {
      return data.values().stream().mapToInt(d -> d.length).sum();
    }
  }

  /**
   * Packs the frames, for a stream clips by {@link FrameStream#row}; empty when that can't be: too
   * many colours for a palette, nothing but bits.
   */
  public Optional<Packed> pack(Collection<Frame> frames) {
    Set<Frame> different = new LinkedHashSet<>(frames);
    Set<Frame> ofLevels = new LinkedHashSet<>(different);
    ofLevels.removeIf(Frame::bits);
    Map<Frame, byte[]> data = new LinkedHashMap<>();
    different.stream().filter(Frame::bits).forEach(f -> data.put(f, f.packedBits()));
    if (ofLevels.isEmpty() && this != RAW) {
      return Optional.empty();
    }
    return switch (this) {
      case RAW -> {
        ofLevels.forEach(frame -> data.put(frame, frame.levels().toBytes()));
        yield Optional.of(new Packed(this, new byte[0], 0, data));
      }
      case RUNS -> {
        ofLevels.forEach(frame -> data.put(frame, runs(frame)));
        yield Optional.of(new Packed(this, new byte[0], 0, data));
      }
      case PALETTE -> byPalette(ofLevels, data);
      case DICTIONARY -> Dictionary.pack(ofLevels, data);
      case CHANGES -> byChanges(ofLevels, data);
      case STREAM -> FrameStream.pack(ofLevels, data);
    };
  }

  private static int width(Set<Frame> frames) {
    return frames.stream().mapToInt(Frame::width).max().orElse(1);
  }

  private static byte[] runs(Frame frame) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    int pixels = frame.pixels();
    int at = 0;
    while (at < pixels) {
      int run = 1;
      long colour = frame.colour(at);
      while (run < LONGEST_RUN && at + run < pixels && frame.colour(at + run) == colour) {
        run++;
      }
      out.write(run);
      frame.write(at, out);
      at += run;
    }
    return out.toByteArray();
  }

  /**
   * The colours of all frames, numbered as they come; one more than so many where there are more.
   *
   * @param width bytes of the widest pixel
   */
  static Map<Long, Integer> palette(Set<Frame> frames, int width, int most) {
    Map<Long, Integer> index = new LinkedHashMap<>();
    for (Frame frame : frames) {
      long before = 0;
      for (int pixel = 0; pixel < frame.pixels(); pixel++) {
        long colour = frame.wideColour(pixel, width);
        if (pixel == 0 || colour != before) { // neighbours are often alike
          index.putIfAbsent(colour, index.size());
          before = colour;
        }
        if (index.size() > most) {
          return index;
        }
      }
    }
    return index;
  }

  /** Writes the levels of a colour. */
  static void putColour(long colour, int width, byte[] into, int at) {
    for (int c = 0; c < width; c++) {
      into[at + c] = (byte) (colour >> 8 * (width - 1 - c));
    }
  }

  private static byte[] colours(Map<Long, Integer> index, int width) {
    byte[] palette = new byte[index.size() * width];
    index.forEach((colour, at) -> putColour(colour, width, palette, at * width));
    return palette;
  }

  private static Optional<Packed> byChanges(Set<Frame> frames, Map<Frame, byte[]> data) {
    int width = width(frames);
    Map<Long, Integer> index = palette(frames, width, MOST_COLOURS);
    if (index.size() > MOST_COLOURS) {
      return Optional.empty();
    }
    frames.forEach(frame -> data.put(frame, changes(frame, width, index)));
    return Optional.of(new Packed(CHANGES, colours(index, width), 8, data));
  }

  private static byte[] changes(Frame frame, int width, Map<Long, Integer> index) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    int pixels = frame.pixels();
    int at = 0;
    while (at < pixels) {
      int follow = Math.min(staysUntil(frame, at), at + LONGEST_RUN);
      int end = follow == at + LONGEST_RUN ? follow : changesUntil(frame, follow);
      out.write(follow - at);
      out.write(end - follow);
      for (int pixel = follow; pixel < end; pixel++) {
        out.write(index.get(frame.wideColour(pixel, width)));
      }
      at = end;
    }
    return out.toByteArray();
  }

  /** Returns how often pixels that stay and pixels that follow are told of in a frame. */
  static int changes(byte[] data) {
    int times = 0;
    for (int at = 0; at < data.length; at += 2 + (data[at + 1] & 0xff)) {
      times++;
    }
    return times;
  }

  /** Where pixels that stay as they were end. */
  private static int staysUntil(Frame frame, int from) {
    int at = from;
    while (at < frame.pixels() && frame.stays(at)) {
      at++;
    }
    return at;
  }

  /** Where pixels end that are said: before enough that stay, or as many as a count holds. */
  private static int changesUntil(Frame frame, int from) {
    int at = from;
    while (at < Math.min(frame.pixels(), from + LONGEST_RUN)) {
      int stay = staysUntil(frame, at) - at;
      if (stay >= SHORTEST_STAY || stay > 0 && at + stay == frame.pixels()) {
        return at;
      }
      at++;
    }
    return at;
  }

  private static Optional<Packed> byPalette(Set<Frame> frames, Map<Frame, byte[]> data) {
    int width = width(frames);
    Map<Long, Integer> index = palette(frames, width, MOST_COLOURS);
    if (index.size() > MOST_COLOURS) {
      return Optional.empty();
    }
    int bits = 1;
    while (1 << bits < index.size()) {
      bits *= 2;
    }
    for (Frame frame : frames) {
      data.put(frame, indices(frame, width, index, bits));
    }
    return Optional.of(new Packed(PALETTE, colours(index, width), bits, data));
  }

  private static byte[] indices(Frame frame, int width, Map<Long, Integer> index, int bits) {
    int pixels = frame.pixels();
    byte[] packed = new byte[(pixels * bits + 7) / 8];
    long before = 0;
    int at = 0;
    for (int pixel = 0; pixel < pixels; pixel++) {
      int place = pixel * bits;
      long colour = frame.wideColour(pixel, width);
      if (pixel == 0 || colour != before) {
        at = index.get(colour);
        before = colour;
      }
      packed[place / 8] |= (byte) (at << 8 - bits - place % 8);
    }
    return packed;
  }
}
