package org.myrialith.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * All clips together, over one turn of the longest.
 *
 * @param clips that play
 * @param moments in time order; empty when there are no clips
 * @param whole whether the moments reach the end of the longest clip
 */
public record Show(List<Clip> clips, List<Moment> moments, boolean whole) {
  /** Most moments worked out; a longer show is judged as far as this and says so. */
  public static final int MOST_MOMENTS = 20_000;

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

  /** Works the show out. */
  public static Show of(List<Clip> clips) {
    long end = clips.stream().mapToLong(Clip::lengthMillis).max().orElse(0);
    Hand[] hands = clips.stream().map(Hand::new).toArray(Hand[]::new);
    List<Moment> moments = new ArrayList<>();
    long now = 0;
    while (now < end && moments.size() < MOST_MOMENTS) {
      long hold = end - now;
      List<Integer> frames = new ArrayList<>(hands.length);
      for (Hand hand : hands) {
        hold = Math.min(hold, hand.left);
        frames.add(hand.frame);
      }
      moments.add(new Moment(now, (int) hold, frames));
      for (Hand hand : hands) {
        hand.pass(hold);
      }
      now += hold;
    }
    return new Show(List.copyOf(clips), List.copyOf(moments), now >= end);
  }

  /** Returns the time of one turn (ms), as far as it was worked out. */
  public long lengthMillis() {
    if (moments.isEmpty()) {
      return 0;
    }
    Moment last = moments.get(moments.size() - 1);
    return last.startMillis() + last.holdMillis();
  }

  /** Where a clip is in its own time. Mutable, lives within {@link #of}. */
  private static final class Hand {
    private final Clip clip;
    private int frame;
    private long left;

    Hand(Clip clip) {
      this.clip = Objects.requireNonNull(clip);
      this.left = clip.frames().get(0).holdMillis();
    }

    void pass(long millis) {
      left -= millis;
      if (left == 0) {
        frame = (frame + 1) % clip.frames().size();
        left = clip.frames().get(frame).holdMillis();
      }
    }
  }
}
