package org.myrialith.layout;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * Where the gadget is looked at from, and what it is built with.
 *
 * @param viewingMm from which it is looked at, 0 when not said
 * @param diffuserMm from emitters to a diffuser, 0 when there is none
 * @param slackPercent more wire than the straight way
 * @param rollMm length of strip on a roll
 * @param enclosure that everything has to fit into
 */
@RecordBuilder
public record Site(
    double viewingMm, double diffuserMm, int slackPercent, double rollMm, Enclosure enclosure) {
  /** Allowed viewing distance. */
  public static final Bounds VIEWING = Bounds.measure(0, 200_000, "mm");

  /** Allowed diffuser distance. */
  public static final Bounds DIFFUSER = Bounds.measure(0, 1000, "mm");

  /** Allowed slack. */
  public static final Bounds SLACK = Bounds.count(0, 300, "%");

  /** Allowed length of a roll. */
  public static final Bounds ROLL = Bounds.measure(100, 100_000, "mm");

  /** Nothing said; a quarter more wire and rolls of 5 m (common practice). */
  public static final Site USUAL = new Site(0, 0, 25, 5000, new Enclosure.Unbounded());

  /** How it stands in the format. */
  public static final Description<Site> DESCRIPTION =
      Description.of(
          Site.class,
          Field.measure("viewingMm", "Viewing distance", VIEWING)
              .or(0.0)
              .explained("0 = not given"),
          Field.measure("diffuserMm", "Diffuser", DIFFUSER)
              .or(0.0)
              .explained("distance from the emitters; 0 = none"),
          Field.count("slackPercent", "Wire slack", SLACK)
              .or(USUAL.slackPercent)
              .explained("added to the straight distance"),
          Field.measure("rollMm", "Strip roll length", ROLL).or(USUAL.rollMm),
          Field.of("enclosure", "Enclosure", EnclosureKinds.ALL).or(new Enclosure.Unbounded()));

  /** Returns how long a lead is cut for a straight way (mm). */
  public double leadMm(double straightMm) {
    return straightMm * (1 + slackPercent / 100.0);
  }

  public Site {
    VIEWING.require("viewingMm", viewingMm);
    DIFFUSER.require("diffuserMm", diffuserMm);
    SLACK.require("slackPercent", slackPercent);
    ROLL.require("rollMm", rollMm);
    Objects.requireNonNull(enclosure, "enclosure");
  }

  /** Returns the site with another enclosure. */
  public Site within(Enclosure other) {
    return SiteBuilder.builder(this).enclosure(other).build();
  }

  /** Returns the site looked at from another distance. */
  public Site viewedFrom(double distanceMm) {
    return SiteBuilder.builder(this).viewingMm(distanceMm).build();
  }
}
