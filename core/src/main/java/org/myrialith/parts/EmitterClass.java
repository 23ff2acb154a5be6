package org.myrialith.parts;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A class of emitters with its data. Values are those of the class, to be replaced by those of the
 * part in hand.
 *
 * @param id unique among the classes
 * @param kind decides how many dies there are
 * @param dies one for each channel
 * @param viewingDegrees angle between the directions of half intensity
 * @param packageWidthMm of the body
 * @param packageHeightMm of the body
 */
public record EmitterClass(
    String id,
    String name,
    EmitterKind kind,
    List<Die> dies,
    double viewingDegrees,
    double packageWidthMm,
    double packageHeightMm) {
  /** Allowed viewing angle. */
  public static final Bounds VIEWING = Bounds.measure(1, 360, "°");

  /** Allowed side of a package. */
  public static final Bounds PACKAGE = Bounds.measure(0.2, 200, "mm");

  /** Most dies of one emitter. */
  public static final int MOST_DIES = 4;

  /**
   * One die or filament.
   *
   * @param colour in a word or two
   * @param forwardVolts at rated current (V)
   * @param ratedMilliamps that it may carry for good (mA)
   * @param pulseMilliamps that it may carry in short pulses (mA)
   * @param millicandela luminous intensity on the axis at rated current (mcd)
   */
  public record Die(
      String colour,
      double forwardVolts,
      double ratedMilliamps,
      double pulseMilliamps,
      double millicandela) {
    /** Allowed forward voltage. */
    public static final Bounds VOLTS = Bounds.measure(0.5, 250, "V");

    /** Allowed current. */
    public static final Bounds CURRENT = Bounds.measure(0.1, 20_000, "mA");

    /** Allowed luminous intensity. */
    public static final Bounds INTENSITY = Bounds.measure(0, 10_000_000, "mcd");

    /** How it stands in the format. */
    public static final Description<Die> DESCRIPTION =
        Description.of(
            Die.class,
            Field.named("colour", "Colour"),
            Field.measure("forwardVolts", "Forward voltage", VOLTS),
            Field.measure("ratedMilliamps", "Rated current", CURRENT),
            Field.measure("pulseMilliamps", "Peak pulsed current", CURRENT)
                .explained("no less than the rated current"),
            Field.measure("millicandela", "mcd", INTENSITY)
                .explained("on the axis, at rated current"));

    public Die {
      colour = TextRules.name("colour", colour);
      VOLTS.require("forwardVolts", forwardVolts);
      CURRENT.require("ratedMilliamps", ratedMilliamps);
      CURRENT.require("pulseMilliamps", pulseMilliamps);
      INTENSITY.require("millicandela", millicandela);
      if (pulseMilliamps < ratedMilliamps) {
        throw new InputException(
            "pulseMilliamps", pulseMilliamps, "no less than the rated current");
      }
    }
  }

  /** How it stands in the format. */
  public static final Description<EmitterClass> DESCRIPTION =
      Description.of(
          EmitterClass.class,
          Field.id("id"),
          Field.named("name", "Name"),
          Field.of(
              "kind",
              "Type",
              Types.Choice.of(EmitterKind.values(), EmitterKind::key, EmitterKind::title)),
          Field.rows("dies", "Dies", Die.DESCRIPTION, 1, MOST_DIES)
              .explained("one for each channel of its kind"),
          Field.measure("viewingDegrees", "Viewing angle", VIEWING),
          Field.measure("packageWidthMm", "Package width", PACKAGE),
          Field.measure("packageHeightMm", "Package height", PACKAGE));

  public EmitterClass {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    Objects.requireNonNull(kind, "kind");
    dies = List.copyOf(dies);
    if (dies.size() != kind.dies()) {
      throw new InputException("dies", dies.size() + " dies", kind.dies() + " for " + kind.title());
    }
    VIEWING.require("viewingDegrees", viewingDegrees);
    PACKAGE.require("packageWidthMm", packageWidthMm);
    PACKAGE.require("packageHeightMm", packageHeightMm);
  }

  /** Returns the shorter side of the package (mm). */
  public double slimMm() {
    return Math.min(packageWidthMm, packageHeightMm);
  }

  /** Returns this class under another identifier and name. */
  public EmitterClass renamed(String newId, String newName) {
    return new EmitterClass(
        newId, newName, kind, dies, viewingDegrees, packageWidthMm, packageHeightMm);
  }
}
