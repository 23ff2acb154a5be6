package org.myrialith.circuit.output;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which output switches which channel, and where its bit stands in what is sent.
 *
 * @param channels in the order of the data
 * @param outputs of each channel, from 0; those of a chip together, the nearest chip first
 * @param width outputs of a chip
 * @param chips that it takes
 * @param farFirst whether what is sent first goes to the farthest chip
 * @param segmentsFromTop whether the first seven outputs of a byte are its bits 6 to 0, the eighth
 *     bit 7; else outputs are bits from 0
 * @param depth bits of a channel
 * @param sending how they stand in what is sent
 */
@RecordBuilder
public record OutputMap(
    List<SwitchedChannel> channels,
    List<Integer> outputs,
    int width,
    int chips,
    boolean farFirst,
    boolean segmentsFromTop,
    int depth,
    Sending sending) {
  private static final int BYTE = 8;

  /** Bytes of an output that is told when to go on and off, and which of them begins the latter. */
  private static final int COUNTS = 4;

  private static final int OFF_COUNT = 2;

  public OutputMap {
    channels = List.copyOf(channels);
    outputs = List.copyOf(outputs);
  }

  /** Lays channels into rows: each field begins one where a field has a byte elsewhere. */
  public static OutputMap ofRows(
      List<SwitchedChannel> channels, OutputWiring hookup, int columns, int rows) {
    return of(channels, hookup, columns, false, rows, columns);
  }

  /** Lays channels into one row: each field begins a byte of it where a field has a byte. */
  public static OutputMap ofRow(List<SwitchedChannel> channels, OutputWiring hookup, int columns) {
    return of(channels, hookup, columns, false, 1, BYTE);
  }

  /** Lays channels into outputs. */
  public static OutputMap of(
      List<SwitchedChannel> channels,
      OutputWiring hookup,
      int width,
      boolean farFirst,
      int leastChips) {
    return of(channels, hookup, width, farFirst, leastChips, BYTE);
  }

  private static OutputMap of(
      List<SwitchedChannel> channels,
      OutputWiring hookup,
      int width,
      boolean farFirst,
      int leastChips,
      int field) {
    Map<String, Integer> moved = new HashMap<>();
    hookup.moved().forEach(m -> moved.put(m.fixture() + " " + m.channel(), m.output()));
    List<Integer> outputs = new ArrayList<>();
    int next = 0;
    int last = -1;
    for (SwitchedChannel channel : channels) {
      if (hookup.filling() == Filling.FIELD_A_BYTE && channel.startsField()) {
        next = (next + field - 1) / field * field;
      }
      int output = moved.getOrDefault(channel.fixture().id() + " " + channel.number(), next);
      outputs.add(output);
      last = Math.max(last, output);
      next++;
    }
    int chips = Math.max(leastChips, (last + width) / width);
    return new OutputMap(channels, outputs, width, chips, farFirst, false, 1, Sending.BITS);
  }

  /** Returns the map for chips that take the segments of a digit from the highest bit down. */
  public OutputMap withSegmentsFromTop(boolean so) {
    return OutputMapBuilder.builder(this).segmentsFromTop(so).build();
  }

  /** Returns the map for channels of several bits each. */
  public OutputMap withDepth(int bits, Sending how) {
    return bits == 1 ? this : OutputMapBuilder.builder(this).depth(bits).sending(how).build();
  }

  /** Returns the bytes that are sent. */
  public int bytes() {
    return switch (sending) {
      case BITS, WORDS -> (chips * width * depth + BYTE - 1) / BYTE;
      case COUNTS -> COUNTS * chips * width;
      case LEVELS -> channels.size();
    };
  }

  /** Returns the outputs that switch nothing. */
  public int spare() {
    return chips * width - (int) outputs.stream().distinct().count();
  }

  /** Returns the chip of a channel, from 0 for the nearest. */
  public int chip(int channel) {
    return outputs.get(channel) / width;
  }

  /** Returns the output of that chip, from 0. */
  public int output(int channel) {
    return outputs.get(channel) % width;
  }

  private int bit(int output) {
    return segmentsFromTop && output < BYTE - 1 ? BYTE - 2 - output : output;
  }

  /**
   * Returns where its bit stands in what is sent: eight times the byte, plus the bit (0 the
   * lowest); of several bits, the highest.
   */
  public int place(int channel) {
    int output = outputs.get(channel);
    return switch (sending) {
      case BITS -> {
        int inOrder = output / BYTE;
        yield BYTE * (farFirst ? bytes() - 1 - inOrder : inOrder) + bit(output % BYTE);
      }
      case WORDS -> {
        int turn = (chips * width - 1 - output) * depth;
        yield turn / BYTE * BYTE + BYTE - 1 - turn % BYTE;
      }
      case COUNTS -> BYTE * (COUNTS * output + OFF_COUNT);
      case LEVELS -> BYTE * channel + BYTE - 1;
    };
  }

  /**
   * Returns which bit it is in the order that they are clocked out, the highest of a byte first; of
   * several bits, its first.
   */
  public int turn(int channel) {
    int place = place(channel);
    return place / BYTE * BYTE + BYTE - 1 - place % BYTE;
  }

  /** Returns channel by output, -1 for one that switches nothing; of a clash the first. */
  public int[] byOutput() {
    int[] all = new int[chips * width];
    Arrays.fill(all, -1);
    for (int channel = channels.size() - 1; channel >= 0; channel--) {
      all[outputs.get(channel)] = channel;
    }
    return all;
  }

  /** Returns the first two channels on one output; empty when there are none. */
  public List<SwitchedChannel> clash() {
    Map<Integer, SwitchedChannel> seen = new HashMap<>();
    for (int c = 0; c < channels.size(); c++) {
      SwitchedChannel other = seen.putIfAbsent(outputs.get(c), channels.get(c));
      if (other != null) {
        return List.of(other, channels.get(c));
      }
    }
    return List.of();
  }
}
