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
import org.myrialith.finding.Harm;
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
                "On camera (%s) some LEDs stay dark: they are off while their line is exposed.",
                settings.camera().says())
            : phrase(
                "On camera (%s) brightness varies from %s to %s: %s.",
                settings.camera().says(),
                Quantity.text(seen.dimmest() * 100, "%"),
                Quantity.text(seen.brightest() * 100, "%"),
                contrast > NOTICED ? "banding will show" : "no visible banding");
    Finding finding =
        Finding.of(Harm.LOOKS, Step.SCAN, plan.key("camera"), verdict, says)
            .restingOn(bands(contrast));
    return verdict == Verdict.HOLDS ? finding : finding.advising(remedies());
  }

  private Calculation bands(double contrast) {
    return new Calculation(
        plan.key("camera"),
        "Contrast of banding",
        contrast * 100,
        "%",
        Calculation.FOUND_BY
            + "exposing 30 frames, each line from its own start: (brightest − dimmest) ÷ (brightest + dimmest) of all LEDs",
        List.of(
            given("scan cycle", turnSeconds(), "s"),
            given("shutter", settings.camera().shutterSeconds(), "s"),
            given("read-out", settings.camera().readoutMillis() * 1e-3, "s"),
            given("visible from", NOTICED * 100, "%")),
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
              "A shutter of %s (%s) avoids it.",
              Quantity.text(turns * turnSeconds(), "s"), Quantity.text(turns, "scan cycles")));
    } else {
      all.add(
          phrase(
              "A scan cycle is longer than a camera frame: use %s or less.",
              Quantity.text(Math.floor(1 / turnSeconds()), "fps")));
    }
    double hertz = Math.ceil(plan.timing().wholeHz() * shutter) / shutter;
    double most =
        plan.mostHertz(plan.timing().turns(), plan.circuit().scan()) / plan.timing().passes();
    all.add(
        hertz <= most
            ? phrase("A scan rate of %s fits this shutter.", Quantity.text(hertz, "Hz"))
            : phrase(
                "A scan rate of %s would fit this shutter; the maximum here is %s. Fewer bits or rows allow more.",
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
            "Shift per scan cycle for a moving eye",
            moved,
            "mm",
            "distance × speed × scan cycle; speed in radians",
            List.of(
                given("distance", settings.eye().eyeMm(), "mm"),
                given("speed", settings.eye().degreesPerSecond(), "°/s"),
                given("scan cycle", turnSeconds(), "s"),
                given("LED pitch", pitch, "mm")),
            Source.ARITHMETIC);
    Finding finding =
        Finding.of(
                Harm.LOOKS,
                Step.SCAN,
                plan.key("eye-sweep"),
                apart ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "A moving eye (%s) sees each scan cycle %s from the one before%s.",
                    Quantity.text(settings.eye().degreesPerSecond(), "°/s"),
                    Quantity.text(moved, "mm"),
                    apart
                        ? phrase(
                            "; LED pitch %s: the picture breaks up", Quantity.text(pitch, "mm"))
                        : ", within the LED pitch"))
            .restingOn(working);
    double hertz = pitch > 0 ? settings.eye().sweptMm(1) / pitch : plan.timing().wholeHz();
    return apart
        ? finding.advising(
            phrase(
                "A scan rate of %s stays within the LED pitch.",
                Quantity.text(Math.ceil(hertz), "Hz")))
        : finding;
  }
}
