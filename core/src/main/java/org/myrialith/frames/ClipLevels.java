package org.myrialith.frames;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Wiring;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Position;

/**
 * A clip as levels, emitter after emitter in the data order of its fixture.
 *
 * @param spot where its fixture begins on the wires
 * @param cells of the picture that each emitter shows, {@link #DARK} for one that is never lit
 * @param perFrame levels of each frame; equal pictures share one value
 * @param sums of the levels of each frame, by position among the channels of an emitter
 */
public record ClipLevels(
    Clip clip,
    Fixture fixture,
    Wiring.Spot spot,
    CircuitPlan plan,
    int[] cells,
    List<Levels> perFrame,
    List<long[]> sums) {
  /** Stands for the cell of an emitter that is never lit. */
  public static final int DARK = -1;

  /**
   * Works the levels out.
   *
   * @param emitters of the fixture in data order
   * @param plan of the circuit that the fixture is in
   */
  public static ClipLevels of(
      Clip clip,
      Fixture fixture,
      List<Emitter> emitters,
      Wiring.Spot spot,
      CircuitPlan plan,
      LevelTable table) {
    int[] cells = cells(fixture, emitters);
    Map<String, Levels> known = new HashMap<>();
    Map<Levels, long[]> knownSums = new HashMap<>();
    List<Levels> perFrame = new ArrayList<>();
    List<long[]> sums = new ArrayList<>();
    for (Frame frame : clip.frames()) {
      Levels levels =
          known.computeIfAbsent(
              frame.picture().hash(), hash -> levels(frame.picture(), cells, plan, table));
      perFrame.add(levels);
      sums.add(knownSums.computeIfAbsent(levels, l -> l.sums(plan.channelsPerEmitter())));
    }
    return new ClipLevels(
        clip, fixture, spot, plan, cells, List.copyOf(perFrame), List.copyOf(sums));
  }

  private static int[] cells(Fixture fixture, List<Emitter> emitters) {
    int columns = fixture.seenColumns();
    int[] cells = new int[emitters.size()];
    for (int i = 0; i < cells.length; i++) {
      Position at = emitters.get(i).position();
      cells[i] = emitters.get(i).dark() ? DARK : at.row() * columns + at.column();
    }
    return cells;
  }

  private static Levels levels(Picture picture, int[] cells, CircuitPlan plan, LevelTable table) {
    int channels = plan.channelsPerEmitter();
    int[] asked = new int[channels];
    for (int position = 0; position < channels; position++) {
      asked[position] = plan.askedChannel(position);
    }
    boolean takesOver = plan.whiteTakesOver();
    int[] wire = new int[cells.length * channels];
    for (int i = 0; i < cells.length; i++) {
      if (cells[i] != DARK) {
        int shared = takesOver ? table.level(shared(picture, cells[i])) : 0;
        for (int position = 0; position < channels; position++) {
          wire[i * channels + position] =
              asked[position] == CircuitPlan.WHITE
                  ? shared
                  : table.level(picture.value(cells[i], asked[position])) - shared;
        }
      }
    }
    return Levels.of(table.bits(), wire);
  }

  /** What red, green and blue of a cell share; levels grow with asked values, so theirs do too. */
  private static int shared(Picture picture, int cell) {
    return Math.min(
        picture.value(cell, 0), Math.min(picture.value(cell, 1), picture.value(cell, 2)));
  }

  /**
   * How often each asked value is shown in a picture: what the sums under any table follow from.
   * What white takes over counts for it and against the others, whose counts may be below zero.
   *
   * @return counts by position among the channels of an emitter, then by asked value
   */
  public int[][] histogram(Picture picture) {
    int[][] counts = new int[plan.channelsPerEmitter()][LevelTable.SIZE];
    boolean takesOver = plan.whiteTakesOver();
    for (int position = 0; position < counts.length; position++) {
      int asked = plan.askedChannel(position);
      boolean white = asked == CircuitPlan.WHITE;
      for (int cell : cells) {
        if (cell != DARK && !white) {
          counts[position][picture.value(cell, asked)]++;
        }
        if (cell != DARK && takesOver) {
          counts[position][shared(picture, cell)] += white ? 1 : -1;
        }
      }
    }
    return counts;
  }
}
