package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;

/** What is judged of what has its turn: ghosts, the current of a row, what a stop leaves on. */
record RowFindings(ScannedPlan plan) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>(List.of(ghosts(), row()));
    shared().ifPresent(all::add);
    all.add(stuck());
    return all;
  }

  List<Calculation> numbers() {
    return List.of(rowCurrent());
  }

  private ScanTiming timing() {
    return plan.timing();
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Harm.PARTS, Step.CIRCUITS, plan.key(name), verdict, says);
  }

  private Finding ghosts() {
    double off = plan.circuit().rowSwitch().offSeconds();
    boolean clean = timing().darkSeconds() >= off;
    Finding finding =
        of(
                "scan-ghosts",
                clean ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Blanking %s between slots; turn-off time of %s %s.",
                    Quantity.text(timing().darkSeconds(), "s"),
                    plan.circuit().rowSwitch().title(),
                    Quantity.text(off, "s")))
            .restingOn(new ScanFindings(plan).unit());
    return clean
        ? finding
        : finding.advising(
            phrase(
                "Ghosting: the previous row glows in the columns of the next. Set blanking to %s.",
                Quantity.text(off, "s")));
  }

  private Calculation rowCurrent() {
    OutputStage stage = plan.rowStage();
    return new Calculation(
        plan.key("row-current"),
        "Row current, all its LEDs lit",
        plan.rowAmps(),
        "A",
        Calculation.FOUND_BY + "adding the peak currents of its LEDs",
        List.of(
            given("recommended maximum", stage.planMilliamps(), "mA"),
            given("absolute maximum", stage.mostMilliamps(), "mA")),
        Source.partClass("data of the class"));
  }

  private Finding row() {
    OutputStage stage = plan.rowStage();
    double most = plan.rowAmps() * 1e3;
    Verdict verdict =
        most > stage.mostMilliamps()
            ? Verdict.BREAKS
            : most > stage.planMilliamps() ? Verdict.TIGHT : Verdict.HOLDS;
    Finding finding =
        of(
                "row-current",
                verdict,
                phrase(
                    "Row current up to %s through %s; design limit %s, absolute maximum %s.",
                    Quantity.text(plan.rowAmps(), "A"),
                    plan.circuit().rowSwitch().title(),
                    Quantity.text(stage.planMilliamps() * 1e-3, "A"),
                    Quantity.text(stage.mostMilliamps() * 1e-3, "A")))
            .restingOn(rowCurrent());
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Use a stronger row switch, or set a lower LED current.");
  }

  /** Below this share of what a lone light gets, a full row is seen darker (common practice). */
  private static final double SEEN_SHARE = 0.8;

  /** What lights of a row share makes them darker the more of them are lit. */
  private Optional<Finding> shared() {
    int together = plan.mostOfARow();
    if (together < 2
        || !(plan.switching().loads().get(0).path() instanceof MultiplexedLoad turns)) {
      return Optional.empty();
    }
    double alone = turns.amps(1);
    double each = turns.amps(together);
    boolean even = each >= SEEN_SHARE * alone;
    Calculation working =
        new Calculation(
            plan.key("row-shared"),
            phrase("LED current with %d of a row lit", together),
            each,
            "A",
            "(supply − forward voltage − switch drop) ÷ (resistors in series × resistor + output resistance + (lit together − 1) × on-resistance of the row switch)",
            List.of(
                given("one alone", alone, "A"),
                given("supply", turns.resistor().volts(), "V"),
                given("forward voltage", turns.resistor().forwardVolts(), "V"),
                given("switch drop", turns.resistor().lostVolts(), "V"),
                given("resistors in series", turns.resistor().alike(), ""),
                given("output resistance", turns.resistor().insideOhms(), "ohm"),
                given("lit together", together, ""),
                given("on-resistance of the row switch", turns.rowOhms(), "ohm"),
                given("resistor", turns.resistor().ohms(), "ohm")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "row-shared",
                even ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "Row brightness changes with content: one LED lit gets %s peak, %d lit get %s each.",
                    Quantity.text(alone, "A"), together, Quantity.text(each, "A")))
            .restingOn(working);
    return Optional.of(
        even ? finding : finding.advising("Full rows look dimmer: use a stronger row switch."));
  }

  /** What a scan that stops leaves on. */
  private Finding stuck() {
    double most = 0;
    double rated = Double.MAX_VALUE;
    for (OutputLoad load : plan.switching().loads()) {
      most = Math.max(most, load.path().mostAmps());
      rated = Math.min(rated, load.die().ratedMilliamps() * 1e-3);
    }
    boolean stands = most <= rated;
    Finding finding =
        of(
            "scan-stops",
            stands ? Verdict.HOLDS : Verdict.TIGHT,
            phrase(
                "If the scan stops, one row stays on at %s per LED; continuous rating %s.",
                Quantity.text(most, "A"), Quantity.text(rated, "A")));
    return stands
        ? finding
        : finding.advising(
            plan.polled()
                ? "A stop in mid-row destroys LEDs. The export lights them only while the player waits; test with less current."
                : "A stop destroys LEDs: keep the watchdog of the export, and test with less current.");
  }
}
