package org.myrialith.colour;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * The driver's level for each asked value: {@code level = round(full · b · Y(v / 255))}, halves up;
 * full is 255 for levels of 8 bits.
 *
 * <p>Immutable.
 */
public final class LevelTable {
  /** Asked values and levels of 8 bit each. */
  public static final int SIZE = 256;

  private static final int FULL = SIZE - 1;

  /**
   * The asked value from which something that is only on or off is lit: the middle, as of any two
   * neighbouring steps. Neither curve nor brightness limit has a say.
   */
  public static final int LIT_FROM = SIZE / 2;

  private static final double[] SCREEN_LIGHT = new double[SIZE];

  private static final int[] SCREEN_VALUES = new int[SIZE];

  static {
    Arrays.setAll(
        SCREEN_VALUES,
        level -> (int) Math.round(FULL * Transfer.Srgb.encode((double) level / FULL)));
    Arrays.setAll(SCREEN_LIGHT, asked -> new Transfer.Srgb().light((double) asked / FULL));
  }

  /** The curve that was asked for last: a search for a brightness asks for one curve many times. */
  private static volatile Curve lastCurve = new Curve(new Transfer.Srgb());

  private final ColourSettings settings;
  private final int bits;
  private final int[] levels = new int[SIZE];

  private LevelTable(ColourSettings settings, int bits) {
    this.settings = settings;
    this.bits = bits;
    if (bits == 1) {
      Arrays.setAll(levels, asked -> asked >= LIT_FROM ? 1 : 0);
      return;
    }
    int full = (1 << bits) - 1;
    double limit = settings.brightnessPercent() / 100.0;
    Curve curve = Curve.of(settings.transfer());
    for (int asked = 0; asked < SIZE; asked++) {
      levels[asked] = (int) Math.floor(full * limit * curve.light[asked] + 0.5);
    }
  }

  /** The light of each asked value. */
  private static final class Curve {
    private final Transfer transfer;
    private final double[] light = new double[SIZE];

    private Curve(Transfer transfer) {
      this.transfer = transfer;
      Arrays.setAll(light, asked -> transfer.light((double) asked / FULL));
    }

    static Curve of(Transfer transfer) {
      Curve last = lastCurve;
      if (!last.transfer.equals(transfer)) {
        last = new Curve(transfer);
        lastCurve = last;
      }
      return last;
    }
  }

  /** Works the table out for levels of 8 bits. */
  public static LevelTable of(ColourSettings settings) {
    return of(settings, 8);
  }

  /**
   * Works the table out.
   *
   * @param bits depth of a level: 1 for on or off, else 8 to 16
   */
  public static LevelTable of(ColourSettings settings, int bits) {
    return new LevelTable(settings, bits);
  }

  /** Returns what white gives of the full level (0 to 1), of levels of its bits. */
  public double whiteShare() {
    return level(FULL) / (double) full();
  }

  /** Returns the level for an asked value (0 to 255). */
  public int level(int asked) {
    return levels[asked];
  }

  /** Returns the depth of a level (bits). */
  public int bits() {
    return bits;
  }

  /** Returns the highest level. */
  public int full() {
    return (1 << bits) - 1;
  }

  /** Returns the settings it was made from. */
  public ColourSettings settings() {
    return settings;
  }

  /** Returns how many different levels the table uses, dark included. */
  public int distinctLevels() {
    return (int) IntStream.range(0, SIZE).map(this::level).distinct().count();
  }

  /** Returns how many asked values above 0 come out dark. */
  public int darkenedValues() {
    int dark = 0;
    while (dark + 1 < SIZE && level(dark + 1) == 0) {
      dark++;
    }
    return dark;
  }

  /** Returns all levels in the order of asked values. */
  public int[] toArray() {
    int[] all = new int[SIZE];
    Arrays.setAll(all, this::level);
    return all;
  }

  /**
   * Returns the sRGB value (0 to 255) that looks on a screen as an emitter at {@code level} does
   * beside one at full level: light is proportional to the level.
   */
  public static int screenValue(int level) {
    return SCREEN_VALUES[level];
  }

  /** Returns the same for levels of any depth, and for shares of a level. */
  public static int screenValue(double level, int full) {
    return full == FULL && level == (int) level
        ? SCREEN_VALUES[(int) level]
        : (int) Math.round(FULL * Transfer.Srgb.encode(level / full));
  }

  /** Returns the light (0 to 1) that an asked value means on a screen. */
  public static double screenLight(int asked) {
    return SCREEN_LIGHT[asked];
  }

  private String suffix() {
    return bits == Byte.SIZE ? "" : "-" + bits;
  }

  /** Returns the numbers of the table. */
  public List<Calculation> calculations() {
    Source source =
        settings.transfer() instanceof Transfer.PowerLaw
            ? Source.COMMON_PRACTICE
            : Source.standard(
                settings.transfer() instanceof Transfer.Srgb ? "IEC 61966-2-1" : "CIE 15");
    Calculation.Given limit = given("brightness limit", settings.brightnessPercent(), "%");
    String curve =
        phrase("level = nearest whole(%d × brightness limit × Y); ", full())
            + settings.transfer().formula();
    String of = Calculation.FOUND_BY + "counting ";
    return List.of(
        new Calculation(
            "white-level" + suffix(),
            "Level of full white",
            level(FULL),
            "of " + full(),
            phrase("nearest whole(%d × brightness limit); Y is 1 at full white", full()),
            List.of(limit),
            source),
        new Calculation(
            "distinct-levels" + suffix(),
            "Distinct levels left",
            distinctLevels(),
            "of " + Math.min(SIZE, full() + 1),
            of + "distinct levels over all 256 requested values: " + curve,
            List.of(limit),
            source),
        new Calculation(
            "darkened" + suffix(),
            "Darkest requested values that go dark",
            darkenedValues(),
            "values",
            of + "requested values 1, 2, … whose level is 0: " + curve,
            List.of(limit),
            source));
  }

  /** Fewer levels than this and steps in slow fades show (common practice). */
  static final int FEW_LEVELS = 96;

  /**
   * Returns the judgements on the table.
   *
   * @param key of the judgement
   * @param of what it is of, such as "Sinks (12-bit): "; may be empty
   */
  Finding finding(String key, String of) {
    int distinct = distinctLevels();
    int dark = darkenedValues();
    boolean few = distinct < Math.min(FEW_LEVELS, full() + 1);
    String says =
        phrase(
            "%s%s distinct levels of %s remain; the darkest %s requested values go dark.",
            of,
            Quantity.number(distinct),
            Quantity.number(Math.min(SIZE, full() + 1)),
            Quantity.number(dark));
    Finding finding =
        new Finding(
            key,
            Step.COLOUR,
            few ? Verdict.TIGHT : Verdict.HOLDS,
            Harm.LOOKS,
            says,
            "",
            calculations(),
            List.of());
    return few
        ? finding.advising(
            "Slow fades will step. Raise the brightness limit or lower the exponent, and paint dark parts brighter.")
        : finding;
  }

  /** Returns the judgements on the table. */
  public List<Finding> findings() {
    return List.of(finding("levels-left", ""));
  }
}
