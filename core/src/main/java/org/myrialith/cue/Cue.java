package org.myrialith.cue;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * When something is shown, over what, and for how long.
 *
 * @param when what makes it fire
 * @param only conditions that have to hold then, as the maker wrote them; empty for none
 * @param then changes of values, as the maker wrote them; empty for none
 * @param scene identifier of what it shows; empty for nothing
 * @param priority shown over all lower ones, and over those of the same that fired before
 * @param clears what it ends
 * @param fadeIn and {@code fadeOut}: how long it takes to come and to go (ms)
 * @param stayMillis how long it stays, where that is a time (ms)
 */
@RecordBuilder
public record Cue(
    String id,
    String name,
    Trigger when,
    String only,
    String then,
    String scene,
    int priority,
    Clears clears,
    int fadeIn,
    int fadeOut,
    Stay stay,
    int stayMillis) {
  /** Most of them in a gadget. */
  public static final int MOST = 64;

  private static final Bounds PRIORITY = Bounds.count(0, 9);
  private static final Bounds FADE = Bounds.count(0, 60_000, "ms");
  private static final Bounds STAY = Bounds.count(1, 86_400_000, "ms");

  /** How it stands in the format. */
  public static final Description<Cue> DESCRIPTION =
      Description.of(
          Cue.class,
          Field.id("id"),
          Field.named("name", "Name"),
          Field.of("when", "When", Trigger.Kinds.ALL),
          Field.words("only", "Only if", Types.Words.Rule.ANY)
              .or("")
              .explained("conditions, such as score >= 10 and lives = 0"),
          Field.words("then", "Then", Types.Words.Rule.ANY)
              .or("")
              .explained("changes of values, such as score + 1, lives = 3, face = any"),
          Field.words("scene", "Shows", Types.Words.Rule.ANY)
              .or("")
              .explained("the scene by its identifier; empty for none"),
          Field.count("priority", "Priority", PRIORITY).or(0),
          Field.of("clears", "Clears", Clears.TYPE).or(Clears.SAME),
          Field.count("fadeIn", "Fade in", FADE).or(0),
          Field.count("fadeOut", "Fade out", FADE).or(0),
          Field.of("stay", "Duration", Stay.TYPE).or(Stay.UNTIL_CLEARED),
          Field.count("stayMillis", "Time", STAY).or(1000).when("stay", "timed"));

  public Cue {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    Objects.requireNonNull(when, "when");
    only = only.strip();
    then = then.strip();
    Condition.read("only", only);
    Setting.read("then", then);
    if (!scene.isEmpty()) {
      TextRules.id("scene", scene);
    }
    PRIORITY.require("priority", priority);
    Objects.requireNonNull(clears, "clears");
    FADE.require("fadeIn", fadeIn);
    FADE.require("fadeOut", fadeOut);
    Objects.requireNonNull(stay, "stay");
    STAY.require("stayMillis", stayMillis);
    if (stay == Stay.WHILE && !when.lasts()) {
      throw new InputException(
          "stay",
          stay.title(),
          "another trigger: only a held button, a sensor, values and idleness last");
    }
  }

  /** Returns a cue that shows a scene. */
  public static Cue showing(String id, String name, Trigger when, String scene) {
    return new Cue(id, name, when, "", "", scene, 0, Clears.SAME, 0, 0, Stay.UNTIL_CLEARED, 1000);
  }

  /** Returns what has to hold. */
  public List<Condition> conditions() {
    return Condition.read("only", only);
  }

  /** Returns what it changes. */
  public List<Setting> settings() {
    return Setting.read("then", then);
  }

  /** Returns it only under conditions. */
  public Cue onlyIf(String other) {
    return CueBuilder.builder(this).only(other).build();
  }

  /** Returns it with changes of values. */
  public Cue then(String other) {
    return CueBuilder.builder(this).then(other).build();
  }

  /** Returns it at a priority. */
  public Cue at(int other, Clears clearing) {
    return CueBuilder.builder(this).priority(other).clears(clearing).build();
  }

  /** Returns it coming and going softly (ms). */
  public Cue fading(int in, int out) {
    return CueBuilder.builder(this).fadeIn(in).fadeOut(out).build();
  }

  /** Returns it for a while. */
  public Cue staying(Stay other, int millis) {
    return CueBuilder.builder(this).stay(other).stayMillis(millis).build();
  }
}
