package org.myrialith.gadget;

import java.util.Optional;
import org.myrialith.effects.Recipe;
import org.myrialith.firmware.FirmwarePlan;
import org.myrialith.frames.Clip;
import org.myrialith.layout.Fixture;

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
    Recipe chosen = recipe.computed(computed);
    Fixture on = gadget.fixture(recipe.fixture()).orElseThrow();
    Clip clip =
        gadget
            .clipOn(on.id())
            .map(old -> old.withFrames(gadget.baked(chosen)))
            .orElseGet(
                () -> new Clip(gadget.freeId("k"), on.name(), on.id(), gadget.baked(chosen)));
    Gadget there = gadget.with(clip);
    GadgetPlan plan = GadgetPlan.of(there.with(there.programme().with(chosen)));
    Optional<FirmwarePlan> firmware = plan.firmware();
    if (computed && firmware.filter(made -> made.computes(on.id())).isEmpty()) {
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
