package org.myrialith.circuit.multiplex;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** How the levels of a row are made of slots that are on or off. */
public enum ScanMethod {
  /** A slot for each bit, each twice as long as the one before. */
  BIT_ANGLE("bit-angle", "bit-angle modulation (slots of 1, 2, 4 … units)", 0),
  /** As many equal slots as there are levels; the row is on from the first to that of its level. */
  PLAIN("plain", "plain PWM (equal slots)", 0),
  /** The higher bits in each of two passes over the rows, the lowest in one of them. */
  TWO_PASSES("two-passes", "split bit-angle (2 passes)", 1),
  /** The higher bits in each of four passes, the two lowest in one each. */
  FOUR_PASSES("four-passes", "split bit-angle (4 passes)", 2);

  private final String key;
  private final String title;
  private final int lowBits;

  ScanMethod(String key, String title, int lowBits) {
    this.key = key;
    this.title = title;
    this.lowBits = lowBits;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return key;
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /**
   * A slot of a row.
   *
   * @param bit that it shows; of equal slots, the number of the slot
   * @param weight units that it lights for
   */
  public record Step(int bit, int weight) {}

  /** Returns how many of the lowest bits are in one pass only; a bit is left for all of them. */
  public int lowBits(int depth) {
    return Math.min(lowBits, depth - 1);
  }

  /** Returns how often a row has its turn until all of its bits were shown. */
  public int passes(int depth) {
    return 1 << lowBits(depth);
  }

  /** Returns the slots of a row in each pass. */
  public List<List<Step>> steps(int depth) {
    if (this == PLAIN) {
      return List.of(IntStream.range(0, (1 << depth) - 1).mapToObj(k -> new Step(k, 1)).toList());
    }
    int low = lowBits(depth);
    List<List<Step>> all = new ArrayList<>();
    for (int pass = 0; pass < 1 << low; pass++) {
      List<Step> steps = new ArrayList<>();
      int single = singleBit(pass, low);
      if (single >= 0) {
        steps.add(new Step(single, 1 << single));
      }
      for (int bit = low; bit < depth; bit++) {
        steps.add(new Step(bit, 1 << bit - low));
      }
      all.add(List.copyOf(steps));
    }
    return List.copyOf(all);
  }

  /** The low bit that a pass shows; -1 for none. They lie as far apart as can be. */
  private static int singleBit(int pass, int low) {
    return switch (low) {
      case 1 -> pass == 1 ? 0 : -1;
      case 2 -> pass == 1 ? 0 : pass == 3 ? 1 : -1;
      default -> -1;
    };
  }
}
