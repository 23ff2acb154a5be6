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
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Gadgets through the whole plan, beside reading their files: the demo lantern, a wall of 8 192
 * pixels that plays 200 frames, and a panel that plays 10, 100 and 1 000.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 7, time = 1)
public class PlanStages {
  /** Which gadget. */
  @Param({"lantern", "wall", "10 frames", "100 frames", "1000 frames"})
  public String gadget;

  private Gadget planned;
  private String json;

  /** Makes it and its file. */
  @Setup
  public void setUp() {
    planned =
        switch (gadget) {
          case "lantern" -> DemoGadgets.tideLantern();
          case "wall" -> Walls.playing(128, 64, 200);
          default -> Walls.playing(25, 20, Integer.parseInt(gadget.split(" ")[0]));
        };
    json = GadgetJson.write(planned);
  }

  /** Reads the file. */
  @Benchmark
  public Gadget read() {
    return GadgetJson.read(json);
  }

  /** Works everything out and judges it. */
  @Benchmark
  public Object findings() {
    return GadgetPlan.of(planned).findings();
  }

  /** Makes all files of the firmware. */
  @Benchmark
  public Object firmware() {
    return GadgetPlan.of(planned).firmwareFiles();
  }
}
