package org.myrialith.circuit.pixel;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.parts.PixelClass;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * A chain of clocked RGB pixels: data and clock, 8 bit a channel, in one class with a brightness
 * field of 5 bits in each pixel.
 *
 * <p>A frame of the frame-started class is 32 zero bits; three ones, the brightness field and three
 * levels for each pixel; 32 zero bits for newer classes, and a zero bit for every two pixels at
 * least, as each pixel delays the data by half a clock (data of the class, common practice).
 *
 * @param sort how its class tells frames apart
 * @param brightnessField of 31, the same for all pixels: dims on top of the levels; without meaning
 *     for a class that has none
 * @param fixtures identifiers in the order the data runs
 * @param shift what stands in its lines between controller and first chip
 */
@RecordBuilder
public record ClockedPixels(
    String id,
    String name,
    String dataPin,
    String clockPin,
    ColourOrder colourOrder,
    ClockedClass sort,
    int brightnessField,
    List<String> fixtures,
    PixelClass pixel,
    LevelShift shift)
    implements Circuit {
  /** Highest brightness field. */
  public static final int FULL_FIELD = 31;

  /** Allowed brightness field. */
  public static final Bounds FIELD = Bounds.count(1, FULL_FIELD, "of 31");

  /** How it stands in the format. */
  public static final Kind<ClockedPixels> KIND =
      Kind.of(
          "clocked-pixels",
          "clocked pixels",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          Field.of(
              "colourOrder",
              "Colour order",
              Types.Choice.of(ColourOrder.withoutWhite(), ColourOrder::name, ColourOrder::name)),
          Field.of(
                  "sort",
                  "Class",
                  Types.Choice.of(ClockedClass.values(), ClockedClass::key, ClockedClass::title))
              .or(ClockedClass.FRAME_STARTED),
          Field.count("brightnessField", "Brightness field", FIELD).or(FULL_FIELD),
          Part.of("pixel", PixelClass.DESCRIPTION),
          LevelShift.field(),
          MemberList.field());

  /** A line of red, green and blue. */
  public static final CircuitStart RGB =
      new CircuitStart("clocked-rgb", "clocked RGB pixels", id -> usual(id, List.of()));

  public ClockedPixels {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    if (clockPin.equals(dataPin)) {
      throw new InputException("clockPin", clockPin, "another pin than the data pin");
    }
    Objects.requireNonNull(colourOrder, "colourOrder");
    if (colourOrder.channels() != 3) {
      throw new InputException("colourOrder", colourOrder, "an order of red, green and blue");
    }
    Objects.requireNonNull(sort, "sort");
    FIELD.require("brightnessField", brightnessField);
    Objects.requireNonNull(shift, "shift");
    fixtures = MemberList.once(fixtures);
    Objects.requireNonNull(pixel, "pixel");
  }

  /** Returns a circuit as a maker would start with. */
  public static ClockedPixels usual(String id, List<String> fixtures) {
    return new ClockedPixels(
        id,
        "Clocked line",
        "B1",
        "B2",
        ColourOrder.BGR,
        ClockedClass.FRAME_STARTED,
        FULL_FIELD,
        fixtures,
        PixelClass.USUAL,
        LevelShift.NONE);
  }

  /** Returns the line on other pins. */
  public ClockedPixels onPins(String data, String clock) {
    return ClockedPixelsBuilder.builder(this).dataPin(data).clockPin(clock).build();
  }

  @Override
  public boolean minds(String field) {
    return !field.equals("brightnessField") || sort.headed();
  }

  @Override
  public ClockedPixels onPins(List<String> pins) {
    return onPins(pins.get(0), pins.get(1));
  }

  @Override
  public ClockedPixels called(String other) {
    return ClockedPixelsBuilder.builder(this).name(other).build();
  }

  /** Returns the line of another class. */
  public ClockedPixels of(ClockedClass other) {
    return ClockedPixelsBuilder.builder(this).sort(other).build();
  }

  /** Returns the line with another brightness field. */
  public ClockedPixels withField(int field) {
    return ClockedPixelsBuilder.builder(this).brightnessField(field).build();
  }

  @Override
  public List<String> pins() {
    return List.of(dataPin, clockPin);
  }

  @Override
  public ClockedPixels withChannelCurrent(double milliamps) {
    return ClockedPixelsBuilder.builder(this)
        .pixel(new PixelClass(milliamps, pixel.idleMilliamps()))
        .build();
  }

  @Override
  public ClockedPixels withFixtures(List<String> ids) {
    return ClockedPixelsBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return kind == EmitterKind.CLOCKED_RGB;
  }

  @Override
  public String drives() {
    return EmitterKind.CLOCKED_RGB.title();
  }

  @Override
  public ClockedPlan plan(Layout layout, Brief brief) {
    return new ClockedPlan(this, members(layout), brief);
  }

  @Override
  public boolean takesShift() {
    return true;
  }
}
