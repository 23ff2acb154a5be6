package org.myrialith.circuit.matrix;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/**
 * Rows and columns for some lights.
 *
 * @param filling whether each field begins a row
 */
record Grid(int rows, int columns, Filling filling) {
  private static final int CHIP = 8;

  /** Returns those that suit, the best first: a row for each field or line, else a square. */
  static List<Grid> ofPins(List<SwitchedChannel> channels, OutputWiring hookup) {
    int lights = Math.max(1, channels.size());
    int square = (int) Math.ceil(Math.sqrt(lights));
    List<Grid> all = new ArrayList<>();
    int longest = longest(channels);
    if (fields(channels, hookup) && longest <= 2 * square) {
      all.add(new Grid(rows(channels, longest), longest, Filling.FIELD_A_BYTE));
    }
    lines(channels, hookup, all);
    all.add(new Grid((lights + square - 1) / square, square, Filling.PACKED));
    return all;
  }

  /** Returns those that suit chips of eight: a row for each field or line, else eight rows. */
  static List<Grid> ofChips(List<SwitchedChannel> channels, OutputWiring hookup) {
    int lights = Math.max(1, channels.size());
    List<Grid> all = new ArrayList<>();
    if (fields(channels, hookup)) {
      int longest = longest(channels);
      all.add(new Grid(rows(channels, longest), longest, Filling.FIELD_A_BYTE));
    }
    lines(channels, hookup, all);
    int rows = Math.min(CHIP, (lights + CHIP - 1) / CHIP);
    all.add(new Grid(rows, (lights + rows - 1) / rows, Filling.PACKED));
    return all;
  }

  /** Returns one row of an output for each light. */
  static Grid single(List<SwitchedChannel> channels, OutputWiring hookup) {
    boolean bytes = hookup.filling() == Filling.FIELD_A_BYTE;
    return new Grid(
        1, bytes ? CHIP * rows(channels, CHIP) : Math.max(1, channels.size()), hookup.filling());
  }

  /** Several fields that want to begin a row each. */
  private static boolean fields(List<SwitchedChannel> channels, OutputWiring hookup) {
    return hookup.filling() == Filling.FIELD_A_BYTE
        && channels.stream().filter(SwitchedChannel::startsField).count() > 1;
  }

  /** A panel's lines, as its data runs, are rows that can be wired straight. */
  private static void lines(List<SwitchedChannel> channels, OutputWiring hookup, List<Grid> all) {
    if (channels.isEmpty() || fields(channels, hookup)) {
      return;
    }
    Fixture first = channels.get(0).fixture();
    boolean alone = channels.stream().allMatch(c -> c.fixture() == first);
    if (alone && first.shape() instanceof Panel panel) {
      int dies = Math.max(1, channels.size() / Math.max(1, first.count()));
      int line = dies * (panel.alongColumns() ? panel.rows() : panel.columns());
      all.add(new Grid((channels.size() + line - 1) / line, line, hookup.filling()));
    }
  }

  /** The channels of the longest field. */
  private static int longest(List<SwitchedChannel> channels) {
    int longest = 1;
    int length = 0;
    for (SwitchedChannel channel : channels) {
      length = channel.startsField() ? 1 : length + 1;
      longest = Math.max(longest, length);
    }
    return longest;
  }

  private static int rows(List<SwitchedChannel> channels, int columns) {
    int next = 0;
    for (SwitchedChannel channel : channels) {
      next = channel.startsField() ? (next + columns - 1) / columns * columns : next;
      next++;
    }
    return Math.max(1, (next + columns - 1) / columns);
  }
}
