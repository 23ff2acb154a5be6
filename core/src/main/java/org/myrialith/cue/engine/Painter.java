package org.myrialith.cue.engine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntUnaryOperator;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.Levels;
import org.myrialith.cue.table.Cell;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.ReadoutTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Target;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Limiter;

/** Lays scenes over each other, target by target, and limits what is sent. Mutable. */
final class Painter {
  /** From which weight on what is only on or off is shown. */
  private static final int HALF = 128;

  private final CueTable table;
  private final boolean[] dirty;
  private final int[][] wires;
  private boolean dimmed;
  private int factor = Limiter.WHOLE;

  Painter(CueTable table) {
    this.table = table;
    this.dirty = new boolean[table.targets().size()];
    Arrays.fill(dirty, true);
    this.wires =
        table.wiring().plans().stream().map(plan -> new int[plan.channels()]).toArray(int[][]::new);
  }

  void dirty(int target) {
    dirty[target] = true;
  }

  /** All that a scene shows is painted anew. */
  void touch(int scene) {
    for (int t = 0; t < dirty.length; t++) {
      dirty[t] |= table.scenes().get(scene).covers(t);
    }
  }

  /** The frames of a scene are painted anew. */
  void frames(int scene) {
    for (int t = 0; t < dirty.length; t++) {
      dirty[t] |= table.scenes().get(scene).clips()[t] != null;
    }
  }

  /** Light or dark of what blinks. */
  void blinked(List<Integer> order, IntUnaryOperator sceneOf) {
    for (int cue : order) {
      for (ReadoutTable readout : table.scenes().get(sceneOf.applyAsInt(cue)).readouts()) {
        dirty[readout.target()] |= readout.blinking();
      }
    }
  }

  /** Values changed: a bit each. */
  void changed(int values, List<Integer> order, IntUnaryOperator sceneOf) {
    if (values == 0) {
      return;
    }
    for (int cue : order) {
      for (ReadoutTable readout : table.scenes().get(sceneOf.applyAsInt(cue)).readouts()) {
        if (readout.blinks().count() > 0 || shows(readout, values)) {
          dirty[readout.target()] = true;
        }
      }
    }
  }

  private static boolean shows(ReadoutTable readout, int values) {
    return readout.cells().stream()
        .anyMatch(cell -> cell.value() >= 0 && (values & 1 << cell.value()) != 0);
  }

  /**
   * Paints what changed.
   *
   * @param scenes that are shown, the lowest first
   * @param weights of each
   * @return whether anything was painted
   */
  boolean paint(int[] scenes, int[] weights, Running running, Numbers numbers, boolean blinkOn) {
    boolean any = false;
    for (boolean one : dirty) {
      any |= one;
    }
    if (!any) {
      return false;
    }
    if (dimmed) {
      Arrays.fill(dirty, true);
    }
    for (int t = 0; t < dirty.length; t++) {
      if (dirty[t]) {
        paint(t, scenes, weights, running, numbers, blinkOn);
        dirty[t] = false;
      }
    }
    limit();
    return true;
  }

  private void paint(
      int t, int[] scenes, int[] weights, Running running, Numbers numbers, boolean blinkOn) {
    int from = scenes.length;
    boolean whole = false;
    while (from > 0 && !whole) {
      from--;
      ClipLevels clip = table.scenes().get(scenes[from]).clips()[t];
      whole = weights[from] == CueEngine.WHOLE && clip != null && !clip.clip().seeThrough();
    }
    if (!whole) {
      Target target = table.targets().get(t);
      int first = target.stretch().firstChannel();
      Arrays.fill(wires[target.circuit()], first, first + target.stretch().channels(), 0);
    }
    for (int i = from; i < scenes.length; i++) {
      if (weights[i] > 0) {
        SceneTable scene = table.scenes().get(scenes[i]);
        if (scene.clips()[t] != null) {
          lay(scene.clips()[t], running.frame[scenes[i]][t], weights[i]);
        }
        for (ReadoutTable readout : scene.readouts()) {
          boolean dark = readout.blinks().count() > 0 && !blinkOn;
          if (readout.target() == t && !(dark && numbers.holds(readout.blinks()))) {
            write(readout, weights[i], numbers, blinkOn);
          }
        }
      }
    }
  }

  private static int mix(int below, int own, int weight) {
    return below * (CueEngine.WHOLE - weight) + own * weight >> 8;
  }

  private static int laid(CircuitPlan plan, int below, int own, int weight) {
    if (!plan.dims()) {
      return weight >= HALF ? own : below;
    }
    return mix(below, own, weight);
  }

  private void lay(ClipLevels clip, int frame, int weight) {
    int[] wire = wires[clip.circuit()];
    int first = clip.stretch().firstChannel();
    Levels own = clip.perFrame().get(frame);
    int each = clip.plan().dims() ? clip.stretch().channelsPerUnit() : 1;
    for (int i = 0; i < own.size(); i++) {
      if (!clip.clip().seeThrough() || lit(own, i - i % each, each)) {
        wire[first + i] = laid(clip.plan(), wire[first + i], own.at(i), weight);
      }
    }
  }

  private static boolean lit(Levels levels, int from, int channels) {
    for (int i = from; i < from + channels; i++) {
      if (levels.at(i) > 0) {
        return true;
      }
    }
    return false;
  }

  private void write(ReadoutTable readout, int weight, Numbers numbers, boolean blinkOn) {
    Target target = table.targets().get(readout.target());
    ChannelRange stretch = target.stretch();
    int[] wire = wires[target.circuit()];
    for (Cell cell : readout.cells()) {
      if (cell.sort() == Cell.Sort.COLON && !blinkOn) {
        continue;
      }
      int shown = cell.value() < 0 ? 0 : numbers.now[cell.value()];
      for (int dot = 0; dot < cell.units().length; dot++) {
        if (cell.units()[dot] >= 0 && cell.lit(dot, shown)) {
          int at = stretch.firstChannel() + cell.units()[dot] * stretch.channelsPerUnit();
          for (int level : readout.on()) {
            wire[at] = laid(target.plan(), wire[at], level, weight);
            at++;
          }
        }
      }
    }
  }

  /** One factor for all, by the sum of what is on the wires now. */
  private void limit() {
    Limiter limiter = table.limiter().orElse(null);
    if (limiter == null) {
      return;
    }
    long[][] sums = new long[wires.length][];
    for (int c = 0; c < wires.length; c++) {
      sums[c] = new long[table.wiring().plans().get(c).groups()];
      for (ChannelRange stretch : table.wiring().plans().get(c).stretches()) {
        for (int channel = 0; channel < stretch.channels(); channel++) {
          sums[c][stretch.group(channel)] += wires[c][stretch.firstChannel() + channel];
        }
      }
    }
    factor = limiter.factor(limiter.weighted(sums));
    dimmed = factor != Limiter.WHOLE;
  }

  /** Returns what is sent. */
  List<Levels> levels() {
    List<Levels> all = new ArrayList<>();
    for (int c = 0; c < wires.length; c++) {
      CircuitPlan plan = table.wiring().plans().get(c);
      Levels composed = Levels.of(plan.levelBits(), wires[c]);
      all.add(
          plan.limited()
              ? Limiter.scaled(composed, factor, plan.groups(), plan.levelBits())
              : composed);
    }
    return all;
  }
}
