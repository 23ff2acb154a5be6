package org.myrialith.frames;

import java.util.LinkedHashSet;
import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A character as the maker wants it on the digits of a fixture. Immutable.
 *
 * @param fixture its identifier
 * @param character one, but for the marks that light points and colons
 * @param segments names of those that are lit
 */
public record Glyph(String fixture, String character, List<String> segments) {
  /** Most of them in a gadget. */
  static final int MOST = 512;

  private static final int MOST_SEGMENTS = 64;

  /** How it stands in the format. */
  public static final Description<Glyph> DESCRIPTION =
      Description.of(
          Glyph.class,
          Field.id("fixture"),
          Field.words("character", "Character", Types.Words.Rule.ANY),
          Field.rows(
              "segments", "Segments", new Types.Words(Types.Words.Rule.ANY), 0, MOST_SEGMENTS));

  public Glyph {
    if (character.length() != 1 || ".,:".contains(character) || character.isBlank()) {
      throw new InputException("character", character, "one character, none of . , : and no blank");
    }
    segments = List.copyOf(new LinkedHashSet<>(segments));
    Bounds.count(0, MOST_SEGMENTS).require("segments", segments.size());
  }

  /**
   * Checks that digits have its segments.
   *
   * @throws InputException for the first that they don't have
   */
  public void requireSegments(SegmentDigits digits) {
    for (String segment : segments) {
      if (!digits.segmentNames().contains(segment)) {
        throw new InputException(
            "segments", segment, "segments of these digits: " + digits.segmentNames());
      }
    }
  }

  char key() {
    return character.charAt(0);
  }
}
