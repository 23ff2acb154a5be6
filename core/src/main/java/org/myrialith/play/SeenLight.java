package org.myrialith.play;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.myrialith.colour.Levels;
import org.myrialith.drive.Stretch;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.FlashCheck;

/** What is seen on all that lights up while an engine goes on. Mutable. */
final class SeenLight {
  /**
   * One stretch.
   *
   * @param starts from when on each of its levels is seen (ms)
   */
  private record Seen(ClipLevels like, List<Levels> levels, List<Integer> starts) {
    void note(Levels wire, int millis) {
      Stretch stretch = like.stretch();
      Levels own =
          Levels.of(
              like.plan().levelBits(),
              IntStream.range(0, stretch.channels())
                  .map(i -> wire.at(stretch.firstChannel() + i))
                  .toArray());
      int last = levels.size() - 1;
      if (last < 0 || !levels.get(last).equals(own)) {
        levels.add(own);
        starts.add(millis);
      }
    }

    double flashing() {
      FlashCheck check = FlashCheck.of(like, levels, starts);
      return check.safe() ? 0 : check.flashingShare();
    }
  }

  private final List<Seen> all;

  /**
   * Nothing is seen yet.
   *
   * @param lit all that is ever lit
   */
  SeenLight(CueTable table, List<ClipLevels> lit) {
    all =
        table.targets().stream()
            .flatMap(
                target ->
                    lit.stream()
                        .filter(clip -> target.is(clip.circuit(), clip.stretch()))
                        .findFirst()
                        .stream())
            .map(like -> new Seen(like, new ArrayList<>(), new ArrayList<>()))
            .toList();
  }

  /** Looks at what is sent now. */
  void note(CueEngine engine) {
    List<Levels> sent = engine.levels();
    all.forEach(one -> one.note(sent.get(one.like.circuit()), engine.nowMillis()));
  }

  /** Returns the most emitters of a fixture that flashed too often; 0 where that is safe. */
  double flashing() {
    return all.stream().mapToDouble(Seen::flashing).max().orElse(0);
  }
}
