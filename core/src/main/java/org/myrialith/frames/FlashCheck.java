package org.myrialith.frames;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.colour.Levels;
import org.myrialith.drive.Stretch;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.parts.Tint;

/**
 * Whether a clip flashes so that it can bring on a seizure, judged by what its emitters give after
 * curve and limiter.
 *
 * <p>WCAG 2.2, 2.3.1: no more than three general flashes and no more than three red flashes in any
 * one second. A general flash is a pair of opposing changes of relative luminance by 10 % of the
 * maximum or more, the darker below 0.80. A red flash is a pair of opposing changes to or from a
 * saturated red, R ÷ (R + G + B) of 0.8 or more, that differ by more than 20 in 320 · (R − G − B),
 * as common practice has it, or by more than 0.2 in u′v′ (CIE 1976). Light is taken as proportional
 * to the level, the colours of the dies as those of sRGB. The area is that of all emitters that
 * flash too often within one and the same second, in step or not, which is the safe side: a clip
 * fails when that is a quarter of them or more.
 *
 * @param flashingShare most emitters (as a share, 0 to 1) with more than three flashes in the same
 *     second
 */
public record FlashCheck(double flashingShare) {
  private static final double CHANGE = 0.10;
  private static final double DARKER_BELOW = 0.80;
  private static final double SATURATED = 0.8;
  private static final double RED_CHANGE = 20.0 / 320;
  private static final double CHROMA_CHANGE = 0.2;
  private static final int WINDOW_MILLIS = 1000;

  /** More than three flashes: seven changes, or more. */
  private static final int CHANGES = 7;

  private static final double AREA_SHARE = 0.25;

  /**
   * Steps through all emitters that are looked at; a longer row of turns is cut into its second.
   */
  private static final long MOST_STEPS = 400_000_000L;

  /**
   * A stretch of time in which the clip looks the same.
   *
   * @param frame of the clip
   * @param factor of the limiter in 65536ths
   */
  private record Turn(int frame, int factor, long startMillis) {}

  /** Returns the number that a judgement rests on. */
  public Reckoning reckoning(String key) {
    return new Reckoning(
        key,
        "Emitters that flash too often",
        flashingShare * 100,
        "%",
        "emitters with more than 3 pairs of opposing changes, of luminance by 10 % or more or to and from saturated red, in the same second, at the most ÷ all emitters",
        List.of(),
        Source.standard("WCAG 2.2, success criterion 2.3.1"));
  }

  /** Returns whether the clip may start by itself. */
  public boolean safe() {
    return flashingShare < AREA_SHARE;
  }

  /**
   * Returns what is true of a clip whose fixture hangs on several wires.
   *
   * @param clips with what was found for each, the runs of the fixture
   */
  static FlashCheck together(Map<ClipLevels, FlashCheck> clips) {
    if (clips.size() == 1) {
      return clips.values().iterator().next();
    }
    double flashing = 0;
    int emitters = 0;
    for (Map.Entry<ClipLevels, FlashCheck> run : clips.entrySet()) {
      int own = run.getKey().cells().length;
      flashing += run.getValue().flashingShare() * own;
      emitters += own;
    }
    return new FlashCheck(flashing / emitters);
  }

  /** Checks a clip by itself, as it repeats, without a limiter. */
  public static FlashCheck of(ClipLevels clip) {
    Row row = new Row(clip);
    repeat(row, clip.clip(), 0);
    return row.judged();
  }

  /**
   * Checks what is seen on a stretch, however it comes about.
   *
   * @param like any clip on that stretch
   * @param seen its levels, one after the other
   * @param starts from when on each is seen (ms)
   */
  public static FlashCheck of(ClipLevels like, List<Levels> seen, List<Integer> starts) {
    Row row =
        new Row(
            new ClipLevels(
                like.clip(),
                like.circuit(),
                like.stretch(),
                like.plan(),
                like.cells(),
                seen,
                like.sums(),
                like.shared(),
                Optional.empty()));
    for (int i = 0; i < seen.size(); i++) {
      row.add(i, Limiter.WHOLE, starts.get(i));
    }
    return row.judged();
  }

  /**
   * Checks a clip as the show plays it: again and again, cut off where the show starts again.
   *
   * @param clip position among the clips of the show
   */
  public static FlashCheck of(Sent sent, int clip) {
    ClipLevels levels = sent.clips().get(clip);
    if (sent.limiter().isEmpty() || !sent.show().whole()) {
      return ofRepeating(sent.show(), levels);
    }
    Row row = new Row(levels);
    Row[] two = {row};
    sent.show()
        .walk((index, start, hold, frames) -> two[0].add(frames[clip], sent.factor(frames), start));
    // once more, so that any second across the seam is seen
    long length = sent.show().lengthMillis();
    int turns = (int) (1 + WINDOW_MILLIS / Math.max(1, length));
    for (int turn = 1; turn <= turns; turn++) {
      long from = turn * length;
      sent.show()
          .walk(
              (index, start, hold, frames) -> {
                if (start <= WINDOW_MILLIS) {
                  two[0].add(frames[clip], sent.factor(frames), from + start);
                }
              });
    }
    return row.judged();
  }

  /** Without a limiter the clip repeats, but for the seam where the show starts again. */
  private static FlashCheck ofRepeating(Show show, ClipLevels levels) {
    Row repeating = new Row(levels);
    repeat(repeating, levels.clip(), 0);
    FlashCheck within = repeating.judged();
    long length = show.lengthMillis();
    long own = levels.clip().lengthMillis();
    if (length % own == 0) {
      return within;
    }
    Row seam = new Row(levels);
    long first = Math.max(0, length / own - 1 - 2 * WINDOW_MILLIS / own) * own;
    long now = first;
    List<Frame> frames = levels.clip().frames();
    for (int f = 0; now < length; f = (f + 1) % frames.size()) {
      seam.add(f, Limiter.WHOLE, now);
      now += frames.get(f).holdMillis();
    }
    repeat(seam, levels.clip(), length);
    return new FlashCheck(Math.max(within.flashingShare(), seam.judged().flashingShare()));
  }

  private static void repeat(Row row, Clip clip, long from) {
    long now = from;
    int turns = clip.frames().size() == 1 ? 1 : (int) (2 + WINDOW_MILLIS / clip.lengthMillis());
    for (int turn = 0; turn < turns; turn++) {
      for (int f = 0; f < clip.frames().size(); f++) {
        row.add(f, Limiter.WHOLE, now);
        now += clip.frames().get(f).holdMillis();
      }
    }
  }

  /** The turns of one clip in their order. Mutable, lives within one check. */
  private static final class Row {
    private final ClipLevels clip;
    private final List<Turn> turns = new ArrayList<>();
    private final int channels;

    /** The light of each channel. */
    private final Tint[] tints;

    private final double full;

    Row(ClipLevels clip) {
      this.clip = clip;
      this.channels = clip.stretch().channelsPerUnit();
      this.tints = clip.stretch().shows().stream().map(Stretch.Shows::tint).toArray(Tint[]::new);
      this.full = clip.plan().fullLevel();
    }

    void add(int frame, int factor, long start) {
      if (!turns.isEmpty()) {
        Turn last = turns.get(turns.size() - 1);
        boolean same =
            last.factor() == factor
                && clip.perFrame().get(last.frame()).equals(clip.perFrame().get(frame));
        if (same) {
          return;
        }
      }
      turns.add(new Turn(frame, factor, start));
    }

    FlashCheck judged() {
      int emitters = clip.cells().length;
      if (tooSlow() || (long) emitters * turns.size() > MOST_STEPS) {
        return new FlashCheck(tooSlow() ? 0 : 1);
      }
      Seconds seconds = new Seconds(turns);
      for (int emitter = 0; emitter < emitters; emitter++) {
        if (clip.cells()[emitter] != ClipLevels.DARK) {
          look(emitter, seconds);
        }
      }
      return new FlashCheck((double) seconds.most() / emitters);
    }

    /** No seven changes of any kind within a second: nothing can flash too often. */
    private boolean tooSlow() {
      for (int i = CHANGES; i < turns.size(); i++) {
        long span = turns.get(i).startMillis() - turns.get(i - CHANGES + 1).startMillis();
        if (span <= WINDOW_MILLIS) {
          return false;
        }
      }
      return true;
    }

    private void look(int emitter, Seconds seconds) {
      seconds.begin();
      Swings light = new Swings();
      Swings red = new Swings();
      Swing luminance = new Swing();
      RedSwing redness = new RedSwing();
      for (int t = 0; t < turns.size(); t++) {
        double[] rgb = rgb(emitter, turns.get(t));
        double y = 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
        if (luminance.turned(y)) {
          light.changed(t, seconds);
        }
        if (redness.turned(rgb)) {
          red.changed(t, seconds);
        }
      }
    }

    private double[] rgb(int emitter, Turn turn) {
      Levels levels = clip.perFrame().get(turn.frame());
      double share = turn.factor() / (double) Limiter.WHOLE / full;
      double[] rgb = new double[3];
      for (int position = 0; position < channels; position++) {
        double light = levels.at(emitter * channels + position) * share;
        // a white die is taken as bright as the three together
        rgb[0] += light * tints[position].red();
        rgb[1] += light * tints[position].green();
        rgb[2] += light * tints[position].blue();
      }
      return rgb;
    }
  }

  /**
   * How many emitters flash too often in the second that begins with each turn: no other second has
   * more of them. Mutable, lives within one check.
   */
  private static final class Seconds {
    private final long[] starts;
    private final int[] flashing;
    private final int[] seenAt;
    private int emitter;

    Seconds(List<Turn> turns) {
      this.starts = turns.stream().mapToLong(Turn::startMillis).toArray();
      this.flashing = new int[starts.length];
      this.seenAt = new int[starts.length];
    }

    /** Goes on to the next emitter. */
    void begin() {
      emitter++;
    }

    /**
     * Notes too many changes from one turn to another.
     *
     * @param from before which all seconds are noted already
     * @return from where they are noted now
     */
    int note(int first, int last, int from) {
      if (starts[last] - starts[first] > WINDOW_MILLIS) {
        return from;
      }
      for (int t = first; t >= from && starts[last] - starts[t] <= WINDOW_MILLIS; t--) {
        flashing[t] += seenAt[t] == emitter ? 0 : 1;
        seenAt[t] = emitter;
      }
      return first + 1;
    }

    int most() {
      return Arrays.stream(flashing).max().orElse(0);
    }
  }

  /** The last changes. */
  private static final class Swings {
    private final int[] turns = new int[CHANGES];
    private int changes;
    private int noted;

    void changed(int turn, Seconds seconds) {
      turns[changes % CHANGES] = turn;
      changes++;
      if (changes >= CHANGES) {
        noted = seconds.note(turns[changes % CHANGES], turn, noted);
      }
    }
  }

  /**
   * Finds changes of luminance between extremes. Until the first change neither direction is known,
   * so both extremes so far are kept: a clip may start anywhere in a swing.
   */
  private static final class Swing {
    private double low = Double.POSITIVE_INFINITY;
    private double high = Double.NEGATIVE_INFINITY;
    private int direction;

    boolean turned(double here) {
      boolean up = direction <= 0 && here - low >= CHANGE - 1e-12 && low < DARKER_BELOW;
      boolean down = direction >= 0 && high - here >= CHANGE - 1e-12 && here < DARKER_BELOW;
      if (up || down) {
        direction = up ? 1 : -1;
        low = here;
        high = here;
        return true;
      }
      low = Math.min(low, here);
      high = Math.max(high, here);
      return false;
    }
  }

  /** Finds changes to and from saturated red. */
  private static final class RedSwing {
    private double[] from;
    private int direction;

    boolean turned(double[] to) {
      if (from == null) {
        from = to;
        return false;
      }
      double step = redness(to) - redness(from);
      int way =
          Math.abs(step) > RED_CHANGE
              ? (int) Math.signum(step)
              : saturated(to) == saturated(from) ? 0 : saturated(to) ? 1 : -1;
      if (way != 0
          && way != direction
          && (saturated(from) || saturated(to))
          && large(step, from, to)) {
        direction = way;
        from = to;
        return true;
      }
      if (direction == 0 && !saturated(from) || Math.signum(step) == direction) {
        from = to;
      }
      return false;
    }

    private static boolean large(double step, double[] from, double[] to) {
      return Math.abs(step) > RED_CHANGE || lit(from) && lit(to) && apart(from, to) > CHROMA_CHANGE;
    }

    private static boolean lit(double[] rgb) {
      return rgb[0] + rgb[1] + rgb[2] > 0;
    }

    private static boolean saturated(double[] rgb) {
      return lit(rgb) && rgb[0] / (rgb[0] + rgb[1] + rgb[2]) >= SATURATED;
    }

    private static double redness(double[] rgb) {
      return Math.max(0, rgb[0] - rgb[1] - rgb[2]);
    }

    /** Distance in u′v′ by the primaries of sRGB (IEC 61966-2-1). */
    private static double apart(double[] one, double[] two) {
      double[] a = uv(one);
      double[] b = uv(two);
      return Math.hypot(a[0] - b[0], a[1] - b[1]);
    }

    private static double[] uv(double[] rgb) {
      double x = 0.4124 * rgb[0] + 0.3576 * rgb[1] + 0.1805 * rgb[2];
      double y = 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
      double z = 0.0193 * rgb[0] + 0.1192 * rgb[1] + 0.9505 * rgb[2];
      double sum = x + 15 * y + 3 * z;
      return new double[] {4 * x / sum, 9 * y / sum};
    }
  }
}
