package org.myrialith.firmware;

import java.io.ByteArrayOutputStream;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.myrialith.colour.Levels;

/**
 * Three ways to keep the frames in flash.
 *
 * <pre>
 * raw      three levels a pixel, in the order of the wire
 * palette  all colours of the show, three levels each; then 1, 2, 4 or 8 bits a pixel, the first in the highest bits;
 *          each frame starts on a byte. Only up to 256 colours.
 * runs     count (1 to 255), three levels; again until all pixels are there
 * </pre>
 */
public enum Packing {
  RAW("raw"),
  PALETTE("palette"),
  RUNS("run lengths");

  private static final int MOST_COLOURS = 256;
  private static final int LONGEST_RUN = 255;

  private final String title;

  Packing(String title) {
    this.title = title;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /**
   * Frames packed one way.
   *
   * @param palette three levels a colour; empty unless by palette
   * @param indexBits of a pixel; 0 unless by palette
   * @param data of each different frame
   */
  public record Packed(Packing packing, byte[] palette, int indexBits, Map<Levels, byte[]> data) {
    /** Returns the flash it takes (bytes), without the tables that every packing needs. */
    public int bytes() {
      return palette.length + data.values().stream().mapToInt(d -> d.length).sum();
    }
  }

  /** Packs the frames; empty when there are too many colours for a palette. */
  public Optional<Packed> pack(Collection<Levels> frames) {
    Set<Levels> different = new LinkedHashSet<>(frames);
    Map<Levels, byte[]> data = new LinkedHashMap<>();
    return switch (this) {
      case RAW -> {
        different.forEach(frame -> data.put(frame, frame.toBytes()));
        yield Optional.of(new Packed(this, new byte[0], 0, data));
      }
      case RUNS -> {
        different.forEach(frame -> data.put(frame, runs(frame)));
        yield Optional.of(new Packed(this, new byte[0], 0, data));
      }
      case PALETTE -> byPalette(different, data);
    };
  }

  private static int colour(Levels frame, int pixel) {
    return frame.at(pixel * 3) << 16 | frame.at(pixel * 3 + 1) << 8 | frame.at(pixel * 3 + 2);
  }

  private static byte[] runs(Levels frame) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    int pixels = frame.size() / 3;
    int at = 0;
    while (at < pixels) {
      int run = 1;
      while (run < LONGEST_RUN
          && at + run < pixels
          && colour(frame, at + run) == colour(frame, at)) {
        run++;
      }
      out.write(run);
      out.write(frame.at(at * 3));
      out.write(frame.at(at * 3 + 1));
      out.write(frame.at(at * 3 + 2));
      at += run;
    }
    return out.toByteArray();
  }

  private static Optional<Packed> byPalette(Set<Levels> frames, Map<Levels, byte[]> data) {
    Map<Integer, Integer> index = new LinkedHashMap<>();
    for (Levels frame : frames) {
      int before = -1;
      for (int pixel = 0; pixel < frame.size() / 3; pixel++) {
        int colour = colour(frame, pixel);
        if (colour != before) { // neighbours are often alike
          index.putIfAbsent(colour, index.size());
          before = colour;
        }
        if (index.size() > MOST_COLOURS) {
          return Optional.empty();
        }
      }
    }
    int bits = 1;
    while (1 << bits < index.size()) {
      bits *= 2;
    }
    for (Levels frame : frames) {
      data.put(frame, indices(frame, index, bits));
    }
    byte[] palette = new byte[index.size() * 3];
    index.forEach(
        (colour, at) -> {
          palette[at * 3] = (byte) (colour >> 16);
          palette[at * 3 + 1] = (byte) (colour >> 8);
          palette[at * 3 + 2] = colour.byteValue();
        });
    return Optional.of(new Packed(PALETTE, palette, bits, data));
  }

  private static byte[] indices(Levels frame, Map<Integer, Integer> index, int bits) {
    int pixels = frame.size() / 3;
    byte[] packed = new byte[(pixels * bits + 7) / 8];
    int before = -1;
    int at = 0;
    for (int pixel = 0; pixel < pixels; pixel++) {
      int place = pixel * bits;
      int colour = colour(frame, pixel);
      if (colour != before) {
        at = index.get(colour);
        before = colour;
      }
      packed[place / 8] |= (byte) (at << 8 - bits - place % 8);
    }
    return packed;
  }
}
