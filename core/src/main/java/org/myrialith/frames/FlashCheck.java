package org.myrialith.frames;

import java.util.List;
import org.myrialith.colour.LevelTable;

/**
 * Whether a clip flashes so that it can bring on a seizure.
 *
 * <p>WCAG 2.2, 2.3.1: no more than three general flashes in any one second; a flash is a pair of
 * opposing changes of relative luminance by 10 % of the maximum or more, the darker below 0.80. The
 * area rule is taken on the safe side: a clip fails when a quarter of its cells each flash too
 * often at any time. Saturated red is not judged apart.
 *
 * @param flashingShare share (0 to 1) of the cells with more than three flashes in some second
 */
public record FlashCheck(double flashingShare) {
  private static final double CHANGE = 0.10;
  private static final double DARKER_BELOW = 0.80;
  private static final int WINDOW_MILLIS = 1000;

  /** More than three flashes: seven changes, or more. */
  private static final int CHANGES = 7;

  private static final double AREA_SHARE = 0.25;

  /** Returns whether the clip may start by itself. */
  public boolean safe() {
    return flashingShare < AREA_SHARE;
  }

  /** Checks a clip as it repeats. */
  public static FlashCheck of(Clip clip) {
    List<Frame> frames = clip.frames();
    Picture first = frames.get(0).picture();
    byte[][] rgb = new byte[frames.size()][];
    for (int f = 0; f < rgb.length; f++) {
      rgb[f] =
          f > 0 && frames.get(f).picture().equals(frames.get(f - 1).picture())
              ? rgb[f - 1]
              : frames.get(f).picture().rgb();
    }
    int cells = first.columns() * first.rows();
    int flashing = 0;
    for (int cell = 0; cell < cells; cell++) {
      flashing += flashes(frames, rgb, cell) ? 1 : 0;
    }
    return new FlashCheck((double) flashing / cells);
  }

  private static boolean flashes(List<Frame> frames, byte[][] rgb, int cell) {
    long[] times = new long[CHANGES];
    int changes = 0;
    double extreme = luminance(rgb[0], cell);
    int direction = 0;
    long now = 0;
    int turns = turns(frames);
    for (int i = 0; i < frames.size() * turns; i++) {
      double here = luminance(rgb[i % frames.size()], cell);
      double delta = here - extreme;
      boolean along = direction != 0 && Math.signum(delta) == direction;
      if (along) {
        extreme = here;
      } else if (Math.abs(delta) >= CHANGE && Math.min(here, extreme) < DARKER_BELOW) {
        direction = (int) Math.signum(delta);
        extreme = here;
        times[changes % CHANGES] = now;
        changes++;
        if (changes >= CHANGES && now - times[changes % CHANGES] <= WINDOW_MILLIS) {
          return true;
        }
      }
      now += frames.get(i % frames.size()).holdMillis();
    }
    return false;
  }

  /** Enough turns that any second across the seam is seen. */
  private static int turns(List<Frame> frames) {
    long length = frames.stream().mapToLong(Frame::holdMillis).sum();
    return frames.size() == 1 ? 1 : (int) (2 + WINDOW_MILLIS / length);
  }

  private static double luminance(byte[] rgb, int cell) {
    return 0.2126 * LevelTable.screenLight(rgb[cell * 3] & 0xff)
        + 0.7152 * LevelTable.screenLight(rgb[cell * 3 + 1] & 0xff)
        + 0.0722 * LevelTable.screenLight(rgb[cell * 3 + 2] & 0xff);
  }
}
