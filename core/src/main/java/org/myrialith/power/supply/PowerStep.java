package org.myrialith.power.supply;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.power.DayCurrents;
import org.myrialith.power.PowerPlan;
import org.myrialith.voltagedrop.RailFindings;
import org.myrialith.voltagedrop.RailPlan;

/**
 * The currents, and what of the volts gets to the pixels.
 *
 * @param rails of the circuits that are chains of pixels
 * @param tree what stands between the supply and what it feeds; empty as long as none is named
 */
public record PowerStep(PowerPlan plan, List<RailPlan> rails, Optional<TreePlan> tree)
    implements StepPlan {
  @Override
  public Step step() {
    return Step.POWER;
  }

  @Override
  public String headline() {
    return plan.headline();
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(plan.findings());
    plan.day().ifPresent(day -> all.add(played(day)));
    all.addAll(ofTree());
    for (RailPlan rail : rails) {
      String about = rails.size() > 1 ? rail.circuit().circuit().name() : "";
      ofRail(rail).forEach(f -> all.add(f.about(about)));
    }
    return List.copyOf(all);
  }

  /** Cues show other scenes than the one that is edited, and values that are no frames. */
  private Finding played(DayCurrents day) {
    Verdict verdict = plan.judge(day.peakAmps());
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.POWER,
                "day-current",
                verdict == Verdict.OPEN ? Verdict.HOLDS : verdict,
                phrase(
                    "%s, inputs idle: mean current %s, peak %s.%s",
                    over(day),
                    Quantity.text(day.meanAmps(), "A"),
                    Quantity.text(day.peakAmps(), "A"),
                    plan.supply()
                        .map(s -> phrase(" Supply limit %s.", Quantity.text(s.amps(), "A")))
                        .orElse("")))
            .restingOn(
                working("day-mean", "Mean current", day.meanAmps(), day),
                working("day-peak", "Peak current", day.peakAmps(), day));
    return finding.verdict() == Verdict.HOLDS
        ? finding
        : finding.advising("Light fewer LEDs at once, or use a stronger supply.");
  }

  private static String over(DayCurrents day) {
    return day.samples() > 1
        ? "Cues over a day"
        : phrase("First %s after power on", Quantity.text(day.seconds(), "s"));
  }

  private static Calculation working(String key, String name, double amps, DayCurrents day) {
    return new Calculation(
        key,
        phrase("%s as the cues play", name),
        amps,
        "A",
        Calculation.FOUND_BY
            + "playing the cues as the firmware does, with values that they show, and adding the current of the levels sent",
        List.of(
            Calculation.given("times of the day", day.samples(), ""),
            Calculation.given("played in all", day.seconds(), "s")),
        Source.ARITHMETIC);
  }

  /** Of an empty gadget there is nothing to judge. */
  private List<Finding> ofTree() {
    return plan.load().emitters() == 0
        ? List.of()
        : tree.map(t -> new TreeFindings(t).all()).orElse(List.of());
  }

  private List<Finding> ofRail(RailPlan rail) {
    boolean worst = plan.limiter().isEmpty();
    return new RailFindings(rail, worst, plan.colour().brightnessPercent(), this::share).all();
  }

  /** What white gives of the full level under a brightness limit. */
  private double share(int percent) {
    return LevelTable.of(plan.colour().withBrightness(percent)).whiteShare();
  }

  @Override
  public List<Calculation> calculations() {
    return Stream.concat(
            plan.calculations().stream(),
            Stream.concat(
                    Stream.concat(plan.day().map(this::played).stream(), ofTree().stream()),
                    rails.stream().flatMap(r -> ofRail(r).stream()))
                .flatMap(f -> f.calculations().stream()))
        .toList();
  }
}
