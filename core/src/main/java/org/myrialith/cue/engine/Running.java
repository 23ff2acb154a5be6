package org.myrialith.cue.engine;

import java.util.List;
import java.util.function.IntPredicate;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.frames.ClipLevels;

/** Which frame each clip of each scene shows. Mutable. */
final class Running {
  private final CueTable table;

  /** By scene and target. */
  final int[][] frame;

  private final int[][] left;

  /** Until all clips of a scene start again (ms). */
  private final int[] sceneLeft;

  Running(CueTable table) {
    this.table = table;
    int scenes = table.scenes().size();
    frame = new int[scenes][table.targets().size()];
    left = new int[scenes][table.targets().size()];
    sceneLeft = new int[scenes];
  }

  private static int hold(ClipLevels clip, int frame) {
    return clip.clip().frames().get(frame).holdMillis();
  }

  /** All clips of a scene from their first frames on. */
  void start(int scene) {
    SceneTable played = table.scenes().get(scene);
    sceneLeft[scene] = played.lengthMillis();
    for (int t = 0; t < frame[scene].length; t++) {
      if (played.clips()[t] != null) {
        frame[scene][t] = 0;
        left[scene][t] = hold(played.clips()[t], 0);
      }
    }
  }

  /**
   * Goes on by a tick, each scene once.
   *
   * @param order cues that are shown
   * @param stands whether a cue's scene stands still for it
   */
  void pass(List<Integer> order, IntPredicate stands, Painter painter) {
    boolean[] gone = new boolean[table.scenes().size()];
    for (int cue : order) {
      int scene = table.rows().get(cue).scene();
      if (!gone[scene] && !stands.test(cue) && sceneLeft[scene] > 0) {
        gone[scene] = true;
        pass(scene, painter);
      }
    }
  }

  private void pass(int scene, Painter painter) {
    int ms = table.tickMillis();
    while (sceneLeft[scene] <= ms) {
      ms -= sceneLeft[scene];
      start(scene);
      painter.frames(scene);
    }
    sceneLeft[scene] -= ms;
    ClipLevels[] clips = table.scenes().get(scene).clips();
    for (int t = 0; t < clips.length; t++) {
      if (clips[t] != null) {
        pass(scene, t, clips[t], ms, painter);
      }
    }
  }

  private void pass(int scene, int t, ClipLevels clip, int millis, Painter painter) {
    int ms = millis;
    while (left[scene][t] <= ms) {
      ms -= left[scene][t];
      frame[scene][t] = (frame[scene][t] + 1) % clip.perFrame().size();
      left[scene][t] = hold(clip, frame[scene][t]);
      painter.dirty(t);
    }
    left[scene][t] -= ms;
  }
}
