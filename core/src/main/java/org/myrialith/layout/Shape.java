package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;

/**
 * What a fixture is, in a frame of its own: x to the right, y down, z towards the viewer, all in
 * millimetres. Immutable.
 *
 * <p>A shape that folds or stands up has two places for an emitter: {@link #position}, flat as it
 * is drawn, cut and drilled, and {@link #pose}, in space as it is built.
 */
public sealed interface Shape
    permits Panel,
        Strip,
        Ring,
        Spiral,
        ModulePolygon,
        SegmentDigits,
        Bar,
        LampDigits,
        Stack,
        BoxFaces,
        Panes,
        LooseEmitters {
  /** Drawn for a single emitter (mm): a usual pitch (common practice). */
  double LONE_PITCH_MM = 10;

  /** Returns the number of emitters, at least 1. */
  int count();

  /**
   * Returns the class of emitter that such a fixture is usually built with (common practice):
   * addressable pixels, but plain LEDs and lamps in what shows characters.
   */
  default String usualEmitter() {
    return Mount.USUAL_EMITTER;
  }

  /**
   * Returns the columns of a picture on this shape, as the viewer sees it: in one row, unless the
   * shape says otherwise.
   */
  default int seenColumns() {
    return count();
  }

  /** Returns the rows of a picture on this shape, as the viewer sees it. */
  default int seenRows() {
    return 1;
  }

  /** Returns the flat place of the emitter with that index in data order. */
  Position position(int index);

  /** Returns the place in space of the emitter with that index, and where it looks. */
  default Pose pose(int index) {
    Position place = position(index);
    return new Pose(place.xMm(), place.yMm(), 0, Facing.VIEWER);
  }

  /**
   * Returns the name of what that emitter is a part of, such as "b"; empty when its cell says all.
   */
  default String part(int index) {
    return "";
  }

  /**
   * Returns what a builder calls a stretch of the chain, such as "layer 2".
   *
   * @param first emitter of it
   * @param number from 0, in the shape's own order
   */
  default String stretch(Placement first, int number) {
    return first.part().isEmpty() ? "piece " + (number + 1) : first.part();
  }

  /** Returns the least distance of neighbours (mm), above 0. */
  double spacingMm();

  /** Returns a few words that describe it, such as "16 × 8 panel". */
  String describe();

  /**
   * Returns whether the cells of its picture lie as the viewer sees them, so that a mirror swaps
   * them.
   */
  default boolean pictorial() {
    return false;
  }

  /** Returns the x about which a mirrored shape is flipped (mm). */
  default double middleMm() {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    for (Placement placement : placements()) {
      double x = placement.position().xMm();
      left = Math.min(left, x);
      right = Math.max(right, x);
    }
    return (left + right) / 2;
  }

  /** Returns whether what lies between its emitters belongs to it, as on a panel. */
  default boolean spansArea() {
    return false;
  }

  /** Returns the lines to cut and to fold by. */
  default List<Edge> edges() {
    return List.of();
  }

  /** Returns words that help to build it, in its own frame. */
  default List<Note> notes() {
    return List.of();
  }

  /** Returns all emitters in data order. */
  default List<Placement> placements() {
    List<Placement> all = new ArrayList<>(count());
    for (int i = 0; i < count(); i++) {
      all.add(new Placement(position(i), pose(i), part(i), leapsAfter(i)));
    }
    return all;
  }

  /**
   * Returns whether the chain leaves one piece and enters another between that index and the next.
   */
  default boolean leapsAfter(int index) {
    return false;
  }

  /** Returns how many things of it are on or off by themselves, times the dies of an emitter. */
  default int switched() {
    return count();
  }

  /**
   * Returns which of the things that are on or off each emitter is of, numbered from 0 in data
   * order.
   */
  default int[] switches() {
    return IntStream.range(0, count()).toArray();
  }

  /** Returns whether emitters that are switched together stand in series, else side by side. */
  default boolean switchedInSeries() {
    return true;
  }

  /** Returns whether it is a grid that reads as a picture. */
  default boolean grid() {
    return false;
  }

  /** Returns by how many quarters it lies turned under its upright picture. */
  default int quarters() {
    return 0;
  }

  /**
   * Returns it turned further clockwise by quarters, its picture staying upright; empty if it
   * can't.
   */
  default Optional<Shape> turnedUpright(int quarters) {
    return Optional.empty();
  }

  /** Returns the lengths of strip that are cut off rolls for it. */
  default List<Cut> cuts() {
    return List.of();
  }

  /** Returns the numbers that only a fixture of this kind has. */
  default List<Calculation> numbers(Fixture fixture) {
    return List.of();
  }

  /** Returns the judgements that only a fixture of this kind has. */
  default List<Finding> findings(Fixture fixture) {
    return List.of();
  }

  /** Returns the height of a character that it shows (mm), 0 when it shows none. */
  default double characterMm() {
    return 0;
  }

  /**
   * Returns lines in space that show its body, to look at; none where the flat drawing shows all.
   */
  default List<List<Pose>> body() {
    return List.of();
  }
}
