package org.myrialith.circuit.chip.display;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.TwoWireBus;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.parts.TwoWireSpeed;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * Display-driver chips that scan digits by themselves: told once, they show it until they are told
 * otherwise, all of it as bright.
 *
 * @param loadPin takes over what was clocked in; without meaning for chips of two wires
 * @param brightness step, 0 the lowest
 * @param firstAddress of the nearest chip on I2C; the others follow
 * @param pullUpOhms of each of the two wires, on I2C
 * @param wireMm of the bus, on I2C
 * @param busSpeed of the bus, on I2C
 * @param hookup current of a segment in its turn, and which output is which
 * @param fixtures identifiers in the order of the digits
 */
@RecordBuilder
public record DisplayDrivers(
    String id,
    String name,
    String dataPin,
    String clockPin,
    String loadPin,
    DisplayClass sort,
    int brightness,
    int firstAddress,
    double pullUpOhms,
    double wireMm,
    BusSpeed busSpeed,
    OutputWiring hookup,
    List<String> fixtures)
    implements SwitchedCircuit {
  /** Allowed step of brightness. */
  public static final Bounds STEP = Bounds.count(0, 15);

  /** Chips that a chain may have. */
  static final int MOST_CHIPS = 16;

  /** How it stands in the format. */
  public static final Kind<DisplayDrivers> KIND =
      Kind.of(
          "display-drivers",
          "display drivers",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          PinName.field("loadPin", "Load pin"),
          Field.of(
                  "sort",
                  "Class",
                  Types.Choice.of(DisplayClass.values(), DisplayClass::key, DisplayClass::title))
              .or(DisplayClass.THREE_WIRE),
          Field.count("brightness", "Brightness step", STEP)
              .or(7)
              .explained("0 to 7 for two-wire chips, 0 to 15 for the others"),
          Field.count("firstAddress", "First address", TwoWireBus.ADDRESS)
              .or(DisplayClass.FIRST_ADDRESS)
              .explained("7-bit, in decimal: 112 is 0x70"),
          Field.measure("pullUpOhms", "Pull-ups", TwoWireBus.PULL_UP).or(2200.0),
          Field.measure("wireMm", "Bus wire length", TwoWireBus.WIRE).or(200.0),
          BusSpeed.field(),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          MemberList.field());

  /** Three wires. */
  public static final CircuitStart THREE_WIRE =
      new CircuitStart("display-drivers", "three-wire display drivers", id -> usual(id, List.of()));

  /** I2C. */
  public static final CircuitStart I2C =
      new CircuitStart(
          "i2c-driver", "I2C display drivers", id -> usual(id, List.of()).of(DisplayClass.I2C));

  /** Two wires. */
  public static final CircuitStart TWO_WIRE =
      new CircuitStart(
          "two-wire-driver",
          "a two-wire display driver",
          id -> usual(id, List.of()).of(DisplayClass.TWO_WIRE));

  public DisplayDrivers {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    PinName.require("loadPin", loadPin);
    if (new HashSet<>(List.of(dataPin, clockPin, loadPin)).size() < 3) {
      throw new InputException("loadPin", loadPin, "three different pins");
    }
    Objects.requireNonNull(sort, "sort");
    Bounds.count(0, sort.steps() - 1).require("brightness", brightness);
    TwoWireBus.ADDRESS.require("firstAddress", firstAddress);
    TwoWireBus.PULL_UP.require("pullUpOhms", pullUpOhms);
    TwoWireBus.WIRE.require("wireMm", wireMm);
    Objects.requireNonNull(busSpeed, "busSpeed");
    Objects.requireNonNull(hookup, "hookup");
    fixtures = MemberList.once(fixtures);
  }

  /** Returns a circuit as a maker would start with. */
  public static DisplayDrivers usual(String id, List<String> fixtures) {
    return new DisplayDrivers(
        id,
        "Display",
        "D7",
        "D5",
        "D6",
        DisplayClass.THREE_WIRE,
        7,
        DisplayClass.FIRST_ADDRESS,
        2200,
        200,
        BusSpeed.USUAL,
        OutputWiring.of(20, Side.TO_SUPPLY).filled(Filling.FIELD_A_BYTE),
        fixtures);
  }

  /** Returns the chips of another class, at a step that it has. */
  public DisplayDrivers of(DisplayClass other) {
    return DisplayDriversBuilder.builder(this)
        .sort(other)
        .brightness(Math.min(brightness, other.steps() - 1))
        .build();
  }

  /** Returns the I2C bus at another speed. */
  public DisplayDrivers at(BusSpeed other) {
    return DisplayDriversBuilder.builder(this).busSpeed(other).build();
  }

  /** Returns how the exported player clocks its two wires. */
  public TwoWireSpeed speed() {
    return sort == DisplayClass.I2C ? busSpeed.or(TwoWireSpeed.FAST) : TwoWireSpeed.DISPLAY;
  }

  @Override
  public boolean minds(String field) {
    return switch (field) {
      case "side", "spreadVolts", "through", "railVolts" -> false;
      case "loadPin", "resistors" -> sort.chained();
      case "firstAddress", "pullUpOhms", "wireMm", "busSpeed" -> sort == DisplayClass.I2C;
      default -> true;
    };
  }

  @Override
  public DisplayDrivers with(OutputWiring other) {
    return DisplayDriversBuilder.builder(this).hookup(other).build();
  }

  @Override
  public List<String> pins() {
    return sort.chained() ? List.of(dataPin, clockPin, loadPin) : List.of(dataPin, clockPin);
  }

  /** A pin that has no meaning keeps out of the way of the others. */
  @Override
  public DisplayDrivers onPins(List<String> pins) {
    String load =
        pins.size() > 2
            ? pins.get(2)
            : pins.contains(loadPin) ? (pins.contains(dataPin) ? clockPin : dataPin) : loadPin;
    return DisplayDriversBuilder.builder(this)
        .dataPin(pins.get(0))
        .clockPin(pins.get(1))
        .loadPin(load)
        .build();
  }

  @Override
  public DisplayDrivers called(String other) {
    return DisplayDriversBuilder.builder(this).name(other).build();
  }

  @Override
  public DisplayDrivers withFixtures(List<String> ids) {
    return DisplayDriversBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return switch (kind) {
      case SINGLE, TWO_COLOUR, RGB_PINS, RGBW_PINS -> true;
      default -> false;
    };
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  @Override
  public DisplayPlan plan(Layout layout, Brief brief) {
    double duty = sort.duty(brightness);
    Switching switching =
        Switching.scanned(
            members(layout), layout, hookup, DisplayPlan.stage(sort), brief.volts(), duty);
    OutputMap map =
        OutputMap.of(switching.channels(), hookup, sort.width(), false, 1)
            .withSegmentsFromTop(sort.chained());
    return new DisplayPlan(this, brief, switching, map);
  }
}
