package org.myrialith.frames;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Position;

/**
 * A clip as levels, unit after unit in the data order of its fixture, or of a run of it.
 *
 * @param circuit position of the circuit that its fixture is in
 * @param stretch what its fixture takes of that wire
 * @param cells of the picture that each unit shows, {@link #DARK} for one that is never lit
 * @param perFrame levels of each frame; equal pictures share one value
 * @param sums of the levels of each frame, by group of the circuit
 * @param shared how much less than by those sums each frame draws, as lights share what lets their
 *     current through (A)
 * @param computed what the controller works its frames out from; empty where it keeps them
 */
public record ClipLevels(
    Clip clip,
    int circuit,
    ChannelRange stretch,
    CircuitPlan plan,
    int[] cells,
    List<Levels> perFrame,
    List<long[]> sums,
    List<Double> shared,
    Optional<Computed> computed) {
  /** Stands for the cell of a unit that is never lit. */
  public static final int DARK = -1;

  /**
   * Works the levels out.
   *
   * @param emitters of the fixture in data order
   * @param circuit position of the circuit that its fixture is in
   * @param plan of that circuit
   * @param stretch of that wire that shows the clip, or a run of it
   * @param computed what its frames are worked out from
   */
  public static ClipLevels of(
      Clip clip,
      List<Emitter> emitters,
      int circuit,
      CircuitPlan plan,
      ChannelRange stretch,
      LevelTable table,
      Optional<Computed> computed) {
    int[] cells = cells(stretch, emitters);
    Map<String, Levels> known = new HashMap<>();
    Map<Levels, long[]> knownSums = new HashMap<>();
    List<Levels> perFrame = new ArrayList<>();
    List<long[]> sums = new ArrayList<>();
    Map<Levels, Double> knownShared = new HashMap<>();
    List<Double> shared = new ArrayList<>();
    for (Frame frame : clip.frames()) {
      Levels levels =
          known.computeIfAbsent(
              frame.picture().hash(), hash -> levels(frame.picture(), cells, stretch, table));
      perFrame.add(levels);
      shared.add(
          knownShared.computeIfAbsent(
              levels, l -> circuit < 0 ? 0 : plan.sharedAmps(l, stretch.firstChannel())));
      sums.add(knownSums.computeIfAbsent(levels, l -> sums(l, stretch, plan.groups())));
    }
    return new ClipLevels(
        clip,
        circuit,
        stretch,
        plan,
        cells,
        List.copyOf(perFrame),
        List.copyOf(sums),
        List.copyOf(shared),
        computed);
  }

  private static long[] sums(Levels levels, ChannelRange stretch, int groups) {
    if (stretch.groups() == null) {
      return levels.sums(stretch.channelsPerUnit());
    }
    long[] sums = new long[groups];
    for (int channel = 0; channel < levels.size(); channel++) {
      sums[stretch.group(channel)] += levels.at(channel);
    }
    return sums;
  }

  /** Where several emitters are one unit, it shows the cell of the first that may light. */
  private static int[] cells(ChannelRange stretch, List<Emitter> emitters) {
    int columns = stretch.fixture().seenColumns();
    int[] cells = new int[stretch.units()];
    Arrays.fill(cells, DARK);
    for (int i = 0; i < emitters.size(); i++) {
      int unit = stretch.unit(i);
      if (unit >= 0 && cells[unit] == DARK && !emitters.get(i).dark()) {
        Position at = emitters.get(i).position();
        cells[unit] = at.row() * columns + at.column();
      }
    }
    return cells;
  }

  private static Levels levels(
      Picture picture, int[] cells, ChannelRange stretch, LevelTable table) {
    ChannelSource[] asks = asks(stretch);
    int channels = asks.length;
    int[] wire = new int[cells.length * channels];
    for (int position = 0; position < channels; position++) {
      fill(wire, position, channels, picture, cells, asks[position], table);
    }
    return Levels.of(table.bits(), wire);
  }

  /** One channel of all units: most show a colour as it is, and those are looked up at once. */
  private static void fill(
      int[] wire,
      int position,
      int channels,
      Picture picture,
      int[] cells,
      ChannelSource asks,
      LevelTable table) {
    boolean plain = plain(asks);
    int colour = asks.ordinal();
    for (int i = 0; i < cells.length; i++) {
      if (cells[i] != DARK) {
        wire[i * channels + position] =
            plain
                ? table.level(picture.value(cells[i], colour))
                : level(picture, cells[i], asks, table);
      }
    }
  }

  private static boolean plain(ChannelSource asks) {
    return asks.ordinal() <= ChannelSource.BLUE.ordinal();
  }

  private static ChannelSource[] asks(ChannelRange stretch) {
    return stretch.shows().stream().map(ChannelRange.Shows::asks).toArray(ChannelSource[]::new);
  }

  /** Levels grow with asked values, so what white takes over is never more than there is. */
  private static int level(Picture picture, int cell, ChannelSource asks, LevelTable table) {
    int level = table.level(value(picture, cell, asks));
    return asks.rest() ? level - table.level(value(picture, cell, ChannelSource.WHITE)) : level;
  }

  private static int value(Picture picture, int cell, ChannelSource asks) {
    return plain(asks)
        ? picture.value(cell, asks.ordinal())
        : asks.value(picture.value(cell, 0), picture.value(cell, 1), picture.value(cell, 2));
  }

  /**
   * How often each asked value is shown in a picture: what the sums under any table follow from.
   * What white takes over counts for it and against the others, whose counts may be below zero.
   *
   * @return counts by group of equal currents, then by asked value
   */
  public int[][] histogram(Picture picture) {
    ChannelSource[] asks = asks(stretch);
    int[][] counts = new int[plan.groups()][LevelTable.SIZE];
    for (int position = 0; position < asks.length; position++) {
      if (asks[position] != ChannelSource.NOTHING) {
        count(picture, position, asks[position], counts);
      }
    }
    return counts;
  }

  private void count(Picture picture, int position, ChannelSource asks, int[][] counts) {
    boolean byPosition = stretch.groups() == null;
    for (int unit = 0; unit < cells.length; unit++) {
      if (cells[unit] != DARK) {
        int channel = unit * stretch.channelsPerUnit() + position;
        int[] group = counts[byPosition ? position : stretch.group(channel)];
        group[value(picture, cells[unit], asks)]++;
        if (asks.rest()) {
          group[value(picture, cells[unit], ChannelSource.WHITE)]--;
        }
      }
    }
  }

  /** Returns the bytes of what lights up as one, where it has levels: one or two a channel. */
  public int unitBytes() {
    return plan.unitBytes(stretch);
  }
}
