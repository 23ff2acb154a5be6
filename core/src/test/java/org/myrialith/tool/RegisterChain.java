package org.myrialith.tool;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A chain of shift registers as its data sheet draws it: at each rise of the clock every stage
 * takes what the one before it had, the first one the data; at each rise of the latch the outputs
 * take the stages. It knows nothing of bytes or bit maps.
 */
public final class RegisterChain {
  private final boolean[] stages;

  private RegisterChain(int stages) {
    this.stages = new boolean[stages];
  }

  /**
   * What the outputs took over.
   *
   * @param startNanos of the first clock since the latch before
   * @param endNanos of the rise of the latch
   * @param gapNanos from the latch before to the first clock, -1 for the first
   * @param lastClockNanos of the last clock
   * @param clocks since the latch before
   * @param outputs high or low, those of the nearest chip first
   */
  public record Latched(
      long startNanos,
      long endNanos,
      long gapNanos,
      long lastClockNanos,
      int clocks,
      boolean[] outputs) {}

  private void shift(boolean data) {
    System.arraycopy(stages, 0, stages, 1, stages.length - 1);
    stages[0] = data;
  }

  /** Returns everything that was latched, read from value changes of the three wires. */
  public static List<Latched> read(Path dump, List<String> wires, int stages) throws IOException {
    RegisterChain chain = new RegisterChain(stages);
    List<Latched> all = new ArrayList<>();
    boolean data = false;
    int clocks = 0;
    long first = -1;
    long last = -1;
    long before = -1;
    for (EdgeDecoder.Change change : EdgeDecoder.changes(dump, wires)) {
      if (change.wire() == '0') {
        data = change.high();
      } else if (change.wire() == '1' && change.high()) {
        first = clocks++ == 0 ? change.at() : first;
        last = change.at();
        chain.shift(data);
      } else if (change.wire() == '2' && change.high()) {
        long gap = before < 0 ? -1 : first - before;
        all.add(new Latched(first, change.at(), gap, last, clocks, chain.stages.clone()));
        before = change.at();
        clocks = 0;
      }
    }
    return all;
  }

  /** Returns what the outputs show after bytes were clocked in, the highest bit first. */
  public static boolean[] after(byte[] bytes, int stages) {
    RegisterChain chain = new RegisterChain(stages);
    for (byte one : bytes) {
      for (int bit = 7; bit >= 0; bit--) {
        chain.shift((one >> bit & 1) == 1);
      }
    }
    return chain.stages;
  }
}
