package org.myrialith.frames;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Pictures with fewer different colours: those that there are go into boxes, the one with the
 * longest side is halved at the middle of its cells again and again, and all cells of a box get its
 * mean (the median cut, common practice). Black stays black.
 */
public final class FewerColours {
  private static final int CHANNELS = 3;

  private final Map<Integer, Integer> instead = new HashMap<>();

  private FewerColours() {}

  /** A colour and how many cells have it. */
  private record Used(int rgb, long cells) {
    int channel(int channel) {
      return rgb >> 8 * (CHANNELS - 1 - channel) & 0xff;
    }
  }

  /**
   * Returns the way to so many colours.
   *
   * @param pictures all that are to share them
   * @param most colours, from 2
   */
  public static FewerColours of(Stream<Picture> pictures, int most) {
    Map<Integer, Long> cells = new HashMap<>();
    pictures
        .distinct()
        .forEach(
            picture -> {
              for (int cell = 0; cell < picture.columns() * picture.rows(); cell++) {
                cells.merge(rgb(picture, cell), 1L, Long::sum);
              }
            });
    FewerColours made = new FewerColours();
    boolean black = cells.remove(0) != null;
    List<List<Used>> boxes = new ArrayList<>();
    List<Used> all = new ArrayList<>();
    cells.forEach((rgb, count) -> all.add(new Used(rgb, count)));
    all.sort(Comparator.comparingInt(Used::rgb));
    if (!all.isEmpty()) {
      boxes.add(all);
    }
    while (boxes.size() < most - (black ? 1 : 0)) {
      List<Used> widest =
          boxes.stream().max(Comparator.comparingInt(FewerColours::side)).orElse(null);
      if (widest == null || side(widest) == 0) {
        break;
      }
      boxes.remove(widest);
      halve(widest, boxes);
    }
    boxes.forEach(made::share);
    return made;
  }

  private static int rgb(Picture picture, int cell) {
    return picture.value(cell, 0) << 16 | picture.value(cell, 1) << 8 | picture.value(cell, 2);
  }

  private static int side(List<Used> box, int channel) {
    int least = box.stream().mapToInt(one -> one.channel(channel)).min().orElse(0);
    return box.stream().mapToInt(one -> one.channel(channel)).max().orElse(0) - least;
  }

  private static int side(List<Used> box) {
    return Math.max(side(box, 0), Math.max(side(box, 1), side(box, 2)));
  }

  private static void halve(List<Used> box, List<List<Used>> into) {
    int longest = 0;
    for (int channel = 1; channel < CHANNELS; channel++) {
      longest = side(box, channel) > side(box, longest) ? channel : longest;
    }
    int along = longest;
    List<Used> sorted = new ArrayList<>(box);
    sorted.sort(Comparator.comparingInt((Used one) -> one.channel(along)).thenComparing(Used::rgb));
    long half = sorted.stream().mapToLong(Used::cells).sum() / 2;
    int cut = 0;
    for (long before = 0;
        cut < sorted.size() - 1 && before + sorted.get(cut).cells <= half;
        cut++) {
      before += sorted.get(cut).cells;
    }
    cut = Math.max(1, cut);
    into.add(sorted.subList(0, cut));
    into.add(sorted.subList(cut, sorted.size()));
  }

  private void share(List<Used> box) {
    long cells = box.stream().mapToLong(Used::cells).sum();
    int mean = 0;
    for (int channel = 0; channel < CHANNELS; channel++) {
      int at = channel;
      long sum = box.stream().mapToLong(one -> one.channel(at) * one.cells).sum();
      mean = mean << 8 | (int) ((sum + cells / 2) / cells);
    }
    for (Used one : box) {
      instead.put(one.rgb, mean);
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
