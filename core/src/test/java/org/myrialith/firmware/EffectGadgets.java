package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.myrialith.effects.Arrows;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Breathing;
import org.myrialith.effects.Bubbles;
import org.myrialith.effects.Candle;
import org.myrialith.effects.Chase;
import org.myrialith.effects.Direction;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Ember;
import org.myrialith.effects.Fill;
import org.myrialith.effects.Fireflies;
import org.myrialith.effects.Heartbeat;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Life;
import org.myrialith.effects.Lightning;
import org.myrialith.effects.Plasma;
import org.myrialith.effects.Rain;
import org.myrialith.effects.Rainbow;
import org.myrialith.effects.Recipe;
import org.myrialith.effects.Ripples;
import org.myrialith.effects.Sparkle;
import org.myrialith.effects.Sweep;
import org.myrialith.effects.Wave;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Reading;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Gadgets whose controllers work effects out, by chance or as they are asked for. */
final class EffectGadgets {
  /** Effects that a controller can work out. */
  static final int KINDS = EffectKinds.ALL.kinds().size();

  private final Random random;

  private EffectGadgets(long seed) {
    this.random = new Random(seed);
  }

  /** A gadget whose fixtures show effects in place of their clips; one in four keeps its own. */
  static Gadget by(Gadget base, long seed) {
    EffectGadgets made = new EffectGadgets(seed);
    Gadget gadget = base;
    for (Fixture fixture : base.fixtures()) {
      if (made.random.nextInt(4) > 0) {
        gadget = with(gadget, made.recipe(fixture.id()));
      }
    }
    return gadget;
  }

  /** A gadget that shows effects on a fixture. */
  static Gadget with(Gadget base, Recipe recipe) {
    Recipe computed = recipe.computed(true);
    List<Clip> clips = new ArrayList<>(base.clips());
    clips.removeIf(clip -> clip.fixture().equals(recipe.fixture()));
    clips.add(new Clip("e" + recipe.fixture(), "Effect", recipe.fixture(), base.baked(computed)));
    return base.with(base.programme().with(clips).with(computed));
  }

  /** A recipe of one layer. */
  static Recipe of(String fixture, int frames, Effect effect) {
    return new Recipe(fixture, frames, 90, List.of(new Layer(effect, Blend.OVER, 100)));
  }

  private Recipe recipe(String fixture) {
    List<Layer> layers = new ArrayList<>();
    for (int layer = 1 + random.nextInt(4); layer > 0; layer--) {
      Blend blend = Blend.values()[random.nextInt(Blend.values().length)];
      layers.add(new Layer(effect(random.nextInt(KINDS)), blend, one(0, 100)));
    }
    return new Recipe(fixture, 1 + random.nextInt(7), 40 + random.nextInt(60), layers);
  }

  private int colour() {
    return random.nextInt(0x1000000);
  }

  /** A number within its ends, which come often. */
  private int one(int least, int most) {
    return switch (random.nextInt(5)) {
      case 0 -> least;
      case 1 -> most;
      default -> least + random.nextInt(most - least + 1);
    };
  }

  private int times() {
    return one(1, random.nextBoolean() ? 64 : 4);
  }

  private int seed() {
    return one(0, 65_535);
  }

  private Direction way() {
    return Direction.values()[random.nextInt(Direction.values().length)];
  }

  /** An effect of a kind, its parameters by chance. */
  static Effect effect(int kind, long seed) {
    return new EffectGadgets(seed).effect(kind);
  }

  private Effect effect(int kind) {
    return switch (kind) {
      case 0 -> new Candle(colour(), one(0, 100), times(), seed());
      case 1 -> new Lightning(colour(), colour(), times(), seed());
      case 2 -> new Breathing(colour(), one(0, 100), times());
      case 3 -> new Heartbeat(colour(), one(0, 100), times());
      case 4 -> new Ember(colour(), colour(), one(1, 100), times(), seed());
      case 5 -> new Sparkle(colour(), colour(), one(0, 100), times(), seed());
      case 6 -> new Chase(colour(), colour(), one(1, 1000), one(1, 1000), times());
      case 7 -> new Wave(colour(), colour(), times(), one(0, 359), times());
      case 8 -> new Sweep(colour(), colour(), way(), one(1, 100), times());
      case 9 -> new Rainbow(times(), one(0, 359), one(1, 100), times());
      case 10 -> new Plasma(times(), one(1, 100), times());
      case 11 ->
          new Ripples(colour(), colour(), one(0, 100), one(0, 100), one(0, 100), times(), times());
      case 12 -> new Fill(colour(), colour(), way(), random.nextBoolean(), times());
      case 13 -> new Arrows(colour(), colour(), one(0, 359), one(1, 100), times());
      case 14 -> new Bubbles(colour(), colour(), one(1, 32), one(1, 100), times(), seed());
      case 15 -> new Rain(colour(), colour(), one(1, 32), one(1, 100), times(), seed());
      case 16 -> new Life(colour(), colour(), one(0, 100), seed());
      case 17 -> new Fireflies(colour(), colour(), one(1, 32), one(1, 100), times(), seed());
      default -> declared(kind);
    };
  }

  /** An effect that is not known here, by chance within what its declaration allows. */
  private Effect declared(int number) {
    Kind<? extends Effect> kind = EffectKinds.ALL.kinds().get(number);
    ObjectNode chosen = EffectKinds.ALL.write(kind.usual());
    EffectKinds.ALL.schema().get("oneOf").forEach(one -> chance(one, kind.key(), chosen));
    return EffectKinds.ALL.read(chosen, "", new Reading());
  }

  private void chance(JsonNode schema, String key, ObjectNode chosen) {
    JsonNode properties = schema.get("properties");
    if (!key.equals(properties.path("kind").path("const").asString(""))) {
      return;
    }
    properties
        .properties()
        .forEach(
            field -> {
              if (field.getValue().path("type").asString("").equals("integer")) {
                int least = field.getValue().get("minimum").intValue();
                int most = field.getValue().get("maximum").intValue();
                chosen.put(field.getKey(), one(least, most));
              }
            });
  }
}
