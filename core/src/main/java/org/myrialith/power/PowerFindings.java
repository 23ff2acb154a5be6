package org.myrialith.power;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Supply;

/** What is judged of the currents: of the show's frames, and with everything at its most. */
record PowerFindings(PowerPlan plan) {
  /** What a supply of 5 V may take the place of differs by no more (V). */
  private static final double FIVE_VOLTS = 1.5;

  List<Finding> all() {
    if (plan.load().emitters() == 0) {
      return List.of(
          Finding.of(
              Harm.PARTS, Step.POWER, "no-load", Verdict.OPEN, "Nothing draws current yet."));
    }
    if (plan.supply().isEmpty()) {
      return List.of(
          Finding.of(
                  Harm.PARTS,
                  Step.POWER,
                  "no-supply",
                  Verdict.OPEN,
                  phrase(
                      "%s: peak current %s. No power source named yet.",
                      plan.load().most(), Quantity.text(plan.worstAmps(), "A")))
              .advising("Name a power source.")
              .restingOn(plan.worst())
              .mendedBy(supplyRemedies(plan.worstAmps())));
    }
    List<Finding> findings = new ArrayList<>();
    if (plan.show().count() > 0) {
      findings.add(
          plan.course().overBudget() > 0 && plan.limiter().isPresent()
              ? limited()
              : framesFinding());
    }
    findings.add(worstFinding());
    return List.copyOf(findings);
  }

  private Finding framesFinding() {
    Verdict verdict = plan.judge(plan.peakAmps());
    StringBuilder says = new StringBuilder(atPeak("Peak current %s", plan.course().peakSent()));
    if (plan.course().overBudget() > 0) {
      says.append(
          phrase(
              " %s of %s moments exceed the budget.",
              Quantity.number(plan.course().overBudget()), Quantity.number(plan.show().count())));
    }
    Finding finding =
        Finding.of(Harm.PARTS, Step.POWER, "frames-current", verdict, says.toString())
            .restingOn(
                plan.peak(),
                plan.budget(plan.supply().orElseThrow()),
                new CurrentCalculations(plan).mean());
    return verdict == Verdict.HOLDS
        ? finding
        : finding
            .advising(advice("paint these frames darker"))
            .mendedBy(remedies(plan.peakAmps(), trial()));
  }

  /** The limiter dims what asks for too much; when even a dark gadget draws too much, it can't. */
  private Finding limited() {
    Verdict sent = plan.judge(plan.peakAmps());
    String says =
        atPeak("Peak current %s requested", plan.course().peakAsked())
            + phrase(
                " The limiter in the firmware dims %s of %s moments, to at most %s.",
                Quantity.number(plan.course().overBudget()),
                Quantity.number(plan.show().count()),
                Quantity.text(plan.peakAmps(), "A"))
            + seen();
    return Finding.of(
            Harm.PARTS,
            Step.POWER,
            "frames-current",
            sent == Verdict.HOLDS ? Verdict.TIGHT : sent,
            says)
        .advising(advice("paint these frames darker"))
        .restingOn(
            plan.peak(),
            plan.budget(plan.supply().orElseThrow()),
            new CurrentCalculations(plan).mean())
        .mendedBy(remedies(plan.askedPeakAmps(), trial()));
  }

  private String seen() {
    OptionalDouble lightness = new CurrentCalculations(plan).dimmedLightness();
    return lightness.isEmpty()
        ? ""
        : phrase(
            " The most dimmed one looks %s of 100 as bright.",
            Quantity.number(lightness.getAsDouble()));
  }

  private String atPeak(String draws, CurrentProfile.Peak peak) {
    String what = phrase(draws, Quantity.text(peak.amps(), "A"));
    if (peak.frames().isEmpty()) {
      return phrase("%s at most, with all clips at their highest at once. %s", what, gives());
    }
    return phrase(
        "%s at %s (%s). %s",
        what, Quantity.text(peak.startMillis() / 1000.0, "s"), names(peak.frames()), gives());
  }

  /** Names the frames that a moment shows. */
  private String names(List<Integer> frames) {
    return IntStream.range(0, frames.size())
        .mapToObj(
            c -> phrase("frame %d of %s", frames.get(c) + 1, plan.show().clips().get(c).name()))
        .collect(Collectors.joining(", "));
  }

  private Finding worstFinding() {
    boolean limited = plan.limiter().isPresent();
    Verdict most = plan.judge(limited ? plan.load().undimmedAmps() : plan.worstAmps());
    // what is not among these frames is not played
    boolean played = plan.framesOnly() && !limited && most == Verdict.BREAKS;
    Verdict verdict = played ? Verdict.TIGHT : most;
    String says =
        phrase(
            "%s would draw %s. %s",
            plan.load().most(), Quantity.text(plan.worstAmps(), "A"), gives());
    if (limited && plan.judge(plan.worstAmps()) != Verdict.HOLDS) {
      says +=
          verdict == Verdict.HOLDS
              ? " The limiter in the firmware keeps it within the budget."
              : phrase(
                  " The limiter can't prevent it: %s, the gadget already draws %s.",
                  plan.load().switches() ? "with everything lit that can't be dimmed" : "dark",
                  Quantity.text(plan.load().undimmedAmps(), "A"));
    }
    if (played) {
      says += " Planned for these frames only; nothing limits others.";
    }
    Finding finding =
        Finding.of(Harm.PARTS, Step.POWER, "worst-case-current", verdict, says)
            .restingOn(plan.worst(), plan.budget(plan.supply().orElseThrow()));
    return verdict == Verdict.HOLDS
        ? finding
        : finding
            .advising(advice("plan for these frames only"))
            .mendedBy(remedies(plan.worstAmps(), plan::worstAmps));
  }

  /** What helps; what is only on or off has nothing of a brightness limit. */
  private String advice(String orElse) {
    return plan.load().dims()
        ? phrase("Lower the brightness limit, %s, or use a stronger supply.", orElse)
        : "Light fewer LEDs at once, set a lower current, or use a stronger supply.";
  }

  private String gives() {
    Supply given = plan.supply().orElseThrow();
    return phrase(
        "Supply limit %s; %s with the %s margin.",
        Quantity.text(given.amps(), "A"),
        Quantity.text(plan.budgetAmps().orElseThrow(), "A"),
        Quantity.text(plan.settings().marginPercent(), "%"));
  }

  /** The peak over the show (A) if the brightness limit were another. */
  private IntToDoubleFunction trial() {
    BrightnessTrial trial = new BrightnessTrial(plan.load(), plan.show(), plan.levels());
    return percent -> trial.peakAmps(LevelTable.of(plan.colour().withBrightness(percent)));
  }

  private List<Remedy> remedies(double amps, IntToDoubleFunction ampsAt) {
    List<Remedy> remedies = new ArrayList<>();
    int percent = largestBrightness(ampsAt);
    if (percent > 0 && percent < plan.colour().brightnessPercent()) {
      remedies.add(
          new Remedy(
              phrase(
                  "Limit brightness to %s: draws %s",
                  Quantity.text(percent, "%"), Quantity.text(ampsAt.applyAsDouble(percent), "A")),
              new Change.LimitBrightness(percent)));
    }
    remedies.addAll(supplyRemedies(amps));
    if (plan.settings().basis() == PlanningBasis.WORST_CASE
        && plan.judge(plan.peakAmps()) == Verdict.HOLDS
        && plan.show().count() > 0) {
      remedies.add(
          new Remedy(
              "Plan for these frames, with the limiter in the firmware",
              new Change.PlanForTheseFrames()));
    }
    return remedies;
  }

  /** Returns the largest whole percent that keeps within the budget, 0 when none does. */
  int largestBrightness(IntToDoubleFunction ampsAt) {
    int holds = 0;
    int breaks = plan.colour().brightnessPercent() + 1;
    // the current never falls when the limit is raised, so halving finds the last that holds
    while (breaks - holds > 1) {
      int middle = (holds + breaks) >>> 1;
      if (plan.judge(ampsAt.applyAsDouble(middle)) == Verdict.HOLDS) {
        holds = middle;
      } else {
        breaks = middle;
      }
    }
    return holds;
  }

  private List<Remedy> supplyRemedies(double amps) {
    boolean five =
        plan.supply()
            .map(s -> Math.abs(s.volts() - 5) <= FIVE_VOLTS && !s.kind().runsEmpty())
            .orElse(true);
    if (plan.behind() || !five) {
      return List.of();
    }
    double rating = amps * 100 / (100 - plan.settings().marginPercent());
    return Supply.weakestFor(rating)
        .map(
            found ->
                new Remedy(
                    phrase(
                        "Use a %s: %s needed with the margin",
                        found.name(), Quantity.text(rating, "A")),
                    new Change.TakeSupply(found.name(), found.volts(), found.amps())))
        .map(List::of)
        .orElse(List.of());
  }
}
