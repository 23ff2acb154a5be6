package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.cue.Condition;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Stay;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.BeyondFixture;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.cue.table.Row;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.flash.ViewingDistance;
import org.myrialith.parts.KeptMemory;
import org.myrialith.parts.Timekeeping;

/** What is judged of cues that can be obeyed. */
record CueFindings(
    CueSheet sheet,
    CueTable table,
    List<ClipLevels> lit,
    Optional<KeptMemory> memory,
    Timekeeping own,
    ViewingDistance from,
    List<BeyondFixture> offs) {
  /** As long as nobody touches anything (ms). */
  private static final int WATCHED_MILLIS = 3000;

  /** More often than that in a second nobody can follow (common practice). */
  private static final int OFTEN = 20;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    offs.forEach(off -> all.add(off.finding(sheet)));
    for (int a = 0; a < table.rows().size(); a++) {
      for (int b = a + 1; b < table.rows().size(); b++) {
        clash(table.rows().get(a), table.rows().get(b)).ifPresent(all::add);
      }
    }
    table.rows().forEach(row -> stuck(row).ifPresent(all::add));
    all.addAll(restless());
    all.addAll(new CueReach(sheet, table).all());
    all.addAll(new DarkAfterCue(table).all());
    all.addAll(new CueFlashes(table, lit, from).all());
    if (table.clock() >= 0) {
      all.add(new ClockDrift(table.chip().isEmpty() ? own : Timekeeping.CHIP).finding());
    }
    if (!table.kept().isEmpty()) {
      memory.ifPresent(one -> all.add(new Endurance(table, KeptRecord.of(table, one)).finding()));
    }
    if (all.stream().allMatch(finding -> finding.verdict() == Verdict.HOLDS)) {
      all.add(
          Finding.of(
              Step.CUES,
              "cues-hold",
              Verdict.HOLDS,
              phrase("All cues are valid; triggers are checked every %d ms.", table.tickMillis())));
    }
    return all;
  }

  /**
   * Two that the same thing fires, at one priority, which of them is seen is left to their order.
   */
  private Optional<Finding> clash(Row one, Row other) {
    boolean same =
        one.scene() >= 0
            && other.scene() >= 0
            && one.scene() != other.scene()
            && one.cue().priority() == other.cue().priority()
            && one.cue().when().equals(other.cue().when())
            && !apart(one.cue(), other.cue());
    return same
        ? Optional.of(
            Finding.of(
                    Step.CUES,
                    "clash-" + one.cue().id() + "-" + other.cue().id(),
                    Verdict.TIGHT,
                    phrase(
                        "%s and %s trigger at the same time with the same priority: the later one in the table shows.",
                        one.cue().name(), other.cue().name()))
                .advising("Give them conditions that exclude each other, or different priorities."))
        : Optional.empty();
  }

  /** Whether a value has to be two things at once. */
  private static boolean apart(Cue one, Cue other) {
    for (Condition a : one.conditions()) {
      for (Condition b : other.conditions()) {
        boolean numbers = a.operand().name().isEmpty() && b.operand().name().isEmpty();
        if (numbers && a.name().equals(b.name()) && excluded(a, b)) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean excluded(Condition a, Condition b) {
    for (int value = -9999; value <= 9999; value++) {
      if (a.comparison().holds(value, a.operand().number())
          && b.comparison().holds(value, b.operand().number())) {
        return false;
      }
    }
    return true;
  }

  /** One that stays for ever over what else is shown. */
  private Optional<Finding> stuck(Row row) {
    Cue cue = row.cue();
    boolean over =
        table.rows().stream()
            .anyMatch(other -> other.scene() >= 0 && other.cue().priority() < cue.priority());
    boolean cleared =
        table.rows().stream()
            .anyMatch(
                other ->
                    other != row
                        && other.cue().clears().clears(other.cue().priority(), cue.priority()));
    return row.scene() >= 0 && cue.stay() == Stay.UNTIL_CLEARED && over && !cleared
        ? Optional.of(
            Finding.of(
                    Step.CUES,
                    "stuck-" + cue.id(),
                    Verdict.TIGHT,
                    phrase("%s never ends: nothing clears its priority.", cue.name()))
                .advising("Give it a duration, or let another cue clear it."))
        : Optional.empty();
  }

  /** Those that fire again and again by themselves. */
  private List<Finding> restless() {
    Map<Integer, Integer> fired = new HashMap<>();
    CueEngine engine = new CueEngine(table);
    engine.untouched(WATCHED_MILLIS, () -> {});
    engine.happened().stream()
        .filter(CueEngine.Happened::fired)
        .forEach(one -> fired.merge(one.row(), 1, Integer::sum));
    List<Finding> all = new ArrayList<>();
    fired.forEach(
        (row, times) -> {
          double perSecond = times * 1000.0 / WATCHED_MILLIS;
          if (perSecond > OFTEN) {
            Cue cue = table.rows().get(row).cue();
            all.add(
                Finding.of(
                        Step.CUES,
                        "restless-" + cue.id(),
                        Verdict.BREAKS,
                        phrase(
                            "%s triggers %d times per second without any input.",
                            cue.name(), Math.round(perSecond)))
                    .advising(
                        "It is triggered by its own effect, directly or through another cue."));
          }
        });
    return all;
  }
}
