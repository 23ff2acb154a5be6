package org.myrialith.circuit.chip.expander;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.TwoWireBus;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.Sending;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.circuit.output.Switching;
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
 * Port expanders or PWM chips on an I2C bus of their own: an output for each channel.
 *
 * @param dataPin of the controller, with a pull-up
 * @param clockPin of the controller, with a pull-up
 * @param sort class of the chips
 * @param firstAddress of the nearest chip (seven bits); the others follow
 * @param pullUpOhms of each of the two wires
 * @param wireMm of the bus
 * @param busSpeed of the bus
 * @param hookup how the LEDs hang on the outputs
 * @param fixtures identifiers in the order of the outputs
 */
@RecordBuilder
public record Expanders(
    String id,
    String name,
    String dataPin,
    String clockPin,
    ExpanderClass sort,
    int firstAddress,
    double pullUpOhms,
    double wireMm,
    BusSpeed busSpeed,
    OutputWiring hookup,
    List<String> fixtures)
    implements SwitchedCircuit {
  /** How it stands in the format. */
  public static final Kind<Expanders> KIND =
      Kind.of(
          "expanders",
          "port expanders",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          PinName.field("dataPin", "Data pin"),
          PinName.field("clockPin", "Clock pin"),
          Field.of(
                  "sort",
                  "Class",
                  Types.Choice.of(ExpanderClass.values(), ExpanderClass::key, ExpanderClass::title))
              .or(ExpanderClass.REGISTER_A),
          Field.count("firstAddress", "First address", TwoWireBus.ADDRESS)
              .or(ExpanderClass.FIRST_ADDRESS)
              .explained("7-bit, in decimal: 32 is 0x20"),
          Field.measure("pullUpOhms", "Pull-ups", TwoWireBus.PULL_UP).or(2200.0),
          Field.measure("wireMm", "Bus wire length", TwoWireBus.WIRE).or(200.0),
          BusSpeed.field(),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          MemberList.field());

  /** On or off. */
  public static final CircuitStart PLAIN =
      new CircuitStart("expanders", "16-bit port expanders", id -> usual(id, List.of()));

  /** With PWM of their own. */
  public static final CircuitStart PWM =
      new CircuitStart(
          "pwm-chips",
          "16-channel PWM chips on I2C",
          id -> usual(id, List.of()).of(ExpanderClass.PWM_16).called("PWM chips"));

  public Expanders {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    PinName.require("dataPin", dataPin);
    PinName.require("clockPin", clockPin);
    if (clockPin.equals(dataPin)) {
      throw new InputException("clockPin", clockPin, "another pin than the data pin");
    }
    Objects.requireNonNull(sort, "sort");
    TwoWireBus.ADDRESS.require("firstAddress", firstAddress);
    TwoWireBus.PULL_UP.require("pullUpOhms", pullUpOhms);
    TwoWireBus.WIRE.require("wireMm", wireMm);
    Objects.requireNonNull(busSpeed, "busSpeed");
    Objects.requireNonNull(hookup, "hookup");
    hookup.requireSide(sort.stage());
    fixtures = MemberList.once(fixtures);
  }

  /** Returns a circuit as a maker would start with. */
  public static Expanders usual(String id, List<String> fixtures) {
    return new Expanders(
        id,
        "Expanders",
        "C4",
        "C5",
        ExpanderClass.REGISTER_A,
        ExpanderClass.FIRST_ADDRESS,
        2200,
        200,
        BusSpeed.USUAL,
        OutputWiring.USUAL,
        fixtures);
  }

  /** Returns the chips of another class, at its first address. */
  public Expanders of(ExpanderClass other) {
    return ExpandersBuilder.builder(this).sort(other).firstAddress(other.firstAddress()).build();
  }

  /** Returns the bus with other pull-ups and wire. */
  public Expanders withPullUps(double ohms, double mm) {
    return ExpandersBuilder.builder(this).pullUpOhms(ohms).wireMm(mm).build();
  }

  /** Returns the bus at another speed. */
  public Expanders at(BusSpeed other) {
    return ExpandersBuilder.builder(this).busSpeed(other).build();
  }

  /** Returns how the exported player clocks the bus. */
  public TwoWireSpeed speed() {
    return busSpeed.or(sort.speed());
  }

  @Override
  public Expanders with(OutputWiring other) {
    return ExpandersBuilder.builder(this).hookup(other).build();
  }

  @Override
  public List<String> pins() {
    return List.of(dataPin, clockPin);
  }

  @Override
  public Expanders onPins(List<String> pins) {
    return ExpandersBuilder.builder(this).dataPin(pins.get(0)).clockPin(pins.get(1)).build();
  }

  @Override
  public Expanders called(String other) {
    return ExpandersBuilder.builder(this).name(other).build();
  }

  @Override
  public Expanders withFixtures(List<String> ids) {
    return ExpandersBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, sort.stage());
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  /** What its LEDs hang on: the supply, or the chips that feed them, fed as the controller (V). */
  private double volts(Brief brief) {
    return hookup.side() == Side.TO_GROUND ? brief.logicVolts() : brief.volts();
  }

  @Override
  public ExpanderPlan plan(Layout layout, Brief brief) {
    Switching switching = Switching.of(members(layout), layout, hookup, sort.stage(), volts(brief));
    OutputMap map =
        OutputMap.of(switching.channels(), hookup, sort.width(), false, 1)
            .withDepth(sort.depth(), Sending.COUNTS);
    return new ExpanderPlan(this, brief, switching, map);
  }
}
