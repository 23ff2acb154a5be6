package org.myrialith.frames.file;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.myrialith.formats.ImageFile;
import org.myrialith.formats.ImageRefused;
import org.myrialith.formats.Raster;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;

/**
 * Frames made from an image file.
 *
 * @param frames at least one
 * @param notes what was changed on the way, in words
 */
public record ClipImport(List<Frame> frames, List<String> notes) {
  /** Hold of a picture that has no time of its own (ms). */
  public static final int STILL_MILLIS = 1000;

  /**
   * Delays of 0 and 1 hundredths in a GIF mean that nobody set one; such frames are held 100 ms, as
   * browsers do (common practice).
   */
  public static final int UNSET_MILLIS = 100;

  public ClipImport {
    frames = List.copyOf(frames);
    notes = List.copyOf(notes);
  }

  /**
   * Reads a GIF or PNG.
   *
   * @throws ImageRefused if the file can't be taken
   */
  public static ClipImport read(byte[] file, Fit fit, int columns, int rows) throws ImageRefused {
    return read(FrameGrid.ofImage(file, FrameGrid.Cut.NONE), fit, columns, rows);
  }

  /**
   * Reads pictures from wherever they come.
   *
   * @throws ImageRefused if they can't be taken
   */
  public static ClipImport read(FrameGrid shots, Fit fit, int columns, int rows)
      throws ImageRefused {
    return read(shots, image -> fit.apply(image, columns, rows));
  }

  /**
   * Reads pictures for a fixture.
   *
   * @throws ImageRefused if they can't be taken
   */
  public static ClipImport read(FrameGrid shots, Fit fit, Fixture fixture) throws ImageRefused {
    return read(shots, fit.onto(fixture));
  }

  private static ClipImport read(FrameGrid shots, Function<Raster, Picture> fit)
      throws ImageRefused {
    List<Frame> frames = new ArrayList<>();
    int[] changed = new int[2];
    ImageFile.Found found =
        shots.read(
            (raster, delay) -> {
              int hold = holdMillis(delay);
              changed[0] += delay == 0 ? 1 : 0;
              changed[1] += hold > Frame.HOLD.max() ? 1 : 0;
              frames.add(new Frame(fit.apply(raster), (int) Math.min(hold, Frame.HOLD.max())));
              return true;
            });
    List<String> notes = new ArrayList<>(found.notes());
    if (changed[0] > 0) {
      notes.add(phrase("%s no delay; held for %d ms.", frames(changed[0]), UNSET_MILLIS));
    }
    if (changed[1] > 0) {
      notes.add(phrase("%s a delay over 60 s; held for 60 s.", frames(changed[1])));
    }
    return new ClipImport(frames, notes);
  }

  private static String frames(int count) {
    return count == 1 ? "1 frame has" : count + " frames have";
  }

  /** Returns the hold (ms) for a stored delay (ms; 0 where none is set, -1 where there is none). */
  public static int holdMillis(int delayMillis) {
    if (delayMillis < 0) {
      return STILL_MILLIS;
    }
    return delayMillis == 0 ? UNSET_MILLIS : delayMillis;
  }
}
