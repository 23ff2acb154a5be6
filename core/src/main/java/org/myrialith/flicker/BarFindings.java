package org.myrialith.flicker;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/** What is judged of a moving bar of light, and of the circuit that would show its columns. */
record BarFindings(LightBar bar, List<CircuitPlan> plans) {
  /** A picture that comes less often falls apart; that much is steady (Hz, common practice). */
  private static final double HOLDS_TOGETHER = 10;

  private static final double STEADY = 20;

  /** Columns this much wider or narrower than LEDs stand apart distort (common practice). */
  private static final double DISTORTS = 1.5;

  private static final double MILLI = 1e-3;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>(List.of(rate(), shape()));
    carries().ifPresentOrElse(plan -> all.add(data(plan)), () -> all.add(noCircuit()));
    all.add(player());
    return all;
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Harm.LOOKS, Step.SCAN, "bar-" + name, verdict, says);
  }

  /** The circuit that shows as many lights the quickest. */
  private Optional<CircuitPlan> carries() {
    return plans.stream()
        .filter(plan -> plan.emitters() >= bar.leds())
        .min(Comparator.comparingDouble(CircuitPlan::frameSeconds));
  }

  private Calculation dwell() {
    return new Calculation(
        "bar-dwell",
        "On-time of a column",
        bar.dwellSeconds(),
        "s",
        "1 ÷ (turns or sweeps per second × columns)",
        List.of(
            given("turns or sweeps per second", bar.movesHz(), "Hz"),
            given("columns", bar.columns(), "")),
        Source.ARITHMETIC);
  }

  private Finding rate() {
    Verdict verdict = bar.movesHz() >= STEADY ? Verdict.HOLDS : Verdict.TIGHT;
    Finding finding =
        of(
                "rate",
                verdict,
                phrase(
                    "%s %s, column on-time %s: the picture %s.",
                    bar.turns() ? "Rotation" : "Sweep rate",
                    Quantity.text(bar.movesHz(), "Hz"),
                    Quantity.text(bar.dwellSeconds(), "s"),
                    verdict == Verdict.HOLDS
                        ? "is steady"
                        : bar.movesHz() >= HOLDS_TOGETHER
                            ? "holds together but flickers"
                            : "breaks into single columns, or needs a camera with a long shutter"))
            .harming(Harm.PERSON)
            .restingOn(dwell());
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            phrase(
                "It is steady from %s%s. Flashing at 3 to 65 Hz can bring on seizures.",
                Quantity.text(STEADY, "Hz"),
                bar.turns()
                    ? phrase(
                        "; %d bars around the hub reach that at this speed",
                        (int) Math.ceil(STEADY / bar.movesHz()))
                    : ""));
  }

  private Finding shape() {
    int last = bar.leds() - 1;
    double outer = bar.columnMm(last);
    double share = outer / bar.pitchMm();
    boolean even = share <= DISTORTS && share >= 1 / DISTORTS;
    Calculation working =
        new Calculation(
            "bar-column",
            "Width of a column at the last LED",
            outer,
            "mm",
            bar.turns() ? "2 × π × radius of the last LED ÷ columns" : "width of a sweep ÷ columns",
            List.of(
                bar.turns()
                    ? given("radius of the last LED", bar.radiusMm(last), "mm")
                    : given("width of a sweep", bar.wayMm(last), "mm"),
                given("at the first LED", bar.columnMm(0), "mm"),
                given("LED pitch", bar.pitchMm(), "mm"),
                given("columns", bar.columns(), "")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "shape",
                even ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "%d × %d dots, %s %s: column width %s at the last LED%s, LED pitch %s.",
                    bar.columns(),
                    bar.leds(),
                    Quantity.text(bar.wayMm(last), "mm"),
                    bar.turns() ? "around" : "wide",
                    Quantity.text(outer, "mm"),
                    bar.turns()
                        ? phrase(", %s at the first", Quantity.text(bar.columnMm(0), "mm"))
                        : "",
                    Quantity.text(bar.pitchMm(), "mm")))
            .restingOn(working);
    return even
        ? finding
        : finding.advising(
            phrase(
                "With %s, columns are as wide as the pitch.",
                Quantity.text(bar.squareColumns(), "columns")));
  }

  private Finding data(CircuitPlan plan) {
    boolean quick = plan.frameSeconds() <= bar.dwellSeconds();
    int most = (int) Math.floor(1 / (bar.movesHz() * plan.frameSeconds()));
    Calculation working =
        new Calculation(
            "bar-data",
            "A frame of the circuit",
            plan.frameSeconds(),
            "s",
            "frame time of the circuit",
            List.of(
                given("frame time of the circuit", plan.frameSeconds(), "s"),
                given("a column", bar.dwellSeconds(), "s"),
                given("columns at most", most, ""),
                given("undistorted up to", bar.speedMm(bar.leds() - 1) * plan.dataSeconds(), "mm")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "data",
                quick ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "%s sends a frame every %s at best; a column lasts %s.",
                    plan.circuit().name(),
                    Quantity.text(plan.frameSeconds(), "s"),
                    Quantity.text(bar.dwellSeconds(), "s")))
            .restingOn(working);
    return quick
        ? finding
        : finding.advising(
            phrase(
                "At this speed it manages %s; clocked pixels or registers are faster.",
                Quantity.text(Math.max(0, most), "columns")));
  }

  private Finding noCircuit() {
    return of(
            "data",
            Verdict.OPEN,
            phrase("No circuit drives a bar of %s.", Quantity.text(bar.leds(), "LEDs")))
        .advising("Lay out the bar and connect it; one frame of its clip is one column.");
  }

  /** The player holds whole milliseconds. */
  private Finding player() {
    double millis = bar.dwellSeconds() / MILLI;
    boolean whole = millis >= 1 && Math.abs(millis - Math.rint(millis)) < 0.005 * millis;
    int columns = (int) Math.floor(1 / (bar.movesHz() * MILLI * Math.max(1, Math.ceil(millis))));
    Finding finding =
        of(
            "player",
            whole ? Verdict.HOLDS : Verdict.TIGHT,
            phrase(
                "The exported player holds frames for whole milliseconds; a column needs %s.",
                Quantity.text(bar.dwellSeconds(), "s")));
    return whole
        ? finding
        : finding.advising(
            phrase(
                "With holds of %s, a sweep has %s; or send columns from your own firmware.",
                Quantity.text(Math.max(1, Math.ceil(millis)), "ms"),
                Quantity.text(columns, "columns")));
  }
}
