package org.myrialith.firmware.line;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.circuit.output.OutputMap;

/** Where a driver finds the level of each output in the player's buffer: a table in C. */
public final class LevelPlaces {
  /** Stands where an output lights nothing. */
  private static final int NOWHERE = 0xffff;

  private static final int A_ROW = 12;

  private LevelPlaces() {}

  /**
   * Returns the rows of the table, two bytes a level.
   *
   * @param lastFirst whether the last output of the farthest chip comes first
   */
  public static String rows(OutputMap map, boolean lastFirst) {
    List<Integer> places = new ArrayList<>();
    for (int channel : map.byOutput()) {
      places.add(channel < 0 ? NOWHERE : 2 * channel);
    }
    if (lastFirst) {
      Collections.reverse(places);
    }
    StringBuilder rows = new StringBuilder();
    for (int from = 0; from < places.size(); from += A_ROW) {
      List<Integer> row = places.subList(from, Math.min(places.size(), from + A_ROW));
      rows.append(row.stream().map(String::valueOf).collect(Collectors.joining(", ", "  ", ",\n")));
    }
    return rows.toString();
  }
}
