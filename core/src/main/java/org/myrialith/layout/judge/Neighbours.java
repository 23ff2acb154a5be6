package org.myrialith.layout.judge;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Pose;

/**
 * Finds emitters that are nearer to each other than their bodies allow, in space.
 *
 * <p>Emitters are hashed by cubes as wide as the largest reach, so only cubes that touch are looked
 * through: the time grows with the emitters, not with their square. Plain arrays, as boxed keys in
 * a map took several times as long.
 */
final class Neighbours {
  /**
   * Two emitters and what is between them.
   *
   * @param apartMm between their middles
   * @param neededMm that their bodies need
   */
  record Pair(Emitter one, Emitter two, double apartMm, double neededMm) {}

  /** Pairs of one sort: how many, and the first that was met. */
  record Sort(long count, Pair first) {}

  private static final int SAME = 0;
  private static final int OVERLAPPING = 1;
  private static final int TOUCHING = 2;

  private final List<Emitter> emitters;
  private final double[] x;
  private final double[] y;
  private final double[] z;
  private final double[] half;
  private final double cube;
  private final int[] first;
  private final int[] next;
  private final double sameMm;
  private final double touchMm;
  private final long[] counts = new long[3];
  private final Pair[] firsts = new Pair[3];

  private Neighbours(
      List<Emitter> emitters, IntToDoubleFunction halfMm, double sameMm, double touchMm) {
    int count = emitters.size();
    this.emitters = emitters;
    this.sameMm = sameMm;
    this.touchMm = touchMm;
    this.x = new double[count];
    this.y = new double[count];
    this.z = new double[count];
    this.half = new double[count];
    double widest = 0;
    for (int i = 0; i < count; i++) {
      Pose at = emitters.get(i).pose();
      x[i] = at.xMm();
      y[i] = at.yMm();
      z[i] = at.zMm();
      half[i] = halfMm.applyAsDouble(emitters.get(i).fixture());
      widest = Math.max(widest, half[i]);
    }
    this.cube = Math.max(0.01, 2 * widest + touchMm);
    this.first = new int[Math.max(16, Integer.highestOneBit(Math.max(1, count)) * 4)];
    this.next = new int[count];
    Arrays.fill(first, -1);
  }

  /**
   * Finds all pairs that are nearer than their bodies allow, each sort counted for itself.
   *
   * @param halfMm half the width of a body by the number of its fixture (mm), above 0
   * @param sameMm centres nearer than this are one place (mm)
   * @param touchMm bodies nearer than this touch (mm)
   */
  static Neighbours of(
      List<Emitter> emitters, IntToDoubleFunction halfMm, double sameMm, double touchMm) {
    Neighbours neighbours = new Neighbours(emitters, halfMm, sameMm, touchMm);
    for (int i = 0; i < emitters.size(); i++) {
      neighbours.meet(i);
    }
    return neighbours;
  }

  private Optional<Sort> sort(int which) {
    return counts[which] == 0
        ? Optional.empty()
        : Optional.of(new Sort(counts[which], firsts[which]));
  }

  /** Returns the pairs in one place. */
  Optional<Sort> samePlace() {
    return sort(SAME);
  }

  /** Returns the pairs whose bodies overlap. */
  Optional<Sort> overlapping() {
    return sort(OVERLAPPING);
  }

  /** Returns the pairs whose bodies touch. */
  Optional<Sort> touching() {
    return sort(TOUCHING);
  }

  private int cell(double mm) {
    return (int) Math.floor(mm / cube);
  }

  private int slot(int x, int y, int z) {
    int mixed = x * 0x9E3779B1 ^ y * 0x85EBCA77 ^ z * 0xC2B2AE3D;
    return (mixed ^ mixed >>> 15) & first.length - 1;
  }

  private void meet(int at) {
    int cx = cell(x[at]);
    int cy = cell(y[at]);
    int cz = cell(z[at]);
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        for (int dz = -1; dz <= 1; dz++) {
          look(at, cx + dx, cy + dy, cz + dz);
        }
      }
    }
    int slot = slot(cx, cy, cz);
    next[at] = first[slot];
    first[slot] = at;
  }

  private void look(int at, int cx, int cy, int cz) {
    for (int i = first[slot(cx, cy, cz)]; i >= 0; i = next[i]) {
      // cubes that share a slot by chance are told apart here, so no pair counts twice
      if (cell(x[i]) != cx || cell(y[i]) != cy || cell(z[i]) != cz) {
        continue;
      }
      double needed = half[i] + half[at];
      double dx = x[i] - x[at];
      double dy = y[i] - y[at];
      double dz = z[i] - z[at];
      double squared = dx * dx + dy * dy + dz * dz;
      if (squared < (needed + touchMm) * (needed + touchMm)) {
        count(i, at, Math.sqrt(squared), needed);
      }
    }
  }

  private void count(int one, int two, double apart, double needed) {
    int sort = apart < sameMm ? SAME : apart < needed - touchMm ? OVERLAPPING : TOUCHING;
    if (counts[sort]++ == 0) {
      firsts[sort] = new Pair(emitters.get(one), emitters.get(two), apart, needed);
    }
  }
}
