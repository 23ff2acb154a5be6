package org.myrialith.cue.table;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.circuit.Wiring;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Limiter;

/**
 * Cues, scenes, values and inputs as numbers: what engine and firmware obey.
 *
 * @param values the maker's first, then those of the clock, seconds first, where they are used
 * @param clock position of the seconds; -1 without a clock
 * @param chip pins of the clock chip that keeps the time, data first; empty where the controller
 *     does
 * @param terms that rows and readouts point into
 * @param messages lines that are listened for, each once
 * @param chance whether anything is left to chance
 * @param seed that it begins with
 * @param tickMillis from one look at everything to the next (ms)
 * @param fadeMillis from one step of a fade to the next (ms)
 * @param standIn something dark for the tables of frames, where scenes have none
 */
public record CueTable(
    Wiring wiring,
    Optional<Limiter> limiter,
    List<Target> targets,
    List<SceneTable> scenes,
    List<Value> values,
    int clock,
    List<String> chip,
    List<InputState> senses,
    List<Row> rows,
    List<Term> terms,
    List<String> messages,
    boolean chance,
    int seed,
    int tickMillis,
    int fadeMillis,
    Optional<ClipLevels> standIn) {
  public CueTable {
    targets = List.copyOf(targets);
    scenes = List.copyOf(scenes);
    values = List.copyOf(values);
    chip = List.copyOf(chip);
    senses = List.copyOf(senses);
    rows = List.copyOf(rows);
    terms = List.copyOf(terms);
    messages = List.copyOf(messages);
  }

  /** Returns it with a limiter. */
  public CueTable limited(Optional<Limiter> other) {
    return with(other, values);
  }

  /** Returns it with values that begin otherwise. */
  public CueTable beginning(List<Value> other) {
    return with(limiter, other);
  }

  private CueTable with(Optional<Limiter> limit, List<Value> begun) {
    return new CueTable(
        wiring,
        limit,
        targets,
        scenes,
        begun,
        clock,
        chip,
        senses,
        rows,
        terms,
        messages,
        chance,
        seed,
        tickMillis,
        fadeMillis,
        standIn);
  }

  /** Returns the clips of all scenes, scene after scene in the order of the targets. */
  public List<ClipLevels> clips() {
    List<ClipLevels> all =
        scenes.stream()
            .flatMap(scene -> Arrays.stream(scene.clips()).filter(Objects::nonNull))
            .toList();
    return all.isEmpty() ? standIn.stream().toList() : all;
  }

  /** Returns whether anything comes or goes softly. */
  public boolean fades() {
    return rows.stream().anyMatch(row -> row.cue().fadeIn() > 0 || row.cue().fadeOut() > 0);
  }

  /** Returns all readouts, scene after scene. */
  public List<ReadoutTable> readouts() {
    return scenes.stream().flatMap(scene -> scene.readouts().stream()).toList();
  }

  /** Returns the terms of a stretch of them. */
  public List<Term> terms(Row.Terms stretch) {
    return terms.subList(stretch.first(), stretch.first() + stretch.count());
  }

  /** Returns the positions of values that are kept while power is off. */
  public List<Integer> kept() {
    return IntStream.range(0, values.size()).filter(v -> values.get(v).kept()).boxed().toList();
  }

  /** Returns whether lines of text are read. */
  public boolean reads() {
    return senses.stream().anyMatch(sense -> sense.sort() == InputState.Sort.SERIAL);
  }

  /** Returns what chance begins with: the seed spread over 32 bits, never 0. */
  public int firstChance() {
    return seed * 0x9e3779b1;
  }
}
