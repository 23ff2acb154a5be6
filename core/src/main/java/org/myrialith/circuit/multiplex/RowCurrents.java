package org.myrialith.circuit.multiplex;

import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.MultiplexedSink;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.colour.Levels;

/**
 * What lights that have their turns draw: while a row is on all of its current flows, and lights
 * that are lit together share what lets their row through.
 */
record RowCurrents(ScannedPlan plan) {
  private ScannedCircuit circuit() {
    return plan.circuit();
  }

  private int rows() {
    return circuit().rowSwitch().turns() && !circuit().alone() ? plan.map().chips() : 1;
  }

  private int row(int channel) {
    return rows() > 1 ? plan.map().chip(channel) : 0;
  }

  private OutputLoad load(int channel) {
    return plan.switching().loads().get(plan.map().channels().get(channel).load());
  }

  /** Returns whether lights lose anything to those beside them. */
  boolean shares() {
    return !circuit().alone()
        && plan.switching().loads().stream()
            .anyMatch(load -> load.path() instanceof MultiplexedLoad turns && turns.rowOhms() > 0);
  }

  /** What the row that draws most has in its turn, above the mean of all (A). */
  double surgeAmps(Levels levels) {
    double[] amps = new double[rows()];
    int[] together = together(levels);
    double mean = 0;
    double most = 0;
    for (int c = 0; c < levels.size(); c++) {
      OutputLoad load = load(c);
      mean += (double) levels.at(c) / plan.fullLevel() * load.amps();
      if (levels.at(c) > 0) {
        double lit = inTurn(load, circuit().alone() ? load.paths() : together[row(c)]);
        amps[row(c)] += lit;
        most = Math.max(most, circuit().alone() ? lit : amps[row(c)]);
      }
    }
    return Math.max(0, most - mean + sharedAmps(levels, 0));
  }

  private int[] together(Levels levels) {
    int[] together = new int[rows()];
    for (int c = 0; c < levels.size(); c++) {
      together[row(c)] += levels.at(c) > 0 ? load(c).paths() : 0;
    }
    return together;
  }

  /** What a light draws in its turn with so many beside it (A), typical. */
  private static double inTurn(OutputLoad load, int together) {
    return load.path() instanceof MultiplexedLoad turns
        ? load.paths() * turns.amps(together)
        : load.path() instanceof MultiplexedSink kept
            ? load.paths() * kept.kept().amps()
            : load.amps();
  }

  /**
   * What lights lose to each other, slot after slot (A): as many as are lit in a slot share what
   * lets their row through.
   *
   * @param first channel of the levels
   */
  double sharedAmps(Levels levels, int first) {
    if (!shares() || plan.hookup().ownRail()) {
      return 0;
    }
    double less = 0;
    int[] together = new int[rows()];
    for (ScanMethod.Step step : plan.timing().steps().stream().flatMap(List::stream).toList()) {
      Arrays.fill(together, 0);
      for (int i = 0; i < levels.size(); i++) {
        if (plan.timing().lit(levels.at(i), step)) {
          together[row(first + i)] += load(first + i).paths();
        }
      }
      double whole = (double) step.weight() / plan.fullLevel();
      for (int i = 0; i < levels.size(); i++) {
        if (plan.timing().lit(levels.at(i), step)) {
          less += whole * lost(load(first + i), together[row(first + i)]);
        }
      }
    }
    return less;
  }

  /** What a light loses of its mean to those that are lit with it (A). */
  private static double lost(OutputLoad load, int together) {
    return load.path() instanceof MultiplexedLoad turns && turns.amps(1) > 0
        ? load.amps() * (1 - turns.amps(together) / turns.amps(1))
        : 0;
  }
}
