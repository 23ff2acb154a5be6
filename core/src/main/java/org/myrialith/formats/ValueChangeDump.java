package org.myrialith.formats;

import java.util.Collections;
import java.util.List;

/**
 * Writes a value change dump (IEEE 1364-2005, clause 18) of one-bit wires, time scale 1 ns.
 *
 * <p>Instances are mutable and belong to one thread. Readers need initial values at time 0, no edge
 * there, and a bare last time well after the last edge.
 */
public final class ValueChangeDump {
  private static final char FIRST_ID = '!';

  private final StringBuilder text = new StringBuilder();
  private final boolean[] high;
  private long last;
  private int edges;

  /**
   * Starts a dump.
   *
   * @param rests whether each wire is high at time 0
   */
  public ValueChangeDump(List<String> wires, List<Boolean> rests) {
    high = new boolean[wires.size()];
    text.append("$timescale 1 ns $end\n$scope module gadget $end\n");
    for (int w = 0; w < high.length; w++) {
      text.append("$var wire 1 ").append((char) (FIRST_ID + w)).append(' ');
      text.append(wires.get(w)).append(" $end\n");
    }
    text.append("$upscope $end\n$enddefinitions $end\n#0\n$dumpvars\n");
    for (int w = 0; w < high.length; w++) {
      high[w] = rests.get(w);
      text.append(high[w] ? '1' : '0').append((char) (FIRST_ID + w)).append('\n');
    }
    text.append("$end\n");
  }

  /** Starts a dump of wires that are low at time 0. */
  public ValueChangeDump(List<String> wires) {
    this(wires, Collections.nCopies(wires.size(), false));
  }

  /** Sets a wire at a time (ns) after the last one. */
  public void set(int wire, long nanos, boolean toHigh) {
    if (nanos <= last) {
      throw new IllegalArgumentException("time " + nanos + " ns is not after " + last + " ns");
    }
    if (toHigh != high[wire]) {
      text.append('#').append(nanos).append('\n').append(toHigh ? '1' : '0');
      text.append((char) (FIRST_ID + wire)).append('\n');
      last = nanos;
      high[wire] = toHigh;
      edges++;
    }
  }

  /** Returns the number of edges so far. */
  public int edges() {
    return edges;
  }

  /** Ends the dump at a time (ns) after the last edge and returns its text. */
  public String end(long nanos) {
    if (nanos <= last) {
      throw new IllegalArgumentException("end " + nanos + " ns is not after " + last + " ns");
    }
    return text.append('#').append(nanos).append('\n').toString();
  }
}
