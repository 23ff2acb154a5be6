package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Emitters in a block: layers of columns and rows, one above the other. Drawn from above; layer 1
 * is the lowest, the others rise towards the viewer of the drawing. The origin is the base plate
 * under the left top emitter. A picture has the layers below each other, layer 1 first.
 *
 * @param columns across
 * @param rows down
 * @param layers above each other
 * @param pitchMm between neighbours of a layer
 * @param layerGapMm from layer to layer
 * @param firstGapMm from the base plate to layer 1
 */
public record Stack(
    int columns, int rows, int layers, double pitchMm, double layerGapMm, double firstGapMm)
    implements Shape {
  /** Allowed columns, rows and layers. */
  public static final Bounds SIDE = Bounds.count(1, 32);

  /** Allowed pitch and gaps. */
  public static final Bounds GAP = Bounds.measure(1, 500, "mm");

  /** How it stands in the format. */
  public static final Kind<Stack> KIND =
      Kind.of(
          "stack",
          "stack",
          new Stack(4, 4, 4, 20, 20, 10),
          Field.count("columns", "Columns", SIDE),
          Field.count("rows", "Rows", SIDE),
          Field.count("layers", "Layers", SIDE),
          Field.measure("pitchMm", "Pitch", GAP).explained("between neighbours of a layer"),
          Field.measure("layerGapMm", "Layer spacing", GAP),
          Field.measure("firstGapMm", "Gap under layer 1", GAP));

  public Stack {
    SIDE.require("columns", columns);
    SIDE.require("rows", rows);
    SIDE.require("layers", layers);
    GAP.require("pitchMm", pitchMm);
    GAP.require("layerGapMm", layerGapMm);
    GAP.require("firstGapMm", firstGapMm);
    if (columns * rows * layers > Fixture.MOST_EMITTERS) {
      throw new InputException(
          "layers",
          phrase("%d × %d × %d", columns, rows, layers),
          "at most " + Fixture.MOST_EMITTERS + " emitters in a stack");
    }
  }

  @Override
  public boolean spansArea() {
    return true;
  }

  @Override
  public int count() {
    return columns * rows * layers;
  }

  @Override
  public int seenColumns() {
    return columns;
  }

  @Override
  public int seenRows() {
    return rows * layers;
  }

  private int layer(int index) {
    return index / (columns * rows);
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count());
    int column = index % columns;
    int row = index / columns % rows;
    return new Position(column * pitchMm, row * pitchMm, column, layer(index) * rows + row);
  }

  @Override
  public Pose pose(int index) {
    Position place = position(index);
    double z = firstGapMm + layer(index) * layerGapMm;
    return new Pose(place.xMm(), place.yMm(), z, Facing.VIEWER);
  }

  @Override
  public double spacingMm() {
    if (columns == 1 && rows == 1) {
      return layers == 1 ? pitchMm : layerGapMm;
    }
    return layers == 1 ? pitchMm : Math.min(pitchMm, layerGapMm);
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    return List.of(
        LayoutNumbers.length(
            "stack-" + fixture.id(),
            "Height of " + fixture.name(),
            heightMm(),
            "first gap + (layers − 1) × layer spacing",
            Calculation.given("first gap", firstGapMm, "mm"),
            Calculation.given("layers", layers, ""),
            Calculation.given("layer spacing", layerGapMm, "mm")));
  }

  @Override
  public List<Finding> findings(Fixture fixture) {
    if (enclosed() == 0) {
      return List.of();
    }
    return List.of(
        Finding.of(
                Step.LAYOUT,
                "enclosed-" + fixture.id(),
                Verdict.TIGHT,
                phrase(
                    "%s of the emitters of %s can't be reached once it is built.",
                    Quantity.number(enclosed()), fixture.name()))
            .advising("Test every emitter, then every layer, before you add the next.")
            .restingOn(
                new Calculation(
                    "enclosed-count-" + fixture.id(),
                    "Emitters with neighbours on all sides",
                    enclosed(),
                    "emitters",
                    "(columns − 2) × (rows − 2) × (layers − 2)",
                    List.of(
                        Calculation.given("columns", columns, ""),
                        Calculation.given("rows", rows, ""),
                        Calculation.given("layers", layers, "")),
                    Source.COMMON_PRACTICE)));
  }

  /** Returns the emitters that have neighbours on all six sides, out of reach once it is built. */
  public int enclosed() {
    return Math.max(0, columns - 2) * Math.max(0, rows - 2) * Math.max(0, layers - 2);
  }

  /** Returns the height of the topmost layer over the base plate (mm). */
  public double heightMm() {
    return firstGapMm + (layers - 1) * layerGapMm;
  }

  @Override
  public String part(int index) {
    return "layer " + (layer(index) + 1);
  }

  @Override
  public boolean leapsAfter(int index) {
    return (index + 1) % (columns * rows) == 0;
  }

  @Override
  public List<List<Pose>> body() {
    double right = (columns - 1) * pitchMm;
    double bottom = (rows - 1) * pitchMm;
    return IntStream.range(0, layers)
        .mapToDouble(layer -> firstGapMm + layer * layerGapMm)
        .mapToObj(
            z ->
                List.of(
                    Pose.corner(0, 0, z),
                    Pose.corner(right, 0, z),
                    Pose.corner(right, bottom, z),
                    Pose.corner(0, bottom, z),
                    Pose.corner(0, 0, z)))
        .toList();
  }

  @Override
  public String describe() {
    return phrase("stack of %d × %d × %d", columns, rows, layers);
  }
}
