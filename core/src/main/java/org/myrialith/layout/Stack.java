package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

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
          "%d × %d × %d".formatted(columns, rows, layers),
          "at most " + Fixture.MOST_EMITTERS + " emitters in a stack");
    }
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
  public Place place(int index) {
    Objects.checkIndex(index, count());
    int column = index % columns;
    int row = index / columns % rows;
    return new Place(column * pitchMm, row * pitchMm, column, layer(index) * rows + row);
  }

  @Override
  public Spot spot(int index) {
    Place place = place(index);
    double z = firstGapMm + layer(index) * layerGapMm;
    return new Spot(place.xMm(), place.yMm(), z, Facing.VIEWER);
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
  public List<List<Spot>> body() {
    double right = (columns - 1) * pitchMm;
    double bottom = (rows - 1) * pitchMm;
    return IntStream.range(0, layers)
        .mapToDouble(layer -> firstGapMm + layer * layerGapMm)
        .mapToObj(
            z ->
                List.of(
                    Spot.corner(0, 0, z),
                    Spot.corner(right, 0, z),
                    Spot.corner(right, bottom, z),
                    Spot.corner(0, bottom, z),
                    Spot.corner(0, 0, z)))
        .toList();
  }

  @Override
  public String describe() {
    return "stack of %d × %d × %d".formatted(columns, rows, layers);
  }
}
