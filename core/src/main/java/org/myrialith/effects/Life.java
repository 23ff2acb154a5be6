package org.myrialith.effects;

import org.myrialith.effects.Footprint.Cost;
import org.myrialith.effects.Footprint.Part;
import org.myrialith.effects.Footprint.Variable;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;

/**
 * Cells that are born among three neighbours and live on among two or three, round the edges.
 *
 * @param amount of the cells that live at first (%)
 */
public record Life(int colour, int background, int amount, int seed) implements Effect {
  boolean first(int cell) {
    return Chance.below(100, seed, cell, 0) < amount;
  }

  @Override
  public boolean grows() {
    return true;
  }

  /** Returns the next generation of a grid. */
  static boolean[] next(boolean[] alive, int columns, int rows) {
    boolean[] next = new boolean[alive.length];
    for (int cell = 0; cell < alive.length; cell++) {
      int beside = 0;
      for (int down = -1; down <= 1; down++) {
        for (int right = -1; right <= 1; right++) {
          int column = Math.floorMod(cell % columns + right, columns);
          int row = Math.floorMod(cell / columns + down, rows);
          beside += (down != 0 || right != 0) && alive[row * columns + column] ? 1 : 0;
        }
      }
      next[cell] = beside == 3 || beside == 2 && alive[cell];
    }
    return next;
  }

  /** How it stands in the format. */
  public static final Kind<Life> KIND =
      Kind.of(
          "life",
          "game of life",
          new Life(0x60ff60, 0x000000, 35, 1),
          Effect.colour("colour", "Colour", 0x60ff60),
          Effect.colour("background", "Background", 0x000000),
          Field.count("amount", "Alive at start", PERCENT),
          Effect.seed());

  private static final Footprint FOOTPRINT =
      Footprint.of(
              1010,
              620,
              new Cost(300, 665, 225, 0, 290, 375),
              new Cost(300, 1850, 235, 0, 270, 355))
          .with(Part.CHANCES, Part.PICKS)
          .reading(Variable.CELL)
          .sharing();

  public Life {
    PERCENT.require("amount", amount);
    SEED.require("seed", seed);
  }

  @Override
  public int at(Place place, Places all, int turn) {
    return first(place.index()) ? colour : background;
  }

  @Override
  public int[] numbers(Places all) {
    return new int[] {colour, background, amount, seed, all.columns(), all.rows()};
  }

  @Override
  public Footprint footprint() {
    return FOOTPRINT;
  }

  @Override
  public double moreCycles(Cost cost, Places all, int turn, int pixels) {
    int cells = all.columns() * all.rows();
    return turn == 0 ? cells * cost.beginEach() : cells * cost.look() + all.rows() * cost.close();
  }
}
