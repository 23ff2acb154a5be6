package org.myrialith.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutJudgement;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Site;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A layout worked out, and judged with its overlap check, from 1 000 to 100 000 emitters. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class LayoutGrowth {
  private static final double BODY_MM = 1.6;

  /** Emitters, in panels of 1 000. */
  @Param({"1000", "10000", "100000"})
  public int emitters;

  private List<Fixture> fixtures;
  private List<String> order;
  private LayoutPlan plan;

  /** Makes the fixtures. */
  @Setup
  public void setUp() {
    fixtures = new ArrayList<>();
    order = new ArrayList<>();
    for (int i = 0; i < emitters / 1000; i++) {
      fixtures.add(
          Fixture.of(
              "f" + i,
              "Panel",
              new Panel(40, 25, 2, 2, Corner.TOP_LEFT, false, true, 0),
              i % 10 * 90,
              i / 10 * 60));
      order.add("f" + i);
    }
    plan = LayoutPlan.of(fixtures, order);
  }

  /** Places and orders. */
  @Benchmark
  public LayoutPlan layout() {
    return LayoutPlan.of(fixtures, order);
  }

  /** Judges, overlap check and all. */
  @Benchmark
  public Object findings() {
    return new LayoutJudgement(plan, Site.USUAL, f -> BODY_MM).findings();
  }
}
