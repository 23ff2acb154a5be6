package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads two open wires edge by edge: data that falls while the clock is high starts, data that
 * rises then stops; bits are read where the clock rises, eight and a ninth for the answer. Holds
 * the times of the clock.
 */
public final class TwoWireBus {
  private TwoWireBus() {}

  /** What was written from a start to its stop. */
  public record Write(long startNanos, long endNanos, byte[] bytes) {}

  /**
   * Returns all writes.
   *
   * @param wires data, then clock
   * @param lowNanos the clock is low at least
   * @param highNanos the clock is high at least
   */
  public static List<Write> read(
      Path dump, List<String> wires, boolean lowestFirst, long lowNanos, long highNanos)
      throws IOException {
    List<Write> all = new ArrayList<>();
    boolean data = true;
    boolean clock = true;
    boolean open = false;
    long started = 0;
    long changed = -1;
    List<Boolean> bits = new ArrayList<>();
    for (EdgeDecoder.Change change : EdgeDecoder.changes(dump, wires)) {
      if (change.wire() == '1') {
        clock = change.high();
        if (open && changed >= 0) {
          assertThat(change.at() - changed)
              .as(clock ? "low of the clock" : "high of the clock")
              .isGreaterThanOrEqualTo(clock ? lowNanos : highNanos);
        }
        changed = change.at();
        if (open && clock) {
          bits.add(data);
        }
      } else {
        data = change.high();
        if (clock && !data) {
          open = true;
          started = change.at();
          changed = -1;
          bits.clear();
        } else if (clock && open) {
          // the clock rose once more for the stop
          bits.remove(bits.size() - 1);
          all.add(new Write(started, change.at(), bytes(bits, lowestFirst)));
          open = false;
        }
      }
    }
    return all;
  }

  private static byte[] bytes(List<Boolean> bits, boolean lowestFirst) {
    assertThat(bits.size() % 9).as("bits left over").isZero();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    for (int at = 0; at < bits.size(); at += 9) {
      int value = 0;
      for (int bit = 0; bit < 8; bit++) {
        int place = lowestFirst ? bit : 7 - bit;
        value |= bits.get(at + bit) ? 1 << place : 0;
      }
      assertThat(bits.get(at + 8)).as("the answer is the chip's").isTrue();
      bytes.write(value);
    }
    return bytes.toByteArray();
  }
}
