package org.myrialith.cue;

import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Panes;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.Shape;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;
import org.myrialith.text.FontFile;
import org.myrialith.text.Fonts;

/**
 * Values shown on a fixture, over its frames.
 *
 * @param fixture its identifier
 * @param text with values in it, as the maker wrote it
 * @param font of characters on a picture; digits have their own
 * @param column and {@code row} of the picture at which it begins; may be beyond it
 * @param colour 0xRRGGBB
 * @param ticks whether colons blink, once a second
 * @param blinks conditions under which all of it blinks, as the maker wrote them; empty for never
 */
public record Readout(
    String id,
    String fixture,
    ReadoutForm form,
    String text,
    String font,
    int column,
    int row,
    int colour,
    boolean ticks,
    String blinks) {
  /** Most of a scene. */
  public static final int MOST = 8;

  /** From light to dark and back as it blinks (ms); slow enough for anybody. */
  public static final int BLINK_MILLIS = 1000;

  private static final Bounds PLACE = Bounds.count(-200, 200);

  /** How it stands in the format. */
  public static final Description<Readout> DESCRIPTION =
      Description.of(
          Readout.class,
          Field.id("id"),
          Field.id("fixture"),
          Field.of("form", "Form", ReadoutForm.TYPE).or(ReadoutForm.TEXT),
          Field.words("text", "Shows", Types.Words.Rule.ANY)
              .explained(
                  "text with values, such as {hour:2}:{minute:02}, or {hour:12}:{minute:02}{hour:ap}; {hour+5:02} is five hours later"),
          Field.words("font", "Font", Types.Words.Rule.ANY).or(Fonts.USUAL),
          Field.count("column", "First column", PLACE).or(0),
          Field.count("row", "First row", PLACE).or(0),
          Field.of("colour", "Colour", Types.Colour.ANY).or(0xffffff),
          Field.flag("ticks", "Colons", "steady", "blink once a second").or(false),
          Field.words("blinks", "Blinks if", Types.Words.Rule.ANY)
              .or("")
              .explained("conditions, such as set = 1"));

  public Readout {
    TextRules.id("id", id);
    TextRules.id("fixture", fixture);
    Objects.requireNonNull(form, "form");
    ShownText.read("text", text);
    font = TextRules.name("font", font);
    PLACE.require("column", column);
    PLACE.require("row", row);
    blinks = blinks.strip();
    Condition.read("blinks", blinks);
  }

  /** Returns a readout of characters at the left top, white. */
  public static Readout of(String id, String fixture, String text) {
    return new Readout(id, fixture, ReadoutForm.TEXT, text, Fonts.USUAL, 0, 0, 0xffffff, false, "");
  }

  /** Rows of the smallest characters that can be told apart. */
  private static final int LEAST_ROWS = 5;

  /** Returns the time on a fixture, in a way and a font that can be read there. */
  public static Readout first(String id, Fixture fixture, List<FontFile> fonts) {
    Shape shape = fixture.shape();
    if (shape instanceof Panes || shape instanceof LampDigits lamps && lamps.strokes()) {
      return of(id, fixture.id(), "{hour:02}{minute:02}");
    }
    if (shape instanceof SegmentDigits) {
      return of(id, fixture.id(), TIME);
    }
    if (fixture.seenRows() < LEAST_ROWS) {
      return new Readout(
          id, fixture.id(), ReadoutForm.BAR, "{minute}", Fonts.USUAL, 0, 0, 0xffffff, false, "");
    }
    String font = Fonts.fitting("00:00", fixture.seenColumns(), fixture.seenRows(), fonts);
    return new Readout(id, fixture.id(), ReadoutForm.TEXT, TIME, font, 0, 0, 0xffffff, false, "");
  }

  private static final String TIME = "{hour:2}:{minute:02}";

  /** Returns its text read. */
  public ShownText shown() {
    return ShownText.read("text", text);
  }

  /** Returns under which conditions it blinks. */
  public List<Condition> blinking() {
    return Condition.read("blinks", blinks);
  }
}
