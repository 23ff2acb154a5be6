package org.myrialith.gadget.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Show;
import org.myrialith.gadget.model.Gadget;

/**
 * The memory that a plan takes, by what it is made of. Figures are measured: see the benchmarks.
 */
final class PlanWeight {
  private static final long BASE = 5_400;
  private static final long PER_FIXTURE = 300;
  private static final long PER_EMITTER = 212;
  private static final long PER_PICTURE = 260;
  private static final long PER_FRAME = 100;
  private static final long PER_MOMENT = 32;
  private static final int CHANNELS = 3;

  private PlanWeight() {}

  static long of(Gadget gadget) {
    long weight = BASE + PER_FIXTURE * gadget.fixtures().size();
    weight += PER_EMITTER * gadget.fixtures().stream().mapToLong(f -> f.count()).sum();
    long frames = 0;
    Set<String> seen = new HashSet<>();
    List<Clip> clips = new ArrayList<>(gadget.clips());
    gadget.cues().scenes().forEach(scene -> clips.addAll(scene.clips()));
    for (Clip clip : clips) {
      int emitters = gadget.fixture(clip.fixture()).orElseThrow().count();
      for (Frame frame : clip.frames()) {
        frames++;
        if (seen.add(clip.id() + frame.picture().hash())) {
          long cells = (long) frame.picture().columns() * frame.picture().rows();
          // the picture, which cell each emitter shows, and its levels
          weight += PER_PICTURE + cells * CHANNELS + 2L * emitters * CHANNELS;
        }
      }
    }
    return weight + frames * PER_FRAME + Math.min(Show.MOST_LISTED, moments(gadget)) * PER_MOMENT;
  }

  /** At most as many as all changes of all clips. */
  private static long moments(Gadget gadget) {
    long length = gadget.clips().stream().mapToLong(Clip::lengthMillis).max().orElse(0);
    return gadget.clips().stream()
        .mapToLong(c -> length / Math.max(1, c.lengthMillis()) * c.frames().size())
        .sum();
  }
}
