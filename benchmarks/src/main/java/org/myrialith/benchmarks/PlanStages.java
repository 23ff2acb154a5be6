package org.myrialith.benchmarks;

import java.util.concurrent.TimeUnit;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.gadget.GadgetPlan;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The demo lantern through the whole plan, beside reading its file. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class PlanStages {
  private final Gadget lantern = DemoGadgets.tideLantern();
  private final String json = GadgetJson.write(lantern);

  /** Reads the file. */
  @Benchmark
  public Gadget read() {
    return GadgetJson.read(json);
  }

  /** Works everything out and judges it. */
  @Benchmark
  public Object findings() {
    return GadgetPlan.of(lantern).findings();
  }

  /** Makes all files of the firmware. */
  @Benchmark
  public Object firmware() {
    return GadgetPlan.of(lantern).firmwareFiles();
  }
}
