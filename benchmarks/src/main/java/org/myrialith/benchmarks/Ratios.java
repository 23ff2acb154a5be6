package org.myrialith.benchmarks;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all benchmarks and prints each beside the one it is to be held against. */
public final class Ratios {
  private Ratios() {}

  /** Runs them; takes two to three minutes. */
  public static void main(String[] args) throws RunnerException {
    Collection<RunResult> results =
        new Runner(new OptionsBuilder().include("org.myrialith.benchmarks").build()).run();
    Map<String, Double> micros = new TreeMap<>();
    Map<String, Double> errors = new TreeMap<>();
    for (RunResult result : results) {
      String name = result.getParams().getBenchmark().replaceAll(".*benchmarks\\.", "");
      String size = parameter(result);
      micros.put(name + size, result.getPrimaryResult().getScore());
      errors.put(name + size, result.getPrimaryResult().getScoreError());
    }
    System.out.println();
    for (String what : new String[] {"layout", "findings"}) {
      String name = "LayoutGrowth." + what + " ";
      say(
          "%s: ten times the emitters take %.1f times as long",
          what, micros.get(name + 10_000) / micros.get(name + 1000));
    }
    for (String what : new String[] {"findings", "firmware"}) {
      String name = "PlanStages." + what + " ";
      say(
          "%s: ten times the frames take %.1f, ten times those %.1f times as long",
          what,
          micros.get(name + "100 frames") / micros.get(name + "10 frames"),
          micros.get(name + "1000 frames") / micros.get(name + "100 frames"));
    }
    for (String gadget : new String[] {"lantern", "wall"}) {
      double read = micros.get("PlanStages.read " + gadget);
      say(
          "%s: all findings take %.2f times, all firmware files %.2f times as long as reading its file (%.0f µs)",
          gadget,
          micros.get("PlanStages.findings " + gadget) / read,
          micros.get("PlanStages.firmware " + gadget) / read,
          read);
    }
    say(
        "largest error of a time: %.0f %%",
        100
            * micros.keySet().stream()
                .mapToDouble(k -> errors.get(k) / micros.get(k))
                .max()
                .orElse(0));
    PlanMemory.print();
  }

  private static String parameter(RunResult result) {
    String emitters = result.getParams().getParam("emitters");
    String gadget = result.getParams().getParam("gadget");
    return " " + (emitters == null ? gadget : emitters);
  }

  private static void say(String text, Object... values) {
    System.out.printf(Locale.ROOT, text + "%n", values);
  }
}
