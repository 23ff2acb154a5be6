package org.myrialith.frames.flash;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Limiter;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.parts.Tint;

/**
 * Whether a clip flashes so that it can bring on a seizure, judged by what its emitters give after
 * curve and limiter, relative to the greatest luminance that the gadget reaches.
 *
 * <p>WCAG 2.2, 2.3.1: no more than three general flashes and no more than three red flashes in any
 * one second, unless the combined area of the flashes that occur concurrently is less than 0.006
 * steradian within any 10 degrees of the field of view, a quarter of it. A general flash is a pair
 * of opposing changes of relative luminance by 10 % of the maximum or more, the darker below 0.80.
 * A red flash is a pair of opposing changes to or from a saturated red, R ÷ (R + G + B) of 0.8 or
 * more, that differ by more than 20 in 320 · (R − G − B), as common practice has it, or by more
 * than 0.2 in u′v′ (CIE 1976). Light is taken as proportional to the level, the colours of the dies
 * as those of sRGB.
 *
 * <p>Emitters flash concurrently where their changes come together, within a frame of 60 Hz, and go
 * on doing so: in step or against each other, but not one after the other. A text that goes by
 * changes other dots each time, and a candle each of its lights by itself.
 *
 * @param general largest area that flashes together more than three times in a second, as a share
 *     of a field of view of 10 degrees; 0 for none
 * @param red the same of red flashes
 */
public record FlashCheck(double general, double red) {
  private static final double CHANGE = 0.10;
  private static final double DARKER_BELOW = 0.80;
  private static final double SATURATED = 0.8;
  private static final double RED_CHANGE = 20.0 / 320;
  private static final double CHROMA_CHANGE = 0.2;
  private static final int WINDOW_MILLIS = 1000;

  /** More than three flashes: seven changes, or more. */
  private static final int CHANGES = 7;

  /** A quarter of a field of 10 degrees. */
  private static final double AREA_SHARE = 0.25;

  /** Changes that are not farther apart come together: a frame of 60 Hz (ms). */
  private static final int TOGETHER_MILLIS = 17;

  /**
   * Steps through all emitters that are looked at; a longer row of turns is cut into its second.
   */
  private static final long MOST_STEPS = 400_000_000L;

  /** Sevens of changes that are kept to be compared; of more, all count as coming together. */
  private static final int MOST_SEVENS = 6_000_000;

  /** Returns the larger of both areas. */
  public double flashingShare() {
    return Math.max(general, red);
  }

  /**
   * A stretch of time in which the clip looks the same.
   *
   * @param frame of the clip
   * @param factor of the limiter in 65536ths
   */
  private record Turn(int frame, int factor, long startMillis) {}

  /** Returns the numbers that a judgement rests on. */
  public List<Calculation> calculations(String key, ViewingDistance from) {
    return List.of(
        calculation(key, "Area of simultaneous flashes", general, from),
        calculation(key + "-red", "Area of simultaneous red flashes", red, from));
  }

  private static Calculation calculation(
      String key, String name, double share, ViewingDistance from) {
    double metres = from.distanceMm() / 1000;
    double area = share * FlashingArea.FIELD_STERADIAN * metres * metres;
    return new Calculation(
        key,
        name,
        share * 100,
        "% of 10°",
        "area ÷ distance² ÷ 0.024 sr; area that flashes together more than three times in a second",
        List.of(given("area", area, "m²"), given("distance", metres, "m")),
        Source.standard("WCAG 2.2, success criterion 2.3.1"));
  }

  /** Returns whether the clip may start by itself. */
  public boolean safe() {
    return flashingShare() < AREA_SHARE;
  }

  /** Returns what is true of a clip whose fixture hangs on several wires: its runs together. */
  static FlashCheck together(Map<ClipLevels, FlashCheck> clips) {
    return new FlashCheck(
        clips.values().stream().mapToDouble(FlashCheck::general).sum(),
        clips.values().stream().mapToDouble(FlashCheck::red).sum());
  }

  /** Returns the greatest luminance of all frames of clips, of 1 at the full level. */
  public static double brightest(List<ClipLevels> clips) {
    double most = 0;
    for (ClipLevels clip : clips) {
      most = Math.max(most, new Row(clip, ViewingDistance.NEAR).brightest());
    }
    return most;
  }

  /** Checks a clip by itself, as it repeats, without a limiter. */
  public static FlashCheck of(ClipLevels clip, ViewingDistance from) {
    Row row = new Row(clip, from);
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
  public static FlashCheck of(
      ClipLevels like, List<Levels> seen, List<Integer> starts, ViewingDistance from) {
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
                Optional.empty()),
            from);
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
  public static FlashCheck of(TransmittedFrames sent, int clip, ViewingDistance from) {
    ClipLevels levels = sent.clips().get(clip);
    if (sent.limiter().isEmpty() || !sent.show().whole()) {
      return ofRepeating(sent.show(), levels, from);
    }
    Row row = new Row(levels, from);
    Row[] two = {row};
    sent.show()
        .walk((index, start, hold, frames) -> two[0].add(frames[clip], sent.factor(frames), start));
    // once more, so that any second across the seam is seen
    long length = sent.show().lengthMillis();
    int turns = (int) (1 + WINDOW_MILLIS / Math.max(1, length));
    for (int turn = 1; turn <= turns; turn++) {
      long begin = turn * length;
      sent.show()
          .walk(
              (index, start, hold, frames) -> {
                if (start <= WINDOW_MILLIS) {
                  two[0].add(frames[clip], sent.factor(frames), begin + start);
                }
              });
    }
    return row.judged();
  }

  /** Without a limiter the clip repeats, but for the seam where the show starts again. */
  private static FlashCheck ofRepeating(Show show, ClipLevels levels, ViewingDistance from) {
    Row repeating = new Row(levels, from);
    repeat(repeating, levels.clip(), 0);
    FlashCheck within = repeating.judged();
    long length = show.lengthMillis();
    long own = levels.clip().lengthMillis();
    if (length % own == 0) {
      return within;
    }
    Row seam = new Row(levels, from);
    long first = Math.max(0, length / own - 1 - 2 * WINDOW_MILLIS / own) * own;
    long now = first;
    List<Frame> frames = levels.clip().frames();
    for (int f = 0; now < length; f = (f + 1) % frames.size()) {
      seam.add(f, Limiter.WHOLE, now);
      now += frames.get(f).holdMillis();
    }
    repeat(seam, levels.clip(), length);
    FlashCheck across = seam.judged();
    return new FlashCheck(
        Math.max(within.general(), across.general()), Math.max(within.red(), across.red()));
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
    private final ViewingDistance from;

    Row(ClipLevels clip, ViewingDistance from) {
      this.clip = clip;
      this.from = from;
      this.channels = clip.stretch().channelsPerUnit();
      this.tints =
          clip.stretch().shows().stream().map(ChannelRange.Shows::tint).toArray(Tint[]::new);
      this.full = clip.plan().fullLevel();
    }

    double brightest() {
      double most = 0;
      double[] rgb = new double[3];
      for (int f = 0; f < clip.perFrame().size(); f++) {
        Turn turn = new Turn(f, Limiter.WHOLE, 0);
        for (int emitter = 0; emitter < clip.cells().length; emitter++) {
          rgb(emitter, turn, rgb);
          most = Math.max(most, luminance(rgb));
        }
      }
      return most;
    }

    private static double luminance(double[] rgb) {
      return 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
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
      if (tooSlow()) {
        return new FlashCheck(0, 0);
      }
      FlashingArea area = FlashingArea.of(clip.stretch(), from.distanceMm());
      if ((long) emitters * turns.size() > MOST_STEPS) {
        return new FlashCheck(area.share(emitters), area.share(emitters));
      }
      Sevens light = new Sevens(emitters);
      Sevens redness = new Sevens(emitters);
      for (int emitter = 0; emitter < emitters; emitter++) {
        light.begin(emitter);
        redness.begin(emitter);
        if (clip.cells()[emitter] != ClipLevels.DARK) {
          look(emitter, light, redness);
        }
      }
      light.begin(emitters);
      redness.begin(emitters);
      double general = 0;
      double red = 0;
      for (int[] window : area.windows()) {
        general = Math.max(general, area.share(light.most(window)));
        red = Math.max(red, area.share(redness.most(window)));
      }
      return new FlashCheck(general, red);
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

    private void look(int emitter, Sevens light, Sevens red) {
      Swing luminance = new Swing();
      RedSwing redness = new RedSwing();
      double[] rgb = new double[3];
      for (Turn turn : turns) {
        rgb(emitter, turn, rgb);
        for (int colour = 0; colour < rgb.length; colour++) {
          rgb[colour] /= from.brightest();
        }
        if (luminance.turned(luminance(rgb))) {
          light.changed(turn.startMillis());
        }
        if (redness.turned(rgb)) {
          red.changed(turn.startMillis());
        }
      }
    }

    private void rgb(int emitter, Turn turn, double[] rgb) {
      Levels levels = clip.perFrame().get(turn.frame());
      double share = turn.factor() / (double) Limiter.WHOLE / full;
      Arrays.fill(rgb, 0);
      for (int position = 0; position < channels; position++) {
        double light = levels.at(emitter * channels + position) * share;
        // a white die is taken as bright as the three together
        rgb[0] += light * tints[position].red();
        rgb[1] += light * tints[position].green();
        rgb[2] += light * tints[position].blue();
      }
    }
  }

  /**
   * Seven changes of an emitter in a row within a second, by the times at which they come: emitters
   * that have the same seven flash together. Times are told apart by frames of 60 Hz, which begin
   * at two places, so that no border parts what comes together. Mutable, lives within one check.
   */
  private static final class Sevens {
    private final long[] last = new long[CHANGES];
    private long[][] all = new long[2][1024];

    /** Where the sevens of each emitter begin; one more is where the last ones end. */
    private final int[] begins;

    private int count;
    private int changes;
    private boolean whole = true;

    Sevens(int emitters) {
      this.begins = new int[emitters + 1];
    }

    /** Continues with an emitter; with their number at the end. */
    void begin(int emitter) {
      changes = 0;
      begins[emitter] = count;
    }

    void changed(long millis) {
      last[changes++ % CHANGES] = millis;
      if (changes < CHANGES || millis - last[changes % CHANGES] > WINDOW_MILLIS || !whole) {
        return;
      }
      if (count == all[0].length) {
        whole = count < MOST_SEVENS;
        all[0] = Arrays.copyOf(all[0], whole ? 2 * count : count);
        all[1] = Arrays.copyOf(all[1], all[0].length);
      }
      if (whole) {
        all[0][count] = mixed(0);
        all[1][count++] = mixed(TOGETHER_MILLIS / 2);
      }
    }

    /** The seven times as one number: a multiplicative hash of 64 bits (FNV-1a, its prime). */
    private long mixed(int shift) {
      long hash = 0xcbf29ce484222325L;
      for (int i = 0; i < CHANGES; i++) {
        long bin = (last[(changes + i) % CHANGES] + shift) / TOGETHER_MILLIS;
        hash = (hash ^ bin) * 0x100000001b3L;
        hash ^= hash >>> 29;
      }
      return hash;
    }

    /** Returns how many of these emitters have the same seven at the most. */
    int most(int[] emitters) {
      if (!whole) {
        return emitters.length;
      }
      int most = 0;
      for (long[] one : all) {
        long[] these = of(one, emitters);
        Arrays.sort(these);
        int run = 0;
        for (int i = 0; i < these.length; i++) {
          run = i > 0 && these[i] == these[i - 1] ? run + 1 : 1;
          most = Math.max(most, run);
        }
      }
      return most;
    }

    private long[] of(long[] one, int[] emitters) {
      int size = 0;
      for (int emitter : emitters) {
        size += begins[emitter + 1] - begins[emitter];
      }
      long[] these = new long[size];
      int at = 0;
      for (int emitter : emitters) {
        int length = begins[emitter + 1] - begins[emitter];
        System.arraycopy(one, begins[emitter], these, at, length);
        at += length;
      }
      return these;
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
        from = to.clone();
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
        keep(to);
        return true;
      }
      if (direction == 0 && !saturated(from) || Math.signum(step) == direction) {
        keep(to);
      }
      return false;
    }

    private void keep(double[] rgb) {
      System.arraycopy(rgb, 0, from, 0, from.length);
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
