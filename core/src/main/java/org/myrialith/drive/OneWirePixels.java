package org.myrialith.drive;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.describe.Field;
import org.myrialith.describe.Kind;
import org.myrialith.describe.Part;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PixelClass;

/**
 * A chain of one-wire RGB pixels, 800 kHz class, 8 bit a channel.
 *
 * @param dataPin of the controller: port letter and bit, such as "B0"
 * @param latchGapMicros low time after which the pixels show what they got (µs); older classes need
 *     50, newer 280 (common practice)
 * @param fixtures identifiers in the order the data runs
 */
public record OneWirePixels(
    String id,
    String name,
    String dataPin,
    ColourOrder colourOrder,
    int latchGapMicros,
    List<String> fixtures,
    PixelClass pixel)
    implements Circuit {
  /** Allowed latch gap. */
  public static final Bounds LATCH = Bounds.count(50, 2000, "µs");

  /** Time of one bit (ns). */
  public static final int BIT_NANOS = 1250;

  /** How it stands in the format. */
  public static final Kind<OneWirePixels> KIND =
      Kind.of(
          "one-wire-pixels",
          "one-wire RGB pixels",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          Field.words("dataPin", "Data pin", Types.Words.Rule.ANY)
              .explained("port letter and bit, such as B0"),
          Field.of(
              "colourOrder",
              "Order of colours",
              Types.Choice.of(ColourOrder.values(), ColourOrder::name, ColourOrder::name)),
          Field.count("latchGapMicros", "Latch gap", LATCH),
          Part.of("pixel", PixelClass.DESCRIPTION),
          Field.rows(
                  "fixtures",
                  "Fixtures",
                  new Types.Words(Types.Words.Rule.ANY),
                  0,
                  Layout.MOST_FIXTURES)
              .or(List.of())
              .explained("identifiers in the order the data runs"));

  public OneWirePixels {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    if (!dataPin.matches("[A-D][0-7]")) {
      throw new InputException(
          "dataPin", dataPin, "a port letter A to D and a bit 0 to 7, such as B0");
    }
    Objects.requireNonNull(colourOrder, "colourOrder");
    LATCH.require("latchGapMicros", latchGapMicros);
    fixtures = List.copyOf(fixtures);
    if (new HashSet<>(fixtures).size() != fixtures.size()) {
      throw new InputException("fixtures", fixtures, "each fixture once");
    }
    Objects.requireNonNull(pixel, "pixel");
  }

  /** Returns a circuit as a maker would start with. */
  public static OneWirePixels usual(String id, List<String> fixtures) {
    return new OneWirePixels(
        id, "Data line", "B0", ColourOrder.GRB, 300, fixtures, PixelClass.USUAL);
  }

  /** Returns the line on another pin. */
  public OneWirePixels onPin(String pin) {
    return new OneWirePixels(id, name, pin, colourOrder, latchGapMicros, fixtures, pixel);
  }

  /** Returns the line with another class of pixels. */
  public OneWirePixels withPixel(PixelClass other) {
    return new OneWirePixels(id, name, dataPin, colourOrder, latchGapMicros, fixtures, other);
  }

  @Override
  public OneWirePixels withFixtures(List<String> ids) {
    return new OneWirePixels(id, name, dataPin, colourOrder, latchGapMicros, ids, pixel);
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return kind == EmitterKind.ONE_WIRE_RGB;
  }

  @Override
  public String drives() {
    return EmitterKind.ONE_WIRE_RGB.title();
  }

  @Override
  public OneWirePlan plan(List<Fixture> members, Brief brief) {
    return new OneWirePlan(this, members, brief);
  }
}
