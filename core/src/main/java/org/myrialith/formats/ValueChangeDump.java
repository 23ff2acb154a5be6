package org.myrialith.formats;

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
  private final char[] state;
  private long last;
  private int edges;

  /**
   * Starts a dump.
   *
   * @param rests state of each wire at time 0: 0, 1, or z for one that nobody drives
   */
  public ValueChangeDump(List<String> wires, String rests) {
    state = rests.toCharArray();
    text.append("$timescale 1 ns $end\n$scope module gadget $end\n");
    for (int w = 0; w < state.length; w++) {
      text.append("$var wire 1 ").append((char) (FIRST_ID + w)).append(' ');
      text.append(wires.get(w)).append(" $end\n");
    }
    text.append("$upscope $end\n$enddefinitions $end\n#0\n$dumpvars\n");
    for (int w = 0; w < state.length; w++) {
      text.append(state[w]).append((char) (FIRST_ID + w)).append('\n');
    }
    text.append("$end\n");
  }

  /** Starts a dump of wires that are low at time 0. */
  public ValueChangeDump(List<String> wires) {
    this(wires, "0".repeat(wires.size()));
  }

  /** Sets a wire at a time (ns) after the last one. */
  public void set(int wire, long nanos, boolean toHigh) {
    to(wire, nanos, toHigh ? '1' : '0');
  }

  /** Lets a wire go at a time (ns) after the last one. */
  public void open(int wire, long nanos) {
    to(wire, nanos, 'z');
  }

  private void to(int wire, long nanos, char next) {
    if (nanos <= last) {
      throw new IllegalArgumentException("time " + nanos + " ns is not after " + last + " ns");
    }
    if (next != state[wire]) {
      text.append('#').append(nanos).append('\n').append(next);
      text.append((char) (FIRST_ID + wire)).append('\n');
      last = nanos;
      state[wire] = next;
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
