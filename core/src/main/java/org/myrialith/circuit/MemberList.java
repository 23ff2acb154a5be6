package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Layout;
import org.myrialith.schema.Field;
import org.myrialith.schema.Member;
import org.myrialith.schema.Types;

/** The fixtures of a circuit, or what it has of them. */
public final class MemberList {
  private MemberList() {}

  /** How they stand in the format. */
  public static Member field() {
    return Field.rows(
            "fixtures", "Fixtures", new Types.Words(Types.Words.Rule.ANY), 0, Layout.MOST_FIXTURES)
        .or(List.of())
        .explained("in data order; f1:0-63 for a section of one");
  }

  /**
   * Returns a copy.
   *
   * @throws InputException when an emitter is there twice
   */
  public static List<String> once(List<String> fixtures) {
    requireApart(fixtures, "fixtures", "each fixture once, or sections of it that do not overlap");
    return List.copyOf(fixtures);
  }

  /**
   * Checks that no two have an emitter in common.
   *
   * @param field that the error names
   * @param wanted what the error asks for
   */
  static void requireApart(List<String> members, String field, String wanted) {
    List<FixtureRun> seen = new ArrayList<>();
    for (String member : members) {
      FixtureRun run = FixtureRun.of(member);
      if (seen.stream().anyMatch(run::meets)) {
        throw new InputException(field, member, wanted);
      }
      seen.add(run);
    }
  }
}
