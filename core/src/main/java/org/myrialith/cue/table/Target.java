package org.myrialith.cue.table;

import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;

/**
 * What is painted by itself: the part of a wire that a fixture, or a run of it, takes.
 *
 * @param circuit position of the circuit
 */
public record Target(int circuit, CircuitPlan plan, ChannelRange stretch) {
  /** Returns whether it is that one. */
  public boolean is(int otherCircuit, ChannelRange other) {
    return circuit == otherCircuit && stretch.firstChannel() == other.firstChannel();
  }

  /** Returns the bytes of what lights up as one, where it has levels: one or two a channel. */
  public int unitBytes() {
    return plan.unitBytes(stretch);
  }
}
