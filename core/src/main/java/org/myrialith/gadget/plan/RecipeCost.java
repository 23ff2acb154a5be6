package org.myrialith.gadget.plan;

import java.util.Optional;
import org.myrialith.effects.Recipe;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.gadget.model.Gadget;

/**
 * What effects take of the controller one way, all else as it is.
 *
 * @param flashBytes of the whole firmware
 * @param ramBytes of it, with the stack
 * @param frameSeconds of the player's longest frame
 * @param late moments that are held shorter than that
 * @param fits whether flash and RAM are enough
 */
public record RecipeCost(
    int flashBytes, int ramBytes, double frameSeconds, long late, boolean fits) {
  /**
   * Returns what effects take as frames, or worked out; empty where nothing is exported, or they
   * can't be worked out.
   */
  public static Optional<RecipeCost> of(Gadget gadget, Recipe recipe, boolean computed) {
    GadgetPlan plan = GadgetPlan.of(gadget.made(recipe.computed(computed), false));
    Optional<FirmwarePlan> firmware = plan.firmware();
    if (computed && firmware.filter(made -> made.computes(recipe.fixture())).isEmpty()) {
      return Optional.empty();
    }
    return firmware.map(
        made ->
            new RecipeCost(
                made.flashBytes(),
                made.ramWithStackBytes(),
                made.holds().worstSeconds(),
                made.holds().late(),
                made.fits()));
  }
}
