package org.myrialith.firmware.pack;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.PriorityQueue;
import java.util.function.Consumer;

/**
 * Texts of symbols in which pairs that come again and again are replaced by symbols of their own,
 * the most frequent first, as long as there are any (recursive pairing: N. J. Larsson and A.
 * Moffat, "Off-line dictionary-based compression", Proceedings of the IEEE 88 (2000), from memory).
 * Mutable, lives as long as it is worked out.
 */
final class Pairs {
  /** A pair that comes less often costs more than it saves. */
  private static final int LEAST = 3;

  /** Between two texts. */
  private static final int END = -1;

  private static final int NOWHERE = -1;

  /** A pair of symbols, and where it stands. */
  private static final class Pair {
    final int one;
    final int other;
    int count;
    int first = NOWHERE;
    int lined;

    Pair(int one, int other) {
      this.one = one;
      this.other = other;
    }
  }

  /** All pairs that were met, by their symbols. */
  private static final class Known {
    private Pair[] slots = new Pair[1 << 10];
    private int size;

    Pair of(int one, int other) {
      int at = slot(one, other);
      if (slots[at] == null) {
        if (2 * size > slots.length) {
          grow();
          at = slot(one, other);
        }
        slots[at] = new Pair(one, other);
        size++;
      }
      return slots[at];
    }

    private int slot(int one, int other) {
      int mask = slots.length - 1;
      int hash = (one * 0x9e3779b1 + other) * 0x85ebca6b;
      int at = (hash ^ hash >>> 15) & mask;
      while (slots[at] != null && (slots[at].one != one || slots[at].other != other)) {
        at = at + 1 & mask;
      }
      return at;
    }

    private void grow() {
      Pair[] old = slots;
      slots = new Pair[2 * old.length];
      for (Pair pair : old) {
        if (pair != null) {
          slots[slot(pair.one, pair.other)] = pair;
        }
      }
    }

    void each(Consumer<Pair> what) {
      for (Pair pair : slots) {
        if (pair != null) {
          what.accept(pair);
        }
      }
    }
  }

  /** How often a pair came when it was put in line. */
  private record Due(int count, int number, Pair pair) implements Comparable<Due> {
    @Override
    public int compareTo(Due other) {
      return count != other.count
          ? Integer.compare(other.count, count)
          : Integer.compare(number, other.number);
    }
  }

  private final int terminals;
  private final int deepest;
  private final int[] symbol;
  private final int[] before;
  private final int[] after;

  /** Of each place the pair that begins there, and its neighbours in the list of that pair. */
  private final Pair[] pair;

  private final int[] earlier;
  private final int[] later;
  private final Known known = new Known();
  private final PriorityQueue<Due> due = new PriorityQueue<>();
  private final List<int[]> rules = new ArrayList<>();

  /** Symbols that all texts had after so many rules. */
  private final List<Integer> left = new ArrayList<>();

  private int symbols;
  private final List<Integer> depths = new ArrayList<>();

  private int numbered;

  /**
   * Pairs them.
   *
   * @param texts each of symbols from 0 to below {@code terminals}
   * @param mostRules that may be made
   * @param deepest rules that may stand in each other
   */
  Pairs(List<int[]> texts, int terminals, int mostRules, int deepest) {
    this.terminals = terminals;
    this.deepest = deepest;
    int places = 1 + texts.stream().mapToInt(text -> text.length + 1).sum();
    symbol = new int[places];
    before = new int[places];
    after = new int[places];
    earlier = new int[places];
    later = new int[places];
    pair = new Pair[places];
    fill(texts);
    left.add(symbols);
    known.each(this::line);
    while (!due.isEmpty() && rules.size() < mostRules) {
      Due next = due.poll();
      if (next.count == next.pair.count) {
        replace(next.pair);
      } else if (next.pair.count < next.count) {
        line(next.pair);
      }
    }
  }

  private void fill(List<int[]> texts) {
    int at = 0;
    symbol[at++] = END;
    for (int[] text : texts) {
      System.arraycopy(text, 0, symbol, at, text.length);
      at += text.length;
      symbols += text.length;
      symbol[at++] = END;
    }
    for (int i = 0; i < symbol.length; i++) {
      before[i] = i - 1;
      after[i] = i + 1 < symbol.length ? i + 1 : NOWHERE;
    }
    for (int i = 0; i + 1 < symbol.length; i++) {
      link(i);
    }
  }

  /** Notes the pair that begins at a place; of equal symbols in a row every second pair. */
  private void link(int at) {
    int next = after[at];
    if (next == NOWHERE || symbol[at] == END || symbol[next] == END) {
      return;
    }
    Pair own = known.of(symbol[at], symbol[next]);
    if (own.one == own.other && (pair[before[at]] == own || pair[next] == own)) {
      return;
    }
    pair[at] = own;
    later[at] = own.first;
    earlier[at] = NOWHERE;
    if (own.first != NOWHERE) {
      earlier[own.first] = at;
    }
    own.first = at;
    own.count++;
  }

  private void unlink(int at) {
    Pair own = pair[at];
    if (own == null) {
      return;
    }
    if (earlier[at] == NOWHERE) {
      own.first = later[at];
    } else {
      later[earlier[at]] = later[at];
    }
    if (later[at] != NOWHERE) {
      earlier[later[at]] = earlier[at];
    }
    own.count--;
    pair[at] = null;
  }

  private void line(Pair one) {
    if (one.count >= LEAST) {
      due.add(new Due(one.count, numbered++, one));
    }
  }

  private int depth(int of) {
    return of < terminals ? 0 : depths.get(of - terminals);
  }

  private void replace(Pair old) {
    int depth = 1 + Math.max(depth(old.one), depth(old.other));
    if (depth > deepest) {
      return;
    }
    int fresh = terminals + rules.size();
    rules.add(new int[] {old.one, old.other});
    depths.add(depth);
    List<Pair> met = new ArrayList<>();
    while (old.first != NOWHERE) {
      int at = old.first;
      int second = after[at];
      unlink(at);
      unlink(second);
      unlink(before[at]);
      symbol[at] = fresh;
      after[at] = after[second];
      before[after[second]] = at;
      symbols--;
      link(before[at]);
      link(at);
      met.add(pair[before[at]]);
      met.add(pair[at]);
    }
    left.add(symbols);
    for (Pair one : met) {
      if (one != null && one.lined != rules.size()) { // once for all that came of this rule
        one.lined = rules.size();
        line(one);
      }
    }
  }

  /** Returns the rules, each for two symbols; the first has the number of the terminals. */
  List<int[]> rules() {
    return rules;
  }

  /** Returns how many symbols all texts had after so many rules. */
  int left(int after) {
    return left.get(after);
  }

  /** Returns the texts as they were after so many rules. */
  List<int[]> texts(int after) {
    List<int[]> all = new ArrayList<>();
    Text text = new Text(terminals + after);
    for (int at = this.after[0]; at != NOWHERE; at = this.after[at]) {
      if (symbol[at] == END) {
        all.add(text.end());
      } else {
        text.add(symbol[at]);
      }
    }
    return all;
  }

  /** Puts a text together, without rules that are not wanted. */
  private final class Text {
    private final int end;
    private final int[] all = new int[symbol.length];
    private int size;

    Text(int end) {
      this.end = end;
    }

    void add(int one) {
      if (one < end) {
        all[size++] = one;
      } else {
        add(rules.get(one - terminals)[0]);
        add(rules.get(one - terminals)[1]);
      }
    }

    int[] end() {
      int[] text = Arrays.copyOf(all, size);
      size = 0;
      return text;
    }
  }
}
