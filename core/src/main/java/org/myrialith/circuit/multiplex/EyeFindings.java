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
import org.myrialith.finding.Harm;
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
    return Finding.of(Harm.LOOKS, Step.CIRCUITS, plan.key(name), verdict, says);
  }

  private Calculation rate() {
    return new Calculation(
        plan.key("scan-refresh"),
        "Refresh rate of " + plan.circuit().turnWord(),
        timing().refreshHz(),
        "Hz",
        "clock × passes ÷ (rows × cycles of the slots of one row)",
        List.of(
            given("clock", plan.timing().hertz(), "Hz"),
            given("rows", timing().turns(), ""),
            given("passes", timing().passes(), ""),
            given(
                "cycles of the slots of one row",
                (double) timing().cycles() / timing().turns(),
                ""),
            given("wanted", plan.circuit().scan().refreshHz(), "Hz")),
        Source.ARITHMETIC);
  }

  private Finding refresh() {
    double hertz = timing().refreshHz();
    String seen =
        hertz >= MOVED_HERTZ
            ? "steady for still and moving eyes"
            : hertz >= STILL_HERTZ
                ? "steady for a still eye; a moving eye sees it break up"
                : "visible flicker";
    Verdict verdict =
        hertz < STILL_HERTZ
            ? Verdict.BREAKS
            : timing().reaches() && hertz >= MOVED_HERTZ ? Verdict.HOLDS : Verdict.TIGHT;
    Finding finding =
        of(
                "scan-refresh",
                verdict,
                phrase(
                    "%s, refresh rate %s%s: %s.%s",
                    plan.circuit().rowSwitch().turns()
                        ? phrase(
                            "%s, %s",
                            Quantity.text(timing().turns(), plan.circuit().turnWord()),
                            Quantity.text(timing().bits(), "bits"))
                        : phrase("Dimming to %s", Quantity.text(timing().bits(), "bits")),
                    Quantity.text(hertz, "Hz"),
                    timing().passes() == 1
                        ? ""
                        : phrase(", full cycles %s", Quantity.text(timing().wholeHz(), "Hz")),
                    seen,
                    timing().reaches()
                        ? ""
                        : phrase(
                            " %s was requested; the shortest slot allows no more.",
                            Quantity.text(plan.circuit().scan().refreshHz(), "Hz"))))
            .restingOn(rate());
    return verdict == Verdict.HOLDS ? finding : finding.advising(quicker());
  }

  private String reached(String with, double hertz) {
    return phrase("%s: %s", with, Quantity.text(hertz, "Hz"));
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
      all.add(reached("split bit-angle (2 passes)", inPasses));
    }
    plan.circuit()
        .regrouped(turns)
        .ifPresent(by -> all.add(reached(by.title(), plan.mostHertz(by.turns(), scan))));
    anotherClass(turns, scan).ifPresent(all::add);
    return phrase("At most, with %s. A driver chip refreshes by itself.", String.join("; ", all));
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
            ? "no observable effect by IEEE 1789"
            : hertz >= LOW_RISK_HERTZ
                ? "low risk by IEEE 1789"
                : phrase(
                    "below the %s that IEEE 1789 sets for low risk in room lighting",
                    Quantity.text(LOW_RISK_HERTZ, "Hz"));
    return of(
            "scan-standard",
            Verdict.HOLDS,
            phrase(
                "Flicker, LEDs fully on and off at %s: %s.",
                Quantity.text(Math.floor(hertz), "Hz"), says))
        .restingOn(
            new Calculation(
                plan.key("scan-standard"),
                "Low-risk limit for full modulation",
                LOW_RISK_HERTZ,
                "Hz",
                "100 % ÷ 0.08 %; modulation ÷ (0.08 % per Hz), no observable effect from 100 % ÷ 0.0333 %",
                List.of(given("refresh rate", hertz, "Hz")),
                IEEE));
  }

  private Calculation duty() {
    return new Calculation(
        plan.key("scan-duty"),
        "Duty cycle at full level",
        timing().duty() * 100,
        "%",
        "lowest bit × (2^bits − 1) × refresh ÷ passes",
        List.of(
            given("lowest bit", timing().unitSeconds(), "s"),
            given("bits", timing().bits(), ""),
            given("refresh", timing().refreshHz(), "Hz"),
            given("passes", timing().passes(), ""),
            given("rows", timing().turns(), ""),
            given("blanking between slots", timing().darkSeconds(), "s")),
        Source.ARITHMETIC);
  }

  private Finding brightness() {
    double seen = Lightness.of(timing().duty());
    return of(
            "scan-brightness",
            Verdict.HOLDS,
            phrase(
                "Duty cycle %s: perceived brightness %s of 100 beside an LED that is always on at the same current.%s",
                Quantity.text(timing().duty() * 100, "%"), Quantity.number(seen), asBright()))
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
            " For equal brightness it needs %s peak; rated peak pulsed current %s gives %s of that brightness.",
            Quantity.text(peak, "A"),
            Quantity.text(pulse, "A"),
            Quantity.text(Math.min(1, pulse / peak) * 100, "%"));
  }
}
