package org.myrialith.circuit.pixel;

import static org.myrialith.finding.Phrase.phrase;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.TextRules;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.parts.PixelClass;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * A chain of one-wire pixels, RGB or RGBW, 8 bit a channel.
 *
 * @param dataPin of the controller: port letter and bit, such as "B0"
 * @param latchGapMicros low time after which the pixels show what they got (µs); older classes need
 *     50, newer 280 (common practice)
 * @param rate how fast its class takes bits
 * @param white what white does; without meaning for pixels that have none
 * @param railVolts that the pixels hang on; 0 for the supply of the gadget. At 12 V one address
 *     drives three LEDs in series, all with the current of one
 * @param fixtures identifiers in the order the data runs
 * @param shift what stands in its lines between controller and first chip
 */
@RecordBuilder
public record OneWirePixels(
    String id,
    String name,
    String dataPin,
    ColourOrder colourOrder,
    int latchGapMicros,
    BitRate rate,
    WhiteExtraction white,
    double railVolts,
    List<String> fixtures,
    PixelClass pixel,
    LevelShift shift)
    implements Circuit {
  /** Allowed latch gap. */
  public static final Bounds LATCH = Bounds.count(50, 2000, "µs");

  /** How it stands in the format. */
  public static final Kind<OneWirePixels> KIND =
      Kind.of(
          "one-wire-pixels",
          "one-wire pixels",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          Field.of(
              "colourOrder",
              "Colour order",
              Types.Choice.of(ColourOrder.values(), ColourOrder::name, ColourOrder::name)),
          Field.count("latchGapMicros", "Latch gap", LATCH),
          Field.of("rate", "Speed", Types.Choice.of(BitRate.values(), BitRate::key, BitRate::title))
              .or(BitRate.KHZ_800),
          Field.of(
                  "white",
                  "White of RGBW",
                  Types.Choice.of(
                      WhiteExtraction.values(), WhiteExtraction::key, WhiteExtraction::title))
              .or(WhiteExtraction.TAKES_OVER)
              .explained("for colour orders with W; a picture asks for red, green and blue"),
          Field.measure("railVolts", "Separate rail", OutputWiring.RAIL)
              .or(0.0)
              .explained("supplies the pixels, 12 for 12 V pixels; 0 = supply of the gadget"),
          Part.of("pixel", PixelClass.DESCRIPTION),
          LevelShift.field(),
          MemberList.field());

  /** A line of red, green and blue. */
  public static final CircuitStart RGB =
      new CircuitStart("one-wire-rgb", "one-wire RGB pixels", id -> usual(id, List.of()));

  /** A line with white beside them. */
  public static final CircuitStart RGBW =
      new CircuitStart(
          "one-wire-rgbw",
          "one-wire RGBW pixels",
          id -> usual(id, List.of()).inOrder(ColourOrder.GRBW).called("RGBW line"));

  public OneWirePixels {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    Objects.requireNonNull(colourOrder, "colourOrder");
    LATCH.require("latchGapMicros", latchGapMicros);
    Objects.requireNonNull(rate, "rate");
    Objects.requireNonNull(white, "white");
    OutputWiring.RAIL.require("railVolts", railVolts);
    Objects.requireNonNull(shift, "shift");
    fixtures = MemberList.once(fixtures);
    Objects.requireNonNull(pixel, "pixel");
  }

  /** Makes a chain of RGB pixels of the 800 kHz class. */
  public OneWirePixels(
      String id,
      String name,
      String dataPin,
      ColourOrder colourOrder,
      int latchGapMicros,
      List<String> fixtures,
      PixelClass pixel) {
    this(
        id,
        name,
        dataPin,
        colourOrder,
        latchGapMicros,
        BitRate.KHZ_800,
        WhiteExtraction.TAKES_OVER,
        0,
        fixtures,
        pixel,
        LevelShift.NONE);
  }

  /** Returns a circuit as a maker would start with. */
  public static OneWirePixels usual(String id, List<String> fixtures) {
    return new OneWirePixels(
        id, "Data line", "B0", ColourOrder.GRB, 300, fixtures, PixelClass.USUAL);
  }

  /** Returns the line on another pin. */
  public OneWirePixels onPin(String pin) {
    return OneWirePixelsBuilder.builder(this).dataPin(pin).build();
  }

  /** Returns the line with another order of colours. */
  public OneWirePixels inOrder(ColourOrder order) {
    return OneWirePixelsBuilder.builder(this).colourOrder(order).build();
  }

  /** Returns the line of another speed. */
  public OneWirePixels atRate(BitRate other) {
    return OneWirePixelsBuilder.builder(this).rate(other).build();
  }

  /** Returns the line with white used another way. */
  public OneWirePixels withWhite(WhiteExtraction other) {
    return OneWirePixelsBuilder.builder(this).white(other).build();
  }

  /** Returns the line with its pixels on a rail of their own. */
  public OneWirePixels onRail(double volts) {
    return OneWirePixelsBuilder.builder(this).railVolts(volts).build();
  }

  /** Returns the line with another class of pixels. */
  public OneWirePixels withPixel(PixelClass other) {
    return OneWirePixelsBuilder.builder(this).pixel(other).build();
  }

  @Override
  public boolean minds(String field) {
    return !field.equals("white") || colourOrder.channels() > 3;
  }

  @Override
  public OneWirePixels onPins(List<String> pins) {
    return onPin(pins.get(0));
  }

  @Override
  public OneWirePixels called(String other) {
    return OneWirePixelsBuilder.builder(this).name(other).build();
  }

  /** Without assembler, bits are drawn by the board's SPI. */
  @Override
  public List<String> able(Controller controller) {
    return controller.portable() ? controller.spiData().stream().toList() : controller.pins();
  }

  @Override
  public List<String> pins() {
    return List.of(dataPin);
  }

  @Override
  public OneWirePixels withChannelCurrent(double milliamps) {
    return withPixel(new PixelClass(milliamps, pixel.idleMilliamps()));
  }

  @Override
  public OneWirePixels withFixtures(List<String> ids) {
    return OneWirePixelsBuilder.builder(this).fixtures(ids).build();
  }

  private EmitterKind kind() {
    return colourOrder.channels() == 4 ? EmitterKind.ONE_WIRE_RGBW : EmitterKind.ONE_WIRE_RGB;
  }

  @Override
  public boolean drives(EmitterKind other) {
    return other == kind();
  }

  @Override
  public String drives() {
    return kind().title();
  }

  @Override
  public OneWirePlan plan(Layout layout, Brief brief) {
    return new OneWirePlan(this, members(layout), brief);
  }

  @Override
  public boolean takesShift() {
    return true;
  }

  /** Where bits are drawn by SPI, its clock comes out whether or not that is wanted. */
  @Override
  public List<String> alsoTakes(Controller controller) {
    return controller.portable() ? controller.spiClock().stream().toList() : List.of();
  }

  /** Where bits are drawn by SPI, they come out where that does. */
  @Override
  public Optional<Finding> wrongOutput(Controller controller) {
    List<String> able = able(controller);
    return able.contains(dataPin) || !controller.portable()
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    "spi-pin-" + id,
                    Verdict.BREAKS,
                    phrase(
                        "Pin %s can't send one-wire pixels: this class sends them by SPI, on pin %s.",
                        dataPin, String.join(", ", able)))
                .advising(
                    "Use that pin; for several lines, use clocked pixels or an 8-bit controller."));
  }
}
