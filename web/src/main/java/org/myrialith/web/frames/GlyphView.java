package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.myrialith.frames.edit.Characters;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;

/**
 * The characters of segment digits, to look at and to change.
 *
 * @param segments of one digit, in its box
 * @param own characters that the maker made, in their order
 * @param known what is lit for each character, as the page's script reads it: characters parted by
 *     line ends, each followed by its segments, parted by tabs
 */
public record GlyphView(
    List<Segment> segments, String box, double stroke, List<String> own, String known) {
  private static final int FIRST = '!';
  private static final int LAST = '~';

  static GlyphView of(SegmentDigits digits, Map<Character, Set<String>> own) {
    List<Segment> segments = digits.outline();
    double width = segments.stream().mapToDouble(s -> Math.max(s.x1Mm(), s.x2Mm())).max().orElse(1);
    double height =
        segments.stream().mapToDouble(s -> Math.max(s.y1Mm(), s.y2Mm())).max().orElse(1);
    double stroke = Math.max(width, height) / 12;
    return new GlyphView(
        segments,
        (-stroke) + " " + (-stroke) + " " + (width + 2 * stroke) + " " + (height + 2 * stroke),
        stroke,
        own.keySet().stream().sorted().map(String::valueOf).toList(),
        known(digits, own));
  }

  private static String known(SegmentDigits digits, Map<Character, Set<String>> own) {
    Map<Character, Set<String>> all = new TreeMap<>();
    for (char one = FIRST; one <= LAST; one++) {
      char character = one;
      Characters.segments(digits.style(), own, one).ifPresent(lit -> all.put(character, lit));
    }
    all.putAll(own);
    List<String> lines = new ArrayList<>();
    all.forEach((one, lit) -> lines.add(one + "\t" + String.join("\t", lit)));
    return String.join("\n", lines);
  }
}
