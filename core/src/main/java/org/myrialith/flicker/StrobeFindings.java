package org.myrialith.flicker;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;

/** What is judged of flashes on a turning body. */
record StrobeFindings(Strobe strobe) {
  /**
   * Flashes that bring on seizures in some: from 3 a second on, hardly from 65 (common practice).
   */
  private static final double HARMFUL_FROM = 3;

  private static final double HARMFUL_TO = 65;

  /**
   * Beyond these shares of the way to the next arm, edges are soft, and blurred (common practice).
   */
  private static final double SOFT = 0.05;

  private static final double BLURRED = 0.15;

  /** Warmer than the air a junction may get: 85 °C at 25 °C around (common practice). */
  private static final double WARM_KELVIN = 60;

  private static final double WHITE = 100;

  List<Finding> all() {
    return List.of(rate(), smear(), drift(), brightness(), heat());
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Step.SCAN, "strobe-" + name, verdict, says);
  }

  private Finding rate() {
    double hertz = strobe.hertz();
    boolean harmful = hertz >= HARMFUL_FROM && hertz <= HARMFUL_TO;
    Calculation working =
        new Calculation(
            "strobe-rate",
            "Flashes",
            hertz,
            "Hz",
            "arms × turns ÷ every so many-th arm + too often by",
            List.of(
                given("arms", strobe.arms(), ""),
                given("turns", strobe.turnsHz(), "Hz"),
                given("every so many-th arm", strobe.everyArm(), ""),
                given("too often by", strobe.offHz(), "Hz")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "rate",
                harmful ? Verdict.BREAKS : hertz < HARMFUL_FROM ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "%s a second, %s a turn%s.",
                    Quantity.text(hertz, "flashes"),
                    Quantity.number(strobe.flashesPerTurn()),
                    harmful
                        ? ": flashes from 3 to 65 a second can bring on seizures"
                        : hertz < HARMFUL_FROM
                            ? ": single flashes are seen, not a body that stands still"
                            : ", too quick to be seen as flashes"))
            .restingOn(working);
    return finding.verdict() == Verdict.HOLDS ? finding : finding.advising(quicker());
  }

  private String quicker() {
    List<String> all = new ArrayList<>();
    for (int every = strobe.everyArm() - 1; every >= 1; every--) {
      double hertz = strobe.arms() * strobe.turnsHz() / every;
      if (hertz > HARMFUL_TO) {
        all.add(
            phrase(
                "A flash at every %s: %s.",
                every == 1 ? "arm" : Quantity.number(every) + "th arm",
                Quantity.text(hertz, "Hz")));
        break;
      }
    }
    all.add(
        phrase(
            "The body at %s turns a second or more flashes beyond 65 a second at every arm.",
            Quantity.number(Math.ceil(10 * HARMFUL_TO / strobe.arms()) / 10)));
    return String.join(" ", all);
  }

  private Finding smear() {
    double share = strobe.smearDegrees() / strobe.spacingDegrees();
    Verdict verdict =
        share > BLURRED ? Verdict.BREAKS : share > SOFT ? Verdict.TIGHT : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            "strobe-smear",
            "Smear of a flash",
            strobe.smearDegrees(),
            "°",
            "360° × turns × a flash",
            List.of(
                given("turns", strobe.turnsHz(), "Hz"),
                given("a flash", strobe.flashMicros() * 1e-6, "s"),
                given("at the rim", strobe.smearMm(), "mm"),
                given("from arm to arm", strobe.spacingDegrees(), "°")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "smear",
                verdict,
                phrase(
                    "A flash smears %s, %s at the rim: %s of the way to the next arm, %s.",
                    Quantity.text(strobe.smearDegrees(), "°"),
                    Quantity.text(strobe.smearMm(), "mm"),
                    Quantity.text(share * 100, "%"),
                    verdict == Verdict.HOLDS
                        ? "sharp"
                        : verdict == Verdict.TIGHT ? "soft edges" : "blurred"))
            .restingOn(working);
    double micros = SOFT * strobe.spacingDegrees() / 360 / strobe.turnsHz() * 1e6;
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            phrase("A flash of %s at most is sharp.", Quantity.text(Math.floor(micros), "µs")));
  }

  /** The nearest that a timer of 16 bits gives, from the 16 MHz of an 8-bit controller (Hz). */
  private double nearest() {
    for (int prescale : new int[] {1, 8, 64, 256, 1024}) {
      double ticks = Controller.CLOCK_HZ / (prescale * strobe.hertz());
      if (ticks <= 65_536) {
        return Controller.CLOCK_HZ / (prescale * (double) Math.max(1, Math.round(ticks)));
      }
    }
    return Controller.CLOCK_HZ / (1024.0 * 65_536);
  }

  private Finding drift() {
    double drift = strobe.driftDegrees();
    double step = Math.abs(nearest() - strobe.hertz());
    double stepDrift = step * 360 * strobe.everyArm() / strobe.arms();
    Calculation working =
        new Calculation(
            "strobe-drift",
            "The body seems to turn by",
            drift,
            "°/s",
            "360° × turns − every so many-th arm × 360° ÷ arms × flashes",
            List.of(
                given("turns", strobe.turnsHz(), "Hz"),
                given("every so many-th arm", strobe.everyArm(), ""),
                given("arms", strobe.arms(), ""),
                given("still at", strobe.stillHertz(), "Hz"),
                given("flashes", strobe.hertz(), "Hz"),
                given("nearest of a 16-bit timer", nearest(), "Hz")),
            Source.ARITHMETIC);
    String says =
        strobe.offHz() == 0
            ? "The body stands still"
            : phrase(
                "The body seems to turn %s by %s, once round in %s",
                drift < 0 ? "backwards" : "onwards",
                Quantity.text(Math.abs(drift), "°/s"),
                Quantity.text(360 / Math.abs(drift), "s"));
    return of(
            "drift",
            Verdict.HOLDS,
            phrase(
                "%s; the nearest that a 16-bit timer of 16 MHz gives is %s off, which drifts by %s.",
                says, Quantity.text(step, "Hz"), Quantity.text(stepDrift, "°/s")))
        .restingOn(working);
  }

  private Finding brightness() {
    double duty = strobe.duty();
    Calculation working =
        new Calculation(
            "strobe-duty",
            "Lit",
            duty * WHITE,
            "%",
            "flashes × a flash",
            List.of(
                given("flashes", strobe.hertz(), "Hz"),
                given("a flash", strobe.flashMicros() * 1e-6, "s"),
                given("in a flash", strobe.flashAmps(), "A"),
                given("mean", strobe.meanAmps(), "A")),
            Source.ARITHMETIC);
    return of(
            "brightness",
            Verdict.HOLDS,
            phrase(
                "Lit %s of the time: lightness %s beside the same light always on. %s in a flash, %s in the mean.",
                Quantity.text(duty * WHITE, "%"),
                Quantity.text(Lightness.of(duty), "%"),
                Quantity.text(strobe.flashAmps(), "A"),
                Quantity.text(strobe.meanAmps(), "A")))
        .restingOn(working);
  }

  private Finding heat() {
    boolean cool = strobe.warmerKelvin() <= WARM_KELVIN;
    Calculation working =
        new Calculation(
            "strobe-heat",
            "Warmer than the air",
            strobe.warmerKelvin(),
            "K",
            "each LED in the mean × to the air; current × volts × share of the time, as if none of it were light",
            List.of(
                given("each LED in the mean", strobe.wattsEach(), "W"),
                given("to the air", strobe.kelvinPerWatt(), "K/W"),
                given("it may be", WARM_KELVIN, "K")),
            Source.COMMON_PRACTICE);
    Finding finding =
        of(
                "heat",
                cool ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Each LED turns %s into heat in the mean, and gets %s warmer than the air; should the flashes stop lit, %s.",
                    Quantity.text(strobe.wattsEach(), "W"),
                    Quantity.text(strobe.warmerKelvin(), "K"),
                    Quantity.text(strobe.warmerKelvin() / strobe.duty(), "K")))
            .restingOn(working);
    double most = WARM_KELVIN / strobe.warmerKelvin() * strobe.flashMicros();
    return cool
        ? finding
        : finding.advising(
            phrase(
                "Flashes of %s, or a heat sink of %s in all, keep it within %s.",
                Quantity.text(Math.floor(most), "µs"),
                Quantity.text(WARM_KELVIN / strobe.wattsEach(), "K/W"),
                Quantity.text(WARM_KELVIN, "K")));
  }
}
