package org.myrialith.web.cues;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.myrialith.cue.table.CueTable;

/**
 * An input to try.
 *
 * @param number among all
 * @param sort on-off, analogue or rotary
 */
record Inputs(int number, String title, String sort) {
  static List<Inputs> of(Optional<CueTable> table) {
    return table.stream()
        .flatMap(t -> t.senses().stream().map(s -> t.senses().indexOf(s)).map(i -> of(t, i)))
        .toList();
  }

  private static Inputs of(CueTable table, int number) {
    var sense = table.senses().get(number);
    String sort = sense.sort().name().toLowerCase(Locale.ROOT).replace('_', '-');
    return new Inputs(number, sense.title(), sort);
  }
}
