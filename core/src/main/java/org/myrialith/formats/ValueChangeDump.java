package org.myrialith.formats;

/**
 * Writes a value change dump (IEEE 1364-2005, clause 18) of one wire, time scale 1 ns.
 *
 * <p>Instances are mutable and belong to one thread. Readers need initial values at time 0, no edge
 * there, and a bare last time well after the last edge.
 */
public final class ValueChangeDump {
  private final StringBuilder text = new StringBuilder();
  private long last;
  private boolean high;
  private int edges;

  /** Starts a dump of a wire that is low at time 0. */
  public ValueChangeDump(String wire) {
    text.append("$timescale 1 ns $end\n$scope module gadget $end\n$var wire 1 ! ")
        .append(wire)
        .append(" $end\n$upscope $end\n$enddefinitions $end\n#0\n$dumpvars\n0!\n$end\n");
  }

  /** Sets the wire at a time (ns) after the last one. */
  public void set(long nanos, boolean toHigh) {
    if (nanos <= last) {
      throw new IllegalArgumentException("time " + nanos + " ns is not after " + last + " ns");
    }
    if (toHigh != high) {
      text.append('#').append(nanos).append('\n').append(toHigh ? '1' : '0').append("!\n");
      last = nanos;
      high = toHigh;
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
