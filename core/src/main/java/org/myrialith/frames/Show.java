package org.myrialith.frames;

import java.util.AbstractList;
import java.util.Arrays;
import java.util.List;
import java.util.RandomAccess;

/**
 * All clips together, over one turn of the longest. Immutable.
 *
 * <p>Every instant at which a clip changes begins a moment. A short show has its moments in a list;
 * a long one is walked through, moment after moment, without listing them.
 */
public final class Show {
  /** Most moments that are listed. */
  public static final int MOST_LISTED = 20_000;

  /** Most moments that are walked through; a longer show is judged by its clips. */
  public static final int MOST_WALKED = 2_000_000;

  private final List<Clip> clips;
  private final int[][] holds;
  private final long lengthMillis;
  private final long count;
  private final boolean whole;
  private final List<Moment> moments;

  /**
   * A stretch of time in which nothing changes.
   *
   * @param startMillis from the start of the show
   * @param frames index of the frame each clip shows, in the order of the clips
   */
  public record Moment(long startMillis, int holdMillis, List<Integer> frames) {
    public Moment {
      frames = List.copyOf(frames);
    }
  }

  /** Sees one moment after the other. */
  @FunctionalInterface
  public interface Visitor {
    /**
     * Sees a moment.
     *
     * @param index from 0
     * @param frames of each clip; the same array every time, to be read at once
     */
    void moment(long index, long startMillis, int holdMillis, int[] frames);
  }

  private Show(List<Clip> clips) {
    this.clips = List.copyOf(clips);
    this.holds =
        clips.stream()
            .map(c -> c.frames().stream().mapToInt(Frame::holdMillis).toArray())
            .toArray(int[][]::new);
    this.lengthMillis = clips.stream().mapToLong(Clip::lengthMillis).max().orElse(0);
    MomentList listed = new MomentList(clips.size());
    long[] seen = new long[2];
    walk(
        (index, start, hold, frames) -> {
          seen[0] = index + 1;
          seen[1] = start + hold;
          if (index < MOST_LISTED) {
            listed.add(start, hold, frames);
          }
        });
    this.count = seen[0];
    this.whole = seen[1] >= lengthMillis;
    this.moments = listed;
  }

  /** Works the show out. */
  public static Show of(List<Clip> clips) {
    return new Show(clips);
  }

  /** Returns the clips that play. */
  public List<Clip> clips() {
    return clips;
  }

  /** Returns the moments in time order, the first {@link #MOST_LISTED} of a long show. */
  public List<Moment> moments() {
    return moments;
  }

  /** Returns the time of one turn (ms). */
  public long lengthMillis() {
    return lengthMillis;
  }

  /** Returns the number of moments, as far as they were walked through. */
  public long count() {
    return count;
  }

  /** Returns whether all moments were walked through. */
  public boolean whole() {
    return whole;
  }

  /** Returns whether the list has all moments. */
  public boolean listed() {
    return whole && count == moments.size();
  }

  /** Walks through the moments, {@link #MOST_WALKED} at most. */
  public void walk(Visitor visitor) {
    int[] frames = new int[holds.length];
    int[] left = new int[holds.length];
    for (int c = 0; c < holds.length; c++) {
      left[c] = holds[c][0];
    }
    long now = 0;
    for (long index = 0; now < lengthMillis && index < MOST_WALKED; index++) {
      long hold = lengthMillis - now;
      for (int one : left) {
        hold = Math.min(hold, one);
      }
      visitor.moment(index, now, (int) hold, frames);
      for (int c = 0; c < holds.length; c++) {
        left[c] -= (int) hold;
        if (left[c] == 0) {
          frames[c] = frames[c] + 1 == holds[c].length ? 0 : frames[c] + 1;
          left[c] = holds[c][frames[c]];
        }
      }
      now += hold;
    }
  }

  /** Moments in plain arrays: boxed ones would take ten times the memory. */
  private static final class MomentList extends AbstractList<Moment> implements RandomAccess {
    private final int clips;
    private long[] starts = new long[16];
    private int[] lengths = new int[16];
    private char[] frames;
    private int size;

    MomentList(int clips) {
      this.clips = clips;
      this.frames = new char[16 * clips];
    }

    private void add(long start, int hold, int[] shown) {
      if (size == starts.length) {
        starts = Arrays.copyOf(starts, 2 * size);
        lengths = Arrays.copyOf(lengths, 2 * size);
        frames = Arrays.copyOf(frames, 2 * size * clips);
      }
      starts[size] = start;
      lengths[size] = hold;
      for (int c = 0; c < clips; c++) {
        frames[size * clips + c] = (char) shown[c];
      }
      size++;
    }

    @Override
    public Moment get(int index) {
      java.util.Objects.checkIndex(index, size);
      Integer[] shown = new Integer[clips];
      for (int c = 0; c < clips; c++) {
        shown[c] = (int) frames[index * clips + c];
      }
      return new Moment(starts[index], lengths[index], Arrays.asList(shown));
    }

    @Override
    public int size() {
      return size;
    }
  }
}
