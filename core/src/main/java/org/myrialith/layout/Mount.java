package org.myrialith.layout;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * How a shape is put up: mirrored about its own middle, then turned clockwise about its own origin,
 * then shifted.
 *
 * @param xMm of the origin of the shape
 * @param yMm of the origin of the shape
 * @param zMm of the origin of the shape, towards the viewer
 * @param turnDegrees clockwise as the viewer sees it
 * @param mirrored left and right swapped
 * @param reversed whether the data enters at the other end
 * @param dark indices in data order that stay in the chain but are never lit
 * @param emitter identifier of the class of its emitters
 */
@RecordBuilder
public record Mount(
    double xMm,
    double yMm,
    double zMm,
    double turnDegrees,
    boolean mirrored,
    boolean reversed,
    List<Integer> dark,
    String emitter) {
  /** Allowed coordinate. */
  public static final Bounds PLACE = Bounds.measure(-10_000, 10_000, "mm");

  /** Allowed turn. */
  public static final Bounds TURN = Bounds.measure(-360, 360, "°");

  /** Most dark emitters that are listed. */
  public static final int MOST_DARK = 1024;

  /** Class of the emitters of a fixture that names none. */
  public static final String USUAL_EMITTER = "one-wire-rgb";

  /** How it stands in the format. */
  public static final Description<Mount> DESCRIPTION =
      Description.of(
          Mount.class,
          coordinate("xMm", "At x").formerly("centreXMm", new Types.Measure(PLACE), x -> x),
          coordinate("yMm", "At y").formerly("centreYMm", new Types.Measure(PLACE), y -> y),
          coordinate("zMm", "Forward z").explained("towards the viewer"),
          Field.measure("turnDegrees", "Rotation", TURN)
              .or(0.0)
              .explained("clockwise about the origin, with its picture"),
          Field.flag("mirrored", "Mirrored", "no", "left and right swapped")
              .or(false)
              .explained("about the centre of its emitters, before rotation"),
          Field.flag("reversed", "Data input", "at the first end", "at the other end").or(false),
          Field.rows(
                  "dark",
                  "Dark pixels, such as 3, 7-9",
                  new Types.Count(Bounds.count(0, Fixture.MOST_EMITTERS - 1)),
                  0,
                  MOST_DARK)
              .or(List.of())
              .explained(
                  "positions in data order that are sent but never lit; templates give them no hole"),
          Field.words("emitter", "Emitter class", Types.Words.Rule.ANY)
              .or(USUAL_EMITTER)
              .explained("a class of this gadget, or one of emitters"));

  private static Field<Double> coordinate(String name, String label) {
    return Field.measure(name, label, PLACE).or(0.0).explained("position of the fixture's origin");
  }

  public Mount {
    PLACE.require("xMm", xMm);
    PLACE.require("yMm", yMm);
    PLACE.require("zMm", zMm);
    TURN.require("turnDegrees", turnDegrees);
    dark = List.copyOf(dark);
    if (dark.size() > MOST_DARK) {
      throw new InputException("dark", dark.size() + " entries", "at most " + MOST_DARK);
    }
    if (new HashSet<>(dark).size() != dark.size()) {
      throw new InputException("dark", dark, "each position once");
    }
    Objects.requireNonNull(emitter, "emitter");
  }

  /** Returns a mount that only shifts. */
  public static Mount at(double xMm, double yMm) {
    return new Mount(xMm, yMm, 0, 0, false, false, List.of(), USUAL_EMITTER);
  }

  /** Returns this mount shifted by (mm). */
  public Mount movedBy(double dxMm, double dyMm) {
    return MountBuilder.builder(this).xMm(xMm + dxMm).yMm(yMm + dyMm).build();
  }

  /** Returns this mount turned further clockwise about its own origin. */
  public Mount turnedBy(double degrees) {
    double turn = (turnDegrees + degrees) % 360;
    return MountBuilder.builder(this).turnDegrees(turn).build();
  }

  /** Returns this mount with left and right swapped, or back. */
  public Mount mirroredOver() {
    return MountBuilder.builder(this).mirrored(!mirrored).build();
  }

  /** Returns this mount with the data entering at the other end. */
  public Mount backwards() {
    return MountBuilder.builder(this).reversed(!reversed).build();
  }

  /** Returns this mount with other dark emitters. */
  public Mount withDark(List<Integer> indices) {
    return MountBuilder.builder(this).dark(indices).build();
  }

  /** Returns this mount with another class of emitters. */
  public Mount withEmitter(String id) {
    return MountBuilder.builder(this).emitter(id).build();
  }
}
