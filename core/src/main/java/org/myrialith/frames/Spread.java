package org.myrialith.frames;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.effects.Places;
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

  private Optional<Group> group(Recipe recipe) {
    return layout.groups().stream().filter(g -> g.id().equals(recipe.over())).findFirst();
  }

  /** Returns whether it is spread over a group that is not there any more, or has none of it. */
  public boolean gone(Recipe recipe) {
    return !recipe.over().equals(Recipe.OWN)
        && !recipe.over().equals(Recipe.ALL)
        && group(recipe).filter(g -> has(g, recipe.fixture())).isEmpty();
  }

  private static boolean has(Group group, String fixture) {
    return group.members().stream().anyMatch(member -> member.fixture().equals(fixture));
  }

  /** Returns the fixtures that show a part of it, its own first. */
  public List<String> fixtures(Recipe recipe) {
    List<String> all = new ArrayList<>(List.of(recipe.fixture()));
    if (recipe.over().equals(Recipe.ALL)) {
      layout.fixtures().forEach(fixture -> add(fixture.id(), all));
    } else if (!gone(recipe)) {
      group(recipe).ifPresent(g -> g.members().forEach(member -> add(member.fixture(), all)));
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
    if (recipe.over().equals(Recipe.OWN) || gone(recipe)) {
      return plan.emittersOf(fixture(recipe.fixture()));
    }
    List<Emitter> all = new ArrayList<>();
    for (Group.Member member : group(recipe).orElseThrow().members()) {
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

  /** Returns the frames that effects make on their fixture. */
  public List<Frame> frames(Recipe recipe) {
    return Baking.frames(recipe, fixture(recipe.fixture()), places(recipe));
  }
}
