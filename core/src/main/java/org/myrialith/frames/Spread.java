package org.myrialith.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Places;
import org.myrialith.effects.Progress;
import org.myrialith.effects.Recipe;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;

/** What effects are spread over: a fixture, a group, or all of a gadget. */
public record Spread(Layout layout, LayoutPlan plan) {
  private Fixture fixture(String id) {
    return layout.fixture(id).orElseThrow();
  }

  private Optional<Group> group(String id) {
    return layout.groups().stream().filter(g -> g.id().equals(id)).findFirst();
  }

  /**
   * Returns whether it, or a layer of it, is for a group that is not there any more, or has none of
   * it.
   */
  public boolean gone(Recipe recipe) {
    return overGone(recipe)
        || recipe.layers().stream()
            .map(Layer::on)
            .anyMatch(on -> !on.equals(Layer.EVERYWHERE) && group(on).isEmpty());
  }

  private boolean overGone(Recipe recipe) {
    return !recipe.over().equals(Recipe.OWN)
        && !recipe.over().equals(Recipe.ALL)
        && group(recipe.over()).filter(g -> has(g, recipe.fixture())).isEmpty();
  }

  private static boolean has(Group group, String fixture) {
    return group.members().stream().anyMatch(member -> member.fixture().equals(fixture));
  }

  /** Returns the fixtures that show a part of it, its own first. */
  public List<String> fixtures(Recipe recipe) {
    List<String> all = new ArrayList<>(List.of(recipe.fixture()));
    if (recipe.over().equals(Recipe.ALL)) {
      layout.fixtures().forEach(fixture -> add(fixture.id(), all));
    } else if (!overGone(recipe)) {
      group(recipe.over())
          .ifPresent(g -> g.members().forEach(member -> add(member.fixture(), all)));
    }
    return all;
  }

  private static void add(String id, List<String> all) {
    if (!all.contains(id)) {
      all.add(id);
    }
  }

  /** Returns all that it is spread over, in their order; of a group that is gone its fixture. */
  private List<Emitter> emitters(Recipe recipe) {
    if (recipe.over().equals(Recipe.ALL)) {
      return plan.emitters();
    }
    if (recipe.over().equals(Recipe.OWN) || overGone(recipe)) {
      return plan.emittersOf(fixture(recipe.fixture()));
    }
    return members(group(recipe.over()).orElseThrow());
  }

  private List<Emitter> members(Group group) {
    List<Emitter> all = new ArrayList<>();
    for (Group.Member member : group.members()) {
      all.addAll(
          plan.emittersOf(fixture(member.fixture())).subList(member.from(), member.to() + 1));
    }
    return all;
  }

  /** Returns the places of its fixture. */
  public Places places(Recipe recipe) {
    Fixture own = fixture(recipe.fixture());
    return Places.of(own, plan.emittersOf(own), emitters(recipe));
  }

  /** Those of a layer: of a group that is gone none. */
  private Places places(Recipe recipe, Layer layer) {
    if (layer.on().equals(Layer.EVERYWHERE)) {
      return places(recipe);
    }
    Fixture own = fixture(recipe.fixture());
    List<Emitter> lights = group(layer.on()).map(this::members).orElse(List.of());
    return Places.of(own, plan.emittersOf(own), lights);
  }

  /** Returns the frames that effects make on their fixture. */
  public List<Frame> frames(Recipe recipe) {
    return frames(recipe, Progress.UNSEEN);
  }

  /** The same, with somebody who looks how far it is. */
  public List<Frame> frames(Recipe recipe, Progress progress) {
    return FrameSource.frames(
        recipe, fixture(recipe.fixture()), layer -> places(recipe, layer), progress);
  }
}
