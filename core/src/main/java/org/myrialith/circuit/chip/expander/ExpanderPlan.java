package org.myrialith.circuit.chip.expander;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.LogicLevel;
import org.myrialith.circuit.electrical.TwoWireBus;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.TwoWireSpeed;

/** What port expanders take of time, memory, current and the bus. */
public record ExpanderPlan(Expanders circuit, Brief brief, Switching switching, OutputMap map)
    implements SwitchedPlan {
  /** Cycles of looking up the level of an output that is told when to go off. */
  static final double LOOK_UP_CYCLES = 17.5;

  private static final double IDLE_AMPS = 100e-6;

  /** Returns what feeds the chips and pulls the bus up, in words. */
  public String feed() {
    double logic = brief.logicVolts();
    return logic < brief.controllerVolts()
        ? phrase("the controller's %s", Quantity.text(logic, "V"))
        : "plus of " + brief.controllerNode();
  }

  @Override
  public OutputWiring hookup() {
    return circuit.hookup();
  }

  @Override
  public OutputStage chipStage() {
    return circuit.sort().stage();
  }

  @Override
  public String chipWord() {
    return "expander";
  }

  @Override
  public double chipIdleAmps() {
    return IDLE_AMPS;
  }

  /** Its lines are few and its currents differ: a limiter passes it over. */
  @Override
  public boolean limited() {
    return false;
  }

  @Override
  public double sendSeconds() {
    TwoWireSpeed speed = circuit.speed();
    double lookUp =
        map.depth() > 1 ? map.width() * LOOK_UP_CYCLES * brief.controller().cycleSeconds() : 0;
    return map.chips()
            * (speed.writeSeconds(circuit.sort().writeBytes(), brief.controller()) + lookUp)
        - speed.restSeconds(brief.controller());
  }

  @Override
  public Calculation dataTime() {
    return new Calculation(
        key("data-time"),
        "Data time of one frame",
        dataSeconds(),
        "s",
        "expanders × (9 × bytes of a write × bit time + start, stop and levels) − rest after the last",
        List.of(
            given("expanders", map.chips(), ""),
            given("bytes of a write", circuit.sort().writeBytes(), ""),
            given("bit time", bitSeconds(), "s"),
            given(
                "start, stop and levels",
                (sendSeconds() + restSeconds()) / map.chips()
                    - 9 * circuit.sort().writeBytes() * bitSeconds(),
                "s"),
            given("rest after the last", restSeconds(), "s")),
        Source.standard("UM10204, clocked by the exported player"));
  }

  private double bitSeconds() {
    return circuit.speed().bitSeconds(brief.controller());
  }

  private double restSeconds() {
    return circuit.speed().restSeconds(brief.controller());
  }

  /** Quasi-bidirectional ones are made with a second row of addresses as well. */
  private int lowest() {
    boolean second =
        circuit.sort() == ExpanderClass.QUASI_8
            && circuit.firstAddress() >= ExpanderClass.SECOND_ADDRESS;
    return second ? ExpanderClass.SECOND_ADDRESS : circuit.sort().firstAddress();
  }

  private TwoWireBus bus() {
    return new TwoWireBus(
        key(""),
        circuit.speed(),
        map.chips(),
        circuit.wireMm(),
        circuit.pullUpOhms(),
        brief.logicVolts());
  }

  /** Expanders are fed with what the bus is pulled up to: that of the controller's logic. */
  private LogicLevel level() {
    double logic = brief.logicVolts();
    return new LogicLevel(
        key(""),
        "Data and clock",
        phrase(
            "the port expanders, supplied with %s like the controller,", Quantity.text(logic, "V")),
        brief.controller(),
        brief.controllerVolts(),
        logic,
        0,
        Math.max(1, map.chips()),
        Source.standard("UM10204"));
  }

  @Override
  public List<Calculation> ownNumbers() {
    return List.of(bus().pullUps(), level().high(), level().margin());
  }

  @Override
  public List<Finding> ownFindings() {
    return List.of(
        bus().addresses("expanders", circuit.firstAddress(), lowest(), circuit.sort().mostChips()),
        bus().judged(),
        bus()
            .quick(
                "expanders",
                circuit.busSpeed(),
                circuit.sort().mostKilohertz(),
                brief.controller()),
        level().judged(List::of),
        map.depth() > 1 ? turns() : slow());
  }

  private Finding turns() {
    return Finding.of(
        Step.CIRCUITS,
        key("pwm-turns"),
        Verdict.HOLDS,
        phrase(
            "PWM frequency %s, from the chips' own clock; the bus updates all outputs at up to %s.",
            Quantity.text(ExpanderClass.PWM_HERTZ, "Hz"), Quantity.text(refreshHz(), "Hz")));
  }

  /** Bits of a level that an eye takes for a fade. */
  private static final int FADE_BITS = 4;

  /**
   * Dimming by the bus: each bit of a level is written once, the lowest one no shorter than it
   * takes to write; so all of them once take 2^bits − 1 times as long.
   */
  private double dimmedHertz() {
    return refreshHz() / ((1 << FADE_BITS) - 1);
  }

  private Calculation dimming() {
    return new Calculation(
        key("bus-dimming"),
        phrase("Refresh rate of %d-bit dimming over the bus", FADE_BITS),
        dimmedHertz(),
        "Hz",
        "1 ÷ ((2^bits − 1) × writing all outputs)",
        List.of(
            given("bits", FADE_BITS, ""),
            given("time to write all outputs", dataSeconds(), "s"),
            given("share of CPU time", 100.0 * FADE_BITS / ((1 << FADE_BITS) - 1), "%")),
        Source.ARITHMETIC);
  }

  private Finding slow() {
    boolean fades = dimmedHertz() >= STILL_HERTZ;
    return Finding.of(
            Step.CIRCUITS,
            key("on-or-off"),
            Verdict.HOLDS,
            phrase(
                "On or off: the bus updates all outputs at up to %s. Dimming to %d bits would refresh at %s, %s.",
                Quantity.text(refreshHz(), "Hz"),
                FADE_BITS,
                Quantity.text(dimmedHertz(), "Hz"),
                fades
                    ? "steady to a still eye, but your own firmware would spend a share of its time on it"
                    : "too slow for dimming over the bus: use PWM chips"))
        .restingOn(dimming());
  }

  /** A still eye sees no flicker from here on (Hz, common practice). */
  private static final double STILL_HERTZ = 100;

  /** The bus may be as slow as it wants. */
  @Override
  public boolean sendsAt(int hertz) {
    return true;
  }

  @Override
  public Map<PartSort, Integer> chipParts() {
    return Map.of(circuit.sort().part(), map.chips());
  }

  /** The pull-ups of the bus. */
  @Override
  public int chipResistors() {
    return 2;
  }

  @Override
  public boolean addressed() {
    return true;
  }

  @Override
  public long frameBits() {
    return 9L * map.chips() * circuit.sort().writeBytes();
  }

  @Override
  public String about() {
    List<ExpanderClass> wide = List.of(ExpanderClass.REGISTER_A, ExpanderClass.REGISTER_B);
    return phrase(
        "Three address pins: up to eight chips. 8-bit chips only sink, absolute maximum %s in total; 16-bit chips %s in total. Pull-ups by the I2C specification; the bus is too slow for dimming. PWM chips dim with a clock of their own: 4096 steps at %s Hz; six address pins, from 0x40 (64).",
        Quantity.text(ExpanderClass.QUASI_8.stage().chipMilliamps() * 1e-3, "A"),
        wide.stream()
            .map(sort -> Quantity.text(sort.stage().chipMilliamps() * 1e-3, "A"))
            .collect(Collectors.joining(" or ")),
        Math.round(ExpanderClass.PWM_HERTZ));
  }
}
