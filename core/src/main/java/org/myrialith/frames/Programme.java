package org.myrialith.frames;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.text.Caption;
import org.myrialith.text.FontFile;

/**
 * What plays. Immutable.
 *
 * @param clips at most one a fixture, of the fixture's size
 * @param glyphs characters that the maker made
 * @param recipes effects that frames are made of, at most one a fixture
 * @param captions texts that frames are made of, at most one a fixture
 * @param fonts that the maker brought in
 */
@RecordBuilder
public record Programme(
    List<Clip> clips,
    List<Glyph> glyphs,
    List<Recipe> recipes,
    List<Caption> captions,
    List<FontFile> fonts) {
  /** Nothing plays. */
  public static final Programme EMPTY = new Programme(List.of());

  /** How it stands in the format. */
  public static final Description<Programme> DESCRIPTION =
      Description.of(
          Programme.class,
          Field.rows("clips", "Clips", Clip.DESCRIPTION, 0, Layout.MOST_FIXTURES).or(List.of()),
          Field.rows("glyphs", "Glyphs", Glyph.DESCRIPTION, 0, Glyph.MOST)
              .or(List.of())
              .explained("your own characters on segment digits"),
          Field.rows("recipes", "Effects", Recipe.DESCRIPTION, 0, Layout.MOST_FIXTURES)
              .or(List.of())
              .explained("what frames were made of; the frames themselves are in the clips"),
          Field.rows("captions", "Texts", Caption.DESCRIPTION, 0, Layout.MOST_FIXTURES)
              .or(List.of()),
          Field.rows("fonts", "Fonts", FontFile.DESCRIPTION, 0, FontFile.MOST).or(List.of()));

  /** Clips and characters without what they could be made of. */
  public Programme(List<Clip> clips, List<Glyph> glyphs) {
    this(clips, glyphs, List.of(), List.of(), List.of());
  }

  /** Clips without characters of the maker's own. */
  public Programme(List<Clip> clips) {
    this(clips, List.of());
  }

  public Programme {
    clips = List.copyOf(clips);
    Layout.requireUnique("clips", clips, Clip::id);
    Layout.requireUnique("clips", clips, Clip::fixture);
    glyphs = List.copyOf(glyphs);
    Layout.requireUnique("glyphs", glyphs, g -> g.fixture() + " " + g.character());
    recipes = List.copyOf(recipes);
    Layout.requireUnique("recipes", recipes, Recipe::fixture);
    captions = List.copyOf(captions);
    Layout.requireUnique("captions", captions, Caption::fixture);
    fonts = List.copyOf(fonts);
    Layout.requireUnique("fonts", fonts, FontFile::name);
  }

  /**
   * Checks that every clip plays on a fixture of its size.
   *
   * @throws InputException for the first that does not
   */
  public void requireFixtures(Layout layout) {
    layout.requireFixtures("glyphs", glyphs.stream().map(Glyph::fixture).toList());
    layout.requireFixtures("recipes", recipes.stream().map(Recipe::fixture).toList());
    layout.requireFixtures("captions", captions.stream().map(Caption::fixture).toList());
    requireClips("", clips, layout);
  }

  /**
   * Checks that clips play on fixtures of their size.
   *
   * @param at where they stand, with a point behind it; may be empty
   * @throws InputException for the first that does not
   */
  public static void requireClips(String at, List<Clip> clips, Layout layout) {
    layout.requireFixtures(at + "clips", clips.stream().map(Clip::fixture).toList());
    for (int i = 0; i < clips.size(); i++) {
      Fixture fixture = layout.fixture(clips.get(i).fixture()).orElseThrow();
      Picture picture = clips.get(i).frames().get(0).picture();
      if (picture.columns() != fixture.seenColumns() || picture.rows() != fixture.seenRows()) {
        throw new InputException(
            at + "clips[" + i + "].frames",
            picture.columns() + " × " + picture.rows(),
            "the size of its fixture, " + fixture.seenColumns() + " × " + fixture.seenRows());
      }
    }
  }

  /** Returns the programme with other clips. */
  public Programme with(List<Clip> other) {
    return ProgrammeBuilder.builder(this).clips(other).build();
  }

  /** Returns the programme with other clips, and what they were made of. */
  public Programme playing(List<Clip> played, List<Recipe> effects, List<Caption> texts) {
    return new Programme(played, glyphs, effects, texts, fonts);
  }

  /** Returns the programme with a character, in place of the one for the same if there is one. */
  public Programme with(Glyph glyph) {
    List<Glyph> all = new ArrayList<>(without(glyph.fixture(), glyph.character()).glyphs());
    all.add(glyph);
    return ProgrammeBuilder.builder(this).glyphs(all).build();
  }

  /** Returns the programme with a character as it comes along. */
  public Programme without(String fixture, String character) {
    return ProgrammeBuilder.builder(this)
        .glyphs(
            glyphs.stream()
                .filter(g -> !g.fixture().equals(fixture) || !g.character().equals(character))
                .toList())
        .build();
  }

  /** Returns the programme without a fixture. */
  public Programme without(String fixture) {
    return new Programme(
        clips.stream().filter(c -> !c.fixture().equals(fixture)).toList(),
        glyphs.stream().filter(g -> !g.fixture().equals(fixture)).toList(),
        recipes.stream().filter(r -> !r.fixture().equals(fixture)).toList(),
        captions.stream().filter(c -> !c.fixture().equals(fixture)).toList(),
        fonts);
  }

  /** Returns the programme with effects on a fixture, in place of those that are there. */
  public Programme with(Recipe recipe) {
    List<Recipe> all = new ArrayList<>(recipes);
    all.removeIf(r -> r.fixture().equals(recipe.fixture()));
    all.add(recipe);
    return ProgrammeBuilder.builder(this).recipes(all).build();
  }

  /** Returns the programme with a text on a fixture, in place of the one that is there. */
  public Programme with(Caption caption) {
    List<Caption> all = new ArrayList<>(captions);
    all.removeIf(c -> c.fixture().equals(caption.fixture()));
    all.add(caption);
    return ProgrammeBuilder.builder(this).captions(all).build();
  }

  /** Returns the programme with a font, in place of the one of the same name. */
  public Programme with(FontFile font) {
    List<FontFile> all = new ArrayList<>(withoutFont(font.name()).fonts);
    all.add(font);
    return ProgrammeBuilder.builder(this).fonts(all).build();
  }

  /** Returns the programme without a font. */
  public Programme withoutFont(String name) {
    List<FontFile> left = fonts.stream().filter(f -> !f.name().equals(name)).toList();
    return ProgrammeBuilder.builder(this).fonts(left).build();
  }

  /** Returns the text on a fixture. */
  public Optional<Caption> captionOn(String fixture) {
    return captions.stream().filter(c -> c.fixture().equals(fixture)).findFirst();
  }

  /** Returns the effects on a fixture. */
  public Optional<Recipe> recipeOn(String fixture) {
    return recipes.stream().filter(r -> r.fixture().equals(fixture)).findFirst();
  }

  /** Returns the maker's characters for a fixture, each with the segments that are lit. */
  public Map<Character, Set<String>> glyphsOn(String fixture) {
    return glyphs.stream()
        .filter(g -> g.fixture().equals(fixture))
        .collect(Collectors.toMap(Glyph::key, g -> Set.copyOf(g.segments())));
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
