package org.myrialith.flicker;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
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
            "Flash rate",
            hertz,
            "Hz",
            "blades × speed ÷ blades per flash + detune",
            List.of(
                given("blades", strobe.arms(), ""),
                given("speed", strobe.turnsHz(), "Hz"),
                given("blades per flash", strobe.everyArm(), ""),
                given("detune", strobe.offHz(), "Hz")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "rate",
                harmful ? Verdict.BREAKS : hertz < HARMFUL_FROM ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "Flash rate %s, %s per revolution%s.",
                    Quantity.text(hertz, "Hz"),
                    Quantity.text(strobe.flashesPerTurn(), "flashes"),
                    harmful
                        ? ": flashes from 3 to 65 Hz can bring on seizures"
                        : hertz < HARMFUL_FROM
                            ? ": single flashes are seen, not a body standing still"
                            : ", too fast to be seen as flashes"))
            .harming(Harm.PERSON)
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
                "Flash at every %s: %s.",
                every == 1 ? "blade" : ordinal(every) + " blade", Quantity.text(hertz, "Hz")));
        break;
      }
    }
    all.add(
        phrase(
            "A rotation of %s or more gives over 65 Hz at every blade.",
            Quantity.text(Math.ceil(10 * HARMFUL_TO / strobe.arms()) / 10, "Hz")));
    return String.join(" ", all);
  }

  private static String ordinal(int number) {
    return number == 2 ? "second" : number == 3 ? "third" : Quantity.number(number) + "th";
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
            "360° × speed × flash length",
            List.of(
                given("speed", strobe.turnsHz(), "Hz"),
                given("flash length", strobe.flashMicros() * 1e-6, "s"),
                given("at the rim", strobe.smearMm(), "mm"),
                given("blade spacing", strobe.spacingDegrees(), "°")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                "smear",
                verdict,
                phrase(
                    "Smear of a flash %s (%s at the rim), %s of the blade spacing: %s.",
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
            phrase("A flash of up to %s looks sharp.", Quantity.text(Math.floor(micros), "µs")));
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
            "Apparent rotation",
            drift,
            "°/s",
            "360° × speed − blades per flash × 360° ÷ blades × flash rate",
            List.of(
                given("speed", strobe.turnsHz(), "Hz"),
                given("blades per flash", strobe.everyArm(), ""),
                given("blades", strobe.arms(), ""),
                given("stands still at", strobe.stillHertz(), "Hz"),
                given("flash rate", strobe.hertz(), "Hz"),
                given("nearest rate of a 16-bit timer", nearest(), "Hz")),
            Source.ARITHMETIC);
    String says =
        strobe.offHz() == 0
            ? "Apparent rotation none"
            : phrase(
                "Apparent rotation %s by %s, one turn in %s",
                drift < 0 ? "backwards" : "onwards",
                Quantity.text(Math.abs(drift), "°/s"),
                Quantity.text(360 / Math.abs(drift), "s"));
    return of(
            "drift",
            Verdict.HOLDS,
            phrase(
                "%s. The nearest rate of a 16-bit timer at 16 MHz is %s off (drift %s).",
                says, Quantity.text(step, "Hz"), Quantity.text(stepDrift, "°/s")))
        .restingOn(working);
  }

  private Finding brightness() {
    double duty = strobe.duty();
    Calculation working =
        new Calculation(
            "strobe-duty",
            "Duty cycle",
            duty * WHITE,
            "%",
            "flash rate × flash length",
            List.of(
                given("flash rate", strobe.hertz(), "Hz"),
                given("flash length", strobe.flashMicros() * 1e-6, "s"),
                given("in a flash", strobe.flashAmps(), "A"),
                given("mean", strobe.meanAmps(), "A")),
            Source.ARITHMETIC);
    return of(
            "brightness",
            Verdict.HOLDS,
            phrase(
                "Duty cycle %s: perceived brightness %s of 100 beside the same LED always on. Current %s in a flash, %s mean.",
                Quantity.text(duty * WHITE, "%"),
                Quantity.number(Lightness.of(duty)),
                Quantity.text(strobe.flashAmps(), "A"),
                Quantity.text(strobe.meanAmps(), "A")))
        .restingOn(working);
  }

  private Finding heat() {
    boolean cool = strobe.warmerKelvin() <= WARM_KELVIN;
    Calculation working =
        new Calculation(
            "strobe-heat",
            "Temperature rise above air",
            strobe.warmerKelvin(),
            "K",
            "mean power of each LED × thermal resistance; current × voltage × duty cycle, counting all of it as heat",
            List.of(
                given("mean power of each LED", strobe.wattsEach(), "W"),
                given("thermal resistance", strobe.kelvinPerWatt(), "K/W"),
                given("limit", WARM_KELVIN, "K")),
            Source.COMMON_PRACTICE);
    Finding finding =
        of(
                "heat",
                cool ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Each LED dissipates %s mean, %s above air; if the flashes stop while lit, %s.",
                    Quantity.text(strobe.wattsEach(), "W"),
                    Quantity.text(strobe.warmerKelvin(), "K"),
                    Quantity.text(strobe.warmerKelvin() / strobe.duty(), "K")))
            .harming(Harm.PERSON)
            .restingOn(working);
    double most = WARM_KELVIN / strobe.warmerKelvin() * strobe.flashMicros();
    return cool
        ? finding
        : finding.advising(
            phrase(
                "Flashes of %s, or a total thermal resistance of %s, keep it within %s.",
                Quantity.text(Math.floor(most), "µs"),
                Quantity.text(WARM_KELVIN / strobe.wattsEach(), "K/W"),
                Quantity.text(WARM_KELVIN, "K")));
  }
}
