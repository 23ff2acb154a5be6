package org.myrialith.gadget.model;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import org.myrialith.cue.Scene;
import org.myrialith.effects.Progress;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.FrameSource;
import org.myrialith.frames.Programme;
import org.myrialith.layout.Fixture;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;

/**
 * Frames of effects and texts that come without: whoever writes a gadget by hand names what is to
 * be seen, not each of its frames.
 *
 * @param gadget as it came
 */
public record MissingClips(Gadget gadget) {
  /** Clips and what they are made of, on the easel or in a scene. */
  private record Shown(List<Clip> clips, List<Recipe> recipes, List<Caption> captions) {
    static Shown onEasel(Gadget gadget) {
      Programme all = gadget.programme();
      return new Shown(all.clips(), all.recipes(), all.captions());
    }

    static Shown in(Scene scene) {
      return new Shown(scene.clips(), scene.recipes(), scene.captions());
    }
  }

  private static final Shown NOTHING = new Shown(List.of(), List.of(), List.of());

  /** Hands out identifiers that no clip has. Mutable, lives within one call. */
  private final class Ids implements BiFunction<String, List<Frame>, Clip> {
    private int number;

    @Override
    public Clip apply(String fixture, List<Frame> frames) {
      String id;
      do {
        id = "k" + ++number;
      } while (taken(id));
      return new Clip(id, gadget.fixture(fixture).orElseThrow().name(), fixture, frames);
    }

    private boolean taken(String id) {
      return gadget.programme().clip(id).isPresent()
          || gadget.cues().scenes().stream()
              .flatMap(scene -> scene.clips().stream())
              .anyMatch(clip -> clip.id().equals(id));
    }
  }

  /**
   * Returns the gadget with a clip for each effect and text that has none. What an older gadget has
   * in the same way is left: somebody took its clip away.
   *
   * @param progress of each of the effects, which may end it
   */
  public Gadget beside(Gadget older, Progress progress) {
    Ids ids = new Ids();
    Shown easel = complete(Shown.onEasel(gadget), Shown.onEasel(older), ids, progress);
    List<Scene> scenes = new ArrayList<>();
    for (Scene scene : gadget.cues().scenes()) {
      Shown old = older.cues().scene(scene.id()).map(Shown::in).orElse(NOTHING);
      Shown now = complete(Shown.in(scene), old, ids, progress);
      scenes.add(scene.with(now.clips(), now.recipes(), now.captions()));
    }
    return gadget
        .with(gadget.programme().playing(easel.clips(), easel.recipes(), easel.captions()))
        .with(gadget.cues().withScenes(scenes, gadget.cues().open()));
  }

  private Shown complete(Shown shown, Shown old, Ids ids, Progress progress) {
    List<Clip> clips = new ArrayList<>(shown.clips());
    List<Recipe> recipes = new ArrayList<>(shown.recipes());
    for (Recipe recipe : shown.recipes()) {
      if (lacks(clips, recipe.fixture()) && !old.recipes().contains(recipe)) {
        gadget
            .bakedOver(recipe, progress)
            .forEach(
                (fixture, frames) -> {
                  boolean own = fixture.equals(recipe.fixture());
                  boolean free = recipes.stream().noneMatch(r -> r.fixture().equals(fixture));
                  if (lacks(clips, fixture) && (own || free)) {
                    clips.add(ids.apply(fixture, frames));
                    if (!own) {
                      recipes.add(recipe.on(fixture));
                    }
                  }
                });
      }
    }
    for (Caption caption : shown.captions()) {
      if (lacks(clips, caption.fixture()) && !old.captions().contains(caption)) {
        clips.add(ids.apply(caption.fixture(), frames(caption)));
      }
    }
    return new Shown(clips, recipes, shown.captions());
  }

  private static boolean lacks(List<Clip> clips, String fixture) {
    return clips.stream().noneMatch(c -> c.fixture().equals(fixture));
  }

  private List<Frame> frames(Caption caption) {
    Fixture on = gadget.fixture(caption.fixture()).orElseThrow();
    return FrameSource.frames(
        CaptionPlan.of(caption, gadget.programme().fonts(), on.seenColumns(), on.seenRows()));
  }
}
