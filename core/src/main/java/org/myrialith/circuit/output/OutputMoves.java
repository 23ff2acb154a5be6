package org.myrialith.circuit.output;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;

/** Puts channels of a circuit on other outputs than they would stand on by themselves. */
public record OutputMoves(SwitchedCircuit circuit, SwitchedPlan plan) {
  /** Chips that may be added by moving a channel beyond the last one. */
  private static final int MORE_CHIPS = 16;

  /** Returns the circuit with all channels back in their order. */
  public SwitchedCircuit inOrder() {
    return circuit.with(circuit.hookup().withMoved(List.of()));
  }

  /** Position of a channel, -1 when there is none such. */
  private int find(String fixture, int number) {
    List<SwitchedChannel> channels = plan.map().channels();
    for (int c = 0; c < channels.size(); c++) {
      if (channels.get(c).fixture().id().equals(fixture) && channels.get(c).number() == number) {
        return c;
      }
    }
    return -1;
  }

  private int channel(String fixture, int number) {
    int channel = find(fixture, number);
    if (channel < 0) {
      throw new InputException("channel", number, "a channel of a fixture in this circuit");
    }
    return channel;
  }

  /** Returns the output that a channel stands on, -1 when there is no such channel. */
  public int outputOf(String fixture, int number) {
    int channel = find(fixture, number);
    return channel < 0 ? -1 : plan.map().outputs().get(channel);
  }

  private void requireOutput(int output) {
    int outputs = (plan.map().chips() + (plan.grows() ? MORE_CHIPS : 0)) * plan.map().width();
    if (output < 0 || output >= outputs) {
      throw new InputException("output", output, "a whole number from 0 to " + (outputs - 1));
    }
  }

  /**
   * Returns the circuit with a channel on a free output.
   *
   * @throws InputException when there is no such channel or output, or another one stands there
   */
  public SwitchedCircuit move(String fixture, int number, int output) {
    int channel = channel(fixture, number);
    requireOutput(output);
    int there = plan.map().outputs().indexOf(output);
    if (there >= 0 && there != channel) {
      throw new InputException(
          "output",
          output,
          phrase(
              "a free output: %s is on this one", plan.nameOf(plan.map().channels().get(there))));
    }
    return put(circuit, channel, output);
  }

  /** Returns the circuit with a channel on an output, and what stood there on its own. */
  public SwitchedCircuit trade(String fixture, int number, int output) {
    int channel = channel(fixture, number);
    requireOutput(output);
    int there = plan.map().outputs().indexOf(output);
    SwitchedCircuit moved = put(circuit, channel, output);
    return there < 0 || there == channel
        ? moved
        : put(moved, there, plan.map().outputs().get(channel));
  }

  private SwitchedCircuit put(SwitchedCircuit from, int channel, int output) {
    SwitchedChannel own = plan.map().channels().get(channel);
    List<OutputWiring.Moved> moved = new ArrayList<>(from.hookup().moved());
    moved.removeIf(m -> m.fixture().equals(own.fixture().id()) && m.channel() == own.number());
    OutputMap plain =
        OutputMap.of(
            plan.map().channels(),
            from.hookup().withMoved(List.of()),
            plan.map().width(),
            plan.map().farFirst(),
            1);
    if (plain.outputs().get(channel) != output) {
      moved.add(new OutputWiring.Moved(own.fixture().id(), own.number(), output));
    }
    return from.with(from.hookup().withMoved(moved));
  }
}
