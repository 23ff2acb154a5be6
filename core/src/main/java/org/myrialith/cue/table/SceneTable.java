package org.myrialith.cue.table;

import java.util.Arrays;
import java.util.List;
import org.myrialith.cue.Scene;
import org.myrialith.frames.ClipLevels;

/**
 * A scene as numbers.
 *
 * @param clips by target; null where it has none
 * @param lengthMillis of its longest clip; 0 without
 * @param readouts over them
 */
public record SceneTable(
    Scene scene, ClipLevels[] clips, int lengthMillis, List<ReadoutTable> readouts) {
  public SceneTable {
    clips = Arrays.copyOf(clips, clips.length);
    readouts = List.copyOf(readouts);
  }

  /** Returns whether nothing beneath it is seen on a target. */
  public boolean hides(int target) {
    return clips[target] != null && !clips[target].clip().seeThrough();
  }

  /** Returns whether it shows anything on a target. */
  public boolean covers(int target) {
    return clips[target] != null || readouts.stream().anyMatch(r -> r.target() == target);
  }
}
