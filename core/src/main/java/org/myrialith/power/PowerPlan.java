package org.myrialith.power;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Show;
import org.myrialith.parts.Supply;

/**
 * The current of every moment against the supply.
 *
 * @param load what draws
 * @param supply what gives, if said
 * @param settings margin and school
 * @param colour whose brightness limit counts
 * @param currents of each moment before any limiter (A), in the order of the show
 * @param show whose moments they are
 * @param levels of its clips
 */
public record PowerPlan(
    Load load,
    Optional<Supply> supply,
    PowerSettings settings,
    ColourSettings colour,
    List<Double> currents,
    Show show,
    List<ClipLevels> levels) {

  private static final int WHITE = 255;

  /** Works the plan out. */
  public static PowerPlan of(
      Load load,
      Optional<Supply> supply,
      PowerSettings settings,
      ColourSettings colour,
      Show show,
      List<ClipLevels> levels) {
    List<Double> currents = new ArrayList<>(show.moments().size());
    for (Show.Moment moment : show.moments()) {
      currents.add(load.amps(levelSum(moment, levels)));
    }
    return new PowerPlan(load, supply, settings, colour, List.copyOf(currents), show, levels);
  }

  private static long levelSum(Show.Moment moment, List<ClipLevels> levels) {
    long sum = 0;
    for (int c = 0; c < levels.size(); c++) {
      sum += levels.get(c).perFrame().get(moment.frames().get(c)).sum();
    }
    return sum;
  }

  /** Returns the current that may be planned with (A): rating less margin. */
  public Optional<Double> budgetAmps() {
    return supply.map(s -> s.amps() * (100 - settings.marginPercent()) / 100);
  }

  /** Returns the current with everything white under the brightness limit (A). */
  public double worstAmps() {
    return worstAmps(colour.brightnessPercent());
  }

  private double worstAmps(int brightnessPercent) {
    return load.ampsAllAt(LevelTable.of(colour.withBrightness(brightnessPercent)).level(WHITE));
  }

  /** Returns the position of the moment that draws most, -1 when nothing plays. */
  public int peakMoment() {
    int peak = -1;
    for (int i = 0; i < currents.size(); i++) {
      if (peak < 0 || currents.get(i) > currents.get(peak)) {
        peak = i;
      }
    }
    return peak;
  }

  /**
   * Returns the current of the moment that draws most (A), that of a dark gadget when nothing
   * plays.
   */
  public double peakAmps() {
    return peakMoment() < 0 ? load.amps(0) : currents.get(peakMoment());
  }

  /** Returns the mean current over the show (A), weighted by time. */
  public double meanAmps() {
    if (show.moments().isEmpty()) {
      return load.amps(0);
    }
    double charge = 0;
    for (int i = 0; i < currents.size(); i++) {
      charge += currents.get(i) * show.moments().get(i).holdMillis();
    }
    return charge / show.lengthMillis();
  }

  /**
   * Returns the limiter that the firmware carries: under the second school, when there is a supply.
   */
  public Optional<Limiter> limiter() {
    return settings.school() == School.THESE_FRAMES
        ? budgetAmps().map(amps -> new Limiter(load.levelSumWithin(amps)))
        : Optional.empty();
  }

  /** Returns the current of a moment as the firmware sends it (A), limiter included. */
  public double sentAmps(int moment) {
    double asked = currents.get(moment);
    return limiter().isEmpty()
        ? asked
        : Math.min(asked, Math.max(budgetAmps().orElseThrow(), load.amps(0)));
  }

  /**
   * Returns for each frame of a clip the highest current it draws in any moment (A), 0 when it is
   * never reached.
   */
  public double[] peakAmpsOfFrames(int clip) {
    double[] peaks = new double[levels.get(clip).perFrame().size()];
    for (int i = 0; i < currents.size(); i++) {
      int frame = show.moments().get(i).frames().get(clip);
      peaks[frame] = Math.max(peaks[frame], currents.get(i));
    }
    return peaks;
  }

  /** Returns the verdict on a current (A): within budget, within rating, or beyond. */
  public Verdict judge(double amps) {
    if (supply.isEmpty()) {
      return Verdict.OPEN;
    }
    if (amps <= budgetAmps().orElseThrow()) {
      return Verdict.HOLDS;
    }
    return amps <= supply.get().amps() ? Verdict.TIGHT : Verdict.BREAKS;
  }

  private Reckoning worst() {
    int level = LevelTable.of(colour).level(WHITE);
    return new Reckoning(
        "worst-case",
        "All white, under the brightness limit",
        worstAmps(),
        "A",
        "pixels × (3 × channel current × white level ÷ 255 + idle) + controller",
        List.of(
            given("pixels", load.pixels(), ""),
            given("channel current", load.pixel().channelMilliamps() / 1000, "A"),
            given("white level", level, ""),
            given("idle", load.pixel().idleMilliamps() / 1000, "A"),
            given("controller", load.controllerMilliamps() / 1000, "A")),
        Source.COMMON_PRACTICE);
  }

  private Reckoning peak() {
    int at = peakMoment();
    return current("peak", at < 0 ? "Peak" : "Peak, at moment " + (at + 1), at);
  }

  /**
   * Returns the working of the current while a frame of a clip shows: of the moment in which it
   * draws most; empty when it never shows.
   *
   * @param clip position among the clips of the show
   */
  public Optional<Reckoning> currentOfFrame(int clip, int frame) {
    int most = -1;
    for (int i = 0; i < currents.size(); i++) {
      boolean shows = show.moments().get(i).frames().get(clip) == frame;
      if (shows && (most < 0 || currents.get(i) > currents.get(most))) {
        most = i;
      }
    }
    return most < 0
        ? Optional.empty()
        : Optional.of(
            current(
                "frame-current",
                "Most while frame %d shows, at moment %d".formatted(frame + 1, most + 1),
                most));
  }

  private Reckoning current(String key, String name, int moment) {
    long sum = moment < 0 ? 0 : levelSum(show.moments().get(moment), levels);
    return new Reckoning(
        key,
        name,
        load.amps(sum),
        "A",
        "sum of levels ÷ 255 × channel current + pixels × idle + controller",
        List.of(
            given("sum of levels", sum, ""),
            given("channel current", load.pixel().channelMilliamps() / 1000, "A"),
            given("pixels", load.pixels(), ""),
            given("idle", load.pixel().idleMilliamps() / 1000, "A"),
            given("controller", load.controllerMilliamps() / 1000, "A")),
        Source.COMMON_PRACTICE);
  }

  private Reckoning mean() {
    return new Reckoning(
        "mean",
        "Mean over the show",
        meanAmps(),
        "A",
        "sum of current × hold ÷ sum of holds",
        List.of(
            given("moments", currents.size(), ""),
            given("length of the show", show.lengthMillis() / 1000.0, "s")),
        Source.ARITHMETIC);
  }

  private Reckoning budget(Supply given) {
    return new Reckoning(
        "budget",
        "To plan with",
        budgetAmps().orElseThrow(),
        "A",
        "rating × (100 % − margin)",
        List.of(given("rating", given.amps(), "A"), given("margin", settings.marginPercent(), "%")),
        Source.OWN_ENTRY);
  }

  /** Returns the numbers of the plan. */
  public List<Reckoning> reckonings() {
    List<Reckoning> numbers = new ArrayList<>(List.of(worst(), peak(), mean()));
    supply.ifPresent(given -> numbers.add(budget(given)));
    limiter().ifPresent(limiter -> numbers.add(limit(limiter)));
    return List.copyOf(numbers);
  }

  private Reckoning limit(Limiter limiter) {
    return new Reckoning(
        "limiter",
        "Limiter: largest sum of levels",
        limiter.levelSum(),
        "",
        "(budget − pixels × idle − controller) ÷ channel current × 255, without rest",
        List.of(
            given("budget", budgetAmps().orElseThrow(), "A"),
            given("dark gadget", load.amps(0), "A"),
            given("channel current", load.pixel().channelMilliamps() / 1000, "A")),
        Source.ARITHMETIC);
  }

  /** Returns the judgements on the current. */
  public List<Finding> findings() {
    if (load.pixels() == 0) {
      return List.of(Finding.of(Step.POWER, "no-load", Verdict.OPEN, "Nothing draws current yet."));
    }
    if (supply.isEmpty()) {
      return List.of(
          Finding.of(
                  Step.POWER,
                  "no-supply",
                  Verdict.OPEN,
                  "All white draws %s. No supply is named yet."
                      .formatted(Quantity.text(worstAmps(), "A")))
              .advising("Name the supply.")
              .restingOn(worst())
              .mendedBy(supplyRemedies(worstAmps())));
    }
    List<Finding> findings = new ArrayList<>();
    if (!currents.isEmpty()) {
      findings.add(framesFinding());
    }
    findings.add(worstFinding());
    return List.copyOf(findings);
  }

  private Finding framesFinding() {
    Verdict verdict = judge(peakAmps());
    int at = peakMoment();
    StringBuilder says =
        new StringBuilder(
            "Draws %s at moment %d, %s into the show: %s. %s"
                .formatted(
                    Quantity.text(peakAmps(), "A"),
                    at + 1,
                    Quantity.text(show.moments().get(at).startMillis() / 1000.0, "s"),
                    framesAt(at),
                    gives()));
    long over = currents.stream().filter(amps -> judge(amps) != Verdict.HOLDS).count();
    if (over > 0) {
      says.append(" %d of %d moments are over the budget.".formatted(over, currents.size()));
    }
    if (over > 0 && limiter().isPresent()) {
      says.append(" The limiter in the firmware dims them.");
    }
    Finding finding =
        Finding.of(Step.POWER, "frames-current", verdict, says.toString())
            .restingOn(peak(), budget(supply.orElseThrow()), mean());
    return verdict == Verdict.HOLDS
        ? finding
        : finding
            .advising(
                "Lower the brightness limit, paint these frames darker, or take a stronger supply.")
            .mendedBy(remedies(peakAmps(), this::peakAmpsAt));
  }

  /** Names the frames that a moment shows. */
  private String framesAt(int moment) {
    List<Integer> frames = show.moments().get(moment).frames();
    return IntStream.range(0, frames.size())
        .mapToObj(c -> "frame %d of %s".formatted(frames.get(c) + 1, show.clips().get(c).name()))
        .collect(Collectors.joining(", "));
  }

  private Finding worstFinding() {
    boolean limited = settings.school() == School.THESE_FRAMES;
    Verdict verdict = limited ? limitedVerdict() : judge(worstAmps());
    String says = "All white would draw %s. %s".formatted(Quantity.text(worstAmps(), "A"), gives());
    if (limited && judge(worstAmps()) != Verdict.HOLDS) {
      says += " The limiter in the firmware keeps it within the budget.";
    }
    Finding finding =
        Finding.of(Step.POWER, "worst-case-current", verdict, says)
            .restingOn(worst(), budget(supply.orElseThrow()));
    return verdict == Verdict.HOLDS
        ? finding
        : finding
            .advising(
                "Lower the brightness limit, take a stronger supply, or plan for these frames only.")
            .mendedBy(remedies(worstAmps(), this::worstAmps));
  }

  /** The limiter can dim everything but the idle current. */
  private Verdict limitedVerdict() {
    return judge(load.amps(0));
  }

  private String gives() {
    Supply given = supply.orElseThrow();
    return "The supply gives %s, %s with %s kept back."
        .formatted(
            Quantity.text(given.amps(), "A"),
            Quantity.text(budgetAmps().orElseThrow(), "A"),
            Quantity.text(settings.marginPercent(), "%"));
  }

  /** Returns the peak over the show (A) if the brightness limit were another. */
  double peakAmpsAt(int brightnessPercent) {
    LevelTable table = LevelTable.of(colour.withBrightness(brightnessPercent));
    long[][] sums = new long[levels.size()][];
    for (int c = 0; c < sums.length; c++) {
      ClipLevels clip = levels.get(c);
      sums[c] =
          clip.clip().frames().stream().mapToLong(f -> clip.levelSum(f.picture(), table)).toArray();
    }
    double peak = load.amps(0);
    for (Show.Moment moment : show.moments()) {
      long sum = 0;
      for (int c = 0; c < sums.length; c++) {
        sum += sums[c][moment.frames().get(c)];
      }
      peak = Math.max(peak, load.amps(sum));
    }
    return peak;
  }

  /** Prefix of the key of a remedy that sets the brightness limit; the percent follows. */
  public static final String BRIGHTNESS = "brightness-";

  /**
   * Prefix of the key of a remedy that takes a supply class; its place in {@link Supply#CLASSES}
   * follows.
   */
  public static final String SUPPLY = "supply-";

  /** Key of the remedy that changes to planning for these frames. */
  public static final String PLAN_FOR_FRAMES = "plan-for-frames";

  private List<Remedy> remedies(double amps, IntToDoubleFunction ampsAt) {
    List<Remedy> remedies = new ArrayList<>();
    int percent = largestBrightness(ampsAt);
    if (percent > 0) {
      remedies.add(
          new Remedy(
              BRIGHTNESS + percent,
              "Limit brightness to %s: draws %s"
                  .formatted(
                      Quantity.text(percent, "%"),
                      Quantity.text(ampsAt.applyAsDouble(percent), "A"))));
    }
    remedies.addAll(supplyRemedies(amps));
    if (settings.school() == School.WORST_CASE
        && judge(peakAmps()) == Verdict.HOLDS
        && !currents.isEmpty()) {
      remedies.add(
          new Remedy(PLAN_FOR_FRAMES, "Plan for these frames, with the limiter in the firmware"));
    }
    return remedies;
  }

  /** Returns the largest whole percent that keeps within the budget, 0 when none does. */
  int largestBrightness(IntToDoubleFunction ampsAt) {
    double budget = budgetAmps().orElseThrow();
    int holds = 0;
    int breaks = colour.brightnessPercent() + 1;
    // the current never falls when the limit is raised, so halving finds the last that holds
    while (breaks - holds > 1) {
      int middle = (holds + breaks) >>> 1;
      if (ampsAt.applyAsDouble(middle) <= budget) {
        holds = middle;
      } else {
        breaks = middle;
      }
    }
    return holds;
  }

  private List<Remedy> supplyRemedies(double amps) {
    double rating = amps * 100 / (100 - settings.marginPercent());
    return Supply.weakestFor(rating)
        .map(
            found ->
                new Remedy(
                    SUPPLY + Supply.CLASSES.indexOf(found),
                    "Take a %s: %s needed with the margin"
                        .formatted(found.name(), Quantity.text(rating, "A"))))
        .map(List::of)
        .orElse(List.of());
  }
}
