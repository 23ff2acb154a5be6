package org.myrialith.frames;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.colour.Levels;

/**
 * What goes down the wires, moment by moment: clips laid into their circuits, then limited.
 *
 * @param clips in the order of the show's clips
 */
public record TransmittedFrames(
    Wiring wiring, Show show, List<ClipLevels> clips, Optional<Limiter> limiter) {
  /** Returns the sums that are asked for by circuit and group, for the frames of a moment. */
  public static long[][] sums(Wiring wiring, List<ClipLevels> clips, int[] frames) {
    long[][] sums = new long[wiring.plans().size()][];
    for (int c = 0; c < sums.length; c++) {
      sums[c] = new long[wiring.plans().get(c).groups()];
    }
    for (int k = 0; k < frames.length; k++) {
      long[] into = sums[clips.get(k).circuit()];
      long[] own = clips.get(k).sums().get(frames[k]);
      for (int position = 0; position < own.length; position++) {
        into[position] += own[position];
      }
    }
    return sums;
  }

  /** Returns the limiter's factor in 65536ths for the frames of a moment. */
  public int factor(int[] frames) {
    return limiter
        .map(l -> l.factor(l.weighted(sums(wiring, clips, frames))))
        .orElse(Limiter.WHOLE);
  }

  private static int[] frames(Show.Moment moment) {
    return moment.frames().stream().mapToInt(Integer::intValue).toArray();
  }

  /** Returns the levels of each circuit in a listed moment, in the order of its wire. */
  public List<Levels> levels(int moment) {
    int[] frames = frames(show.moments().get(moment));
    int factor = factor(frames);
    return IntStream.range(0, wiring.plans().size())
        .mapToObj(circuit -> levels(circuit, frames, factor))
        .toList();
  }

  /** Returns those of one circuit, by its position. */
  public Levels levels(int moment, int circuit) {
    int[] frames = frames(show.moments().get(moment));
    return levels(circuit, frames, factor(frames));
  }

  private Levels levels(int circuit, int[] frames, int factor) {
    CircuitPlan plan = wiring.plans().get(circuit);
    int[] wire = new int[plan.channels()];
    for (int k = 0; k < frames.length; k++) {
      ClipLevels clip = clips.get(k);
      if (clip.circuit() == circuit) {
        Levels own = clip.perFrame().get(frames[k]);
        int first = clip.stretch().firstChannel();
        for (int i = 0; i < own.size(); i++) {
          wire[first + i] = own.at(i);
        }
      }
    }
    Levels composed = Levels.of(plan.levelBits(), wire);
    return plan.limited()
        ? Limiter.scaled(composed, factor, plan.groups(), plan.levelBits())
        : composed;
  }

  /** Returns the buffers of all circuits in a listed moment, one circuit after the other. */
  public byte[] bytes(int moment) {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    List<Levels> levels = levels(moment);
    for (int c = 0; c < levels.size(); c++) {
      all.writeBytes(wiring.plans().get(c).buffer(levels.get(c)));
    }
    return all.toByteArray();
  }
}
