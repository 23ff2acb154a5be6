package org.myrialith.cue.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Target;
import org.myrialith.frames.ClipLevels;

/**
 * What any two scenes that cues show draw while one comes over the other, at most, whatever frames
 * they show then.
 *
 * <p>Where both have frames on a fixture they are mixed level by level, which never draws more than
 * the one that draws more; else, and where dark pixels show what lies beneath, both are lit. The
 * lights of values are all lit.
 *
 * @param pairs each two scenes once, those first that draw most
 * @param allAmps what all of them at once draw at most (A)
 */
public record SceneOverlap(List<Pair> pairs, double allAmps) {
  /** Of no scenes. */
  public static final SceneOverlap NONE = new SceneOverlap(List.of(), 0);

  /**
   * Two scenes.
   *
   * @param one and {@code other}: their identifiers
   * @param amps what they draw at most (A)
   */
  public record Pair(String one, String other, String names, double amps) {
    /** Returns whether it is that of two scenes, in either order. */
    public boolean of(String scene, String second) {
      return one.equals(scene) && other.equals(second) || one.equals(second) && other.equals(scene);
    }
  }

  public SceneOverlap {
    pairs = List.copyOf(pairs);
  }

  /**
   * What a scene draws on a target, at most (A).
   *
   * @param frames negative where it has none
   */
  private record Lit(double frames, double values) {
    double amps() {
      return Math.max(0, frames) + values;
    }

    double with(Lit other) {
      boolean mixed = frames >= 0 && other.frames >= 0;
      return mixed ? Math.max(amps(), other.amps()) : amps() + other.amps();
    }
  }

  /**
   * Works them out.
   *
   * @param darkAmps what the dark gadget draws (A)
   * @param mostAmps that a limiter lets through; infinite without one (A)
   */
  public static SceneOverlap of(CueTable table, double darkAmps, double mostAmps) {
    List<SceneTable> scenes =
        table.rows().stream()
            .filter(row -> row.scene() >= 0)
            .map(row -> table.scenes().get(row.scene()))
            .distinct()
            .toList();
    Lit[][] lit = new Lit[scenes.size()][table.targets().size()];
    for (int s = 0; s < lit.length; s++) {
      for (int t = 0; t < lit[s].length; t++) {
        lit[s][t] = lit(table, scenes.get(s), t);
      }
    }
    List<Pair> pairs = new ArrayList<>();
    for (int a = 0; a < lit.length; a++) {
      for (int b = a + 1; b < lit.length; b++) {
        double amps = darkAmps;
        for (int t = 0; t < lit[a].length; t++) {
          amps += lit[a][t].with(lit[b][t]);
        }
        pairs.add(
            new Pair(
                scenes.get(a).scene().id(),
                scenes.get(b).scene().id(),
                scenes.get(a).scene().name() + " and " + scenes.get(b).scene().name(),
                Math.min(amps, mostAmps)));
      }
    }
    pairs.sort(Comparator.comparingDouble(Pair::amps).reversed());
    return new SceneOverlap(pairs, Math.min(together(lit, darkAmps), mostAmps));
  }

  /** One upon the other, all of them. */
  private static double together(Lit[][] lit, double darkAmps) {
    double amps = darkAmps;
    for (int t = 0; lit.length > 0 && t < lit[0].length; t++) {
      double frames = 0;
      double values = 0;
      for (Lit[] scene : lit) {
        frames = Math.max(frames, scene[t].frames);
        values += scene[t].values;
      }
      amps += frames + values;
    }
    return amps;
  }

  private static Lit lit(CueTable table, SceneTable scene, int t) {
    ClipLevels clip = scene.clips()[t];
    double frames =
        clip == null ? -1 : clip.sums().stream().mapToDouble(clip.plan()::litAmps).max().orElse(0);
    Target target = table.targets().get(t);
    double values =
        scene.readouts().stream()
            .filter(readout -> readout.target() == t)
            .mapToDouble(r -> r.amps(table.wiring().plans(), target.circuit(), target.stretch()))
            .sum();
    return clip != null && clip.clip().seeThrough()
        ? new Lit(-1, frames + values) // both are lit where it is dark
        : new Lit(frames, values);
  }
}
