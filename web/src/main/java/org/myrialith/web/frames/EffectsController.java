package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Progress;
import org.myrialith.effects.Rainbow;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** Effects on a fixture: layers with their parameters, looked at while they change, then frames. */
@Controller
@RequestMapping("/gadgets/{id}/frames/{fixture}/effects")
class EffectsController {
  private final ProjectPages pages;
  private final ImageBench bench;
  private final Makings makings;

  EffectsController(ProjectPages pages, ImageBench bench, Makings makings) {
    this.pages = pages;
    this.bench = bench;
    this.makings = makings;
  }

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam(defaultValue = "false") boolean costs) {
    ModelAndView page = page(id, fixture, null);
    if (costs && page.getModel().get("costs") == null) {
      Gadget gadget = pages.open(id).plan().gadget();
      page.addObject("costs", bench.inTurn(() -> CostsView.of(gadget, recipe(gadget, fixture))));
    }
    return page;
  }

  private static Recipe recipe(Gadget gadget, String fixture) {
    gadget.fixture(fixture).orElseThrow(NotThereException::new);
    return gadget.programme().recipeOn(fixture).orElse(Recipe.usual(fixture));
  }

  private ModelAndView page(UUID id, String fixture, FormValues typed) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    RecipeForm form = new RecipeForm(recipe(gadget, fixture));
    ModelAndView page = pages.page(opened, Step.FRAMES);
    page.setViewName("frames/effects");
    page.addObject("fixture", gadget.fixture(fixture).orElseThrow());
    page.addObject("form", form.shown().over(typed));
    page.addObject("layers", form.parts());
    page.addObject("kinds", RecipeForm.kinds());
    page.addObject("blends", RecipeForm.blends());
    page.addObject("ways", RecipeForm.ways());
    page.addObject("spreads", spreads(gadget, form.recipe()));
    page.addObject("groups", groups(gadget, form.recipe()));
    if (CostsView.quick(gadget, form.recipe())) {
      page.addObject("costs", CostsView.of(gadget, form.recipe()));
    }
    page.addObject("more", form.recipe().layers().size() < Recipe.MOST_LAYERS);
    page.addObject("existing", gadget.clipOn(fixture).map(c -> c.frames().size()).orElse(0));
    return page;
  }

  /** What they may be spread over, by what it is called in the format. */
  private static Map<String, String> spreads(Gadget gadget, Recipe recipe) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put(Recipe.OWN, "this fixture");
    if (gadget.fixtures().size() > 1) {
      all.put(Recipe.ALL, "the whole gadget");
    }
    gadget.layout().groups().stream()
        .filter(g -> g.members().stream().anyMatch(m -> m.fixture().equals(recipe.fixture())))
        .forEach(g -> all.put(g.id(), "group " + g.name()));
    all.putIfAbsent(recipe.over(), "a group that no longer exists");
    return all;
  }

  /** Groups that a layer may be on, by what they are called in the format. */
  private static Map<String, String> groups(Gadget gadget, Recipe recipe) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put(Layer.EVERYWHERE, "all LEDs");
    gadget.layout().groups().forEach(g -> all.put(g.id(), "group " + g.name()));
    recipe.layers().forEach(layer -> all.putIfAbsent(layer.on(), "a group that no longer exists"));
    return all;
  }

  private ModelAndView change(
      UUID id,
      String fixture,
      int base,
      String summary,
      Map<String, String> form,
      UnaryOperator<Recipe> then) {
    return pages.edit(
        id,
        base,
        summary,
        gadget ->
            gadget.with(
                gadget
                    .programme()
                    .with(then.apply(new RecipeForm(recipe(gadget, fixture)).read(form)))),
        "frames/" + fixture + "/effects",
        form,
        typed -> page(id, fixture, typed));
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return change(id, fixture, base, "Changed effects", form, recipe -> recipe);
  }

  /** Adds a layer, or removes one. */
  @PostMapping("/layer")
  ModelAndView layer(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam(defaultValue = "-1") int remove,
      @RequestParam Map<String, String> form) {
    return change(
        id,
        fixture,
        base,
        remove < 0 ? "Added a layer" : "Removed a layer",
        form,
        recipe -> remove < 0 ? added(recipe) : removed(recipe, remove));
  }

  /** Gives a layer another kind of effect, with its usual values. */
  @PostMapping("/kind")
  ModelAndView kind(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam int layer,
      @RequestParam String kind) {
    return pages.edit(
        id,
        base,
        "Chose an effect",
        gadget -> gadget.with(gadget.programme().with(shown(recipe(gadget, fixture), layer, kind))),
        "frames/" + ProjectPages.inQuery(fixture) + "/effects",
        errors -> page(id, fixture, null));
  }

  private static Recipe shown(Recipe recipe, int at, String kind) {
    List<Layer> layers = new ArrayList<>(recipe.layers());
    if (at < 0 || at >= layers.size()) {
      throw new InputException("layer", at, "a whole number from 0 to " + (layers.size() - 1));
    }
    Effect effect =
        EffectKinds.ALL
            .kind(kind)
            .orElseThrow(() -> new InputException("kind", kind, EffectKinds.ALL.allowed()))
            .usual();
    Layer old = layers.get(at);
    layers.set(at, new Layer(effect, old.blend(), old.percent(), old.on()));
    return recipe.with(recipe.frames(), recipe.holdMillis(), layers);
  }

  private static Recipe added(Recipe recipe) {
    List<Layer> layers = new ArrayList<>(recipe.layers());
    layers.add(new Layer(Rainbow.KIND.usual(), Blend.MASK, 100));
    return recipe.with(recipe.frames(), recipe.holdMillis(), layers);
  }

  private static Recipe removed(Recipe recipe, int at) {
    List<Layer> layers = new ArrayList<>(recipe.layers());
    if (at >= layers.size() || layers.size() == 1) {
      throw new InputException("remove", at + 1, "a layer that is not the only one");
    }
    layers.remove(at);
    return recipe.with(recipe.frames(), recipe.holdMillis(), layers);
  }

  /** Makes the frames. */
  @PostMapping("/make")
  ModelAndView make(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam(defaultValue = "replace") String where,
      @RequestParam(defaultValue = "") String job) {
    Progress progress = makings.begin(job);
    boolean append = where.equals("append");
    try {
      return pages.edit(
          id,
          base,
          "Made frames of effects",
          gadget -> bench.inTurn(() -> gadget.made(recipe(gadget, fixture), append, progress)),
          FramesController.there(fixture, 0),
          errors -> page(id, fixture, null));
    } catch (Progress.Stopped stopped) {
      return ProjectPages.redirect(
          "/gadgets/" + id + "/frames/" + fixture + "/effects?stopped=true");
    } finally {
      makings.end(job);
    }
  }

  /** Shows what was typed, without keeping anything. */
  @PostMapping("/look")
  @ResponseBody
  ResponseEntity<Object> look(
      @PathVariable UUID id, @PathVariable String fixture, @RequestParam Map<String, String> form) {
    Gadget gadget = pages.open(id).plan().gadget();
    try {
      Recipe typed = new RecipeForm(recipe(gadget, fixture)).read(form);
      return ResponseEntity.ok(bench.inTurn(() -> look(gadget, typed)));
    } catch (InputException e) {
      return ResponseEntity.ok(Map.of("errors", e.errors())); // while it is being typed
    }
  }

  private static DraftLook look(Gadget gadget, Recipe recipe) {
    int each = DraftLook.each(gadget, recipe.frames());
    Recipe seen =
        each == 1
            ? recipe
            : recipe.with(
                recipe.frames() / each,
                Math.min((int) Recipe.HOLD.max(), recipe.holdMillis() * each),
                recipe.layers());
    return DraftLook.of(gadget, gadget.bakedOver(seen), List.of());
  }
}
