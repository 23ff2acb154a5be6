package org.myrialith.circuit.pin;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.Sending;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * Pins of the controller, one for each channel.
 *
 * @param pins of the controller in the order of the channels
 * @param dimming whether they are on or off, or dimmed
 * @param hookup how the LEDs hang on the pins
 * @param fixtures identifiers in the order of the pins
 */
@RecordBuilder
public record DirectPins(
    String id,
    String name,
    List<String> pins,
    PinDimming dimming,
    OutputWiring hookup,
    List<String> fixtures)
    implements SwitchedCircuit {

  /** How it stands in the format. */
  public static final Kind<DirectPins> KIND =
      Kind.of(
          "direct-pins",
          "pins of the controller",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows("pins", "Pins", new Types.Words(Types.Words.Rule.ANY), 0, PinName.MOST)
              .or(List.of())
              .explained("port letter and bit of each, in channel order"),
          Field.of(
                  "dimming",
                  "Dimming",
                  Types.Choice.of(PinDimming.values(), PinDimming::key, PinDimming::title))
              .or(PinDimming.NONE)
              .explained("timer pins only"),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          MemberList.field());

  /** On or off. */
  public static final CircuitStart PLAIN =
      new CircuitStart("direct-pins", "pins of the controller", id -> usual(id, List.of()));

  /** Dimmed by timers. */
  public static final CircuitStart DIMMED =
      new CircuitStart(
          "dimmed-pins",
          "hardware PWM pins",
          id -> usual(id, List.of()).dimmed(PinDimming.TIMERS).called("Hardware PWM"));

  /** Through MOSFETs. */
  public static final CircuitStart SWITCHED =
      new CircuitStart(
          "switched-pins",
          "transistors on pins",
          id ->
              usual(id, List.of())
                  .with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 0))
                  .called("Switches"));

  /** Through MOSFETs, dimmed by timers. */
  public static final CircuitStart DIMMED_SWITCHES =
      new CircuitStart(
          "dimmed-switches",
          "transistors on hardware PWM pins",
          id ->
              usual(id, List.of())
                  .dimmed(PinDimming.TIMERS)
                  .with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.MOSFET_LOGIC, 0))
                  .called("PWM switches"));

  public DirectPins {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    pins = List.copyOf(pins);
    for (int i = 0; i < pins.size(); i++) {
      PinName.require("pins[" + i + "]", pins.get(i));
    }
    if (new HashSet<>(pins).size() != pins.size()) {
      throw new InputException("pins", String.join(", ", pins), "each pin once");
    }
    Objects.requireNonNull(dimming, "dimming");
    Objects.requireNonNull(hookup, "hookup");
    fixtures = MemberList.once(fixtures);
  }

  /** Returns a circuit as a maker would start with: without a pin, until there are channels. */
  public static DirectPins usual(String id, List<String> fixtures) {
    return new DirectPins(
        id, "Pins", List.of(), PinDimming.NONE, OutputWiring.of(8, Side.TO_GROUND), fixtures);
  }

  /** Returns it dimmed another way. */
  public DirectPins dimmed(PinDimming other) {
    return DirectPinsBuilder.builder(this).dimming(other).build();
  }

  @Override
  public Map<String, String> timers(Controller controller) {
    Map<String, String> timers = new TreeMap<>();
    if (dimming == PinDimming.TIMERS) {
      for (String pin : pins) {
        String output = controller.timerOutputs().get(pin);
        if (output != null) {
          timers.put(output.substring(0, 1), "pins with hardware PWM");
        }
      }
    }
    return timers;
  }

  @Override
  public List<String> able(Controller controller) {
    return dimming == PinDimming.TIMERS
        ? controller.pins().stream().filter(controller.timerOutputs()::containsKey).toList()
        : controller.pins();
  }

  @Override
  public DirectPins with(OutputWiring other) {
    return DirectPinsBuilder.builder(this).hookup(other).build();
  }

  @Override
  public DirectPins onPins(List<String> other) {
    return DirectPinsBuilder.builder(this).pins(other).build();
  }

  @Override
  public DirectPins called(String other) {
    return DirectPinsBuilder.builder(this).name(other).build();
  }

  @Override
  public DirectPins withFixtures(List<String> ids) {
    return DirectPinsBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return hookup.carries(kind, Controller.STAGE);
  }

  @Override
  public String drives() {
    return "LEDs with both leads free";
  }

  /** What its LEDs hang on: the supply, or the high level of the pins that feed them (V). */
  private double volts(Brief brief) {
    return hookup.side() == Side.TO_GROUND ? brief.logicVolts() : brief.volts();
  }

  @Override
  public PinPlan plan(Layout layout, Brief brief) {
    Switching switching =
        Switching.of(members(layout), layout, hookup, brief.controller().stage(), volts(brief));
    int width = Math.max(1, Math.max(pins.size(), switching.channels().size()));
    OutputMap map = OutputMap.of(switching.channels(), hookup, width, false, 1);
    if (dimming == PinDimming.TIMERS) {
      map = map.withDepth(PinDimming.BITS, Sending.LEVELS);
    }
    return new PinPlan(this, brief, switching, map);
  }

  @Override
  public DirectPins enough(List<String> free, Layout layout, Brief brief) {
    int channels = plan(layout, brief).channels();
    List<String> all = new ArrayList<>(pins);
    for (String pin : free) {
      if (all.size() < channels && !pins.contains(pin)) {
        all.add(pin);
      }
    }
    return onPins(all);
  }
}
