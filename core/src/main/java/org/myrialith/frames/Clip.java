package org.myrialith.frames;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Frames on one fixture, all of one size. Immutable.
 *
 * @param fixture identifier of the fixture it plays on
 * @param seeThrough whether its dark pixels show what lies beneath, where its scene comes over
 *     another
 * @param frames at least one
 */
@RecordBuilder
public record Clip(String id, String name, String fixture, boolean seeThrough, List<Frame> frames) {
  /** Most frames of a clip. */
  public static final int MOST_FRAMES = 2000;

  /** How it stands in the format. */
  public static final Description<Clip> DESCRIPTION =
      Description.of(
          Clip.class,
          Field.id("id"),
          Field.named("name", "Name"),
          Field.words("fixture", "Fixture", Types.Words.Rule.ANY)
              .explained("the fixture it plays on; one clip a fixture"),
          Field.flag("seeThrough", "Dark pixels", "are dark", "transparent: show what lies beneath")
              .or(false),
          Field.rows("frames", "Frames", Frame.DESCRIPTION, 1, MOST_FRAMES));

  public Clip {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    TextRules.id("fixture", fixture);
    frames = List.copyOf(frames);
    if (frames.isEmpty() || frames.size() > MOST_FRAMES) {
      throw new InputException(
          "frames", frames.size() + " frames", "1 to " + MOST_FRAMES + " frames");
    }
    Picture first = frames.get(0).picture();
    for (int i = 1; i < frames.size(); i++) {
      Picture picture = frames.get(i).picture();
      if (picture.columns() != first.columns() || picture.rows() != first.rows()) {
        throw new InputException(
            "frames[" + i + "].picture",
            picture.columns() + " × " + picture.rows(),
            "the size of the first, " + first.columns() + " × " + first.rows());
      }
    }
  }

  /** A clip whose dark pixels are dark. */
  public Clip(String id, String name, String fixture, List<Frame> frames) {
    this(id, name, fixture, false, frames);
  }

  /** Returns the clip with dark pixels that show what lies beneath, or are dark. */
  public Clip seeingThrough(boolean through) {
    return ClipBuilder.builder(this).seeThrough(through).build();
  }

  /** Returns the time the clip takes (ms). */
  public long lengthMillis() {
    return frames.stream().mapToLong(Frame::holdMillis).sum();
  }

  /** Returns the clip with other frames. */
  public Clip withFrames(List<Frame> newFrames) {
    return ClipBuilder.builder(this).frames(newFrames).build();
  }

  private Clip edited(UnaryOperator<List<Frame>> edit) {
    return withFrames(edit.apply(new ArrayList<>(frames)));
  }

  private void requireFrame(int at) {
    if (at < 0 || at >= frames.size()) {
      throw new InputException("frame", at + 1, "a whole number from 1 to " + frames.size());
    }
  }

  /** Returns the clip with one frame replaced. */
  public Clip withFrame(int at, Frame frame) {
    requireFrame(at);
    return edited(
        list -> {
          list.set(at, frame);
          return list;
        });
  }

  /** Returns the clip with a frame put in behind frame {@code at}. */
  public Clip withFrameBehind(int at, Frame frame) {
    requireFrame(at);
    return edited(
        list -> {
          list.add(at + 1, frame);
          return list;
        });
  }

  /**
   * Returns the clip without one frame.
   *
   * @throws InputException if it is the only one
   */
  public Clip withoutFrame(int at) {
    requireFrame(at);
    return edited(
        list -> {
          list.remove(at);
          return list;
        });
  }

  /** Returns the clip with frame {@code at} moved to place {@code to}. */
  public Clip withFrameMoved(int at, int to) {
    requireFrame(at);
    requireFrame(to);
    return edited(
        list -> {
          list.add(to, list.remove(at));
          return list;
        });
  }

  /**
   * Returns the clip with one frame split in two of the same picture, the first half held no
   * shorter.
   *
   * @throws InputException if the halves would be held too short
   */
  public Clip withFrameSplit(int at) {
    requireFrame(at);
    Frame whole = frames.get(at);
    int second = whole.holdMillis() / 2;
    if (!Frame.HOLD.allow(second)) {
      throw new InputException("holdMillis", whole.holdMillis(), "2 ms or more to be split");
    }
    return edited(
        list -> {
          list.set(at, new Frame(whole.picture(), whole.holdMillis() - second));
          list.add(at + 1, new Frame(whole.picture(), second));
          return list;
        });
  }
}
