package org.myrialith.build;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;

/** Where holes go: one for each place, also where a stack has several emitters above each other. */
final class Holes {
  private static final double SAME_MM = 0.01;

  private Holes() {}

  /** Returns the emitters whose places get a hole; those that stay dark get none. */
  static List<Emitter> of(LayoutPlan layout) {
    List<Emitter> holes = new ArrayList<>();
    Set<Long> taken = new HashSet<>();
    for (Emitter emitter : layout.emitters()) {
      long x = Math.round(emitter.position().xMm() / SAME_MM);
      long y = Math.round(emitter.position().yMm() / SAME_MM);
      if (!emitter.dark() && taken.add(x << 32 ^ (y & 0xffff_ffffL))) {
        holes.add(emitter);
      }
    }
    return holes;
  }
}
