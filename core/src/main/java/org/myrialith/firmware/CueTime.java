package org.myrialith.firmware;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Reckoning;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Holds;
import org.myrialith.frames.Sent;
import org.myrialith.frames.Show;
import org.myrialith.play.CueTable;
import org.myrialith.play.SceneTable;

/** What the engine of cues takes: each scene as a show of its own. */
record CueTime(FirmwareWork work, Packing.Packed packed) {
  /** Returns whether it keeps up with every moment of every scene. */
  Holds holds() {
    Holds worst = new Holds(0, 0, 0, List.of());
    for (SceneTable scene : cues().scenes()) {
      List<ClipLevels> clips = Arrays.stream(scene.clips()).filter(Objects::nonNull).toList();
      if (!clips.isEmpty()) {
        worst = worse(worst, of(clips));
      }
    }
    return worst;
  }

  private CueTable cues() {
    return work.cues().orElseThrow();
  }

  private Holds of(List<ClipLevels> clips) {
    Show show = Show.of(clips.stream().map(ClipLevels::clip).toList());
    Sent sent = new Sent(work.sent().wiring(), show, clips, work.sent().limiter());
    return new PlayTime(new FirmwareWork(work.controller(), sent), packed).holds();
  }

  private static Holds worse(Holds one, Holds other) {
    boolean longer = other.worstSeconds() > one.worstSeconds();
    List<Reckoning> working = longer ? other.working() : one.working();
    return new Holds(
        one.late() + other.late(),
        Math.max(one.worstSeconds(), other.worstSeconds()),
        one.worstHoldMillis() > 0 ? one.worstHoldMillis() : other.worstHoldMillis(),
        working);
  }
}
