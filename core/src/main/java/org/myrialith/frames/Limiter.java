package org.myrialith.frames;

import java.util.List;
import org.myrialith.colour.Levels;

/**
 * Keeps the weighted sum of all levels within a limit, the same way the player in the firmware does
 * it.
 *
 * <p>When the sum is over the limit, every level is scaled by {@code f ÷ 65536}. What is left over
 * in one emitter is carried to the same channel of the next, so that nothing is lost: of a
 * channel's levels that add up to S, {@code f · S ÷ 65536} without rest is sent. So the sum never
 * exceeds the limit, and a little too much dims a few emitters by one level instead of all.
 *
 * <p>What is only on or off can't be scaled: it weighs nothing here, and the limit is that of the
 * rest.
 *
 * @param weights of a level, by circuit and group; 0 for what can't be dimmed
 * @param limit largest weighted sum, at least 0
 */
public record Limiter(List<List<Integer>> weights, long limit) {
  /** The factor that changes nothing. */
  public static final int WHOLE = 1 << 16;

  public Limiter {
    weights = weights.stream().map(List::copyOf).toList();
  }

  /** Returns the weighted sum of sums by circuit and group. */
  public long weighted(long[][] sums) {
    long all = 0;
    for (int c = 0; c < sums.length; c++) {
      all += weighted(c, sums[c]);
    }
    return all;
  }

  /** Returns the weighted sum of a circuit's sums by group. */
  public long weighted(int circuit, long[] sums) {
    long all = 0;
    for (int group = 0; group < sums.length; group++) {
      all += sums[group] * weights.get(circuit).get(group);
    }
    return all;
  }

  private boolean dims(int circuit) {
    return weights.get(circuit).stream().anyMatch(weight -> weight > 0);
  }

  /**
   * Returns the factor in 65536ths for a weighted sum. Sum and limit are halved until 16 bits hold
   * them, the sum rounded up and the limit down, so that 32 bits are enough for the division.
   */
  public int factor(long weightedSum) {
    if (weightedSum <= limit) {
      return WHOLE;
    }
    long sum = weightedSum;
    long most = limit;
    while (sum > 0xffff) {
      sum = sum + 1 >> 1;
      most >>= 1;
    }
    return (int) ((most << 16) / sum);
  }

  /** Returns the sums that are sent for sums that are asked. */
  public long[][] sent(long[][] sums) {
    int factor = factor(weighted(sums));
    if (factor == WHOLE) {
      return sums;
    }
    long[][] sent = new long[sums.length][];
    for (int c = 0; c < sums.length; c++) {
      if (!dims(c)) {
        sent[c] = sums[c];
        continue;
      }
      sent[c] = new long[sums[c].length];
      for (int position = 0; position < sums[c].length; position++) {
        sent[c][position] = sums[c][position] * factor >> 16;
      }
    }
    return sent;
  }

  /**
   * Returns the levels of a circuit as they are sent.
   *
   * @param channels of a pixel
   */
  public static Levels scaled(Levels levels, int factor, int channels, int bits) {
    if (factor == WHOLE) {
      return levels;
    }
    int[] carry = new int[channels];
    int[] scaled = new int[levels.size()];
    for (int i = 0; i < scaled.length; i++) {
      int position = i % channels;
      long all = (long) levels.at(i) * factor + carry[position];
      scaled[i] = (int) (all >> 16);
      carry[position] = (int) (all & 0xffff);
    }
    return Levels.of(bits, scaled);
  }
}
