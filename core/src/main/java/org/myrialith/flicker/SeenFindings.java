package org.myrialith.flicker;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/** What a camera and a sweeping eye see of lights that have their turns, all of them full on. */
record SeenFindings(ScannedPlan plan, Places places, ScanSettings settings) {
  /** Bands of less are not noticed (common practice). */
  private static final double NOTICED = 0.05;

  /** A light of which a frame gets less is missing there. */
  private static final double MISSED = 0.01;

  List<Finding> all() {
    return List.of(camera(), sweep());
  }

  private double turnSeconds() {
    return 1 / plan.timing().wholeHz();
  }

  private Exposures exposures() {
    int[] full = new int[plan.channels()];
    Arrays.fill(full, plan.fullLevel());
    return Exposures.of(
        plan,
        Levels.of(plan.levelBits(), full),
        places.down(full.length),
        settings.camera(),
        Exposures.FRAMES);
  }

  private Finding camera() {
    Exposures seen = exposures();
    double contrast = seen.contrast();
    boolean missing = seen.dimmest() < MISSED;
    Verdict verdict = missing || contrast > NOTICED ? Verdict.TIGHT : Verdict.HOLDS;
    String says =
        missing
            ? phrase(
                "A camera of %s and a shutter of %s misses lights: they have no turn while their line is exposed.",
                Quantity.text(settings.camera().framesHz(), "Hz"),
                Quantity.text(settings.camera().shutterSeconds(), "s"))
            : phrase(
                "A camera of %s and a shutter of %s gets lights from %s to %s of what they are: %s.",
                Quantity.text(settings.camera().framesHz(), "Hz"),
                Quantity.text(settings.camera().shutterSeconds(), "s"),
                Quantity.text(seen.dimmest() * 100, "%"),
                Quantity.text(seen.brightest() * 100, "%"),
                contrast > NOTICED ? "bands are seen" : "no band is noticed");
    Finding finding =
        Finding.of(Step.SCAN, plan.key("camera"), verdict, says).restingOn(bands(contrast));
    return verdict == Verdict.HOLDS ? finding : finding.advising(remedies());
  }

  private Calculation bands(double contrast) {
    return new Calculation(
        plan.key("camera"),
        "Contrast of bands",
        contrast * 100,
        "%",
        Calculation.FOUND_BY
            + "exposing 30 frames, each line from its own moment: (brightest − dimmest) ÷ (brightest + dimmest) of all lights",
        List.of(
            given("turn of all", turnSeconds(), "s"),
            given("shutter", settings.camera().shutterSeconds(), "s"),
            given("read-out", settings.camera().readoutMillis() * 1e-3, "s"),
            given("noticed from", NOTICED * 100, "%")),
        Source.COMMON_PRACTICE);
  }

  /** Shutters of whole turns, and the refresh whose turns fill the shutter. */
  private String remedies() {
    List<String> all = new ArrayList<>();
    double shutter = settings.camera().shutterSeconds();
    double frame = 1 / settings.camera().framesHz();
    int turns = (int) Math.max(1, Math.round(shutter / turnSeconds()));
    while (turns > 1 && turns * turnSeconds() > frame) {
      turns--;
    }
    if (turns * turnSeconds() <= frame) {
      all.add(
          phrase(
              "A shutter of %s, %s, sees all lights alike.",
              Quantity.text(turns * turnSeconds(), "s"), Quantity.text(turns, "turns")));
    } else {
      all.add(
          phrase(
              "A turn is longer than a frame of this camera: at most %s a second see all lights alike.",
              Quantity.text(Math.floor(1 / turnSeconds()), "frames")));
    }
    double hertz = Math.ceil(plan.timing().wholeHz() * shutter) / shutter;
    double most =
        plan.mostHertz(plan.timing().turns(), plan.circuit().scan()) / plan.timing().passes();
    all.add(
        hertz <= most
            ? phrase("Turns of %s fill this shutter as a whole.", Quantity.text(hertz, "Hz"))
            : phrase(
                "Turns of %s would fill this shutter; %s is the most here: fewer bits or rows reach more.",
                Quantity.text(hertz, "Hz"), Quantity.text(Math.floor(most), "Hz")));
    return String.join(" ", all);
  }

  private Finding sweep() {
    double moved = settings.eye().sweptMm(turnSeconds());
    double pitch = places.pitchMm();
    boolean apart = pitch > 0 && moved > pitch;
    Calculation working =
        new Calculation(
            plan.key("eye-sweep"),
            "An eye that sweeps gets on in a turn of all by",
            moved,
            "mm",
            "distance × speed × turn of all; speed in radians",
            List.of(
                given("distance", settings.eye().eyeMm(), "mm"),
                given("speed", settings.eye().degreesPerSecond(), "°/s"),
                given("turn of all", turnSeconds(), "s"),
                given("nearest lights", pitch, "mm")),
            Source.ARITHMETIC);
    Finding finding =
        Finding.of(
                Step.SCAN,
                plan.key("eye-sweep"),
                apart ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "An eye that sweeps past at %s sees each turn %s from the one before%s.",
                    Quantity.text(settings.eye().degreesPerSecond(), "°/s"),
                    Quantity.text(moved, "mm"),
                    apart
                        ? phrase(
                            ", and the nearest lights are %s apart: the picture breaks up",
                            Quantity.text(pitch, "mm"))
                        : ", within the pitch"))
            .restingOn(working);
    double hertz = pitch > 0 ? settings.eye().sweptMm(1) / pitch : plan.timing().wholeHz();
    return apart
        ? finding.advising(
            phrase("Turns of %s stay within the pitch.", Quantity.text(Math.ceil(hertz), "Hz")))
        : finding;
  }
}
