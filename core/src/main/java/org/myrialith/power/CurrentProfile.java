package org.myrialith.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Limiter;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;

/**
 * The current over a show, worked out in one walk through its moments.
 *
 * @param asked currents of the listed moments before any limiter (A)
 * @param sent the same after it: of the levels that go down the wires (A)
 * @param overBudget moments that ask for more than the budget
 * @param meanAmps as sent, weighted by time
 * @param peakOfFrames highest current sent while a frame shows (A), by clip and frame
 */
public record CurrentProfile(
    double[] asked,
    double[] sent,
    Peak peakAsked,
    Peak peakSent,
    long overBudget,
    double meanAmps,
    List<double[]> peakOfFrames) {

  /**
   * A moment that draws much.
   *
   * @param index of the moment, -1 for none
   * @param sums of the levels, by circuit and group; empty when all are dark
   * @param sharedAmps how much less it is as lights share what lets their row through (A)
   * @param frames of the clips; empty when it is a bound and no moment of its own
   */
  public record Peak(
      long index,
      long startMillis,
      double amps,
      List<long[]> sums,
      double sharedAmps,
      List<Integer> frames) {
    static final Peak NONE = new Peak(-1, 0, -1, List.of(), 0, List.of());

    /** Returns the sums of a circuit's levels by group. */
    long[] sums(int circuit, int groups) {
      return sums.isEmpty() ? new long[groups] : sums.get(circuit).clone();
    }
  }

  static CurrentProfile of(
      Load load, Show show, List<ClipLevels> clips, Optional<Limiter> limiter, double budgetAmps) {
    Walk walk = new Walk(load, show, clips, limiter, budgetAmps);
    show.walk(walk);
    return show.whole() ? walk.result() : walk.bound();
  }

  /** Returns the current of a moment by its frames, as it is sent (A). */
  public double at(PowerPlan power, long index, long start, int[] frames) {
    return index < sent.length
        ? sent[(int) index]
        : at(power.load(), power.levels(), power.limiter(), index, start, frames).amps();
  }

  /** Returns a moment by its frames, as it is sent. */
  public Peak at(
      Load load,
      List<ClipLevels> clips,
      Optional<Limiter> limiter,
      long index,
      long start,
      int[] frames) {
    long[][] sums = TransmittedFrames.sums(load.wiring(), clips, frames);
    long[][] sent = limiter.map(l -> l.sent(sums)).orElse(sums);
    return peak(load, index, start, frames, sent, shared(clips, frames));
  }

  /** How much less is drawn than by sums of levels, as lights share what lets rows through (A). */
  private static double shared(List<ClipLevels> clips, int[] frames) {
    double all = 0;
    for (int c = 0; c < frames.length; c++) {
      all += clips.get(c).shared().get(frames[c]);
    }
    return all;
  }

  private static Peak peak(
      Load load, long index, long start, int[] frames, long[][] sums, double shared) {
    List<Integer> shown = Arrays.stream(frames).boxed().toList();
    return new Peak(
        index,
        start,
        load.amps(sums) - shared,
        Arrays.stream(sums).map(long[]::clone).toList(),
        shared,
        shown);
  }

  /** Mutable, lives within one walk. */
  private static final class Walk implements Show.Visitor {
    private final Load load;
    private final Show show;
    private final List<ClipLevels> clips;
    private final Optional<Limiter> limiter;
    private final double budget;
    private final double[] asked;
    private final double[] sent;
    private final List<double[]> ofFrames = new ArrayList<>();
    private Peak mostAsked = Peak.NONE;
    private Peak mostSent = Peak.NONE;
    private long over;
    private double charge;

    Walk(Load load, Show show, List<ClipLevels> clips, Optional<Limiter> limiter, double budget) {
      this.load = load;
      this.show = show;
      this.clips = clips;
      this.limiter = limiter;
      this.budget = budget;
      this.asked = new double[show.moments().size()];
      this.sent = new double[asked.length];
      clips.forEach(c -> ofFrames.add(new double[c.perFrame().size()]));
    }

    @Override
    public void moment(long index, long start, int hold, int[] frames) {
      long[][] sums = TransmittedFrames.sums(load.wiring(), clips, frames);
      double shared = shared(clips, frames);
      double asks = load.amps(sums) - shared;
      long[][] goes = limiter.map(l -> l.sent(sums)).orElse(sums);
      double draws = goes == sums ? asks : load.amps(goes) - shared;
      if (index < asked.length) {
        asked[(int) index] = asks;
        sent[(int) index] = draws;
      }
      if (asks > mostAsked.amps()) {
        mostAsked = peak(load, index, start, frames, sums, shared);
      }
      if (draws > mostSent.amps()) {
        mostSent = peak(load, index, start, frames, goes, shared);
      }
      over += asks > budget + 1e-12 ? 1 : 0;
      charge += draws * hold;
      for (int c = 0; c < frames.length; c++) {
        ofFrames.get(c)[frames[c]] = Math.max(ofFrames.get(c)[frames[c]], draws);
      }
    }

    CurrentProfile result() {
      if (show.count() == 0) {
        Peak dark = new Peak(-1, 0, load.darkAmps(), List.of(), 0, List.of());
        return new CurrentProfile(asked, sent, dark, dark, 0, load.darkAmps(), ofFrames);
      }
      double mean = charge / show.lengthMillis();
      return new CurrentProfile(asked, sent, mostAsked, mostSent, over, mean, ofFrames);
    }

    /** Too many moments to walk through: every clip at its brightest at once, means by clip. */
    CurrentProfile bound() {
      int[] brightest = new int[clips.size()];
      double mean = load.darkAmps();
      for (int c = 0; c < brightest.length; c++) {
        ClipLevels clip = clips.get(c);
        double own = 0;
        for (int f = 0; f < clip.sums().size(); f++) {
          if (lit(clip, f) > lit(clip, brightest[c])) {
            brightest[c] = f;
          }
          Frame frame = clip.clip().frames().get(f);
          own += lit(clip, f) * frame.holdMillis();
        }
        mean += own / clip.clip().lengthMillis();
      }
      long[][] sums = TransmittedFrames.sums(load.wiring(), clips, brightest);
      double shared = shared(clips, brightest);
      long[][] limited = limiter.map(l -> l.sent(sums)).orElse(sums);
      Peak asks = bare(peak(load, 0, 0, brightest, sums, shared));
      Peak goes = bare(peak(load, 0, 0, brightest, limited, shared));
      return new CurrentProfile(
          asked, sent, asks, goes, asks.amps() > budget ? Math.max(1, over) : 0, mean, ofFrames);
    }

    private static double lit(ClipLevels clip, int frame) {
      return clip.plan().litAmps(clip.sums().get(frame)) - clip.shared().get(frame);
    }

    private static Peak bare(Peak peak) {
      return new Peak(0, 0, peak.amps(), peak.sums(), peak.sharedAmps(), List.of());
    }
  }
}
