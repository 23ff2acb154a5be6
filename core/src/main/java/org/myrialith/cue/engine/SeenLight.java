package org.myrialith.cue.engine;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.colour.Levels;
import org.myrialith.cue.table.CueTable;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.flash.FlashCheck;
import org.myrialith.frames.flash.ViewingDistance;

/** What is seen on all that lights up while an engine goes on. Mutable. */
public final class SeenLight {
  /**
   * One stretch.
   *
   * @param starts from when on each of its levels is seen (ms)
   */
  private record Seen(ClipLevels like, List<Levels> levels, List<Integer> starts) {
    void note(Levels wire, int millis) {
      ChannelRange stretch = like.stretch();
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

    double flashing(ViewingDistance from) {
      FlashCheck check = FlashCheck.of(like, levels, starts, from);
      return check.safe() ? 0 : check.flashingShare();
    }
  }

  private final List<Seen> all;
  private final ViewingDistance from;

  /**
   * Nothing is seen yet.
   *
   * @param lit all that is ever lit
   * @param from where it is seen from
   */
  public SeenLight(CueTable table, List<ClipLevels> lit, ViewingDistance from) {
    this.from = from;
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
  public void note(CueEngine engine) {
    List<Levels> sent = engine.levels();
    all.forEach(one -> one.note(sent.get(one.like.circuit()), engine.nowMillis()));
  }

  /**
   * Returns the largest area that flashed too often, as a share of a field of 10 degrees; 0 where
   * that is safe.
   */
  public double flashing() {
    return all.stream().mapToDouble(one -> one.flashing(from)).max().orElse(0);
  }
}
