package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;

/** What an eye sees of lights that have their turns: flicker, and how bright they are. */
record EyeFindings(ScannedPlan plan) {
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

  /** Lit for more of the time, a light is as good as always on. */
  private static final double ALWAYS = 0.9;

  private ScanTiming timing() {
    return plan.timing();
  }

  List<Finding> all() {
    return List.of(refresh(), standard(), brightness());
  }

  List<Calculation> numbers() {
    return List.of(rate(), duty());
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Step.CIRCUITS, plan.key(name), verdict, says);
  }

  private Calculation rate() {
    return new Calculation(
        plan.key("scan-refresh"),
        "Turns of all " + plan.circuit().turnWord(),
        timing().refreshHz(),
        "Hz",
        "clock × passes ÷ (turns × cycles of the slots of one)",
        List.of(
            given("clock", plan.timing().hertz(), "Hz"),
            given("turns", timing().turns(), ""),
            given("passes", timing().passes(), ""),
            given("cycles of the slots of one", (double) timing().cycles() / timing().turns(), ""),
            given("wanted", plan.circuit().scan().refreshHz(), "Hz")),
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
                    "%s %s a second%s: %s.%s",
                    plan.circuit().rowSwitch().turns()
                        ? phrase(
                            "%s of %s have their turns",
                            Quantity.text(timing().turns(), plan.circuit().turnWord()),
                            Quantity.text(timing().bits(), "bits"))
                        : phrase("Levels of %s are shown", Quantity.text(timing().bits(), "bits")),
                    Quantity.text(Math.floor(hertz), "times"),
                    timing().passes() == 1
                        ? ""
                        : phrase(
                            ", all of their bits %s",
                            Quantity.text(Math.floor(timing().wholeHz()), "times")),
                    seen,
                    timing().reaches()
                        ? ""
                        : phrase(
                            " %s are wanted, and the shortest slot leaves no more.",
                            Quantity.text(plan.circuit().scan().refreshHz(), "Hz"))))
            .restingOn(rate());
    return verdict == Verdict.HOLDS ? finding : finding.advising(quicker());
  }

  private String reached(String with, double hertz) {
    return phrase("%s: %s", with, Quantity.text(Math.floor(hertz), "Hz"));
  }

  /** What fewer bits, another method, and a matrix in halves would reach. */
  private String quicker() {
    List<String> all = new ArrayList<>();
    int turns = timing().turns();
    Scan scan = plan.circuit().scan();
    if (scan.method() == ScanMethod.PLAIN) {
      all.add(reached("bit-angle", plan.mostHertz(turns, scan.by(ScanMethod.BIT_ANGLE))));
    }
    for (int bits = timing().bits() - 1; bits >= 1 && all.size() < 2; bits--) {
      all.add(reached(Quantity.text(bits, "bits"), plan.mostHertz(turns, bits)));
    }
    double inPasses = plan.mostHertz(turns, scan.by(ScanMethod.TWO_PASSES));
    if (scan.method() == ScanMethod.BIT_ANGLE && inPasses > 1.1 * timing().refreshHz()) {
      all.add(reached("bits over two passes", inPasses));
    }
    plan.circuit()
        .regrouped(turns)
        .ifPresent(by -> all.add(reached(by.title(), plan.mostHertz(by.turns(), scan))));
    anotherClass(turns, scan).ifPresent(all::add);
    return phrase("At most, with %s. A driver chip scans by itself.", String.join("; ", all));
  }

  /** The class that reaches the most, when that is clearly more. */
  private Optional<String> anotherClass(int turns, Scan scan) {
    return Controller.CLASSES.stream()
        .map(c -> c.at(plan.brief().clock()))
        .filter(c -> c.pins().size() >= plan.circuit().pins().size())
        .max(Comparator.comparingDouble(c -> plan.mostHertz(turns, scan, c)))
        .filter(c -> plan.mostHertz(turns, scan, c) > 1.1 * plan.mostHertz(turns, scan))
        .map(c -> reached(c.title(), plan.mostHertz(turns, scan, c)));
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
            new Calculation(
                plan.key("scan-standard"),
                "Low risk for lights that go dark, from",
                LOW_RISK_HERTZ,
                "Hz",
                "100 % ÷ 0.08 %; modulation ÷ (0.08 % per Hz), no observable effect from 100 % ÷ 0.0333 %",
                List.of(given("turns", hertz, "Hz")),
                IEEE));
  }

  private Calculation duty() {
    return new Calculation(
        plan.key("scan-duty"),
        "A light of full level is lit",
        timing().duty() * 100,
        "%",
        "lowest bit × (2^bits − 1) × refresh ÷ passes",
        List.of(
            given("lowest bit", timing().unitSeconds(), "s"),
            given("bits", timing().bits(), ""),
            given("refresh", timing().refreshHz(), "Hz"),
            given("passes", timing().passes(), ""),
            given("turns", timing().turns(), ""),
            given("rows off between slots", timing().darkSeconds(), "s")),
        Source.ARITHMETIC);
  }

  private Finding brightness() {
    double seen = Lightness.of(timing().duty());
    return of(
            "scan-brightness",
            Verdict.HOLDS,
            phrase(
                "A light is lit %s of the time: beside one that is always on at the same current it has a lightness of %s.%s",
                Quantity.text(timing().duty() * 100, "%"), Quantity.text(seen, "%"), asBright()))
        .restingOn(duty());
  }

  /** What would have to flow in a turn for the mean of a light that is always on. */
  private String asBright() {
    double wanted = plan.hookup().milliamps() * 1e-3;
    double peak = wanted / timing().duty();
    double pulse =
        plan.switching().loads().stream()
            .mapToDouble(load -> load.die().pulseMilliamps() * 1e-3)
            .min()
            .orElse(0);
    return timing().duty() > ALWAYS
        ? ""
        : phrase(
            " As bright as that it would want %s in its turn; the class stands pulses of %s, %s of that brightness.",
            Quantity.text(peak, "A"),
            Quantity.text(pulse, "A"),
            Quantity.text(Math.min(1, pulse / peak) * 100, "%"));
  }
}
