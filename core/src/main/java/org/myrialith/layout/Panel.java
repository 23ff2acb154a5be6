package org.myrialith.layout;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * A rectangular matrix of emitters.
 *
 * <p>Columns, rows, first corner and run describe the panel as it lies on the bench; then it is
 * turned clockwise by quarter turns, its picture staying upright; its origin is the left top corner
 * of the box round the emitter centres after the turn.
 *
 * @param columns emitters across, before the turn
 * @param rows emitters down, before the turn
 * @param pitchXMm distance of neighbours across (mm), before the turn
 * @param pitchYMm distance of neighbours down (mm), before the turn
 * @param firstCorner where the data enters
 * @param alongColumns whether the data runs down the columns first; otherwise along the rows
 * @param serpentine whether every second run goes back; otherwise all run the same way
 * @param quarterTurns clockwise, 0 to 3
 */
public record Panel(
    int columns,
    int rows,
    double pitchXMm,
    double pitchYMm,
    Corner firstCorner,
    boolean alongColumns,
    boolean serpentine,
    int quarterTurns)
    implements Shape {
  /** Allowed columns and rows. */
  public static final Bounds SIDE = Bounds.count(1, 256);

  /** Allowed pitch (mm). */
  public static final Bounds PITCH = Bounds.measure(0.5, 500, "mm");

  /** Allowed quarter turns. */
  public static final Bounds TURNS = Bounds.count(0, 3);

  /** How it stands in the format. */
  public static final Kind<Panel> KIND =
      Kind.of(
          "panel",
          "panel",
          new Panel(8, 8, 10, 10, Corner.TOP_LEFT, false, true, 0),
          Field.count("columns", "Columns", SIDE)
              .explained("before rotation; 8192 emitters at most"),
          Field.count("rows", "Rows", SIDE),
          Field.measure("pitchXMm", "Horizontal pitch", PITCH),
          Field.measure("pitchYMm", "Vertical pitch", PITCH),
          Field.of(
                  "firstCorner",
                  "First pixel",
                  Types.Choice.of(Corner.values(), Corner::key, Corner::words))
              .explained("where the data enters"),
          Field.of(
                  "run",
                  "Data direction",
                  Types.Choice.ofTwo(
                      "along-rows",
                      false,
                      "along the rows",
                      "along-columns",
                      true,
                      "along the columns"))
              .in("alongColumns"),
          Field.of(
                  "wiring",
                  "Wiring",
                  Types.Choice.ofTwo(
                      "serpentine", true, "serpentine", "same-way", false, "same direction"))
              .in("serpentine"),
          Field.of(
                  "quarterTurns",
                  "Rotate the panel, keep the picture",
                  new Types.NumberedChoice(TURNS, List.of("0°", "90°", "180°", "270°")))
              .explained(
                  "clockwise; the origin is then the top left corner of the box round the centres"));

  public Panel {
    SIDE.require("columns", columns);
    SIDE.require("rows", rows);
    if (columns * rows > Fixture.MOST_EMITTERS) {
      throw new InputException(
          "rows",
          columns + " × " + rows,
          "at most " + Fixture.MOST_EMITTERS + " emitters in a panel");
    }
    PITCH.require("pitchXMm", pitchXMm);
    PITCH.require("pitchYMm", pitchYMm);
    Objects.requireNonNull(firstCorner, "firstCorner");
    TURNS.require("quarterTurns", quarterTurns);
  }

  @Override
  public boolean spansArea() {
    return true;
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
  public Position position(int index) {
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

  private Position turned(int across, int down) {
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
    return new Position(column * pitchAcross, row * pitchDown, column, row);
  }

  @Override
  public double spacingMm() {
    if (columns == 1 && rows == 1) {
      return Math.min(pitchXMm, pitchYMm);
    }
    return columns == 1 ? pitchYMm : rows == 1 ? pitchXMm : Math.min(pitchXMm, pitchYMm);
  }

  @Override
  public boolean pictorial() {
    return true;
  }

  @Override
  public boolean grid() {
    return true;
  }

  @Override
  public int quarters() {
    return quarterTurns;
  }

  @Override
  public Optional<Shape> turnedUpright(int quarters) {
    return Optional.of(
        new Panel(
            columns,
            rows,
            pitchXMm,
            pitchYMm,
            firstCorner,
            alongColumns,
            serpentine,
            Math.floorMod(quarterTurns + quarters, 4)));
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    return count() > 1 ? List.of(LayoutNumbers.perMetre(fixture, spacingMm())) : List.of();
  }

  @Override
  public String describe() {
    return columns + " × " + rows + " panel";
  }
}
