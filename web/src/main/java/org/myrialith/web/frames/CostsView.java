package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Quantity;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.RecipeCost;

/**
 * What effects take of the controller, kept as frames and worked out.
 *
 * @param ways that there are
 * @param trouble why there is no second one; empty when there is
 */
record CostsView(List<Way> ways, String trouble) {
  /** Most cells of all frames for which it is worked out along with the page. */
  private static final long MOST_CELLS = 120_000;

  /**
   * One way.
   *
   * @param chosen whether it is that of the effects
   * @param verdict what is wrong with it; empty when nothing is
   */
  record Way(String name, String flash, String ram, String frame, boolean chosen, String verdict) {}

  /** Returns whether it is worked out at once. */
  static boolean quick(Gadget gadget, Recipe recipe) {
    long emitters = gadget.fixture(recipe.fixture()).orElseThrow().count();
    return emitters * recipe.frames() <= MOST_CELLS;
  }

  static CostsView of(Gadget gadget, Recipe recipe) {
    List<Way> ways = new ArrayList<>();
    RecipeCost.of(gadget, recipe, false)
        .ifPresent(cost -> ways.add(way("stored frames", cost, !recipe.computed())));
    RecipeCost.of(gadget, recipe, true)
        .ifPresent(cost -> ways.add(way("computed", cost, recipe.computed())));
    return new CostsView(ways, ways.size() == 2 ? "" : trouble(recipe, ways.isEmpty()));
  }

  private static String trouble(Recipe recipe, boolean nothing) {
    if (nothing) {
      return "Nothing is exported for this fixture yet.";
    }
    if (recipe.parted()) {
      return "Layers on groups of their own are stored as frames.";
    }
    return recipe.grows()
        ? "The game of life follows from earlier cells: beside cues, which ask for any frame, it is stored as frames."
        : "On/off outputs are stored as frames: one bit per LED.";
  }

  private static Way way(String name, RecipeCost cost, boolean chosen) {
    String verdict = "";
    if (!cost.fits()) {
      verdict = "does not fit";
    } else if (cost.late() > 0) {
      verdict = "too slow: " + Quantity.text(cost.late(), "moments") + " come late";
    }
    return new Way(
        name,
        Quantity.text(cost.flashBytes(), "bytes"),
        Quantity.text(cost.ramBytes(), "bytes"),
        Quantity.text(cost.frameSeconds(), "s"),
        chosen,
        verdict);
  }
}
