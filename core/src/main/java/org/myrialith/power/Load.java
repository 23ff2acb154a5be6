package org.myrialith.power;

import java.util.Arrays;
import java.util.List;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Wiring;

/**
 * Everything that draws current.
 *
 * @param controllerMilliamps the controller's own draw (mA)
 */
public record Load(Wiring wiring, double controllerMilliamps) {
  private static final double MILLI = 1e-3;

  /** Finer than the steps of a data sheet: a weight of a level is told in so many parts. */
  private static final int WEIGHT_STEPS = 16;

  private List<CircuitPlan> plans() {
    return wiring.plans();
  }

  /** Returns the number of emitters on all wires. */
  public int emitters() {
    return wiring.emitters();
  }

  /** Returns the number of them that may light. */
  public int litEmitters() {
    return plans().stream().mapToInt(CircuitPlan::litEmitters).sum();
  }

  /** Returns in words what draws most: white, unless a white die takes over from the others. */
  public String most() {
    return plans().stream().anyMatch(CircuitPlan::whiteTakesOver)
        ? "Everything at its most"
        : "All white";
  }

  /** Returns the current of a dark gadget (A). */
  public double darkAmps() {
    return plans().stream().mapToDouble(CircuitPlan::darkAmps).sum() + controllerMilliamps * MILLI;
  }

  /** Returns the current (A) when levels have those sums, by circuit and position. */
  public double amps(long[][] sums) {
    double amps = darkAmps();
    for (int c = 0; c < sums.length; c++) {
      amps += plans().get(c).litAmps(sums[c]);
    }
    return amps;
  }

  /**
   * Returns the current (A) with every emitter that may light at its most, as many channels as can
   * be full at once at one share of their full level.
   *
   * @param level of 255
   */
  public double ampsAllAt(int level) {
    double amps = darkAmps();
    for (CircuitPlan plan : plans()) {
      long[] sums = new long[plan.channelsPerEmitter()];
      Arrays.fill(
          sums,
          0,
          plan.fullChannels(),
          (long) plan.litEmitters() * Math.round(level / 255.0 * plan.fullLevel()));
      amps += plan.litAmps(sums);
    }
    return amps;
  }

  /** Current of one step of a level (A). */
  private static double stepAmps(CircuitPlan plan) {
    return plan.channelMilliamps() * MILLI / plan.fullLevel();
  }

  /** The current that a weight of 1 stands for (A): that of a level where all are alike. */
  private double unitAmps() {
    double least = plans().stream().mapToDouble(Load::stepAmps).min().orElse(1);
    double most = plans().stream().mapToDouble(Load::stepAmps).max().orElse(1);
    return least == most ? least : least / WEIGHT_STEPS;
  }

  /** Returns what a level of each circuit weighs, rounded up. */
  public List<Integer> weights() {
    double unit = unitAmps();
    return plans().stream().map(p -> (int) Math.ceil(stepAmps(p) / unit - 1e-9)).toList();
  }

  /**
   * Returns the largest weighted sum of levels that keeps within a current (A), 0 when even dark
   * does not.
   */
  public long weightWithin(double amps) {
    // a hair's breadth of rounding must not cost a whole level
    return Math.max(0, (long) Math.floor((amps - darkAmps()) / unitAmps() + 1e-9));
  }
}
