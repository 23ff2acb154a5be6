package org.myrialith.flicker;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A row of LEDs that is moved, and shows a picture column after column where it is.
 *
 * @param leds in the row; 0 for no bar
 * @param pitchMm from one to the next
 * @param hubMm from the middle of its turns to the first LED
 * @param movesHz turns or sweeps a second
 * @param columns of the picture in a turn or a sweep
 * @param sweepMm that a sweep is wide
 */
public record LightBar(
    int leds,
    Motion motion,
    double pitchMm,
    double hubMm,
    double movesHz,
    int columns,
    double sweepMm) {
  /** Allowed LEDs. */
  public static final Bounds LEDS = Bounds.count(0, 1000, "LEDs");

  /** Allowed pitch. */
  public static final Bounds PITCH = Bounds.measure(0.5, 500, "mm");

  /** Allowed hub. */
  public static final Bounds HUB = Bounds.measure(0, 5000, "mm");

  /** Allowed moves. */
  public static final Bounds MOVES = Bounds.measure(0.1, 200, "Hz");

  /** Allowed columns. */
  public static final Bounds COLUMNS = Bounds.count(1, 4096, "columns");

  /** Allowed width. */
  public static final Bounds SWEEP = Bounds.measure(10, 20_000, "mm");

  /** How it is moved. */
  public enum Motion {
    /** Around, the picture bent on a circle. */
    TURNS("turns", "rotates"),
    /** To and fro, the picture straight. */
    SWEEPS("sweeps", "sweeps to and fro");

    private final String key;
    private final String title;

    Motion(String key, String title) {
      this.key = key;
      this.title = title;
    }

    /** Returns the name used in the gadget format. */
    public String key() {
      return key;
    }

    /** Returns the name for people. */
    public String title() {
      return title;
    }
  }

  /** None. */
  public static final LightBar NONE = new LightBar(0, Motion.SWEEPS, 7, 20, 4, 60, 800);

  /** How it stands in the format. */
  public static final Description<LightBar> DESCRIPTION =
      Description.of(
          LightBar.class,
          Field.count("barLeds", "LEDs of the moving bar", LEDS)
              .or(0)
              .in("leds")
              .explained("0: no moving bar"),
          Field.of(
                  "barMotion",
                  "Movement",
                  Types.Choice.of(Motion.values(), Motion::key, Motion::title))
              .or(NONE.motion)
              .in("motion"),
          Field.measure("barPitchMm", "Pitch", PITCH).or(NONE.pitchMm).in("pitchMm"),
          Field.measure("barHubMm", "First LED from the centre", HUB).or(NONE.hubMm).in("hubMm"),
          Field.measure("barMovesHz", "Turns or sweeps per second", MOVES)
              .or(NONE.movesHz)
              .in("movesHz"),
          Field.count("barColumns", "Columns of each", COLUMNS).or(NONE.columns).in("columns"),
          Field.measure("barSweepMm", "Width of a sweep", SWEEP).or(NONE.sweepMm).in("sweepMm"));

  public LightBar {
    LEDS.require("barLeds", leds);
    PITCH.require("barPitchMm", pitchMm);
    HUB.require("barHubMm", hubMm);
    MOVES.require("barMovesHz", movesHz);
    COLUMNS.require("barColumns", columns);
    SWEEP.require("barSweepMm", sweepMm);
  }

  /** Returns whether there is one. */
  public boolean there() {
    return leds > 0;
  }

  /** Returns whether it turns round. */
  public boolean turns() {
    return motion == Motion.TURNS;
  }

  /** Returns the time of a column (s). */
  public double dwellSeconds() {
    return 1 / (movesHz * columns);
  }

  /** Returns the distance of an LED from the middle (mm). */
  public double radiusMm(int led) {
    return hubMm + led * pitchMm;
  }

  /** Returns the way of an LED in a turn or a sweep (mm). */
  public double wayMm(int led) {
    return turns() ? 2 * Math.PI * radiusMm(led) : sweepMm;
  }

  /** Returns the width of a column at an LED (mm). */
  public double columnMm(int led) {
    return wayMm(led) / columns;
  }

  /** Returns the columns that are as wide as LEDs stand apart, at the last LED. */
  public int squareColumns() {
    return Math.max(1, (int) Math.round(wayMm(leds - 1) / pitchMm));
  }

  /** Returns the speed of an LED (mm/s). */
  public double speedMm(int led) {
    return wayMm(led) * movesHz;
  }
}
