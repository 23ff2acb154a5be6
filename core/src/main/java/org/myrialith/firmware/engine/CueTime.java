package org.myrialith.firmware.engine;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Ticks;
import org.myrialith.finding.Calculation;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FrameTiming;
import org.myrialith.firmware.player.FramesHeader;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.HoldCheck;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;

/** What the engine of cues takes: each scene as a show of its own. */
public record CueTime(FirmwareWork work, PackedClips packed) {
  /** Beside asking, which takes some of a millisecond. */
  private static final double PROMPT_SECONDS = 0.6e-3;

  /** Returns whether it keeps up with every moment of every scene. */
  public HoldCheck holds() {
    HoldCheck worst = new HoldCheck(0, 0, 0, List.of());
    for (SceneTable scene : cues().scenes()) {
      List<ClipLevels> clips = Arrays.stream(scene.clips()).filter(Objects::nonNull).toList();
      if (!clips.isEmpty()) {
        worst = worse(worst, of(clips));
      }
    }
    return worst;
  }

  /** A scene that comes is laid over another one, level by level. */
  private static final int FADED = 3;

  /** Returns whether any scene is put together as quickly as what was asked for should be seen. */
  public boolean prompt() {
    return longestSeconds() <= PROMPT_SECONDS;
  }

  /** Returns the time of putting the slowest scene together (s). */
  public double longestSeconds() {
    return cues().scenes().stream().mapToDouble(this::composing).max().orElse(0);
  }

  /** The longest frames of all clips of a scene at once (s). */
  private double composing(SceneTable scene) {
    boolean banked = new FramesHeader(work, packed).banked();
    double cycles =
        Arrays.stream(scene.clips())
            .filter(Objects::nonNull)
            .mapToDouble(
                clip -> Arrays.stream(work.composing(clip, packed, banked)).max().orElse(0))
            .sum();
    return FirmwareTarget.seconds(cycles * (cues().fades() ? FADED : 1), work.controller());
  }

  private CueTable cues() {
    return work.cues().orElseThrow();
  }

  private HoldCheck of(List<ClipLevels> clips) {
    Show show = Show.of(clips.stream().map(ClipLevels::clip).toList());
    TransmittedFrames sent =
        new TransmittedFrames(work.sent().wiring(), show, clips, work.sent().limiter());
    double asking =
        Ticks.askingSeconds(
            work.controller().clockHz(), cues().rows().size(), cues().senses().size());
    return new FrameTiming(new FirmwareWork(work.controller(), sent), packed, asking).holds();
  }

  private static HoldCheck worse(HoldCheck one, HoldCheck other) {
    boolean longer = other.worstSeconds() > one.worstSeconds();
    List<Calculation> working = longer ? other.working() : one.working();
    return new HoldCheck(
        one.late() + other.late(),
        Math.max(one.worstSeconds(), other.worstSeconds()),
        one.worstHoldMillis() > 0 ? one.worstHoldMillis() : other.worstHoldMillis(),
        working);
  }
}
