package org.myrialith.firmware.pack;

/**
 * Four classes of codes for symbols: two bits say which class, then as many follow as it has.
 *
 * @param first symbol of each class, and {@code bits}: of its codes
 */
public record CodeClasses(int[] first, int[] bits) {
  /** How many there are. */
  static final int COUNT = 4;

  private static final int TAG_BITS = 2;
  private static final int MOST_BITS = 15;

  /**
   * Returns the classes with the shortest codes.
   *
   * @param often of each symbol, falling among colours and among rules
   * @param colours how many of the symbols are colours
   */
  static CodeClasses best(int[] often, int colours) {
    Search search = new Search(often, colours);
    search.go(0, 0, 0);
    return new CodeClasses(search.bestFirst, search.bestBits);
  }

  /** Tries all of them. Mutable. */
  private static final class Search {
    private final long[] sums;
    private final int colours;
    private final int[] first = new int[COUNT];
    private final int[] bits = new int[COUNT];
    private int[] bestFirst = first;
    private int[] bestBits = bits;
    private long least = Long.MAX_VALUE;

    Search(int[] often, int colours) {
      this.colours = colours;
      sums = new long[often.length + 1];
      for (int s = 0; s < often.length; s++) {
        sums[s + 1] = sums[s] + often[s];
      }
    }

    /** From here on; symbols that stand in no frame need no code. */
    void go(int one, int from, long cost) {
      int next = from;
      if (from < colours && sums[from] == sums[colours]) {
        next = colours;
      }
      if (cost >= least) {
        return;
      }
      if (sums[next] == sums[sums.length - 1]) {
        least = cost;
        bestFirst = first.clone();
        bestBits = bits.clone();
        return;
      }
      if (one == COUNT) {
        return;
      }
      int end = next < colours ? colours : sums.length - 1;
      for (int width = 0; width <= MOST_BITS; width++) {
        int to = Math.min(end, next + (1 << width));
        first[one] = next;
        bits[one] = width;
        go(one + 1, to, cost + (sums[to] - sums[next]) * (TAG_BITS + width));
        if (to == end) {
          break;
        }
      }
      first[one] = 0;
      bits[one] = 0;
    }
  }

  /** Returns the codes of symbols, from a byte on. */
  byte[] coded(int[] text) {
    BitWriter out = new BitWriter();
    for (int symbol : text) {
      int one = of(symbol);
      out.put(one, TAG_BITS);
      out.put(symbol - first[one], bits[one]);
    }
    return out.bytes();
  }

  /** Returns the bits of the code of a symbol. */
  int bitsOf(int symbol) {
    return TAG_BITS + bits[of(symbol)];
  }

  private int of(int symbol) {
    for (int c = 0; c < COUNT; c++) {
      if (symbol >= first[c] && symbol < first[c] + (1 << bits[c])) {
        return c;
      }
    }
    throw new IllegalStateException("no class for symbol " + symbol);
  }
}
