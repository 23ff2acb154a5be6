package org.myrialith.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.colour.LevelTable;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Show;

/**
 * The peak of a show under other level tables. Pictures are counted once by how often they have
 * each asked value; a table then costs a multiplication for each value that occurs, however large
 * the picture is.
 */
public final class BrightnessTrial {
  private final Load load;
  private final Show show;
  private final List<ClipLevels> clips;
  private final List<List<List<Asked>>> histograms = new ArrayList<>();

  public BrightnessTrial(Load load, Show show, List<ClipLevels> clips) {
    this.load = load;
    this.show = show;
    this.clips = clips;
    for (ClipLevels clip : clips) {
      if (!clip.plan().dims()) {
        histograms.add(List.of());
        continue;
      }
      Map<String, List<Asked>> known = new HashMap<>();
      List<List<Asked>> perFrame = new ArrayList<>();
      for (Frame frame : clip.clip().frames()) {
        perFrame.add(
            known.computeIfAbsent(
                frame.picture().hash(), hash -> Asked.of(clip.histogram(frame.picture()))));
      }
      histograms.add(perFrame);
    }
  }

  /** Returns the highest current of any moment (A). */
  double peakAmps(LevelTable table) {
    double[][] lit = lit(table);
    return load.darkAmps() + (show.whole() ? peakOfMoments(lit) : peakOfClips(lit));
  }

  /** Returns the mean current over the show, before any limiter (A). */
  public double meanAmps(LevelTable table) {
    double[][] lit = lit(table);
    double mean = load.darkAmps();
    for (int c = 0; c < lit.length; c++) {
      List<Frame> frames = clips.get(c).clip().frames();
      double charge = 0;
      for (int f = 0; f < lit[c].length; f++) {
        charge += lit[c][f] * frames.get(f).holdMillis();
      }
      mean += charge / clips.get(c).clip().lengthMillis();
    }
    return mean;
  }

  private double[][] lit(LevelTable table) {
    double[][] lit = new double[clips.size()][];
    for (int c = 0; c < lit.length; c++) {
      ClipLevels clip = clips.get(c);
      if (!clip.plan().dims()) {
        lit[c] = clip.sums().stream().mapToDouble(clip.plan()::litAmps).toArray();
        continue;
      }
      LevelTable own = LevelTable.of(table.settings(), clip.plan().levelBits());
      List<List<Asked>> frames = histograms.get(c);
      lit[c] = new double[frames.size()];
      for (int f = 0; f < lit[c].length; f++) {
        lit[c][f] = clip.plan().litAmps(sums(frames.get(f), own));
      }
    }
    return lit;
  }

  private static long[] sums(List<Asked> positions, LevelTable table) {
    return positions.stream().mapToLong(asked -> asked.sum(table)).toArray();
  }

  private double peakOfMoments(double[][] lit) {
    double[] peak = new double[1];
    show.walk(
        (index, start, hold, frames) -> {
          double sum = 0;
          for (int c = 0; c < lit.length; c++) {
            sum += lit[c][frames[c]];
          }
          peak[0] = Math.max(peak[0], sum);
        });
    return peak[0];
  }

  private static double peakOfClips(double[][] lit) {
    double sum = 0;
    for (double[] clip : lit) {
      double most = 0;
      for (double frame : clip) {
        most = Math.max(most, frame);
      }
      sum += most;
    }
    return sum;
  }

  /** The values that one position of a picture asks for, and how often each. */
  private record Asked(int[] values, int[] counts) {
    static List<Asked> of(int[][] histogram) {
      return Arrays.stream(histogram).map(Asked::of).toList();
    }

    private static Asked of(int[] histogram) {
      int[] values = new int[histogram.length];
      int[] counts = new int[histogram.length];
      int different = 0;
      for (int value = 0; value < histogram.length; value++) {
        if (histogram[value] != 0) {
          values[different] = value;
          counts[different++] = histogram[value];
        }
      }
      return new Asked(Arrays.copyOf(values, different), Arrays.copyOf(counts, different));
    }

    long sum(LevelTable table) {
      long sum = 0;
      for (int i = 0; i < values.length; i++) {
        sum += (long) counts[i] * table.level(values[i]);
      }
      return sum;
    }
  }
}
