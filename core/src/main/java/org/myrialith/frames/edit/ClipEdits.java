package org.myrialith.frames.edit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/** What is done to whole clips: their tempo, their light, ways from one frame to the next. */
public record ClipEdits(Clip clip) {
  /** Allowed tempos. */
  public static final Bounds TEMPO = Bounds.measure(1, 10_000, "%");

  /** Allowed lightness. */
  public static final Bounds LIGHT = Bounds.measure(0, 100, "%");

  /** Allowed frames between two. */
  public static final Bounds BETWEEN = Bounds.count(1, 240, "frames");

  /**
   * Returns it played faster or slower: no frame is lost, and rounding to whole milliseconds does
   * not add up.
   *
   * @param percent of its tempo; 200 takes half as long
   * @throws InputException if a frame would be held too short or too long
   */
  public Clip tempo(double percent) {
    TEMPO.require("tempo", percent);
    List<Frame> frames = new ArrayList<>();
    double end = 0;
    long before = 0;
    for (int i = 0; i < clip.frames().size(); i++) {
      Frame frame = clip.frames().get(i);
      end += frame.holdMillis() * 100 / percent;
      long now = Math.round(end);
      if (!Frame.HOLD.allow(now - before)) {
        throw new InputException(
            "tempo",
            percent,
            "a tempo that holds frame "
                + (i + 1)
                + " for "
                + Frame.HOLD.allowed()
                + "; it would be "
                + (now - before)
                + " ms");
      }
      frames.add(new Frame(frame.picture(), (int) (now - before)));
      before = now;
    }
    return clip.withFrames(frames);
  }

  /**
   * Returns every second frame of it, each held as long as both were; empty where that would be too
   * long, or it has but one.
   */
  public Optional<Clip> halved() {
    List<Frame> frames = new ArrayList<>();
    for (int i = 0; i < clip.frames().size(); i += 2) {
      Frame one = clip.frames().get(i);
      int more = i + 1 < clip.frames().size() ? clip.frames().get(i + 1).holdMillis() : 0;
      if (!Frame.HOLD.allow(one.holdMillis() + more)) {
        return Optional.empty();
      }
      frames.add(new Frame(one.picture(), one.holdMillis() + more));
    }
    return clip.frames().size() < 2 ? Optional.empty() : Optional.of(clip.withFrames(frames));
  }

  /** Returns it there and back: the frames between the ends once more, the last first. */
  public Clip thereAndBack() {
    List<Frame> frames = new ArrayList<>(clip.frames());
    if (frames.size() > 2) {
      List<Frame> back = new ArrayList<>(frames.subList(1, frames.size() - 1));
      Collections.reverse(back);
      frames.addAll(back);
    }
    return clip.withFrames(frames);
  }

  /** Returns it backwards. */
  public Clip backwards() {
    List<Frame> frames = new ArrayList<>(clip.frames());
    Collections.reverse(frames);
    return clip.withFrames(frames);
  }

  /**
   * Returns it darker: every value by a share of its lightness.
   *
   * @param frame that is darkened, -1 for all
   * @param percent of the lightness that is left (%)
   */
  public Clip darker(int frame, double percent) {
    LIGHT.require("light", percent);
    List<Frame> frames = new ArrayList<>(clip.frames());
    for (int i = 0; i < frames.size(); i++) {
      if (frame < 0 || frame == i) {
        Picture picture = frames.get(i).picture();
        Picture dark = Picture.dark(picture.columns(), picture.rows());
        frames.set(
            i,
            new Frame(
                PerceivedShade.each(picture, dark, 1 - percent / 100), frames.get(i).holdMillis()));
      }
    }
    return clip.withFrames(frames);
  }

  /**
   * Returns it with frames between one and the next, behind the last the first, in steps that look
   * alike. They share the time of the frame that they come from.
   *
   * @param count of them
   * @throws InputException if the frame is held too short to be shared
   */
  public Clip easedFrom(int frame, int count) {
    BETWEEN.require("between", count);
    if (frame < 0 || frame >= clip.frames().size()) {
      throw new InputException("frame", frame + 1, "1 to " + clip.frames().size());
    }
    Frame from = clip.frames().get(frame);
    Frame to = clip.frames().get((frame + 1) % clip.frames().size());
    int parts = count + 1;
    if (from.holdMillis() < parts) {
      throw new InputException(
          "between", count, "at most " + (from.holdMillis() - 1) + ", a millisecond each");
    }
    List<Frame> frames = new ArrayList<>(clip.frames());
    frames.remove(frame);
    for (int step = 0; step < parts; step++) {
      int hold = from.holdMillis() * (step + 1) / parts - from.holdMillis() * step / parts;
      Picture picture = PerceivedShade.each(from.picture(), to.picture(), (double) step / parts);
      frames.add(frame + step, new Frame(picture, hold));
    }
    return clip.withFrames(frames);
  }
}
