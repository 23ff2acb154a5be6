package org.myrialith.lettering;

import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.describe.Types;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.formats.BdfFont;

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

  /** Returns it read. */
  public BdfFont font() {
    return BdfFont.read(bdf);
  }
}
