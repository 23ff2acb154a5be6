package org.myrialith.layout;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The segments of a digit, as lines in a box of width 1 and height 1, y down. Letters as data
 * sheets of segment displays have them (common practice).
 */
public enum SegmentStyle {
  SEVEN(
      "seven", "a 0 0 1 0, b 1 0 1 .5, c 1 .5 1 1, d 1 1 0 1, e 0 1 0 .5, f 0 .5 0 0, g 0 .5 1 .5"),
  FOURTEEN(
      "fourteen",
      "a 0 0 1 0, b 1 0 1 .5, c 1 .5 1 1, d 1 1 0 1, e 0 1 0 .5, f 0 .5 0 0, g1 0 .5 .5 .5,"
          + " g2 .5 .5 1 .5, h 0 0 .5 .5, i .5 0 .5 .5, j 1 0 .5 .5, k .5 .5 0 1, l .5 .5 .5 1,"
          + " m .5 .5 1 1"),
  SIXTEEN(
      "sixteen",
      "a1 0 0 .5 0, a2 .5 0 1 0, b 1 0 1 .5, c 1 .5 1 1, d2 1 1 .5 1, d1 .5 1 0 1, e 0 1 0 .5,"
          + " f 0 .5 0 0, g1 0 .5 .5 .5, g2 .5 .5 1 .5, h 0 0 .5 .5, i .5 0 .5 .5, j 1 0 .5 .5,"
          + " k .5 .5 0 1, l .5 .5 .5 1, m .5 .5 1 1"),
  CUSTOM("custom", "");

  private final String key;
  private final List<Segment> segments;

  SegmentStyle(String key, String lines) {
    this.key = key;
    this.segments = parse(lines);
  }

  /** Returns the style that the format has under a name. */
  public static Optional<SegmentStyle> of(String key) {
    return Arrays.stream(values()).filter(style -> style.key.equals(key)).findFirst();
  }

  /** Returns its name for makers. */
  public String words() {
    return this == CUSTOM ? "drawn by yourself" : segments.size() + " segments";
  }

  private static List<Segment> parse(String lines) {
    List<Segment> all = new ArrayList<>();
    for (String line : lines.isEmpty() ? new String[0] : lines.split(", *")) {
      String[] w = line.strip().split(" ");
      all.add(
          new Segment(
              w[0],
              Double.parseDouble(w[1]),
              Double.parseDouble(w[2]),
              Double.parseDouble(w[3]),
              Double.parseDouble(w[4])));
    }
    return List.copyOf(all);
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the segments in a box of 1 by 1; none for a custom digit. */
  List<Segment> segments(double widthMm, double heightMm) {
    return segments.stream()
        .map(
            s ->
                new Segment(
                    s.name(),
                    s.x1Mm() * widthMm,
                    s.y1Mm() * heightMm,
                    s.x2Mm() * widthMm,
                    s.y2Mm() * heightMm))
        .toList();
  }
}
