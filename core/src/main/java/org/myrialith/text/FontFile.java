package org.myrialith.text;

import static org.myrialith.finding.Phrase.phrase;

import java.util.Optional;
import java.util.Set;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.TextRules;
import org.myrialith.formats.BdfFont;
import org.myrialith.formats.BdfSubset;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A font that a maker brought in.
 *
 * @param name what it is called
 * @param bdf the file
 */
public record FontFile(String name, String bdf) {
  /** Most of them in a gadget. */
  public static final int MOST = 4;

  /** Longest file that is kept with a gadget (characters). */
  public static final int MOST_LENGTH = 300_000;

  /** How it stands in the format. */
  public static final Description<FontFile> DESCRIPTION =
      Description.of(
          FontFile.class,
          Field.named("name", "Name"),
          Field.words("bdf", "The file, BDF", Types.Words.Rule.ANY));

  public FontFile {
    name = TextRules.name("name", name);
    if (bdf.length() > MOST_LENGTH) {
      throw new InputException(
          "bdf", bdf.length() + " characters", "at most " + MOST_LENGTH + " characters");
    }
    BdfFont.read(bdf);
  }

  /**
   * Returns a font that was brought in. Of one that is longer than what is kept, the characters
   * that are wanted stay, then as many others as there is room for, by their encodings.
   *
   * @throws InputException for what can't be read whole
   */
  public static FontFile of(String name, String bdf, Set<Integer> wanted) {
    if (bdf.length() > MOST_LENGTH) {
      BdfFont.read(bdf); // an error names its line in the whole file
    }
    return new FontFile(name, BdfSubset.of(bdf, wanted, MOST_LENGTH).text());
  }

  /** Returns in words what was left out of it; empty when all is there. */
  public Optional<String> note() {
    return BdfSubset.said(bdf)
        .map(
            said ->
                phrase(
                    "%s: %s of %s characters kept, those used by texts first. Import it again for others.",
                    name, Quantity.number(said[0]), Quantity.number(said[1])));
  }

  /** Returns it read. */
  public BdfFont font() {
    return BdfFont.read(bdf);
  }
}
