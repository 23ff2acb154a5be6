package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** What is judged of lights that have their turns: flicker, ghosts, rows, time, brightness. */
record ScanFindings(ScannedPlan plan) {
  /** A still eye sees no flicker from here on, a moving one from there (Hz, common practice). */
  private static final double STILL_HERTZ = 100;

  private static final double MOVED_HERTZ = 200;

  /**
   * Lights that go all the way on and off: low risk from 1250 Hz, no effect from 3000 Hz
   * (modulation of 100 % within 0.08 % and 0.0333 % a Hz).
   */
  private static final double LOW_RISK_HERTZ = 1250;

  private static final double NO_EFFECT_HERTZ = 3000;

  private static final Source IEEE = Source.standard("IEEE 1789-2015");

  /** Beyond this share the player has little time left. */
  private static final double LARGE_SHARE = 0.5;

  private ScanTiming timing() {
    return plan.timing();
  }

  private Controller controller() {
    return plan.brief().controller();
  }

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    able().ifPresent(all::add);
    missing().ifPresent(all::add);
    all.add(refresh());
    all.add(standard());
    all.add(interrupts());
    all.add(ghosts());
    all.add(row());
    shared().ifPresent(all::add);
    all.add(brightness());
    all.add(stuck());
    return all;
  }

  List<Reckoning> numbers() {
    return List.of(rate(), share(), unit(), duty(), rowCurrent());
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Step.CIRCUITS, plan.key(name), verdict, says);
  }

  private Optional<Finding> able() {
    boolean timer = controller().timerOutputs().values().stream().anyMatch(t -> t.startsWith("2"));
    return timer
        ? Optional.empty()
        : Optional.of(
            of("scan-timer", Verdict.BREAKS, "This class of controller has no timer that scans.")
                .advising(
                    "Use the 8-bit classes with 32 KB or 256 KB of flash, or a driver chip."));
  }

  private Optional<Finding> missing() {
    int rows = plan.circuit().rowPins().size();
    int columns = plan.circuit().columnPins().size();
    int wanted = plan.map().chips();
    return rows >= wanted && columns > 0
        ? Optional.empty()
        : Optional.of(
            of(
                    "rows-missing",
                    Verdict.BREAKS,
                    columns == 0
                        ? phrase(
                            "%s want some %s for rows and columns; none are named.",
                            Quantity.text(lights(), "lights"), Quantity.text(square(), "pins"))
                        : phrase(
                            "%s on %s want %s; %d are named.",
                            Quantity.text(lights(), "lights"),
                            Quantity.text(columns, "columns"),
                            Quantity.text(wanted, "rows"),
                            rows))
                .advising("Name more pins of rows or of columns."));
  }

  private int lights() {
    return plan.map().channels().size();
  }

  /** Pins of rows and columns as square as can be. */
  private int square() {
    int side = (int) Math.ceil(Math.sqrt(lights()));
    return side + (lights() + side - 1) / Math.max(1, side);
  }

  private Reckoning rate() {
    return new Reckoning(
        plan.key("scan-refresh"),
        "Turns of all rows",
        timing().refreshHz(),
        "Hz",
        "clock ÷ (rows × cycles of the slots of a row)",
        List.of(
            given("clock", Controller.CLOCK_HZ, "Hz"),
            given("rows", timing().rows(), ""),
            given("cycles of the slots of a row", timing().cycles() / timing().rows(), ""),
            given("wanted", plan.circuit().refreshHz(), "Hz")),
        Source.ARITHMETIC);
  }

  private Finding refresh() {
    double hertz = timing().refreshHz();
    String seen =
        hertz >= MOVED_HERTZ
            ? "steady for still and for moving eyes"
            : hertz >= STILL_HERTZ
                ? "steady for a still eye; a moving one sees it break up"
                : "it flickers";
    Verdict verdict =
        hertz < STILL_HERTZ
            ? Verdict.BREAKS
            : timing().reaches() && hertz >= MOVED_HERTZ ? Verdict.HOLDS : Verdict.TIGHT;
    Finding finding =
        of(
                "scan-refresh",
                verdict,
                phrase(
                    "%d rows of %s have their turns %s a second: %s.%s",
                    timing().rows(),
                    Quantity.text(timing().bits(), "bits"),
                    Quantity.text(Math.floor(hertz), "times"),
                    seen,
                    timing().reaches()
                        ? ""
                        : phrase(
                            " %s are wanted, and the shortest slot leaves no more.",
                            Quantity.text(plan.circuit().refreshHz(), "Hz"))))
            .restingOn(rate());
    return verdict == Verdict.HOLDS ? finding : finding.advising(quicker());
  }

  /** What fewer bits, and a matrix in halves, would reach. */
  private String quicker() {
    List<String> all = new ArrayList<>();
    for (int bits = timing().bits() - 1; bits >= 1 && all.size() < 2; bits--) {
      all.add(
          phrase(
              "%d bits: %s",
              bits, Quantity.text(Math.floor(plan.mostHertz(timing().rows(), bits)), "Hz")));
    }
    int half = (timing().rows() + 1) / 2;
    if (half < timing().rows()) {
      all.add(
          phrase(
              "%d rows of twice the columns: %s",
              half, Quantity.text(Math.floor(plan.mostHertz(half, timing().bits())), "Hz")));
    }
    return phrase("At most, with %s.", String.join("; ", all));
  }

  private Finding standard() {
    double hertz = timing().refreshHz();
    String says =
        hertz >= NO_EFFECT_HERTZ
            ? "beyond the frequency from which no effect is known"
            : hertz >= LOW_RISK_HERTZ
                ? "within what the standard calls low risk"
                : phrase(
                    "below the %s of low risk that the standard asks of room lights",
                    Quantity.text(LOW_RISK_HERTZ, "Hz"));
    return of(
            "scan-standard",
            Verdict.HOLDS,
            phrase(
                "Lights that go all the way on and off at %s are %s.",
                Quantity.text(Math.floor(hertz), "Hz"), says))
        .restingOn(
            new Reckoning(
                plan.key("scan-standard"),
                "Low risk for lights that go dark, from",
                LOW_RISK_HERTZ,
                "Hz",
                "100 % ÷ 0.08 % a Hz; no effect from 100 % ÷ 0.0333 % a Hz",
                List.of(given("turns", hertz, "Hz")),
                IEEE));
  }

  private Reckoning share() {
    return new Reckoning(
        plan.key("scan-share"),
        "Share of time of the interrupts",
        timing().share() * 100,
        "%",
        "turns × rows × bits × cycles of an interrupt ÷ clock",
        List.of(
            given("interrupts", timing().interruptsHz(), "Hz"),
            given("cycles of one", timing().interruptCycles(), "")),
        Source.partClass("instructions of the exported interrupt"));
  }

  private Finding interrupts() {
    boolean much = timing().share() > LARGE_SHARE;
    Finding finding =
        of(
                "scan-share",
                much ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "%s interrupts a second of %s take %s of the time.",
                    Quantity.number(Math.rint(timing().interruptsHz())),
                    Quantity.text(timing().interruptCycles(), "cycles"),
                    Quantity.text(timing().share() * 100, "%")))
            .restingOn(share());
    return much ? finding.advising("Use fewer bits, fewer rows or a lower refresh.") : finding;
  }

  private Reckoning unit() {
    return new Reckoning(
        plan.key("scan-unit"),
        "The lowest bit lights",
        timing().unitSeconds(),
        "s",
        "ticks × time of a tick",
        List.of(
            given("ticks", timing().unit(), ""),
            given("time of a tick", (double) timing().prescale() / Controller.CLOCK_HZ, "s"),
            given("rows off between slots", timing().darkSeconds(), "s")),
        Source.partClass("timer of the controller"));
  }

  private Finding ghosts() {
    double off = plan.circuit().rowSwitch().offSeconds();
    boolean clean = timing().darkSeconds() >= off;
    Finding finding =
        of(
                "scan-ghosts",
                clean ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "All rows are off for %s between slots; %s lets go within %s.",
                    Quantity.text(timing().darkSeconds(), "s"),
                    plan.circuit().rowSwitch().title(),
                    Quantity.text(off, "s")))
            .restingOn(unit());
    return clean
        ? finding
        : finding.advising(
            phrase(
                "The row before glows on in the columns of the next: blank for %s.",
                Quantity.text(off, "s")));
  }

  private Reckoning rowCurrent() {
    OutputStage stage = plan.circuit().rowSwitch().stage(controller().stage());
    return new Reckoning(
        plan.key("row-current"),
        "A row with all its lights in their turn",
        plan.rowAmps(),
        "A",
        "sum of the currents of its lights in their turn",
        List.of(
            given("to plan with", stage.planMilliamps(), "mA"),
            given("at the very most", stage.mostMilliamps(), "mA")),
        Source.partClass("data of the class"));
  }

  private Finding row() {
    OutputStage stage = plan.circuit().rowSwitch().stage(controller().stage());
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
                    "A row carries up to %s through %s; %s is planned with, %s is the very most.",
                    Quantity.text(plan.rowAmps(), "A"),
                    plan.circuit().rowSwitch().title(),
                    Quantity.text(stage.planMilliamps() * 1e-3, "A"),
                    Quantity.text(stage.mostMilliamps() * 1e-3, "A")))
            .restingOn(rowCurrent());
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Let rows through a stronger switch, or ask for less current.");
  }

  /** Below this share of what a lone light gets, a full row is seen darker (common practice). */
  private static final double SEEN_SHARE = 0.8;

  /** What lights of a row share makes them darker the more of them are lit. */
  private Optional<Finding> shared() {
    int together = plan.mostOfARow();
    if (together < 2 || !(plan.switching().loads().get(0).path() instanceof ByTurns turns)) {
      return Optional.empty();
    }
    double alone = turns.amps(1);
    double each = turns.amps(together);
    boolean even = each >= SEEN_SHARE * alone;
    Reckoning working =
        new Reckoning(
            plan.key("row-shared"),
            phrase("Each of %d lights of a row, lit together", together),
            each,
            "A",
            "(volts − lost − forward volts) ÷ (resistor + inside + (lights − 1) × inside the row's switch)",
            List.of(
                given("one alone", alone, "A"),
                given("inside the row's switch", turns.rowOhms(), "ohm"),
                given("resistor", turns.resistor().ohms(), "ohm")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "row-shared",
                even ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "A light alone in its row gets %s in its turn, each of %d lit together %s.",
                    Quantity.text(alone, "A"), together, Quantity.text(each, "A")))
            .restingOn(working);
    return Optional.of(
        even
            ? finding
            : finding.advising("Full rows are seen darker: let rows through a stronger switch."));
  }

  private Reckoning duty() {
    return new Reckoning(
        plan.key("scan-duty"),
        "A light of full level is lit",
        timing().duty() * 100,
        "%",
        "time of all its bits ÷ time of a turn of all rows",
        List.of(
            given("rows", timing().rows(), ""),
            given("rows off between slots", timing().darkSeconds(), "s")),
        Source.ARITHMETIC);
  }

  /** Lightness of a share of a light that is taken as white (%), CIE 1976. */
  private static double lightness(double share) {
    return share > 216.0 / 24389 ? 116 * Math.cbrt(share) - 16 : share * 24389 / 27;
  }

  private Finding brightness() {
    double seen = lightness(timing().duty());
    return of(
            "scan-brightness",
            Verdict.HOLDS,
            phrase(
                "A light is lit %s of the time: beside one that is always on at the same current it has a lightness of %s.",
                Quantity.text(timing().duty() * 100, "%"), Quantity.text(seen, "%")))
        .restingOn(duty());
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
                "When the scan stops, one row stays on at %s a light; the class stands %s for good.",
                Quantity.text(most, "A"), Quantity.text(rated, "A")));
    return stands
        ? finding
        : finding.advising(
            "A stop burns that row: keep the watchdog of the export, and try out with less current.");
  }
}
