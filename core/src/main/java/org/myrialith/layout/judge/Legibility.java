package org.myrialith.layout.judge;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Site;

/**
 * What an eye makes of a layout from where it is looked at, and through a diffuser.
 *
 * <p>One arc minute is what an eye of 20/20 acuity tells apart, so neighbours merge from 1 ÷
 * tan(1') = 3438 times their pitch. A grid reads as a picture from about a metre for each
 * millimetre of pitch (common practice). A character wants 20 arc minutes of height, and at least
 * 16 (ISO 9241-303, from memory).
 */
record Legibility(LayoutPlan plan, Site site) {
  private static final double ARC_MINUTE = Math.PI / 180 / 60;
  private static final double READS_PER_PITCH = 1000;
  private static final double LEAST_MINUTES = 16;
  private static final double GOOD_MINUTES = 20;
  private static final double MM_PER_METRE = 1000;

  /** Returns the distance from which emitters of that pitch merge (mm). */
  static double mergesFromMm(double pitchMm) {
    return pitchMm / Math.tan(ARC_MINUTE);
  }

  List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    coarsest().ifPresent(f -> findings.add(reads(f)));
    if (site.viewingMm() > 0) {
      plan.fixtures().stream()
          .filter(f -> f.shape().characterMm() > 0)
          .min(Comparator.comparingDouble(f -> f.shape().characterMm()))
          .ifPresent(f -> findings.add(character(f)));
    }
    if (site.diffuserMm() > 0) {
      plan.fixtures().stream()
          .max(Comparator.comparingDouble(Fixture::pitchMm))
          .ifPresent(f -> findings.add(diffuser(f)));
    }
    return findings;
  }

  /** The grid of the widest pitch: it is the last to read as a picture. */
  private Optional<Fixture> coarsest() {
    return plan.fixtures().stream()
        .filter(f -> f.shape().grid() && f.count() > 1)
        .max(Comparator.comparingDouble(Fixture::pitchMm));
  }

  private Finding reads(Fixture fixture) {
    double reads = fixture.pitchMm() * READS_PER_PITCH;
    double merges = mergesFromMm(fixture.pitchMm());
    boolean known = site.viewingMm() > 0;
    boolean far = site.viewingMm() >= reads;
    String says =
        phrase(
            "%s reads as a picture from %s; its pixels merge from %s.",
            fixture.name(), metres(reads), metres(merges));
    if (known) {
      says += " Viewing distance " + metres(site.viewingMm()) + ".";
    }
    Finding finding =
        Finding.of(
                Harm.LOOKS,
                Step.LAYOUT,
                "reads",
                known && !far ? Verdict.TIGHT : Verdict.HOLDS,
                says)
            .restingOn(
                distance(
                    "reads-from",
                    "Reads as a picture from",
                    reads,
                    "1000 × pitch; a metre for each millimetre",
                    fixture,
                    Source.COMMON_PRACTICE),
                distance(
                    "merges-from",
                    "Pixels merge from",
                    merges,
                    "pitch ÷ tan(1 ÷ 60 × π ÷ 180); one arc minute",
                    fixture,
                    Source.standard("20/20 visual acuity: 1 arc minute")));
    return known && !far
        ? finding.advising("Use a finer pitch or a diffuser, or view it from farther away.")
        : finding;
  }

  private static Calculation distance(
      String key, String name, double mm, String formula, Fixture fixture, Source source) {
    return new Calculation(
        key,
        name,
        mm / MM_PER_METRE,
        "m",
        formula,
        List.of(given("pitch", fixture.pitchMm(), "mm")),
        source);
  }

  private static String metres(double mm) {
    return Quantity.text(mm / MM_PER_METRE, "m");
  }

  private Finding character(Fixture fixture) {
    double height = fixture.shape().characterMm();
    double minutes = Math.atan(height / site.viewingMm()) / ARC_MINUTE;
    Verdict verdict =
        minutes >= GOOD_MINUTES
            ? Verdict.HOLDS
            : minutes >= LEAST_MINUTES ? Verdict.TIGHT : Verdict.BREAKS;
    Finding finding =
        Finding.of(
                Harm.LOOKS,
                Step.LAYOUT,
                "character-height",
                verdict,
                phrase(
                    "Characters of %s are %s high: %s at %s (20 arc minutes read well).",
                    fixture.name(),
                    Quantity.text(height, "mm"),
                    Quantity.text(minutes, "arc minutes"),
                    metres(site.viewingMm())))
            .restingOn(
                new Calculation(
                    "character-angle",
                    "Visual angle of a character",
                    minutes,
                    "arc minutes",
                    "arctan(height ÷ distance)",
                    List.of(
                        given("height", height, "mm"), given("distance", site.viewingMm(), "mm")),
                    Source.standard("ISO 9241-303, character height (from memory)")));
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            phrase(
                "Make them at least %s high.",
                Quantity.text(
                    Math.ceil(site.viewingMm() * Math.tan(GOOD_MINUTES * ARC_MINUTE)), "mm")));
  }

  private Finding diffuser(Fixture fixture) {
    double pitch = fixture.pitchMm();
    boolean melts = site.diffuserMm() >= pitch;
    double ripple = Diffusion.ripple(pitch, site.diffuserMm()) * 100;
    Finding finding =
        Finding.of(
                Harm.LOOKS,
                Step.LAYOUT,
                "diffuser",
                melts ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "Diffuser %s in front of %s with a pitch of %s: light spots %s.",
                    Quantity.text(site.diffuserMm(), "mm"),
                    fixture.name(),
                    Quantity.text(pitch, "mm"),
                    melts ? "merge" : "stay visible"))
            .restingOn(
                new Calculation(
                    "ripple",
                    "Contrast of spots on the diffuser",
                    ripple,
                    "%",
                    Calculation.FOUND_BY
                        + "adding the light of a square grid of equal emitters, each giving E ∝ (gap² ÷ (gap² + r²))²: (brightest − darkest) ÷ (brightest + darkest)",
                    List.of(given("pitch", pitch, "mm"), given("gap", site.diffuserMm(), "mm")),
                    Source.standard("inverse-square and cosine laws of illuminance")),
                new Calculation(
                    "melting-gap",
                    "Gap at which spots merge",
                    pitch,
                    "mm",
                    "pitch; about that",
                    List.of(given("pitch", pitch, "mm")),
                    Source.COMMON_PRACTICE));
    return melts
        ? finding
        : finding.advising(phrase("Place it %s away or more.", Quantity.text(pitch, "mm")));
  }
}
