package org.myrialith.layout;

import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;

/**
 * A rectangular matrix of emitters.
 *
 * <p>Columns, rows, first corner and run describe the panel as it lies on the bench; then it is
 * turned clockwise by quarter turns, and the box round its emitter centres is put with its left top
 * corner at (x, y).
 *
 * @param columns emitters across, before the turn
 * @param rows emitters down, before the turn
 * @param pitchXMm distance of neighbours across (mm), before the turn
 * @param pitchYMm distance of neighbours down (mm), before the turn
 * @param firstCorner where the data enters
 * @param alongColumns whether the data runs down the columns first; otherwise along the rows
 * @param serpentine whether every second run goes back; otherwise all run the same way
 * @param quarterTurns clockwise, 0 to 3
 * @param xMm left edge of the box round the centres
 * @param yMm top edge of the box round the centres
 */
public record Panel(
    String id,
    String name,
    int columns,
    int rows,
    double pitchXMm,
    double pitchYMm,
    Corner firstCorner,
    boolean alongColumns,
    boolean serpentine,
    int quarterTurns,
    double xMm,
    double yMm)
    implements Fixture {
  /** Allowed columns and rows. */
  public static final Bounds SIDE = Bounds.count(1, 256);

  /** Allowed pitch (mm). */
  public static final Bounds PITCH = Bounds.measure(0.5, 500, "mm");

  /** Allowed quarter turns. */
  public static final Bounds TURNS = Bounds.count(0, 3);

  public Panel {
    Text.id("id", id);
    name = Text.name("name", name);
    SIDE.require("columns", columns);
    SIDE.require("rows", rows);
    if (columns * rows > MOST_EMITTERS) {
      throw new InputException(
          "rows", columns + " × " + rows, "at most " + MOST_EMITTERS + " emitters in a panel");
    }
    PITCH.require("pitchXMm", pitchXMm);
    PITCH.require("pitchYMm", pitchYMm);
    Objects.requireNonNull(firstCorner, "firstCorner");
    TURNS.require("quarterTurns", quarterTurns);
    PLACE.require("xMm", xMm);
    PLACE.require("yMm", yMm);
  }

  @Override
  public int count() {
    return columns * rows;
  }

  private boolean onItsSide() {
    return quarterTurns % 2 == 1;
  }

  @Override
  public int seenColumns() {
    return onItsSide() ? rows : columns;
  }

  @Override
  public int seenRows() {
    return onItsSide() ? columns : rows;
  }

  @Override
  public Place place(int index) {
    Objects.checkIndex(index, count());
    int length = alongColumns ? rows : columns;
    int run = index / length;
    int step = index % length;
    if (serpentine && run % 2 == 1) {
      step = length - 1 - step;
    }
    int across = alongColumns ? run : step;
    int down = alongColumns ? step : run;
    if (firstCorner.right()) {
      across = columns - 1 - across;
    }
    if (firstCorner.bottom()) {
      down = rows - 1 - down;
    }
    return turned(across, down);
  }

  private Place turned(int across, int down) {
    int column =
        switch (quarterTurns) {
          case 1 -> rows - 1 - down;
          case 2 -> columns - 1 - across;
          case 3 -> down;
          default -> across;
        };
    int row =
        switch (quarterTurns) {
          case 1 -> across;
          case 2 -> rows - 1 - down;
          case 3 -> columns - 1 - across;
          default -> down;
        };
    double pitchAcross = onItsSide() ? pitchYMm : pitchXMm;
    double pitchDown = onItsSide() ? pitchXMm : pitchYMm;
    return new Place(xMm + column * pitchAcross, yMm + row * pitchDown, column, row);
  }

  @Override
  public double pitchMm() {
    return Math.min(pitchXMm, pitchYMm);
  }

  @Override
  public Panel movedBy(double dxMm, double dyMm) {
    return new Panel(
        id,
        name,
        columns,
        rows,
        pitchXMm,
        pitchYMm,
        firstCorner,
        alongColumns,
        serpentine,
        quarterTurns,
        xMm + dxMm,
        yMm + dyMm);
  }

  @Override
  public Panel renamed(String newId, String newName) {
    return new Panel(
        newId,
        newName,
        columns,
        rows,
        pitchXMm,
        pitchYMm,
        firstCorner,
        alongColumns,
        serpentine,
        quarterTurns,
        xMm,
        yMm);
  }

  @Override
  public String describe() {
    return columns + " × " + rows + " panel";
  }
}
