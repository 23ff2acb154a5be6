package org.myrialith.cue;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.TextRules;
import org.myrialith.frames.Clip;
import org.myrialith.layout.Layout;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.text.Caption;

/**
 * What plays together. The frames of the one that is on the easel stand in the programme meanwhile.
 *
 * @param clips at most one a fixture
 * @param recipes and {@code captions}: what frames were made of
 * @param readouts values that it shows
 */
@RecordBuilder
public record Scene(
    String id,
    String name,
    List<Clip> clips,
    List<Recipe> recipes,
    List<Caption> captions,
    List<Readout> readouts) {
  /** Most of them in a gadget. */
  public static final int MOST = 24;

  /** How it stands in the format. */
  public static final Description<Scene> DESCRIPTION =
      Description.of(
          Scene.class,
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows("clips", "Clips", Clip.DESCRIPTION, 0, Layout.MOST_FIXTURES).or(List.of()),
          Field.rows("recipes", "Effects", Recipe.DESCRIPTION, 0, Layout.MOST_FIXTURES)
              .or(List.of()),
          Field.rows("captions", "Texts", Caption.DESCRIPTION, 0, Layout.MOST_FIXTURES)
              .or(List.of()),
          Field.rows("readouts", "Values", Readout.DESCRIPTION, 0, Readout.MOST).or(List.of()));

  public Scene {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    clips = List.copyOf(clips);
    Layout.requireUnique("clips", clips, Clip::fixture);
    recipes = List.copyOf(recipes);
    Layout.requireUnique("recipes", recipes, Recipe::fixture);
    captions = List.copyOf(captions);
    Layout.requireUnique("captions", captions, Caption::fixture);
    readouts = List.copyOf(readouts);
    Layout.requireUnique("readouts", readouts, Readout::id);
  }

  /** Returns a scene in which nothing plays. */
  public static Scene empty(String id, String name) {
    return new Scene(id, name, List.of(), List.of(), List.of(), List.of());
  }

  /** Returns it under another name. */
  public Scene named(String other) {
    return SceneBuilder.builder(this).name(other).build();
  }

  /** Returns it with other frames, and what they were made of. */
  public Scene with(List<Clip> played, List<Recipe> effects, List<Caption> texts) {
    return SceneBuilder.builder(this).clips(played).recipes(effects).captions(texts).build();
  }

  /** Returns it with other values. */
  public Scene showing(List<Readout> other) {
    return SceneBuilder.builder(this).readouts(other).build();
  }

  /** Returns it without what it has on a fixture. */
  Scene without(String fixture) {
    return new Scene(
        id,
        name,
        clips.stream().filter(c -> !c.fixture().equals(fixture)).toList(),
        recipes.stream().filter(r -> !r.fixture().equals(fixture)).toList(),
        captions.stream().filter(c -> !c.fixture().equals(fixture)).toList(),
        readouts.stream().filter(r -> !r.fixture().equals(fixture)).toList());
  }
}
