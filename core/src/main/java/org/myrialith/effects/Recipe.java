package org.myrialith.effects;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Layers of effects on a fixture, and the frames that are made of them.
 *
 * @param fixture its identifier
 * @param frames of a loop
 * @param holdMillis each (ms)
 * @param layers the lowest first
 * @param over what they are spread over: {@link #OWN}, {@link #ALL}, or the identifier of a group
 * @param computed whether the controller works the frames out, in place of keeping them
 */
@RecordBuilder
public record Recipe(
    String fixture, int frames, int holdMillis, List<Layer> layers, String over, boolean computed) {
  /** Its fixture alone. */
  public static final String OWN = "";

  /** All fixtures. */
  public static final String ALL = "all";

  /** Allowed frames. */
  public static final Bounds FRAMES = Bounds.count(1, 2000);

  /** Allowed holds. */
  public static final Bounds HOLD = Bounds.count(1, 60_000, "ms");

  /** Most layers. */
  public static final int MOST_LAYERS = 4;

  /** How it stands in the format. */
  public static final Description<Recipe> DESCRIPTION =
      Description.of(
          Recipe.class,
          Field.id("fixture"),
          Field.count("frames", "Frames of the loop", FRAMES),
          Field.count("holdMillis", "Hold per frame", HOLD),
          Field.rows("layers", "Layers", Layer.DESCRIPTION, 1, MOST_LAYERS),
          Field.words("over", "Extent", Types.Words.Rule.ANY)
              .or(OWN)
              .explained("empty for its fixture alone, all, or the id of a group"),
          Field.flag(
                  "computed", "Stored or computed", "stored frames", "computed on the controller")
              .or(false));

  /** Effects that are kept as frames. */
  public Recipe(String fixture, int frames, int holdMillis, List<Layer> layers) {
    this(fixture, frames, holdMillis, layers, OWN, false);
  }

  public Recipe {
    TextRules.id("fixture", fixture);
    FRAMES.require("frames", frames);
    HOLD.require("holdMillis", holdMillis);
    layers = List.copyOf(layers);
    if (!over.isEmpty()) {
      TextRules.id("over", over);
    }
    Bounds.count(1, MOST_LAYERS).require("layers", layers.size());
  }

  /** Returns them with other frames and layers. */
  public Recipe with(int otherFrames, int otherHold, List<Layer> other) {
    return RecipeBuilder.builder(this)
        .frames(otherFrames)
        .holdMillis(otherHold)
        .layers(other)
        .build();
  }

  /** Returns them on another fixture. */
  public Recipe on(String other) {
    return RecipeBuilder.builder(this).fixture(other).build();
  }

  /** Returns them spread over something else. */
  public Recipe over(String other) {
    return RecipeBuilder.builder(this).over(other).build();
  }

  /** Returns them worked out by the controller, or kept as frames. */
  public Recipe computed(boolean other) {
    return RecipeBuilder.builder(this).computed(other).build();
  }

  /** Returns whether any of them follows from what was, so that its frames come one by one. */
  public boolean grows() {
    return layers.stream().anyMatch(layer -> layer.effect().grows());
  }

  /** Returns whether any of them is on a group of its own, which only frames can keep. */
  public boolean parted() {
    return layers.stream().anyMatch(layer -> !layer.on().equals(Layer.EVERYWHERE));
  }

  /** Returns two seconds of a candle. */
  public static Recipe usual(String fixture) {
    return new Recipe(fixture, 40, 50, List.of(new Layer(Candle.KIND.usual(), Blend.OVER, 100)));
  }

  /** Returns the asked colours of its frames: red, green, blue of each cell, row by row. */
  public List<byte[]> baked(Places places) {
    return baked(places.places().size(), layer -> places, Progress.UNSEEN);
  }

  /**
   * The same, each layer on its own places.
   *
   * @param cells of the picture
   * @param progress told of each frame of each layer
   */
  public List<byte[]> baked(int cells, Function<Layer, Places> placesOf, Progress progress) {
    List<byte[]> all = new ArrayList<>();
    int[][] pictures = new int[frames][cells];
    int[] laid = {0};
    Runnable step = () -> progress.come(++laid[0], frames * layers.size());
    for (Layer layer : layers) {
      lay(layer, placesOf.apply(layer), pictures, step);
    }
    for (int[] picture : pictures) {
      byte[] rgb = new byte[3 * picture.length];
      for (int cell = 0; cell < picture.length; cell++) {
        rgb[3 * cell] = (byte) Tone.red(picture[cell]);
        rgb[3 * cell + 1] = (byte) Tone.green(picture[cell]);
        rgb[3 * cell + 2] = (byte) Tone.blue(picture[cell]);
      }
      all.add(rgb);
    }
    return all;
  }

  /** Returns how far the loop is in a frame (0 to 65 535). */
  public int turn(int frame) {
    return (int) ((long) frame * Waves.TURN / frames);
  }

  private void lay(Layer layer, Places places, int[][] pictures, Runnable step) {
    if (layer.effect() instanceof Life life) {
      grow(layer, life, places, pictures, step);
      return;
    }
    for (int frame = 0; frame < frames; frame++) {
      Effect.Frame colours = layer.effect().frame(places, turn(frame));
      for (int cell = 0; cell < pictures[frame].length; cell++) {
        Place place = places.places().get(cell);
        if (place != null) {
          pictures[frame][cell] = layer.over(pictures[frame][cell], colours.at(place));
        }
      }
      step.run();
    }
  }

  /** What follows from what was, generation after generation. */
  private void grow(Layer layer, Life life, Places places, int[][] pictures, Runnable step) {
    boolean[] alive = new boolean[places.places().size()];
    for (int cell = 0; cell < alive.length; cell++) {
      alive[cell] = life.first(cell);
    }
    for (int frame = 0; frame < frames; frame++) {
      for (int cell = 0; cell < alive.length; cell++) {
        if (places.places().get(cell) != null) {
          int own = alive[cell] ? life.colour() : life.background();
          pictures[frame][cell] = layer.over(pictures[frame][cell], own);
        }
      }
      alive = Life.next(alive, places.columns(), places.rows());
      step.run();
    }
  }
}
