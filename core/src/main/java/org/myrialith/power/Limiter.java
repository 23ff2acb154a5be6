package org.myrialith.power;

import org.myrialith.colour.Levels;

/**
 * Keeps the sum of all levels within a limit, the same way the player in the firmware does it.
 *
 * <p>When the sum is over the limit, every level becomes {@code level · f ÷ 256} without rest,
 * where {@code f = limit · 256 ÷ sum} without rest. So the sum never exceeds the limit.
 *
 * @param levelSum largest sum of levels, at least 0
 */
public record Limiter(long levelSum) {
  private static final int SCALE = 256;

  /** Returns the factor in 256ths for a sum of levels: 256 when nothing is dimmed. */
  public int factor(long sum) {
    return sum <= levelSum ? SCALE : (int) (levelSum * SCALE / sum);
  }

  /** Returns the levels as they are sent. */
  public Levels limit(Levels chain) {
    int factor = factor(chain.sum());
    if (factor == SCALE) {
      return chain;
    }
    byte[] dimmed = chain.toBytes();
    for (int i = 0; i < dimmed.length; i++) {
      dimmed[i] = (byte) ((dimmed[i] & 0xff) * factor / SCALE);
    }
    return Levels.of(dimmed);
  }
}
