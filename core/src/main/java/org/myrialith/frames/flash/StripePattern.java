package org.myrialith.frames.flash;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.colour.Transfer;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/**
 * Stripes that can bring on seizures by their pattern alone: more than five pairs of light and dark
 * stripes, straight, slanted or curved, over more than 40 % of what is seen; over more than 25 %
 * where they change places from one frame to the next (ITU-R BT.1702, from memory). Light is that
 * of the colours as asked (IEC 61966-2-1), of the brightest of the frame; a stripe differs from the
 * next by 10 % of that or more, the darker below 80 %.
 *
 * @param frame position in the clip
 * @param pairs of light and dark stripes, the most that stand side by side
 * @param share of the picture that they fill
 * @param reverses whether light and dark change places in the next frame
 */
public record StripePattern(int frame, int pairs, double share, boolean reverses) {
  private static final double STILL_SHARE = 0.40;
  private static final double REVERSING_SHARE = 0.25;

  /** Changes along a line across the stripes, of more than five pairs. */
  private static final int LEAST_CHANGES = 11;

  /** Lines side by side that make a stripe of dots (common practice). */
  private static final int LEAST_LINES = 4;

  /** Cells of neighbouring lines that are alike, moved by one at most (common practice). */
  private static final double ALIKE = 0.85;

  private static final double REVERSED = 0.9;
  private static final double CHANGE = 0.10;
  private static final double DARKER_BELOW = 0.80;

  private static final double[] LIGHT =
      IntStream.range(0, 256).mapToDouble(v -> new Transfer.Srgb().light(v / 255.0)).toArray();

  /** Returns the share from which on it is too much. */
  double allowed() {
    return reverses ? REVERSING_SHARE : STILL_SHARE;
  }

  /** Returns the worst pattern of a clip that is beyond what is allowed. */
  public static Optional<StripePattern> in(Clip clip) {
    StripePattern worst = null;
    List<Frame> frames = clip.frames();
    if (frames.isEmpty() || tooSmall(frames.get(0).picture())) {
      return Optional.empty();
    }
    Picture last = null;
    for (int f = 0; f < frames.size(); f++) {
      Picture picture = frames.get(f).picture();
      if (picture.equals(last)) {
        continue;
      }
      last = picture;
      for (boolean down : new boolean[] {true, false}) {
        Stripes own = Stripes.of(picture, down);
        if (own.cells() > 0) {
          Picture next = frames.get((f + 1) % frames.size()).picture();
          boolean reverses = own.reversed(Stripes.of(next, down));
          double share = own.cells() / (double) (picture.columns() * picture.rows());
          StripePattern one = new StripePattern(f, own.pairs(), share, reverses);
          if (share > one.allowed() && (worst == null || one.beyond() > worst.beyond())) {
            worst = one;
          }
        }
      }
    }
    return Optional.ofNullable(worst);
  }

  private double beyond() {
    return share / allowed();
  }

  private static boolean tooSmall(Picture picture) {
    int shorter = Math.min(picture.columns(), picture.rows());
    int longer = Math.max(picture.columns(), picture.rows());
    return shorter < LEAST_LINES || longer <= LEAST_CHANGES;
  }

  /** Returns the number that a judgement rests on. */
  Calculation calculation(String key) {
    return new Calculation(
        key,
        "Striped area",
        100 * share,
        "% of the picture",
        Calculation.FOUND_BY + "following light and dark along all rows and columns",
        List.of(
            given("frame", frame + 1, ""),
            given("pairs of stripes", pairs, ""),
            given("allowed", 100 * allowed(), "%")),
        Source.standard("ITU-R BT.1702, regular patterns, from memory"));
  }

  /**
   * Stripes across one way of going over a picture.
   *
   * @param light of each cell of each line that is striped; null for lines that are not
   * @param cells that are striped
   */
  private record Stripes(List<boolean[]> light, int cells, int pairs) {
    static Stripes of(Picture picture, boolean down) {
      int lines = down ? picture.columns() : picture.rows();
      int length = down ? picture.rows() : picture.columns();
      List<boolean[]> light = new ArrayList<>();
      if (length <= LEAST_CHANGES || !maybe(picture, down, lines, length)) {
        return new Stripes(light, 0, 0);
      }
      double brightest = brightest(picture);
      for (int line = 0; line < lines; line++) {
        light.add(striped(picture, down, line, length, brightest));
      }
      int cells = 0;
      int pairs = 0;
      int first = 0;
      for (int line = 1; line <= lines; line++) {
        if (line == lines || !alike(light.get(line - 1), light.get(line))) {
          if (line - first >= LEAST_LINES && light.get(first) != null) {
            cells += (line - first) * length;
            pairs = Math.max(pairs, (changes(light.get(first)) + 1) / 2);
          } else {
            for (int out = first; out < line; out++) {
              light.set(out, null);
            }
          }
          first = line;
        }
      }
      return new Stripes(light, cells, pairs);
    }

    /** Whether any line that a stripe would cross has as many other colours side by side. */
    private static boolean maybe(Picture picture, boolean down, int lines, int length) {
      for (int line = LEAST_LINES - 1; line < lines; line += LEAST_LINES) {
        int other = 0;
        for (int at = 1; at < length; at++) {
          other += colour(picture, down, line, at) != colour(picture, down, line, at - 1) ? 1 : 0;
        }
        if (other >= LEAST_CHANGES) {
          return true;
        }
      }
      return false;
    }

    private static int colour(Picture picture, boolean down, int line, int at) {
      return down ? picture.colour(line, at) : picture.colour(at, line);
    }

    private static double luminance(int rgb) {
      return 0.2126 * LIGHT[rgb >> 16 & 0xff]
          + 0.7152 * LIGHT[rgb >> 8 & 0xff]
          + 0.0722 * LIGHT[rgb & 0xff];
    }

    private static double brightest(Picture picture) {
      double most = 1e-9;
      for (int row = 0; row < picture.rows(); row++) {
        for (int column = 0; column < picture.columns(); column++) {
          most = Math.max(most, luminance(picture.colour(column, row)));
        }
      }
      return most;
    }

    /** Light and dark along a line; null where they do not take turns often enough. */
    private static boolean[] striped(
        Picture picture, boolean down, int line, int length, double brightest) {
      boolean[] light = new boolean[length];
      double extreme = luminance(colour(picture, down, line, 0)) / brightest;
      int since = 0;
      int direction = 0;
      for (int at = 1; at < length; at++) {
        double now = luminance(colour(picture, down, line, at)) / brightest;
        int turned = turned(extreme, now, direction);
        if (turned != 0) {
          for (int cell = direction == 0 ? 0 : since; cell < at; cell++) {
            light[cell] = turned < 0;
          }
          direction = turned;
          since = at;
          extreme = now;
        } else {
          extreme = direction < 0 ? Math.min(extreme, now) : Math.max(extreme, now);
        }
      }
      for (int cell = since; cell < length; cell++) {
        light[cell] = direction > 0;
      }
      return changes(light) >= LEAST_CHANGES ? light : null;
    }

    /** 1 where it has become lighter by enough, -1 darker, else 0. */
    private static int turned(double extreme, double now, int direction) {
      boolean enough = Math.abs(now - extreme) >= CHANGE && Math.min(now, extreme) < DARKER_BELOW;
      int way = now > extreme ? 1 : -1;
      return enough && way != direction ? way : 0;
    }

    private static int changes(boolean[] light) {
      int changes = 0;
      for (int at = 1; at < light.length; at++) {
        changes += light[at] != light[at - 1] ? 1 : 0;
      }
      return changes;
    }

    private static boolean alike(boolean[] one, boolean[] other) {
      if (one == null || other == null) {
        return false;
      }
      for (int moved = -1; moved <= 1; moved++) {
        int same = 0;
        for (int at = 1; at + 1 < one.length; at++) {
          same += one[at] == other[at + moved] ? 1 : 0;
        }
        if (same >= ALIKE * (one.length - 2)) {
          return true;
        }
      }
      return false;
    }

    /** Whether light and dark have changed places in nearly all of it. */
    boolean reversed(Stripes next) {
      if (next.cells == 0) {
        return false;
      }
      int other = 0;
      for (int line = 0; line < light.size(); line++) {
        boolean[] own = light.get(line);
        boolean[] then = next.light.get(line);
        for (int at = 0; own != null && then != null && at < own.length; at++) {
          other += own[at] != then[at] ? 1 : 0;
        }
      }
      return other >= REVERSED * cells;
    }
  }
}
