package org.myrialith.benchmarks;

import java.util.Locale;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;

/**
 * What a plan takes of the heap once everything of it was asked for, beside what it says itself.
 */
final class PlanMemory {
  private static final long ENOUGH_BYTES = 120_000_000;

  private PlanMemory() {}

  static void print() {
    print("lantern", DemoGadgets.tideLantern());
    print("wall of 8192 x 200 frames", Walls.playing(128, 64, 200));
    print("panel of 500 x 1000 frames", Walls.playing(25, 20, 1000));
    print("panel of 500 x 10 frames", Walls.playing(25, 20, 10));
    print("panel of 8100 x 1 frame", Walls.playing(90, 90, 1));
    print("nothing yet", Gadget.blank("Nothing"));
  }

  private static void print(String what, Gadget gadget) {
    String json = GadgetJson.write(gadget);
    long said = work(json).weightBytes();
    int copies = (int) Math.max(2, Math.min(2000, ENOUGH_BYTES / said));
    GadgetPlan[] held = new GadgetPlan[copies];
    long before = used();
    for (int i = 0; i < copies; i++) {
      held[i] = work(json);
    }
    long taken = (used() - before) / copies;
    System.out.printf(
        Locale.ROOT,
        "%s: a plan takes %d bytes of the heap and says %d, %.2f times as many%n",
        what,
        taken,
        said,
        said / (double) taken);
    if (held[copies - 1] == null) {
      throw new IllegalStateException();
    }
  }

  /** All that pages ask of a plan. */
  private static GadgetPlan work(String json) {
    GadgetPlan plan = GadgetPlan.of(GadgetJson.read(json));
    plan.findings();
    plan.power();
    plan.frames();
    plan.sent();
    plan.firmware();
    return plan;
  }

  private static long used() {
    Runtime runtime = Runtime.getRuntime();
    for (int i = 0; i < 4; i++) {
      System.gc();
    }
    return runtime.totalMemory() - runtime.freeMemory();
  }
}
