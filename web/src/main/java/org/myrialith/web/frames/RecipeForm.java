package org.myrialith.web.frames;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Kind;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;

/**
 * The form of layers of effects: fields of a layer are called by its number and their own names.
 */
record RecipeForm(Recipe recipe) {
  private static final String FRAMES = "frames";
  private static final String HOLD = "holdMillis";
  private static final String COMPUTED = "computed";
  private static final String OVER = "over";
  private static final String KIND = "kind";
  private static final String BLEND = "blend";
  private static final String PERCENT = "percent";
  private static final String ON = "on";

  /** A layer as the page draws it. */
  record Part(int number, String title, List<PartForm.Slot> slots) {
    /** Returns what a field of it is called. */
    public String field(String name) {
      return name(number, name);
    }
  }

  private static String name(int layer, String field) {
    return "layer" + layer + "-" + field;
  }

  private static PartForm<Effect> form(Effect effect) {
    return new PartForm<>(EffectKinds.ALL, effect);
  }

  /** Returns the kinds of effects, each with its name. */
  static Map<String, String> kinds() {
    Map<String, String> kinds = new LinkedHashMap<>();
    EffectKinds.ALL.kinds().forEach(kind -> kinds.put(kind.key(), kind.title()));
    return kinds;
  }

  /** Returns how a controller may have them. */
  static Map<String, String> ways() {
    Map<String, String> ways = new LinkedHashMap<>();
    ways.put("false", "stored frames");
    ways.put("true", "computed");
    return ways;
  }

  /** Returns the ways of coming over what is below. */
  static Map<String, String> blends() {
    Map<String, String> blends = new LinkedHashMap<>();
    for (Blend blend : Blend.values()) {
      blends.put(blend.key(), blend.title());
    }
    return blends;
  }

  /** Returns what the fields show. */
  FormValues shown() {
    Map<String, String> values = new HashMap<>();
    values.put(FRAMES, TypedNumber.text(recipe.frames()));
    values.put(HOLD, TypedNumber.text(recipe.holdMillis()));
    values.put(OVER, recipe.over());
    values.put(COMPUTED, String.valueOf(recipe.computed()));
    for (int at = 0; at < recipe.layers().size(); at++) {
      Layer layer = recipe.layers().get(at);
      int number = at;
      form(layer.effect())
          .shown()
          .values()
          .forEach((field, value) -> values.put(name(number, field), value));
      values.put(name(at, BLEND), layer.blend().key());
      values.put(name(at, PERCENT), TypedNumber.text(layer.percent()));
      values.put(name(at, ON), layer.on());
    }
    return FormValues.of(values);
  }

  /** Returns the layers to draw. */
  List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    for (int at = 0; at < recipe.layers().size(); at++) {
      Effect effect = recipe.layers().get(at).effect();
      PartForm<Effect> form = form(effect);
      int number = at;
      parts.add(
          new Part(
              at,
              EffectKinds.ALL.kindOf(effect).title(),
              form.slots(form.shown()).stream()
                  .map(slot -> slot.named(name(number, slot.name())))
                  .toList()));
    }
    return parts;
  }

  /**
   * Returns what comes of what was typed.
   *
   * @throws InputException with every error, by the names of the form
   */
  Recipe read(Map<String, String> form) {
    List<InputError> errors = new ArrayList<>();
    List<Layer> layers = new ArrayList<>();
    for (int at = 0; at < recipe.layers().size(); at++) {
      layers.add(layer(at, form, errors));
    }
    int frames = count(FRAMES, form, Recipe.FRAMES, recipe.frames(), errors);
    int hold = count(HOLD, form, Recipe.HOLD, recipe.holdMillis(), errors);
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
    String way = form.getOrDefault(COMPUTED, String.valueOf(recipe.computed()));
    if (!ways().containsKey(way)) {
      throw new InputException(COMPUTED, way, String.join(", ", ways().keySet()));
    }
    return recipe
        .with(frames, hold, layers)
        .over(form.getOrDefault(OVER, recipe.over()))
        .computed(Boolean.parseBoolean(way));
  }

  private static int count(
      String name, Map<String, String> form, Bounds bounds, int now, List<InputError> errors) {
    try {
      return form.containsKey(name) ? (int) TypedNumber.require(name, form.get(name), bounds) : now;
    } catch (InputException e) {
      errors.addAll(e.errors());
      return now;
    }
  }

  private Layer layer(int at, Map<String, String> form, List<InputError> errors) {
    Layer now = recipe.layers().get(at);
    String prefix = name(at, "");
    Map<String, String> own = new HashMap<>();
    form.forEach(
        (field, text) -> {
          if (field.startsWith(prefix)) {
            own.put(field.substring(prefix.length()), text);
          }
        });
    int percent = count(name(at, PERCENT), form, Effect.PERCENT, now.percent(), errors);
    try {
      Effect effect = kind(own.getOrDefault(KIND, ""), now.effect());
      own.remove(KIND);
      Effect typed = effect == now.effect() ? form(effect).read(own) : effect;
      Blend comes = blend(own.getOrDefault(BLEND, now.blend().key()));
      return new Layer(typed, comes, percent, own.getOrDefault(ON, now.on()));
    } catch (InputException e) {
      e.errors()
          .forEach(
              error ->
                  errors.add(
                      new InputError(name(at, error.field()), error.value(), error.allowed())));
      return now;
    }
  }

  /** Another kind begins as it usually is. */
  private static Effect kind(String key, Effect now) {
    if (key.isEmpty() || EffectKinds.ALL.kindOf(now).key().equals(key)) {
      return now;
    }
    return EffectKinds.ALL
        .kind(key)
        .<Effect>map(Kind::usual)
        .orElseThrow(() -> new InputException(KIND, key, EffectKinds.ALL.allowed()));
  }

  private static Blend blend(String key) {
    for (Blend blend : Blend.values()) {
      if (blend.key().equals(key)) {
        return blend;
      }
    }
    throw new InputException(BLEND, key, String.join(", ", blends().keySet()));
  }
}
