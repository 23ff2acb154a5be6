package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Comparison;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Stay;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Row;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Term;
import org.myrialith.cue.table.Value;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/** Cues that can never fire, scenes that are never shown, light that stays beneath. */
record CueReach(CueSheet sheet, CueTable table) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    for (Row row : table.rows()) {
      String never = never(row);
      if (!never.isEmpty()) {
        all.add(neverFires(row, never));
      }
    }
    unseen(all);
    for (Row below : table.rows()) {
      for (Row above : table.rows()) {
        beneath(below, above, all);
      }
    }
    return all;
  }

  /** Why a cue can never fire; empty where it may. */
  private String never(Row row) {
    List<Term> terms = new ArrayList<>();
    if (row.kind() == Firing.By.BECOMES) {
      terms.addAll(table.terms(row.whens()));
    }
    terms.addAll(table.terms(row.onlys()));
    Set<Integer> about = new TreeSet<>();
    terms.forEach(term -> about.add(term.value()));
    for (int value : about) {
      if (IntStream.of(reached(value)).noneMatch(number -> hold(terms, value, number))) {
        return phrase("%s is never true", table.values().get(value).name());
      }
    }
    boolean dead =
        row.kind() == Firing.By.ENDED && row.a() >= 0 && table.rows().get(row.a()).scene() < 0;
    return dead ? "the scene it waits for shows nothing and never ends" : "";
  }

  private boolean hold(List<Term> terms, int value, int number) {
    return terms.stream()
        .filter(term -> term.value() == value && !term.ofValue())
        .allMatch(term -> Comparison.values()[term.how()].holds(number, term.operand()));
  }

  /** What a value can be: all within its ends, or how it begins where nothing sets it. */
  private int[] reached(int value) {
    Value one = table.values().get(value);
    boolean clock = table.clock() >= 0 && value >= table.clock();
    boolean set =
        table.rows().stream()
            .flatMap(row -> table.terms(row.thens()).stream())
            .anyMatch(term -> term.value() == value);
    return clock || set || one.told()
        ? IntStream.rangeClosed(one.least(), one.most()).toArray()
        : new int[] {one.start()};
  }

  private static Finding neverFires(Row row, String why) {
    return Finding.of(
            Step.CUES,
            "never-" + row.cue().id(),
            Verdict.TIGHT,
            phrase("%s never triggers: %s.", row.cue().name(), why))
        .advising("Change its conditions, the limits of the value, or the cue that sets it.");
  }

  private void unseen(List<Finding> all) {
    for (int s = 0; s < table.scenes().size(); s++) {
      int scene = s;
      SceneTable one = table.scenes().get(s);
      boolean empty = one.readouts().isEmpty() && one.lengthMillis() == 0;
      if (!empty && table.rows().stream().noneMatch(row -> row.scene() == scene)) {
        all.add(
            Finding.of(
                Step.CUES,
                "unseen-" + one.scene().id(),
                Verdict.OPEN,
                phrase("No cue shows the scene %s.", one.scene().name())));
      }
    }
  }

  /** Two at one priority that both stay, the later of which lights less and clears nothing. */
  private void beneath(Row below, Row above, List<Finding> all) {
    boolean both =
        below != above
            && below.scene() >= 0
            && above.scene() >= 0
            && below.scene() != above.scene()
            && below.cue().priority() == above.cue().priority()
            && below.cue().stay() == Stay.UNTIL_CLEARED
            && above.cue().stay() == Stay.UNTIL_CLEARED
            && above.cue().clears() == Clears.NOTHING;
    if (!both) {
      return;
    }
    SceneTable one = table.scenes().get(below.scene());
    SceneTable other = table.scenes().get(above.scene());
    String left =
        IntStream.range(0, table.targets().size())
            .filter(t -> one.covers(t) && !other.hides(t))
            .mapToObj(t -> table.targets().get(t).stretch().fixture().name())
            .distinct()
            .collect(Collectors.joining(", "));
    boolean some =
        IntStream.range(0, table.targets().size()).anyMatch(t -> one.covers(t) && other.covers(t));
    if (!left.isEmpty() && some) {
      all.add(
          Finding.of(
                  Step.CUES,
                  "left-" + below.cue().id() + "-" + above.cue().id(),
                  Verdict.TIGHT,
                  phrase(
                      "%s stays lit under %s on %s: nothing clears it.",
                      below.cue().name(), above.cue().name(), left))
              .advising("Let the cue clear its priority, or give its scene frames there."));
    }
  }
}
