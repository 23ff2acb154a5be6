package org.myrialith.gadget.plan;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.LevelTable;
import org.myrialith.cue.Scene;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Computed;
import org.myrialith.frames.Spread;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.LayoutPlan;

/** Which clips a controller works out by itself: those that are what their effects make. */
record ComputedClips(Gadget gadget, LayoutPlan plan) {
  /** Returns what a clip is worked out from; empty where it is kept as frames. */
  Optional<Computed> of(Clip clip, CircuitPlan circuit, LevelTable table) {
    if (!circuit.dims()) {
      return Optional.empty(); // a bit an emitter takes hardly anything
    }
    return recipes()
        .filter(recipe -> recipe.computed() && recipe.fixture().equals(clip.fixture()))
        .filter(recipe -> makes(recipe, clip))
        .map(recipe -> new Computed(recipe, spread().places(recipe), table))
        .findFirst();
  }

  /** Those of what is on the easel, then those of the other scenes. */
  private Stream<Recipe> recipes() {
    return Stream.concat(
        gadget.programme().recipes().stream(),
        gadget.cues().scenes().stream().map(Scene::recipes).flatMap(List::stream));
  }

  private Spread spread() {
    return new Spread(gadget.layout(), plan);
  }

  private boolean makes(Recipe recipe, Clip clip) {
    return gadget.computes(recipe)
        && recipe.frames() == clip.frames().size()
        && recipe.holdMillis() == clip.frames().get(0).holdMillis()
        && spread().frames(recipe).equals(clip.frames());
  }
}
