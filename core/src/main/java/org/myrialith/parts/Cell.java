package org.myrialith.parts;

/**
 * A class of cells.
 *
 * @param volts nominal (V)
 * @param ohms inside (ohm)
 * @param selfPercentAYear of its charge that it loses by itself (%)
 * @param mostAmps that it gives for a moment (A)
 * @param byLoad milliampere hours by the current that is drawn (A), smallest current first
 * @param curve volts by the share that is used, from 0 to 1
 */
public record Cell(
    double volts,
    double ohms,
    double selfPercentAYear,
    double mostAmps,
    double[][] byLoad,
    double[][] curve) {
  static final double[][] ALKALINE_CURVE = {
    {0, 1.55}, {0.1, 1.40}, {0.3, 1.28}, {0.6, 1.17}, {0.85, 1.05}, {1, 0.90}
  };
  static final double[][] NIMH_CURVE = {
    {0, 1.38}, {0.1, 1.28}, {0.5, 1.24}, {0.85, 1.18}, {0.95, 1.10}, {1, 1.00}
  };
  static final double[][] BLOCK_CURVE = {
    {0, 9.3}, {0.1, 8.5}, {0.3, 7.8}, {0.6, 7.1}, {0.85, 6.3}, {1, 5.4}
  };
  static final double[][] COIN_CURVE = {
    {0, 3.1}, {0.05, 2.95}, {0.7, 2.88}, {0.9, 2.70}, {1, 2.00}
  };
  static final double[][] LITHIUM_CURVE = {
    {0, 4.2}, {0.1, 4.05}, {0.3, 3.87}, {0.6, 3.70}, {0.85, 3.57}, {0.95, 3.35}, {1, 3.00}
  };

  /**
   * Returns what it holds at a load (mAh): straight between the values of the class on scales of
   * decades, as Peukert's rule has it; flat beyond them.
   *
   * @param amps that are drawn (A), &gt; 0
   */
  public double milliampHours(double amps) {
    if (amps <= byLoad[0][0]) {
      return byLoad[0][1];
    }
    for (int i = 1; i < byLoad.length; i++) {
      if (amps <= byLoad[i][0]) {
        double share =
            Math.log(amps / byLoad[i - 1][0]) / Math.log(byLoad[i][0] / byLoad[i - 1][0]);
        return byLoad[i - 1][1] * Math.pow(byLoad[i][1] / byLoad[i - 1][1], share);
      }
    }
    return byLoad[byLoad.length - 1][1];
  }

  /** Returns its volts when a share of it is used (V). */
  public double voltsAt(double used) {
    for (int i = 1; i < curve.length; i++) {
      if (used <= curve[i][0]) {
        double share = (used - curve[i - 1][0]) / (curve[i][0] - curve[i - 1][0]);
        return curve[i - 1][1] + share * (curve[i][1] - curve[i - 1][1]);
      }
    }
    return curve[curve.length - 1][1];
  }

  /** Returns the share that can be used until it falls to so many volts (0 to 1). */
  public double usedAt(double least) {
    if (least >= curve[0][1]) {
      return 0;
    }
    for (int i = 1; i < curve.length; i++) {
      if (curve[i][1] <= least) {
        double share = (curve[i - 1][1] - least) / (curve[i - 1][1] - curve[i][1]);
        return curve[i - 1][0] + share * (curve[i][0] - curve[i - 1][0]);
      }
    }
    return 1;
  }

  /** Returns the mean of its volts until a share is used (V). */
  public double meanVolts(double used) {
    double area = 0;
    double from = 0;
    for (int i = 1; i < curve.length && from < used; i++) {
      double to = Math.min(used, curve[i][0]);
      area += (to - from) * (voltsAt(from) + voltsAt(to)) / 2;
      from = to;
    }
    return used > 0 ? area / used : curve[0][1];
  }

  /** Returns its volts when it is empty (V). */
  public double emptyVolts() {
    return curve[curve.length - 1][1];
  }

  /** Returns its volts when it is full (V). */
  public double fullVolts() {
    return curve[0][1];
  }
}
