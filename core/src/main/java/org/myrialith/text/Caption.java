package org.myrialith.text;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A text on a fixture.
 *
 * @param fixture its identifier
 * @param font key of one that comes along, or the name of one of the gadget's
 * @param way it is shown
 * @param down rows that it is moved down, from where it stands in the middle
 * @param dotsPerSecond of what scrolls
 * @param pageMillis that a page, or what stands still, is held (ms)
 */
@RecordBuilder
public record Caption(
    String fixture,
    String text,
    String font,
    Way way,
    int colour,
    int background,
    int down,
    int dotsPerSecond,
    int pageMillis) {
  /** Longest text (characters). */
  public static final int MOST_LENGTH = 10_000;

  private static final Bounds DOWN = Bounds.count(-64, 64, "rows");
  private static final Bounds SPEED = Bounds.count(1, 200, "dots per second");
  private static final Bounds PAGE = Bounds.count(1, 60_000, "ms");

  /** Ways to show a text. */
  public enum Way {
    SCROLLS("scrolls from right to left"),
    PAGES("page after page"),
    STANDS("stands still");

    private final String title;

    Way(String title) {
      this.title = title;
    }

    /** Returns the name used in the gadget format. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** Returns the name for people. */
    public String title() {
      return title;
    }
  }

  /** Returns it on another fixture. */
  public Caption on(String other) {
    return CaptionBuilder.builder(this).fixture(other).build();
  }

  /** How it stands in the format. */
  public static final Description<Caption> DESCRIPTION =
      Description.of(
          Caption.class,
          Field.id("fixture"),
          Field.words("text", "Text", Types.Words.Rule.ANY),
          Field.words("font", "Font", Types.Words.Rule.ANY).or(Fonts.USUAL),
          Field.of("way", "Motion", Types.Choice.of(Way.values(), Way::key, Way::title))
              .or(Way.SCROLLS),
          Field.of("colour", "Colour", Types.Colour.ANY).or(0xffffff),
          Field.of("background", "Background", Types.Colour.ANY).or(0),
          Field.count("down", "Rows down", DOWN).or(0),
          Field.count("dotsPerSecond", "Scroll speed", SPEED).or(12),
          Field.count("pageMillis", "Hold per page", PAGE).or(2000));

  public Caption {
    TextRules.id("fixture", fixture);
    if (text.length() > MOST_LENGTH) {
      throw new InputException(
          "text", text.length() + " characters", "at most " + MOST_LENGTH + " characters");
    }
    Objects.requireNonNull(font, "font");
    Objects.requireNonNull(way, "way");
    DOWN.require("down", down);
    SPEED.require("dotsPerSecond", dotsPerSecond);
    PAGE.require("pageMillis", pageMillis);
  }

  /** Returns it with another text. */
  public Caption saying(String other) {
    return CaptionBuilder.builder(this).text(other).build();
  }

  /** Returns it shown otherwise. */
  public Caption by(Way other) {
    return CaptionBuilder.builder(this).way(other).build();
  }

  /** Returns it in another font. */
  public Caption in(String other) {
    return CaptionBuilder.builder(this).font(other).build();
  }

  /** Returns one to begin with. */
  public static Caption usual(String fixture) {
    return new Caption(fixture, "Hello", Fonts.USUAL, Way.SCROLLS, 0xffffff, 0, 0, 12, 2000);
  }
}
