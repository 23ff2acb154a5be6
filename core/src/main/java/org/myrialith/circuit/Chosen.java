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
public record Chosen(String circuit, String why) {
  /** How it stands in the format. */
  public static final Description<Chosen> DESCRIPTION =
      Description.of(
          Chosen.class, Field.id("circuit"), Field.words("why", "Why", Types.Words.Rule.NOTES));

  public Chosen {
    TextRules.id("circuit", circuit);
    why = TextRules.notes("why", why);
  }
}
