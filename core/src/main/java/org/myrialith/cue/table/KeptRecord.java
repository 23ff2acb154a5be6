package org.myrialith.cue.table;

import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.parts.KeptMemory;

/**
 * How values stand in memory that keeps them while power is off: records one after the other, round
 * and round. Each has a number that goes up, the values with the low byte first, and a check.
 *
 * @param values that are kept
 */
public record KeptRecord(List<Value> values, KeptMemory memory) {
  /** The number, and the check. */
  private static final int AROUND = 3;

  private static final int MOST_SLOTS = 128;
  private static final int CHECK = 0x1021;

  /** Returns that of the values of a table. */
  public static KeptRecord of(CueTable cues, KeptMemory memory) {
    return new KeptRecord(cues.kept().stream().map(cues.values()::get).toList(), memory);
  }

  /** Returns the bytes of a record. */
  public int bytes() {
    return 2 * values.size() + AROUND;
  }

  /** Returns how many there is room for. */
  public int slots() {
    return Math.min(MOST_SLOTS, memory.bytes() / bytes());
  }

  /** Returns how often they can be written until the first byte is worn. */
  public long writes() {
    return (long) memory.writes() * (memory.spread() ? slots() : 1);
  }

  /**
   * What the check begins with: another one for other values, so that none is taken for another,
   * and one by which memory that was never written has no record.
   */
  public int sign() {
    String about =
        values.stream()
            .map(v -> v.name() + " " + v.least() + " " + v.most())
            .collect(Collectors.joining(";"));
    int sign = about.hashCode() & 0xffff; // the same on every machine
    while (passes(sign, 0xff) || passes(sign, 0)) {
      sign = sign + 1 & 0xffff;
    }
    return sign;
  }

  private boolean passes(int sign, int filled) {
    int check = sign;
    for (int i = 0; i < bytes() - 2; i++) {
      check ^= filled << 8;
      for (int bit = 0; bit < 8; bit++) {
        check = (check & 0x8000) != 0 ? (check << 1 ^ CHECK) & 0xffff : check << 1;
      }
    }
    return check == (filled << 8 | filled);
  }
}
