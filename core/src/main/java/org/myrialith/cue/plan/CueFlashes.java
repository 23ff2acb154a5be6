package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.engine.SeenLight;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.flash.FlashCheck;
import org.myrialith.frames.flash.ViewingDistance;

/**
 * Whether scenes flash, and whether cues make them flash by taking turns, by the rule of {@link
 * FlashCheck}.
 *
 * @param lit all that is ever lit
 */
record CueFlashes(CueTable table, List<ClipLevels> lit, ViewingDistance from) {
  /** As long as nobody touches anything (ms). */
  private static final int WATCHED_MILLIS = 8000;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    for (SceneTable scene : table.scenes()) {
      double share = 0;
      for (ClipLevels clip : scene.clips()) {
        share = Math.max(share, clip == null ? 0 : unsafe(FlashCheck.of(clip, from)));
      }
      if (share > 0) {
        all.add(flashing("flashes-" + scene.scene().id(), scene.scene().name(), share, from));
      }
    }
    if (all.isEmpty()) {
      double share = watched();
      if (share > 0) {
        all.add(flashing("flashes-cues", "The cues' show without any input", share, from));
      }
    }
    return all;
  }

  private static double unsafe(FlashCheck check) {
    return check.safe() ? 0 : check.flashingShare();
  }

  private double watched() {
    CueEngine engine = new CueEngine(table);
    SeenLight seen = new SeenLight(table, lit, from);
    seen.note(engine);
    engine.untouched(WATCHED_MILLIS, () -> seen.note(engine));
    return seen.flashing();
  }

  /** Tells of flashes. */
  static Finding flashing(String key, String what, double share, ViewingDistance from) {
    return Finding.of(
            Harm.PERSON,
            Step.CUES,
            key,
            Verdict.TIGHT,
            phrase(
                "%s: more than three flashes in a second over %s of a 10° field of view %s. The limit is 25 %%; more can bring on seizures.",
                what, Quantity.text(share * 100, "%"), from.says()))
        .advising("Let scenes last longer or fade in, or soften changes of brightness and of red.")
        .restingOn(new FlashCheck(share, 0).calculations(key, from).get(0));
  }
}
