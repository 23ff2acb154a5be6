package org.myrialith.flicker;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * Flashes on a turning body that looks the same after each of k parts of a turn.
 *
 * @param arms k; 0 for no strobe
 * @param turnsHz that the body turns a second
 * @param everyArm a flash at every so many-th arm that passes
 * @param flashMicros that a flash lasts (µs)
 * @param offHz that flashes come too often, below 0 too seldom
 * @param radiusMm of the body
 * @param leds that flash together
 * @param ledMilliamps through each in the flash (mA)
 * @param ledVolts across each then (V)
 * @param kelvinPerWatt from the junction of each to the air
 */
public record Strobe(
    int arms,
    double turnsHz,
    int everyArm,
    double flashMicros,
    double offHz,
    double radiusMm,
    int leds,
    double ledMilliamps,
    double ledVolts,
    double kelvinPerWatt) {
  /** Allowed arms. */
  public static final Bounds ARMS = Bounds.count(0, 360, "arms");

  /** Allowed turns. */
  public static final Bounds TURNS = Bounds.measure(0.05, 1000, "Hz");

  /** Allowed steps from flash to flash. */
  public static final Bounds EVERY = Bounds.count(1, 360, "arms");

  /** Allowed flash. */
  public static final Bounds FLASH = Bounds.measure(1, 1_000_000, "µs");

  /** Allowed offset. */
  public static final Bounds OFF = Bounds.measure(-50, 50, "Hz");

  /** Allowed radius. */
  public static final Bounds RADIUS = Bounds.measure(1, 5000, "mm");

  /** Allowed LEDs. */
  public static final Bounds LEDS = Bounds.count(1, 1000, "LEDs");

  /** Allowed current. */
  public static final Bounds CURRENT = Bounds.measure(1, 20_000, "mA");

  /** Allowed volts. */
  public static final Bounds VOLTS = Bounds.measure(1, 60, "V");

  /** Allowed way of the heat. */
  public static final Bounds HEAT = Bounds.measure(0.5, 500, "K/W");

  private static final double MICRO = 1e-6;
  private static final double DEGREES = 360;

  /** None; a high-power LED on a small star of metal, when there is one (common practice). */
  public static final Strobe NONE = new Strobe(0, 12, 1, 200, 0, 60, 1, 700, 3.2, 30);

  /** How it stands in the format. */
  public static final Description<Strobe> DESCRIPTION =
      Description.of(
          Strobe.class,
          Field.count("strobeArms", "Blades (marks) per revolution", ARMS)
              .or(0)
              .in("arms")
              .explained("identical parts of a revolution; 0 = no strobe"),
          Field.measure("strobeTurnsHz", "Rotation speed", TURNS).or(NONE.turnsHz).in("turnsHz"),
          Field.count("everyArm", "One flash every", EVERY).or(1).explained("blades that pass"),
          Field.measure("flashMicros", "Flash length", FLASH).or(NONE.flashMicros),
          Field.measure("offHz", "Detune", OFF)
              .or(0.0)
              .explained(
                  "flash rate above the exact one, below 0 for under it; gives an apparent slow rotation"),
          Field.measure("radiusMm", "Radius", RADIUS).or(NONE.radiusMm),
          Field.count("leds", "LEDs that flash", LEDS).or(1),
          Field.measure("ledMilliamps", "Current each", CURRENT).or(NONE.ledMilliamps),
          Field.measure("ledVolts", "Forward voltage each", VOLTS).or(NONE.ledVolts),
          Field.measure("kelvinPerWatt", "Thermal resistance, each LED to air", HEAT)
              .or(NONE.kelvinPerWatt));

  public Strobe {
    ARMS.require("strobeArms", arms);
    TURNS.require("strobeTurnsHz", turnsHz);
    EVERY.require("everyArm", everyArm);
    FLASH.require("flashMicros", flashMicros);
    OFF.require("offHz", offHz);
    RADIUS.require("radiusMm", radiusMm);
    LEDS.require("leds", leds);
    CURRENT.require("ledMilliamps", ledMilliamps);
    VOLTS.require("ledVolts", ledVolts);
    HEAT.require("kelvinPerWatt", kelvinPerWatt);
    if (arms > 0) {
      double hertz = arms * turnsHz / everyArm + offHz;
      if (hertz <= 0) {
        throw new InputException(
            "offHz",
            Quantity.text(offHz, "Hz"),
            "more than −"
                + Quantity.text(arms * turnsHz / everyArm, "Hz")
                + ", so that it flashes");
      }
      if (flashMicros * MICRO * hertz >= 1) {
        throw new InputException(
            "flashMicros",
            Quantity.text(flashMicros, "µs"),
            "less than " + Quantity.text(1 / (hertz * MICRO), "µs") + ", when the next one is due");
      }
    }
  }

  /** Returns whether there is one. */
  public boolean there() {
    return arms > 0;
  }

  /** Returns the flashes a second at which the body stands still (Hz). */
  public double stillHertz() {
    return arms * turnsHz / everyArm;
  }

  /** Returns the flashes a second (Hz). */
  public double hertz() {
    return stillHertz() + offHz;
  }

  /** Returns the flashes of a turn of the body. */
  public double flashesPerTurn() {
    return hertz() / turnsHz;
  }

  /** Returns the share of the time that it is lit. */
  public double duty() {
    return hertz() * flashMicros * MICRO;
  }

  /** Returns how far the body turns during a flash (degrees). */
  public double smearDegrees() {
    return DEGREES * turnsHz * flashMicros * MICRO;
  }

  /** Returns how far its rim moves during a flash (mm). */
  public double smearMm() {
    return 2 * Math.PI * radiusMm * turnsHz * flashMicros * MICRO;
  }

  /** Returns the degrees from one arm to the next. */
  public double spacingDegrees() {
    return DEGREES / arms;
  }

  /**
   * Returns how fast the body seems to turn (degrees a second), below 0 for backwards: from flash
   * to flash it is seen turned by what it went beyond a whole number of arms.
   */
  public double driftDegrees() {
    return (DEGREES * turnsHz / hertz() - everyArm * spacingDegrees()) * hertz();
  }

  /** Returns the current of all in a flash (A). */
  public double flashAmps() {
    return leds * ledMilliamps * 1e-3;
  }

  /** Returns the mean current of all (A). */
  public double meanAmps() {
    return flashAmps() * duty();
  }

  /** Returns the mean heat of each LED (W), as if none of it were light. */
  public double wattsEach() {
    return ledMilliamps * 1e-3 * ledVolts * duty();
  }

  /** Returns how much warmer than the air the junction gets (K). */
  public double warmerKelvin() {
    return wattsEach() * kelvinPerWatt;
  }

  /** Returns it with a flash at every so many-th arm. */
  public Strobe every(int other) {
    return new Strobe(
        arms,
        turnsHz,
        other,
        flashMicros,
        offHz,
        radiusMm,
        leds,
        ledMilliamps,
        ledVolts,
        kelvinPerWatt);
  }
}
