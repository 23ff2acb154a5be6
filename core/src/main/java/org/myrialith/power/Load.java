package org.myrialith.power;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.frames.ClipLevels;

/**
 * Everything that draws current.
 *
 * @param controllerMilliamps the controller's own draw (mA)
 */
public record Load(Wiring wiring, double controllerMilliamps) {
  private static final double MILLI = 1e-3;

  /** Finer than the steps of a data sheet: a weight of a level is told in so many parts. */
  private static final int WEIGHT_STEPS = 64;

  /** Half of what 32 bits hold: weights are rounded up. */
  private static final double MOST_SUM = 1L << 31;

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
    List<CircuitPlan> driving = plans().stream().filter(p -> p.emitters() > 0).toList();
    boolean allWhite = driving.stream().allMatch(p -> p.dims() && !p.whiteTakesOver());
    return allWhite
        ? "Full white"
        : driving.stream().noneMatch(CircuitPlan::dims)
            ? "Everything lit"
            : "Everything at full level";
  }

  /** Returns the current of a dark gadget (A). */
  public double darkAmps() {
    return plans().stream().mapToDouble(CircuitPlan::darkAmps).sum() + controllerMilliamps * MILLI;
  }

  /** Returns the current (A) when levels have those sums, by circuit and group. */
  public double amps(long[][] sums) {
    double amps = darkAmps();
    for (int c = 0; c < sums.length; c++) {
      amps += plans().get(c).litAmps(sums[c]);
    }
    return amps;
  }

  /**
   * Returns the current (A) with every emitter that may light at its most, as many channels as can
   * be full at once at the level that white has in their circuit.
   */
  public double whiteAmps(ColourSettings colour) {
    return darkAmps()
        + plans().stream().mapToDouble(p -> p.mostLitAmps(whiteShare(colour, p))).sum();
  }

  /** Returns the share of its full level that white has in a circuit, by the bits of its levels. */
  static double whiteShare(ColourSettings colour, CircuitPlan plan) {
    return LevelTable.of(colour, plan.levelBits()).whiteShare();
  }

  /** Current of one step of a level of a group (A). */
  private static double stepAmps(CircuitPlan plan, int group) {
    long[] one = new long[plan.groups()];
    one[group] = 1;
    return plan.litAmps(one);
  }

  private static DoubleStream stepAmps(CircuitPlan plan) {
    return IntStream.range(0, plan.groups()).mapToDouble(group -> stepAmps(plan, group));
  }

  /** Those of all that can be dimmed, without what draws nothing. */
  private DoubleStream steps() {
    return dimmed().flatMapToDouble(Load::stepAmps).filter(amps -> amps > 0);
  }

  /**
   * The current that a weight of 1 stands for (A): that of a level where all are alike, and never
   * so little that 32 bits don't hold the sum of everything.
   */
  double unitAmps() {
    double least = steps().min().orElse(1);
    double most = steps().max().orElse(1);
    double all =
        dimmed().mapToDouble(p -> p.channels() * stepAmps(p).max().orElse(0) * p.fullLevel()).sum();
    boolean alike = most - least <= 1e-12 * most;
    return Math.max(alike ? least : least / WEIGHT_STEPS, all / MOST_SUM);
  }

  private Stream<CircuitPlan> dimmed() {
    return plans().stream().filter(CircuitPlan::limited);
  }

  /** Returns whether a limiter finds anything that it can dim. */
  public boolean dims() {
    return dimmed().anyMatch(p -> p.emitters() > 0);
  }

  /** Returns whether anything is only on or off. */
  public boolean switches() {
    return plans().stream().anyMatch(p -> !p.dims() && p.emitters() > 0);
  }

  /**
   * Returns what a level weighs, by circuit and group, rounded up; nothing where it can't be
   * dimmed.
   */
  public List<List<Integer>> weights() {
    double unit = unitAmps();
    return plans().stream()
        .map(
            p ->
                stepAmps(p)
                    .mapToObj(amps -> p.limited() ? (int) Math.ceil(amps / unit - 1e-9) : 0)
                    .toList())
        .toList();
  }

  /**
   * Returns the current of a gadget in which all that can't be dimmed is lit, the rest dark (A).
   */
  public double undimmedAmps() {
    return darkAmps()
        + plans().stream().filter(p -> !p.limited()).mapToDouble(p -> p.mostLitAmps(1)).sum();
  }

  /**
   * Returns the most that is drawn by what can't be dimmed, all of it at its most (A); of clips on
   * the same lights the one that draws most counts.
   */
  public static double switchedAmps(List<ClipLevels> clips) {
    return clips.stream()
        .filter(c -> !c.plan().limited())
        .collect(
            Collectors.groupingBy(
                c -> List.of(c.circuit(), c.stretch().firstChannel()),
                Collectors.mapping(Load::mostAmps, Collectors.reducing(0.0, Math::max))))
        .values()
        .stream()
        .mapToDouble(Double::doubleValue)
        .sum();
  }

  private static double mostAmps(ClipLevels clip) {
    return clip.sums().stream().mapToDouble(clip.plan()::litAmps).max().orElse(0);
  }

  /**
   * Returns the largest weighted sum of levels that keeps within a current (A) beside what can't be
   * dimmed, 0 when even that does not.
   */
  public long weightWithin(double amps, List<ClipLevels> clips) {
    double left = amps - darkAmps() - switchedAmps(clips);
    // a hair's breadth of rounding must not cost a whole level
    return Math.max(0, (long) Math.floor(left / unitAmps() + 1e-9));
  }
}
