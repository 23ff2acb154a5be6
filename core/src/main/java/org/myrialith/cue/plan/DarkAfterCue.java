package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Stay;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Row;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * Cues that end what was lit beneath them and then end themselves: nothing is lit from then on,
 * until a hand or the power switch brings light back.
 */
record DarkAfterCue(CueTable table) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    for (Row row : table.rows()) {
      List<Row> ended = ended(row);
      if (!ended.isEmpty() && !leftOver(row, ended) && !followed(row)) {
        all.add(finding(row, ended));
      }
    }
    return all;
  }

  private static boolean lights(Row row) {
    return row.scene() >= 0;
  }

  private static boolean stays(Row row) {
    return lights(row) && row.cue().stay() == Stay.UNTIL_CLEARED;
  }

  private static boolean clears(Row row, Row other) {
    return row != other && row.cue().clears().clears(row.cue().priority(), other.cue().priority());
  }

  /** What stays by itself and is ended by a cue that does not stay. */
  private List<Row> ended(Row row) {
    boolean passes = lights(row) && row.cue().stay() != Stay.UNTIL_CLEARED;
    return passes && row.cue().clears() != Clears.NOTHING
        ? table.rows().stream().filter(DarkAfterCue::stays).filter(one -> clears(row, one)).toList()
        : List.of();
  }

  /** Whether something lit since power came on lies beneath and is ended by none of them. */
  private boolean leftOver(Row row, List<Row> ended) {
    return table.rows().stream()
        .filter(one -> stays(one) && one.kind() == Firing.By.POWER_ON && !clears(row, one))
        .anyMatch(one -> ended.stream().noneMatch(other -> clears(other, one)));
  }

  /** Whether light comes by itself afterwards: by time, or by what the cue sets off. */
  private boolean followed(Row row) {
    Set<Row> fires = new HashSet<>(Set.of(row));
    boolean more = true;
    while (more) {
      more = false;
      for (Row one : table.rows()) {
        if (!fires.contains(one) && byItself(one, fires)) {
          fires.add(one);
          more = true;
        }
      }
    }
    return fires.stream().anyMatch(one -> one != row && lights(one));
  }

  private boolean byItself(Row one, Set<Row> fired) {
    return switch (one.kind()) {
      case EVERY, IDLE -> true;
      case ENDED -> one.a() < 0 || fired.contains(table.rows().get(one.a()));
      case BECOMES ->
          table.terms(one.whens()).stream()
              .anyMatch(term -> ticks(term.value()) || set(term.value(), fired));
      default -> false;
    };
  }

  private boolean ticks(int value) {
    return table.clock() >= 0 && value >= table.clock();
  }

  private boolean set(int value, Set<Row> fired) {
    return fired.stream()
        .flatMap(one -> table.terms(one.thens()).stream())
        .anyMatch(term -> term.value() == value);
  }

  private Finding finding(Row row, List<Row> ended) {
    String names = ended.stream().map(one -> one.cue().name()).collect(Collectors.joining(", "));
    boolean never =
        table.rows().stream()
            .filter(one -> one != row && lights(one))
            .allMatch(one -> one.kind() == Firing.By.POWER_ON);
    String until = never ? "after power is switched off and on" : "when an input is used";
    return Finding.of(
            Step.CUES,
            "dark-" + row.cue().id(),
            never ? Verdict.BREAKS : Verdict.TIGHT,
            phrase(
                "All dark after %s ends, as it clears %s. Light returns only %s.",
                row.cue().name(), names, until))
        .advising(
            phrase(
                "Let %s clear nothing, at a higher priority; or add a cue that shows light when it ends.",
                row.cue().name()));
  }
}
