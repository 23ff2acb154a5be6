package org.myrialith.benchmarks;

import java.util.Arrays;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * How many times as long one work takes as another, both timed turn and turn about.
 *
 * <p>A benchmark library measures each work for itself, one after the other; on a machine with
 * other work to do the ratio of two such times is off by half and more. What disturbs a turn here
 * falls on both works alike, and the median of many turns leaves out the rest.
 *
 * @param median of all turns
 * @param low lower end of the 95 % interval of the median, by order statistics
 * @param high its upper end
 * @param baseMicros median time of the other work (µs)
 */
record Ratio(double median, double low, double high, double baseMicros) {
  private static final double WARM_SECONDS = 4;
  private static final double SECONDS = 11;
  private static final double TURN_SECONDS = 0.02;
  private static final int FEWEST_TURNS = 41;

  /** What was made last: a work whose result nobody keeps might not be done at all. */
  @SuppressWarnings("unused")
  private static volatile Object kept;

  /** How long is measured. */
  record Effort(double warmSeconds, double seconds, int fewestTurns) {
    /** To know a ratio well. */
    static final Effort CLOSE = new Effort(WARM_SECONDS, SECONDS, FEWEST_TURNS);

    /** To see whether it has grown. */
    static final Effort QUICK = new Effort(1.5, 2, 9);
  }

  static Ratio of(Supplier<?> work, Supplier<?> base, Effort effort) {
    int works = warm(work, effort);
    int bases = warm(base, effort);
    int turns = 0;
    double[] ratios = new double[2000];
    double[] times = new double[ratios.length];
    long end = System.nanoTime() + (long) (effort.seconds() * 1e9);
    while (turns < effort.fewestTurns() || turns < ratios.length && System.nanoTime() < end) {
      double took = seconds(work, works);
      times[turns] = seconds(base, bases);
      ratios[turns] = took / times[turns];
      turns++;
    }
    Arrays.sort(ratios, 0, turns);
    Arrays.sort(times, 0, turns);
    double reach = 0.98 * Math.sqrt(turns);
    return new Ratio(
        ratios[turns / 2],
        ratios[(int) Math.max(0, Math.floor(turns / 2.0 - reach))],
        ratios[(int) Math.min(turns - 1, Math.ceil(turns / 2.0 + reach))],
        times[turns / 2] * 1e6);
  }

  /** Returns how often a work fits into a turn, once it is as quick as it gets. */
  private static int warm(Supplier<?> work, Effort effort) {
    int times = 0;
    long start = System.nanoTime();
    double took = 0;
    while (took < effort.warmSeconds() / 2) {
      kept = work.get();
      times++;
      took = (System.nanoTime() - start) / 1e9;
    }
    return (int) Math.max(1, times * TURN_SECONDS / took);
  }

  private static double seconds(Supplier<?> work, int times) {
    long start = System.nanoTime();
    for (int i = 0; i < times; i++) {
      kept = work.get();
    }
    return (System.nanoTime() - start) / 1e9 / times;
  }

  /** Returns half the interval as a share of the median. */
  double error() {
    return (high - low) / 2 / median;
  }

  @Override
  public String toString() {
    return String.format(Locale.ROOT, "%.2f (%.2f to %.2f) times as long", median, low, high);
  }
}
