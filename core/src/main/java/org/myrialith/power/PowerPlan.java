package org.myrialith.power;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Limiter;
import org.myrialith.frames.Show;
import org.myrialith.parts.Supply;

/**
 * The current of every moment against the supply.
 *
 * @param load what draws
 * @param supply what gives, if said
 * @param settings margin and what is planned for
 * @param colour whose brightness limit counts
 * @param show whose moments they are
 * @param levels of its clips
 * @param course the current over the show
 * @param behind whether it is a converter that gives
 * @param limiter that the firmware carries: when it is planned for these frames and there is a
 *     supply
 * @param played what it has to reckon with: all that is ever played
 * @param day what cues draw as they play; empty where there are none
 */
public record PowerPlan(
    Load load,
    Optional<Supply> supply,
    PowerSettings settings,
    ColourSettings colour,
    Show show,
    List<ClipLevels> levels,
    CurrentProfile course,
    boolean behind,
    Optional<Limiter> limiter,
    List<ClipLevels> played,
    Optional<DayCurrents> day)
    implements StepPlan {

  /**
   * Works the plan out.
   *
   * @param played what the limiter has to reckon with: all that is ever played
   */
  public static PowerPlan of(
      Load load,
      Optional<Supply> supply,
      PowerSettings settings,
      ColourSettings colour,
      Show show,
      List<ClipLevels> levels,
      boolean behind,
      List<ClipLevels> played) {
    Optional<Limiter> limiter = limiter(load, supply, settings, played);
    double budget = budget(supply, settings).orElse(Double.POSITIVE_INFINITY);
    CurrentProfile course = CurrentProfile.of(load, show, levels, limiter, budget);
    return new PowerPlan(
        load,
        supply,
        settings,
        colour,
        show,
        levels,
        course,
        behind,
        limiter,
        played,
        Optional.empty());
  }

  /** Returns it with what cues draw as they play. */
  public PowerPlan over(Optional<DayCurrents> cues) {
    return new PowerPlan(
        load, supply, settings, colour, show, levels, course, behind, limiter, played, cues);
  }

  private static Optional<Double> budget(Optional<Supply> supply, PowerSettings settings) {
    return supply.map(s -> s.amps() * (100 - settings.marginPercent()) / 100);
  }

  private static Optional<Limiter> limiter(
      Load load, Optional<Supply> supply, PowerSettings settings, List<ClipLevels> levels) {
    return settings.basis() == PlanningBasis.THESE_FRAMES && load.dims()
        ? budget(supply, settings)
            .map(amps -> new Limiter(load.weights(), load.weightWithin(amps, levels)))
        : Optional.empty();
  }

  @Override
  public Step step() {
    return Step.POWER;
  }

  @Override
  public String headline() {
    if (load.emitters() == 0) {
      return "no load yet";
    }
    return Quantity.text(playedPeakAmps(), "A") + (plays() ? " peak" : " dark");
  }

  /**
   * Returns the highest current (A): of the show, or of cues as they play untouched where that is
   * more. A scene that is shown at a press may draw more than what is shown untouched.
   */
  public double playedPeakAmps() {
    return day.map(played -> Math.max(played.peakAmps(), peakAmps())).orElseGet(this::peakAmps);
  }

  /** Returns the mean current of cues as they play, of the show where there are none (A). */
  public double playedMeanAmps() {
    return day.map(DayCurrents::meanAmps).orElseGet(this::meanAmps);
  }

  /** Returns whether anything plays. */
  public boolean plays() {
    return show.count() > 0 || day.isPresent();
  }

  /** Returns the current that may be planned with (A): rating less margin. */
  public Optional<Double> budgetAmps() {
    return budget(supply, settings);
  }

  /**
   * Returns whether nothing but these frames is planned for: they are all that is played, and a
   * limiter keeps within the budget what it can dim.
   */
  public boolean framesOnly() {
    return limiter().isPresent()
        || settings.basis() == PlanningBasis.THESE_FRAMES && !load.dims() && show.count() > 0;
  }

  /** Returns the current with everything that may light white under the brightness limit (A). */
  public double worstAmps() {
    return worstAmps(colour.brightnessPercent());
  }

  double worstAmps(int brightnessPercent) {
    return load.whiteAmps(colour.withBrightness(brightnessPercent));
  }

  /** Returns what the dark gadget draws (A). */
  public double darkAmps() {
    return load.darkAmps();
  }

  /** Returns the most that the limiter lets through (A); infinite where there is none. */
  public double mostAmps() {
    return limiter.isEmpty()
        ? Double.POSITIVE_INFINITY
        : Math.max(budgetAmps().orElseThrow(), darkAmps() + Load.switchedAmps(played));
  }

  /** Returns the position of the moment that is sent with most current, -1 when nothing plays. */
  public long peakMoment() {
    return course.peakSent().index();
  }

  /** Returns the highest current that is sent (A), that of a dark gadget when nothing plays. */
  public double peakAmps() {
    return course.peakSent().amps();
  }

  /** Returns the highest current that is asked for, before any limiter (A). */
  public double askedPeakAmps() {
    return course.peakAsked().amps();
  }

  /** Returns the mean current over the show as it is sent (A), weighted by time. */
  public double meanAmps() {
    return course.meanAmps();
  }

  /** Returns the current of a listed moment as it is asked for, before any limiter (A). */
  public double askedAmps(int moment) {
    return course.asked()[moment];
  }

  /**
   * Returns the current of a listed moment as it is sent: of the levels that go down the wires (A).
   */
  public double sentAmps(int moment) {
    return course.sent()[moment];
  }

  /**
   * Returns for each frame of a clip the highest current that is sent in any moment that shows it
   * (A), 0 when it is never reached.
   */
  public double[] peakAmpsOfFrames(int clip) {
    return course.peakOfFrames().get(clip).clone();
  }

  /** Returns the verdict on a current (A): within budget, within rating, or beyond. */
  public Verdict judge(double amps) {
    if (supply.isEmpty()) {
      return Verdict.OPEN;
    }
    if (amps <= budgetAmps().orElseThrow() + 1e-12) {
      return Verdict.HOLDS;
    }
    return amps <= supply.get().amps() ? Verdict.TIGHT : Verdict.BREAKS;
  }

  Calculation worst() {
    return new CurrentSum(load)
        .all(
            "worst-case",
            load.most() + (load.dims() ? ", under the brightness limit" : ""),
            worstAmps(),
            colour);
  }

  Calculation peak() {
    long at = peakMoment();
    return new CurrentSum(load)
        .at(
            "peak",
            at < 0 ? "Idle current, all dark" : "Peak current, at moment " + (at + 1),
            course.peakSent());
  }

  /**
   * Returns the working of the current while a frame of a clip shows: of the moment in which most
   * is sent; empty when it never shows.
   *
   * @param clip position among the clips of the show
   */
  public Optional<Calculation> currentOfFrame(int clip, int frame) {
    CurrentProfile.Peak[] most = {CurrentProfile.Peak.NONE};
    show.walk(
        (index, start, hold, frames) -> {
          if (frames[clip] == frame) {
            CurrentProfile.Peak here = course.at(load, levels, limiter(), index, start, frames);
            most[0] = here.amps() > most[0].amps() ? here : most[0];
          }
        });
    return most[0].index() < 0
        ? Optional.empty()
        : Optional.of(
            new CurrentSum(load)
                .at(
                    "frame-current",
                    phrase(
                        "Peak current while frame %d shows, at moment %d",
                        frame + 1, most[0].index() + 1),
                    most[0]));
  }

  Calculation budget(Supply given) {
    return new Calculation(
        "budget",
        "Current budget",
        budgetAmps().orElseThrow(),
        "A",
        "rating × (100 % − margin)",
        List.of(given("rating", given.amps(), "A"), given("margin", settings.marginPercent(), "%")),
        Source.OWN_ENTRY);
  }

  @Override
  public List<Calculation> calculations() {
    List<Calculation> numbers = new ArrayList<>();
    if (load.emitters() > 0) {
      numbers.addAll(List.of(worst(), peak()));
    }
    if (show.count() > 0 && load.emitters() > 0) {
      numbers.addAll(new CurrentCalculations(this).all());
    }
    supply.ifPresent(given -> numbers.add(budget(given)));
    limiter().ifPresent(limiter -> numbers.add(limit(limiter)));
    return List.copyOf(numbers);
  }

  private Calculation limit(Limiter limiter) {
    return new Calculation(
        "limiter",
        "Limiter: largest weighted sum of levels",
        limiter.limit(),
        "",
        "largest of(0, round down((budget − idle gadget − on/off outputs) ÷ current per unit of weight))",
        List.of(
            given("budget", budgetAmps().orElseThrow(), "A"),
            given("idle gadget", load.darkAmps(), "A"),
            given("on/off outputs", Load.switchedAmps(played), "A"),
            given("current per unit of weight", load.unitAmps(), "A")),
        Source.ARITHMETIC);
  }

  @Override
  public List<Finding> findings() {
    return new PowerFindings(this).all();
  }
}
