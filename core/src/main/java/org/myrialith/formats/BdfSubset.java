package org.myrialith.formats;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The characters of a font of dots that fit into so much room: those that are wanted, then the
 * others by their encodings. Their lines stay as they are.
 *
 * @param text of the smaller file, which says in a comment how many were kept
 * @param kept characters
 * @param of those that there were
 */
public record BdfSubset(String text, int kept, int of) {
  private static final Pattern ENCODING = Pattern.compile("(?m)^ENCODING\\s+(-?[0-9]{1,7})");
  private static final Pattern SAID = Pattern.compile("(?m)^COMMENT kept ([0-9]+) of ([0-9]+)");
  private static final String GLYPH = "STARTCHAR";

  /** A character as the file has it. */
  private record Block(int encoding, String text) {}

  /**
   * Chooses.
   *
   * @param wanted encodings that come first
   * @param most characters of the file
   */
  public static BdfSubset of(String bdf, Set<Integer> wanted, int most) {
    int first = bdf.indexOf(GLYPH);
    List<Block> blocks = blocks(bdf, first);
    if (bdf.length() <= most || first < 0) {
      return new BdfSubset(bdf, blocks.size(), blocks.size());
    }
    String head = bdf.substring(0, first);
    int room = most - head.length() - 200;
    List<Block> kept = new ArrayList<>();
    blocks.sort(
        Comparator.comparing((Block block) -> !wanted.contains(block.encoding()))
            .thenComparing(Block::encoding));
    for (Block block : blocks) {
      if (block.encoding() >= 0 && block.text().length() <= room) {
        kept.add(block);
        room -= block.text().length();
      }
    }
    kept.sort(Comparator.comparingInt(Block::encoding));
    StringBuilder text = new StringBuilder();
    int line = head.indexOf('\n') + 1;
    text.append(head, 0, line);
    text.append(phrase("COMMENT kept %d of %d characters\n", kept.size(), blocks.size()));
    text.append(head.substring(line).replaceFirst("(?m)^CHARS\\s+.*$", "CHARS " + kept.size()));
    kept.forEach(block -> text.append(block.text()));
    return new BdfSubset(text.append("ENDFONT\n").toString(), kept.size(), blocks.size());
  }

  /** Returns how many characters a file says were kept of how many; empty when it has them all. */
  public static Optional<int[]> said(String bdf) {
    Matcher said = SAID.matcher(bdf.substring(0, Math.min(bdf.length(), 1000)));
    return said.find()
        ? Optional.of(new int[] {Integer.parseInt(said.group(1)), Integer.parseInt(said.group(2))})
        : Optional.empty();
  }

  private static List<Block> blocks(String bdf, int first) {
    List<Block> blocks = new ArrayList<>();
    int at = first;
    while (at >= 0) {
      int end = bdf.indexOf("ENDCHAR", at);
      if (end < 0) {
        break;
      }
      int next = bdf.indexOf('\n', end);
      next = next < 0 ? bdf.length() : next + 1;
      String block = bdf.substring(at, next);
      Matcher encoding = ENCODING.matcher(block);
      blocks.add(new Block(encoding.find() ? Integer.parseInt(encoding.group(1)) : -1, block));
      at = bdf.indexOf(GLYPH, next);
    }
    return blocks;
  }
}
