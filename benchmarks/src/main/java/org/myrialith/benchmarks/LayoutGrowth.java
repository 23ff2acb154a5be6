package org.myrialith.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.LayoutStep;
import org.myrialith.layout.Panel;
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

/** A layout worked out, and judged with its overlap check, from 1 000 to 10 000 emitters. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 6, time = 1)
public class LayoutGrowth {
  /** Emitters, in panels of 250. */
  @Param({"1000", "10000"})
  public int emitters;

  private List<Fixture> fixtures;
  private Layout layout;
  private LayoutPlan plan;
  private List<List<Emitter>> lines;

  /** Makes the fixtures. */
  @Setup
  public void setUp() {
    fixtures = new ArrayList<>();
    for (int i = 0; i < emitters / 250; i++) {
      Panel panel = new Panel(25, 10, 10, 10, Corner.TOP_LEFT, false, true, 0);
      fixtures.add(Fixture.of("f" + i, "Panel", panel, i % 10 * 300, i / 10 * 120));
    }
    layout = Layout.EMPTY.withFixtures(fixtures);
    plan = LayoutPlan.of(fixtures);
    lines = List.of(plan.emittersOf(fixtures.get(0)));
  }

  /** Places. */
  @Benchmark
  public LayoutPlan layout() {
    return LayoutPlan.of(fixtures);
  }

  /** Judges, overlap check and all. */
  @Benchmark
  public Object findings() {
    return new LayoutStep(layout, plan, lines).findings();
  }
}
