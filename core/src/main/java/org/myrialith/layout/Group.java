package org.myrialith.layout;

import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Emitters under one name, across fixtures: what frames and cues speak to.
 *
 * @param members at least one
 */
public record Group(String id, String name, List<Member> members) {
  /** Most groups of a gadget. */
  public static final int MOST_GROUPS = 64;

  /** Most members of a group. */
  public static final int MOST_MEMBERS = 128;

  /**
   * A run of emitters of one fixture.
   *
   * @param fixture its identifier
   * @param from first index in data order
   * @param to last index in data order
   */
  public record Member(String fixture, int from, int to) {
    private static final Bounds INDEX = Bounds.count(0, Fixture.MOST_EMITTERS - 1);

    /** How it stands in the format. */
    public static final Description<Member> DESCRIPTION =
        Description.of(
            Member.class,
            Field.words("fixture", "Fixture", Types.Words.Rule.ANY),
            Field.count("from", "From", INDEX).explained("first LED in data order"),
            Field.count("to", "To", INDEX).explained("last LED in data order"));

    public Member {
      if (from < 0 || to < from) {
        throw new InputException(
            "from", from + " to " + to, "a first LED from 0 and a last one not before it");
      }
    }
  }

  /** How it stands in the format. */
  public static final Description<Group> DESCRIPTION =
      Description.of(
          Group.class,
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows("members", "Members", Member.DESCRIPTION, 1, MOST_MEMBERS));

  public Group {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    members = List.copyOf(members);
    if (members.isEmpty() || members.size() > MOST_MEMBERS) {
      throw new InputException(
          "members", members.size() + " members", "1 to " + MOST_MEMBERS + " members");
    }
  }

  /** Returns how many emitters it names. */
  public int count() {
    return members.stream().mapToInt(m -> m.to() - m.from() + 1).sum();
  }
}
