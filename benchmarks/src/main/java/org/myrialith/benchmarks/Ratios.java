package org.myrialith.benchmarks;

import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all benchmarks and prints each beside the one it is to be held against. */
public final class Ratios {
  private Ratios() {}

  /** Runs them; takes about a minute. */
  public static void main(String[] args) throws RunnerException {
    Collection<RunResult> results =
        new Runner(new OptionsBuilder().include("org.myrialith.benchmarks").build()).run();
    Map<String, Double> micros = new TreeMap<>();
    for (RunResult result : results) {
      String name = result.getParams().getBenchmark().replaceAll(".*benchmarks\\.", "");
      String size = result.getParams().getParam("emitters");
      micros.put(size == null ? name : name + " " + size, result.getPrimaryResult().getScore());
    }
    System.out.println();
    for (String what : new String[] {"layout", "findings"}) {
      String name = "LayoutGrowth." + what + " ";
      System.out.printf(
          "%s: ten times the emitters take %.1f and %.1f times as long; %.1f million emitters a second at 100 000%n",
          what,
          micros.get(name + 10_000) / micros.get(name + 1000),
          micros.get(name + 100_000) / micros.get(name + 10_000),
          100_000 / micros.get(name + 100_000));
    }
    System.out.printf(
        "lantern: all findings take %.2f times, all firmware files %.2f times as long as reading its file (%.0f µs)%n",
        micros.get("PlanStages.findings") / micros.get("PlanStages.read"),
        micros.get("PlanStages.firmware") / micros.get("PlanStages.read"),
        micros.get("PlanStages.read"));
  }
}
