package org.myrialith.frames.edit;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.stream.Stream;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/**
 * Pictures with fewer different colours: those that there are go into boxes, the one with the
 * longest side is halved at the middle of its cells again and again, and all cells of a box get its
 * mean (the median cut, common practice). Black stays black.
 */
public final class FewerColours {
  private static final int CHANNELS = 3;

  private final Map<Integer, Integer> instead = new HashMap<>();

  private FewerColours() {}

  /**
   * Returns the way to so many colours.
   *
   * @param pictures all that are to share them
   * @param most colours, from 2
   */
  public static FewerColours of(Stream<Picture> pictures, int most) {
    FewerColours made = new FewerColours();
    long[] all = counted(pictures.distinct().toList());
    boolean black = all.length > 0 && all[0] >> COUNT_BITS == 0;
    if (black) {
      all = Arrays.copyOfRange(all, 1, all.length);
    }
    PriorityQueue<Box> boxes = new PriorityQueue<>(WIDEST_FIRST);
    if (all.length > 0) {
      boxes.add(Box.of(all, 0, all.length));
    }
    while (boxes.size() < most - (black ? 1 : 0) && !boxes.isEmpty() && boxes.peek().side > 0) {
      boxes.poll().halve(boxes);
    }
    boxes.forEach(made::share);
    return made;
  }

  /** Each colour once with how many cells have it, in their order. */
  private static long[] counted(List<Picture> pictures) {
    int[] rgb = new int[pictures.stream().mapToInt(p -> p.columns() * p.rows()).sum()];
    int cells = 0;
    for (Picture picture : pictures) {
      for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
        rgb[cells++] = rgb(picture, cell);
      }
    }
    Arrays.sort(rgb);
    long[] all = new long[rgb.length];
    int colours = 0;
    for (int i = 0; i < rgb.length; i++) {
      if (i == 0 || rgb[i] != rgb[i - 1]) {
        all[colours++] = (long) rgb[i] << COUNT_BITS;
      }
      all[colours - 1]++;
    }
    return Arrays.copyOf(all, colours);
  }

  private static int rgb(Picture picture, int cell) {
    return picture.value(cell, 0) << 16 | picture.value(cell, 1) << 8 | picture.value(cell, 2);
  }

  /** A colour stands with how many cells have it, in the lower bits. */
  private static final int COUNT_BITS = 32;

  private static int channel(long used, int channel) {
    return (int) (used >> COUNT_BITS + 8 * (CHANNELS - 1 - channel)) & 0xff;
  }

  private static int cells(long used) {
    return (int) used;
  }

  private static final Comparator<Box> WIDEST_FIRST =
      Comparator.comparingInt((Box box) -> -box.side).thenComparingInt(box -> box.from);

  /**
   * A stretch of the colours, which it may sort.
   *
   * @param along channel in which it is longest
   * @param side how long it is there
   */
  private record Box(long[] all, int from, int to, int along, int side) {
    static Box of(long[] all, int from, int to) {
      int along = 0;
      int side = -1;
      for (int channel = 0; channel < CHANNELS; channel++) {
        int least = 255;
        int most = 0;
        for (int i = from; i < to; i++) {
          int value = channel(all[i], channel);
          least = Math.min(least, value);
          most = Math.max(most, value);
        }
        if (most - least > side) {
          along = channel;
          side = most - least;
        }
      }
      return new Box(all, from, to, along, side);
    }

    /** By the channel in which it is longest: counted by value, else in their order. */
    private long[] sorted() {
      int[] next = new int[257];
      for (int i = from; i < to; i++) {
        next[channel(all[i], along) + 1]++;
      }
      for (int value = 1; value < next.length; value++) {
        next[value] += next[value - 1];
      }
      long[] sorted = new long[to - from];
      for (int i = from; i < to; i++) {
        sorted[next[channel(all[i], along)]++] = all[i];
      }
      return sorted;
    }

    void halve(Collection<Box> into) {
      long[] sorted = sorted();
      System.arraycopy(sorted, 0, all, from, sorted.length);
      long half = Arrays.stream(sorted).map(FewerColours::cells).sum() / 2;
      int cut = 0;
      long before = 0;
      while (cut < sorted.length - 1 && before + cells(sorted[cut]) <= half) {
        before += cells(sorted[cut++]);
      }
      cut = Math.max(1, cut);
      into.add(of(all, from, from + cut));
      into.add(of(all, from + cut, to));
    }
  }

  private void share(Box box) {
    long cells = Arrays.stream(box.all, box.from, box.to).map(FewerColours::cells).sum();
    int mean = 0;
    for (int channel = 0; channel < CHANNELS; channel++) {
      int at = channel;
      long sum =
          Arrays.stream(box.all, box.from, box.to)
              .map(one -> (long) channel(one, at) * cells(one))
              .sum();
      mean = mean << 8 | (int) ((sum + cells / 2) / cells);
    }
    for (int i = box.from; i < box.to; i++) {
      instead.put((int) (box.all[i] >> COUNT_BITS), mean);
    }
  }

  /** Returns a clip in those colours. */
  public Clip of(Clip clip) {
    return clip.withFrames(
        clip.frames().stream()
            .map(frame -> new Frame(of(frame.picture()), frame.holdMillis()))
            .toList());
  }

  private Picture of(Picture picture) {
    byte[] rgb = new byte[CHANNELS * picture.columns() * picture.rows()];
    for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
      int colour = instead.getOrDefault(rgb(picture, cell), rgb(picture, cell));
      rgb[CHANNELS * cell] = (byte) (colour >> 16);
      rgb[CHANNELS * cell + 1] = (byte) (colour >> 8);
      rgb[CHANNELS * cell + 2] = (byte) colour;
    }
    return Picture.of(picture.columns(), picture.rows(), rgb);
  }
}
