package org.myrialith.play;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.colour.Levels;
import org.myrialith.drive.Stretch;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.FlashCheck;

/**
 * Whether scenes flash, and whether cues make them flash by taking turns, by the rule of {@link
 * FlashCheck}.
 *
 * @param lit all that is ever lit
 */
record CueFlashes(CueTable table, List<ClipLevels> lit) {
  /** As long as nobody touches anything (ms). */
  private static final int WATCHED_MILLIS = 8000;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    for (SceneTable scene : table.scenes()) {
      double share = 0;
      for (ClipLevels clip : scene.clips()) {
        share = Math.max(share, clip == null ? 0 : unsafe(FlashCheck.of(clip)));
      }
      if (share > 0) {
        all.add(flashing("flashes-" + scene.scene().id(), scene.scene().name(), share));
      }
    }
    if (all.isEmpty()) {
      double share = watched();
      if (share > 0) {
        all.add(
            flashing("flashes-cues", "What the cues show while nobody touches anything", share));
      }
    }
    return all;
  }

  private static double unsafe(FlashCheck check) {
    return check.safe() ? 0 : check.flashingShare();
  }

  /** What is seen on a stretch, from when on. */
  private record Seen(ClipLevels like, List<Levels> levels, List<Integer> starts) {}

  private double watched() {
    CueEngine engine = new CueEngine(table);
    Map<Integer, Seen> seen = new LinkedHashMap<>();
    for (int t = 0; t < table.targets().size(); t++) {
      int target = t;
      like(table.targets().get(t))
          .ifPresent(
              like -> seen.put(target, new Seen(like, new ArrayList<>(), new ArrayList<>())));
    }
    note(engine, seen);
    engine.untouched(WATCHED_MILLIS, () -> note(engine, seen));
    return seen.values().stream()
        .mapToDouble(one -> unsafe(FlashCheck.of(one.like, one.levels, one.starts)))
        .max()
        .orElse(0);
  }

  private Optional<ClipLevels> like(Target target) {
    return lit.stream().filter(clip -> target.is(clip.circuit(), clip.stretch())).findFirst();
  }

  private void note(CueEngine engine, Map<Integer, Seen> seen) {
    List<Levels> sent = engine.levels();
    seen.forEach(
        (target, one) -> {
          Stretch stretch = one.like.stretch();
          Levels wire = sent.get(one.like.circuit());
          int[] levels = new int[stretch.channels()];
          for (int i = 0; i < levels.length; i++) {
            levels[i] = wire.at(stretch.firstChannel() + i);
          }
          Levels own = Levels.of(one.like.plan().levelBits(), levels);
          int last = one.levels.size() - 1;
          if (last < 0 || !one.levels.get(last).equals(own)) {
            one.levels.add(own);
            one.starts.add(engine.nowMillis());
          }
        });
  }

  private static Finding flashing(String key, String what, double share) {
    return Finding.of(
            Step.CUES,
            key,
            Verdict.TIGHT,
            phrase(
                "%s: more than three flashes in a second over %s of the emitters of a fixture. That can bring on seizures.",
                what, Quantity.text(share * 100, "%")))
        .advising(
            "Let scenes stay longer or come softly, or soften changes of brightness and of red.")
        .restingOn(new FlashCheck(share).reckoning(key));
  }
}
