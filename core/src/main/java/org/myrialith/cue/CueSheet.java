package org.myrialith.cue;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Programme;
import org.myrialith.layout.Layout;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;
import org.myrialith.text.Caption;

/**
 * What is shown when. Without cues all clips play, over and over.
 *
 * @param open identifier of the scene that is on the easel, whose frames stand in the programme;
 *     empty while there are no scenes
 * @param cues in the order in which they are asked
 * @param seed that chance begins with
 * @param clockTold whether messages such as {@code hour=7} set the clock too
 */
@RecordBuilder
public record CueSheet(
    List<Variable> variables,
    List<Scene> scenes,
    String open,
    List<Cue> cues,
    int seed,
    boolean clockTold) {
  private static final Bounds SEED = Bounds.count(1, 9999);

  /** Nothing is said. */
  public static final CueSheet NONE = new CueSheet(List.of(), List.of(), "", List.of(), 1);

  /** How it stands in the format. */
  public static final Description<CueSheet> DESCRIPTION =
      Description.of(
          CueSheet.class,
          Field.rows("variables", "Values", Variable.DESCRIPTION, 0, Variable.MOST).or(List.of()),
          Field.rows("scenes", "Scenes", Scene.DESCRIPTION, 0, Scene.MOST).or(List.of()),
          Field.words("open", "Shown for editing", Types.Words.Rule.ANY)
              .or("")
              .explained("the scene whose frames stand under clips, recipes and captions"),
          Field.rows("cues", "Cues", Cue.DESCRIPTION, 0, Cue.MOST).or(List.of()),
          Field.count("seed", "Random seed", SEED).or(1),
          Field.flag(
                  "clockTold",
                  "The clock",
                  "set by cues only",
                  "set by messages such as hour=7 too")
              .or(false));

  /** One whose clock messages leave alone. */
  public CueSheet(
      List<Variable> variables, List<Scene> scenes, String open, List<Cue> cues, int seed) {
    this(variables, scenes, open, cues, seed, false);
  }

  public CueSheet {
    variables = List.copyOf(variables);
    Layout.requireUnique("variables", variables, Variable::name);
    scenes = List.copyOf(scenes);
    Layout.requireUnique("scenes", scenes, Scene::id);
    cues = List.copyOf(cues);
    Layout.requireUnique("cues", cues, Cue::id);
    SEED.require("seed", seed);
    if (scenes.isEmpty() != open.isEmpty()
        || !open.isEmpty() && scenes.stream().noneMatch(s -> s.id().equals(open))) {
      throw new InputException(
          "open", open, scenes.isEmpty() ? "none: there are no scenes" : "the id of a scene");
    }
    if (scenes.stream().anyMatch(s -> s.id().equals(open) && !s.clips().isEmpty())) {
      throw new InputException(
          "open", open, "a scene without clips of its own: they are part of the programme");
    }
  }

  /** Returns whether cues say what plays. */
  public boolean used() {
    return !cues.isEmpty();
  }

  /** Returns the scene of an identifier, without its frames where it is on the easel. */
  public Optional<Scene> scene(String id) {
    return scenes.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  /** Returns the cue of an identifier. */
  public Optional<Cue> cue(String id) {
    return cues.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** Returns it with other values. */
  public CueSheet withVariables(List<Variable> other) {
    return CueSheetBuilder.builder(this).variables(other).build();
  }

  /** Returns it with other cues. */
  public CueSheet withCues(List<Cue> other) {
    return CueSheetBuilder.builder(this).cues(other).build();
  }

  /** Returns it with a clock that messages set. */
  public CueSheet tellingTheTime() {
    return CueSheetBuilder.builder(this).clockTold(true).build();
  }

  /** Returns it with other scenes, one of them on the easel. */
  public CueSheet withScenes(List<Scene> other, String onEasel) {
    return CueSheetBuilder.builder(this).scenes(other).open(onEasel).build();
  }

  /** Returns it with chance that begins otherwise. */
  public CueSheet withSeed(int other) {
    return CueSheetBuilder.builder(this).seed(other).build();
  }

  /** Returns it with a scene in place of the one of that identifier, or at the end. */
  public CueSheet with(Scene scene) {
    List<Scene> all = new ArrayList<>(scenes);
    int at = all.stream().map(Scene::id).toList().indexOf(scene.id());
    if (at < 0) {
      all.add(scene);
    } else {
      all.set(at, scene);
    }
    return withScenes(all, open.isEmpty() ? scene.id() : open);
  }

  /** Returns it with a cue in place of the one of that identifier, or at the end. */
  public CueSheet with(Cue cue) {
    List<Cue> all = new ArrayList<>(cues);
    int at = all.stream().map(Cue::id).toList().indexOf(cue.id());
    if (at < 0) {
      all.add(cue);
    } else {
      all.set(at, cue);
    }
    return withCues(all);
  }

  /** Returns it without what is on a fixture. */
  public CueSheet without(String fixture) {
    return withScenes(scenes.stream().map(s -> s.without(fixture)).toList(), open);
  }

  /** Returns it with all clips that scenes keep changed. */
  public CueSheet withClips(UnaryOperator<Clip> change) {
    return withScenes(
        scenes.stream()
            .map(s -> s.with(s.clips().stream().map(change).toList(), s.recipes(), s.captions()))
            .toList(),
        open);
  }

  /**
   * Returns an identifier that no scene, cue or value shown has: the prefix and the lowest free
   * number.
   */
  public String freeId(String prefix) {
    int number = 1;
    while (taken(prefix + number)) {
      number++;
    }
    return TextRules.id("id", prefix + number);
  }

  private boolean taken(String id) {
    return scene(id).isPresent()
        || cue(id).isPresent()
        || scenes.stream().flatMap(s -> s.readouts().stream()).anyMatch(r -> r.id().equals(id));
  }

  /**
   * Checks that what scenes show is on fixtures that are there, in their size.
   *
   * @throws InputException for the first that is not
   */
  public void requireFixtures(Layout layout) {
    for (int s = 0; s < scenes.size(); s++) {
      Scene scene = scenes.get(s);
      String at = "cues.scenes[" + s + "].";
      Programme.requireClips(at, scene.clips(), layout);
      layout.requireFixtures(
          at + "recipes", scene.recipes().stream().map(Recipe::fixture).toList());
      layout.requireFixtures(
          at + "captions", scene.captions().stream().map(Caption::fixture).toList());
      layout.requireFixtures(
          at + "readouts", scene.readouts().stream().map(Readout::fixture).toList());
    }
  }
}
