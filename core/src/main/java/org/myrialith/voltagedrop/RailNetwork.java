package org.myrialith.voltagedrop;

import java.util.List;

/**
 * One rail: places in a line or a ring, joined by resistances, fed at some of them. What each draws
 * is given; how far it stands below the supply is found, by elimination in one pass.
 *
 * @param gaps from each place to the next (ohm); of a ring one more, from the last to the first
 * @param taps where it is fed
 */
record RailNetwork(double[] gaps, List<Tap> taps) {
  /** Joined so closely, places are one (ohm). */
  private static final double LEAST_OHMS = 1e-9;

  /**
   * A wire from the supply.
   *
   * @param at its place
   * @param ohms its resistance
   */
  record Tap(int at, double ohms) {}

  private static double siemens(double ohms) {
    return 1 / Math.max(LEAST_OHMS, ohms);
  }

  /**
   * Returns how far each place stands below the supply (V).
   *
   * @param amps that each draws
   */
  double[] drops(double[] amps) {
    int places = amps.length;
    boolean ring = gaps.length == places && places > 2;
    double[] between = new double[places];
    double[] diagonal = new double[places];
    for (int i = 0; i + 1 < places; i++) {
      between[i] = siemens(gaps[i]);
      diagonal[i] += between[i];
      diagonal[i + 1] += between[i];
    }
    taps.forEach(tap -> diagonal[tap.at()] += siemens(tap.ohms()));
    return ring ? ring(between, diagonal, amps) : line(between, diagonal, amps);
  }

  /** Thomas: each place is expressed by the next, then found from the last on. */
  private static double[] line(double[] between, double[] diagonal, double[] amps) {
    int places = amps.length;
    double[] share = new double[places];
    double[] drops = new double[places];
    double left = diagonal[0];
    drops[0] = amps[0] / left;
    for (int i = 1; i < places; i++) {
      share[i - 1] = between[i - 1] / left;
      left = diagonal[i] - between[i - 1] * share[i - 1];
      drops[i] = (amps[i] + between[i - 1] * drops[i - 1]) / left;
    }
    for (int i = places - 2; i >= 0; i--) {
      drops[i] += share[i] * drops[i + 1];
    }
    return drops;
  }

  /** The joint of a ring as a correction of rank one (Sherman and Morrison). */
  private double[] ring(double[] between, double[] diagonal, double[] amps) {
    int last = amps.length - 1;
    double joint = siemens(gaps[last]);
    double[] open = line(between, diagonal, amps);
    double[] across = new double[amps.length];
    across[0] = 1;
    across[last] = -1;
    double[] answer = line(between, diagonal, across);
    double through = joint * (open[0] - open[last]) / (1 + joint * (answer[0] - answer[last]));
    for (int i = 0; i < open.length; i++) {
      open[i] -= through * answer[i];
    }
    return open;
  }

  /** Returns the most that flows between two places that follow each other (A). */
  double mostAlong(double[] drops) {
    double most = 0;
    for (int i = 0; i < gaps.length; i++) {
      double across = drops[(i + 1) % drops.length] - drops[i];
      most = Math.max(most, Math.abs(across) * siemens(gaps[i]));
    }
    return most;
  }

  /** Returns what flows through each tap (A), of drops that were found. */
  double[] tapAmps(double[] drops) {
    return taps.stream().mapToDouble(tap -> drops[tap.at()] * siemens(tap.ohms())).toArray();
  }
}
