package org.myrialith.drive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;
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

  /** Bits of a pixel: three channels of 8. */
  public static final int BITS_PER_PIXEL = 24;

  /** Time of one bit (ns). */
  public static final int BIT_NANOS = 1250;

  public OneWirePixels {
    Text.id("id", id);
    name = Text.name("name", name);
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

  /**
   * Returns the chain with one of its fixtures at another place, or put in there.
   *
   * @param place from 1
   */
  public OneWirePixels with(String fixture, int place) {
    List<String> ids = new ArrayList<>(fixtures);
    ids.remove(fixture);
    Bounds.count(1, ids.size() + 1).require("place", place);
    ids.add(place - 1, fixture);
    return withFixtures(ids);
  }

  /**
   * Returns the chain with one of its fixtures some places further on, no farther than its ends.
   *
   * @param by below 0 for earlier
   */
  public OneWirePixels moved(String fixture, int by) {
    int place = fixtures.indexOf(fixture) + 1;
    return place == 0 ? this : with(fixture, Math.max(1, Math.min(fixtures.size(), place + by)));
  }

  @Override
  public OneWirePixels withAtEnd(String fixture) {
    return without(fixture).with(fixture, without(fixture).fixtures.size() + 1);
  }

  @Override
  public OneWirePixels without(String fixture) {
    return withFixtures(fixtures.stream().filter(id -> !id.equals(fixture)).toList());
  }

  @Override
  public OneWirePixels withFixtures(List<String> ids) {
    return new OneWirePixels(id, name, dataPin, colourOrder, latchGapMicros, ids, pixel);
  }
}
