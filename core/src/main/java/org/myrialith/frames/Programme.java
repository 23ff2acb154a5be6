package org.myrialith.frames;

import java.util.List;
import java.util.Optional;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;

/**
 * What plays. Immutable.
 *
 * @param clips at most one a fixture, of the fixture's size
 */
public record Programme(List<Clip> clips) {
  /** Nothing plays. */
  public static final Programme EMPTY = new Programme(List.of());

  /** How it stands in the format. */
  public static final Description<Programme> DESCRIPTION =
      Description.of(
          Programme.class,
          Field.rows("clips", "Clips", Clip.DESCRIPTION, 0, Layout.MOST_FIXTURES).or(List.of()));

  public Programme {
    clips = List.copyOf(clips);
    Layout.requireUnique("clips", clips, Clip::id);
    Layout.requireUnique("clips", clips, Clip::fixture);
  }

  /**
   * Checks that every clip plays on a fixture of its size.
   *
   * @throws InputException for the first that does not
   */
  public void requireFixtures(Layout layout) {
    for (int i = 0; i < clips.size(); i++) {
      Clip clip = clips.get(i);
      Fixture fixture = layout.fixture(clip.fixture()).orElse(null);
      if (fixture == null) {
        throw new InputException(
            "clips[" + i + "].fixture", clip.fixture(), "the id of a fixture of this gadget");
      }
      Picture picture = clip.frames().get(0).picture();
      if (picture.columns() != fixture.seenColumns() || picture.rows() != fixture.seenRows()) {
        throw new InputException(
            "clips[" + i + "].frames",
            picture.columns() + " × " + picture.rows(),
            "the size of its fixture, " + fixture.seenColumns() + " × " + fixture.seenRows());
      }
    }
  }

  /** Returns the clip of that identifier. */
  public Optional<Clip> clip(String id) {
    return clips.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** Returns the clip on a fixture. */
  public Optional<Clip> clipOn(String fixture) {
    return clips.stream().filter(c -> c.fixture().equals(fixture)).findFirst();
  }
}
