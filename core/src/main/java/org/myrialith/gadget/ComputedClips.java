package org.myrialith.gadget;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.colour.LevelTable;
import org.myrialith.cues.Scene;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.effects.Places;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Baking;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Computed;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;

/** Which clips a controller works out by itself: those that are what their effects make. */
record ComputedClips(Gadget gadget) {
  /** Returns what a clip is worked out from; empty where it is kept as frames. */
  Optional<Computed> of(
      Clip clip, Fixture fixture, List<Emitter> emitters, CircuitPlan circuit, LevelTable table) {
    if (!circuit.dims()) {
      return Optional.empty(); // a bit an emitter takes hardly anything
    }
    return recipes()
        .filter(recipe -> recipe.computed() && recipe.fixture().equals(clip.fixture()))
        .filter(recipe -> makes(recipe, clip, fixture, emitters))
        .map(recipe -> new Computed(recipe, Places.of(fixture, emitters), table))
        .findFirst();
  }

  /** Those of what is on the easel, then those of the other scenes. */
  private Stream<Recipe> recipes() {
    return Stream.concat(
        gadget.programme().recipes().stream(),
        gadget.cues().scenes().stream().map(Scene::recipes).flatMap(List::stream));
  }

  private static boolean makes(Recipe recipe, Clip clip, Fixture fixture, List<Emitter> emitters) {
    return !recipe.grows()
        && recipe.frames() == clip.frames().size()
        && recipe.holdMillis() == clip.frames().get(0).holdMillis()
        && Baking.frames(recipe, fixture, emitters).equals(clip.frames());
  }
}
