package org.myrialith.firmware.pack;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Texts of symbols as codes: rules for what comes again and again, as many as are worth it, and
 * codes that are short for symbols that stand there often.
 *
 * @param terminals symbols that are no rules
 * @param number of each symbol as it was given: those that stand there most often come first, all
 *     terminals before all rules
 * @param rules two symbols each
 * @param classes of the codes
 * @param texts symbols that a code stands for, of each text
 */
record CodedTexts(
    int terminals, int[] number, List<int[]> rules, CodeClasses classes, List<int[]> texts) {
  private static final int MOST_SYMBOLS = 16_384;

  /**
   * Finds the codes.
   *
   * @param texts of symbols from 0 to below {@code terminals}
   * @param deepest rules that may stand in each other
   */
  static CodedTexts of(List<int[]> texts, int terminals, int deepest) {
    Pairs pairs = pairs(texts, terminals, deepest);
    int worth = worth(pairs, terminals);
    List<int[]> paired = pairs.texts(worth);
    int[] often = new int[terminals + worth];
    paired.forEach(text -> IntStream.of(text).forEach(symbol -> often[symbol]++));
    int[] number = renumbered(often, terminals);
    int[] sorted = new int[often.length];
    IntStream.range(0, often.length).forEach(symbol -> sorted[number[symbol]] = often[symbol]);
    int[][] rules = new int[worth][];
    for (int r = 0; r < rules.length; r++) {
      int[] rule = pairs.rules().get(r);
      rules[number[terminals + r] - terminals] = new int[] {number[rule[0]], number[rule[1]]};
    }
    return new CodedTexts(
        terminals,
        number,
        List.of(rules),
        CodeClasses.best(sorted, terminals),
        paired.stream().map(text -> IntStream.of(text).map(s -> number[s]).toArray()).toList());
  }

  /** Returns what texts and rules take, about (bytes). */
  static double guess(List<int[]> texts, int terminals, int deepest) {
    Pairs pairs = pairs(texts, terminals, deepest);
    return bytes(pairs, terminals, worth(pairs, terminals));
  }

  /** Returns the bytes of a text. */
  byte[] data(int text) {
    return classes.coded(texts.get(text));
  }

  private static Pairs pairs(List<int[]> texts, int terminals, int deepest) {
    return new Pairs(texts, terminals, MOST_SYMBOLS - terminals, deepest);
  }

  /** What texts and rules take, about, with so many rules (bytes). */
  private static double bytes(Pairs pairs, int terminals, int rules) {
    double symbols = terminals + rules;
    double ruleBytes = symbols <= 256 ? 2 : symbols <= 4096 ? 3 : 4;
    double code = Math.log(symbols) / Math.log(2) + 0.5;
    return pairs.left(rules) * code / 8 + rules * ruleBytes;
  }

  /** How many rules are worth it. */
  private static int worth(Pairs pairs, int terminals) {
    int best = 0;
    double least = Double.MAX_VALUE;
    for (int rules = 0; rules <= pairs.rules().size(); rules++) {
      double bytes = bytes(pairs, terminals, rules);
      if (bytes < least) {
        least = bytes;
        best = rules;
      }
    }
    return best;
  }

  /** Terminals and rules, each with those first that stand in texts most often. */
  private static int[] renumbered(int[] often, int terminals) {
    List<Integer> all = new ArrayList<>(IntStream.range(0, often.length).boxed().toList());
    all.sort(
        Comparator.<Integer>comparingInt(symbol -> symbol < terminals ? 0 : 1)
            .thenComparingInt(symbol -> -often[symbol]));
    int[] number = new int[often.length];
    IntStream.range(0, number.length).forEach(i -> number[all.get(i)] = i);
    return number;
  }
}
