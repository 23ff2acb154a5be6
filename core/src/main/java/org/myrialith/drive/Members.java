package org.myrialith.drive;

import java.util.HashSet;
import java.util.List;
import org.myrialith.describe.Field;
import org.myrialith.describe.Member;
import org.myrialith.describe.Types;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Layout;

/** The fixtures of a circuit. */
final class Members {
  private Members() {}

  /** How they stand in the format. */
  static Member field() {
    return Field.rows(
            "fixtures", "Fixtures", new Types.Words(Types.Words.Rule.ANY), 0, Layout.MOST_FIXTURES)
        .or(List.of())
        .explained("identifiers in the order the data runs");
  }

  /**
   * Returns a copy of their identifiers.
   *
   * @throws InputException when one is there twice
   */
  static List<String> once(List<String> fixtures) {
    if (new HashSet<>(fixtures).size() != fixtures.size()) {
      throw new InputException("fixtures", fixtures, "each fixture once");
    }
    return List.copyOf(fixtures);
  }
}
