package org.myrialith.web.frames;

import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;

/**
 * A look at frames that are not kept yet: as they would be emitted, all else dark.
 *
 * @param preview as that of a revision
 * @param light red, green, blue of each emitter, moment after moment, in base 64
 * @param notes what is to be said of them
 */
record DraftLook(PreviewController.Preview preview, String light, List<String> notes) {
  /** Most light of one look (bytes). */
  private static final int MOST_BYTES = 1 << 20;

  private static final int LEAST_FRAMES = 8;

  /** Returns every how manieth frame is looked at, so that a look is no longer than it may be. */
  static int each(Gadget gadget, int frames) {
    int emitters = gadget.fixtures().stream().mapToInt(Fixture::count).sum();
    int most = Math.max(LEAST_FRAMES, MOST_BYTES / Math.max(1, 3 * emitters));
    return (frames + most - 1) / most;
  }

  static DraftLook of(Gadget gadget, String fixture, List<Frame> frames, List<String> notes) {
    return of(gadget, Map.of(fixture, frames), notes);
  }

  /** Frames on several fixtures at once. */
  static DraftLook of(Gadget gadget, Map<String, List<Frame>> frames, List<String> notes) {
    Gadget with = gadget.with(Programme.EMPTY);
    for (Map.Entry<String, List<Frame>> one : frames.entrySet()) {
      with = with.with(one.getKey(), one.getValue(), false);
    }
    GadgetPlan plan = GadgetPlan.of(with);
    int size = 3 * plan.layout().emitters().size();
    byte[] light = new byte[size * plan.show().moments().size()];
    for (int moment = 0; moment < plan.show().moments().size(); moment++) {
      System.arraycopy(plan.seen(moment), 0, light, moment * size, size);
    }
    return new DraftLook(
        PreviewController.preview(plan), Base64.getEncoder().encodeToString(light), notes);
  }
}
