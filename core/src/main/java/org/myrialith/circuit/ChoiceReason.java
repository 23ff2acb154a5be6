package org.myrialith.circuit;

import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * Why a circuit was made the way it is.
 *
 * @param circuit identifier
 * @param why in the maker's words, or what decided
 */
public record ChoiceReason(String circuit, String why) {
  /** How it stands in the format. */
  public static final Description<ChoiceReason> DESCRIPTION =
      Description.of(
          ChoiceReason.class,
          Field.id("circuit"),
          Field.words("why", "Why", Types.Words.Rule.NOTES));

  public ChoiceReason {
    TextRules.id("circuit", circuit);
    why = TextRules.notes("why", why);
  }
}
