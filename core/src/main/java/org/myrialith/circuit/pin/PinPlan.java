package org.myrialith.circuit.pin;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** What pins take of time, memory and current. */
public record PinPlan(DirectPins circuit, Brief brief, Switching switching, OutputMap map)
    implements SwitchedPlan {
  /** Cycles of a pin, as the exported player sets it. */
  public static final double PIN_CYCLES = 7;

  /** Cycles of a pin that a timer turns, as the exported player sets it. */
  public static final double TIMED_CYCLES = 24;

  /** Clock of a timer, and what it counts to. */
  private static final double TURN_HERTZ = Controller.CLOCK_HZ / 64.0 / 256;

  @Override
  public OutputWiring hookup() {
    return circuit.hookup();
  }

  @Override
  public OutputStage chipStage() {
    return brief.controller().stage();
  }

  @Override
  public String chipWord() {
    return "controller";
  }

  @Override
  public int chips() {
    return 0;
  }

  @Override
  public boolean grows() {
    return false;
  }

  @Override
  public String outputName(int output) {
    return output < circuit.pins().size() ? circuit.pins().get(output) : "no pin";
  }

  @Override
  public double chipIdleAmps() {
    return 0;
  }

  @Override
  public double sendSeconds() {
    return circuit.pins().size() * cycles() * brief.controller().cycleSeconds();
  }

  private double cycles() {
    return dims() ? TIMED_CYCLES : PIN_CYCLES;
  }

  /** Its pins are few and their currents differ: a limiter passes it over. */
  @Override
  public boolean limited() {
    return false;
  }

  @Override
  public Calculation dataTime() {
    return new Calculation(
        key("data-time"),
        "Setting all pins",
        dataSeconds(),
        "s",
        "pins × time of a pin",
        List.of(
            given("pins", circuit.pins().size(), ""),
            given("time of a pin", cycles() * brief.controller().cycleSeconds(), "s")),
        Source.partClass("set by the exported player"));
  }

  @Override
  public List<Finding> ownFindings() {
    List<Finding> own = new ArrayList<>();
    if (map.channels().size() > circuit.pins().size()) {
      own.add(missing());
    }
    if (dims()) {
      own.add(turns());
    }
    group().ifPresent(own::add);
    return own;
  }

  /** What flows through pins when all of them are lit (A). */
  private double amps(List<String> pins) {
    double amps = 0;
    for (int c = 0; c < map.channels().size(); c++) {
      if (pins.contains(outputName(map.outputs().get(c)))) {
        OutputLoad load = switching.loads().get(map.channels().get(c).load());
        SwitchType through = hookup().through();
        amps += through == SwitchType.NONE ? load.amps() : through.driveAmps(load.amps());
      }
    }
    return amps;
  }

  /** The group of ports that carries too much with everything lit; empty when none does. */
  private Optional<Finding> group() {
    Controller.PortGroups ports = brief.controller().portGroups();
    return ports.groups().stream()
        .filter(pins -> amps(pins) > ports.milliamps() * 1e-3)
        .max(Comparator.comparingDouble(this::amps))
        .map(
            pins ->
                Finding.of(
                        Harm.PARTS,
                        Step.CIRCUITS,
                        key("port-group"),
                        Verdict.BREAKS,
                        phrase(
                            "Everything lit: pins %s carry %s together; limit of a port group %s.",
                            String.join(", ", pins),
                            Quantity.text(amps(pins), "A"),
                            Quantity.text(ports.milliamps() * 1e-3, "A")))
                    .advising(
                        "Spread the channels over pins of other ports, or set a lower current."));
  }

  private Calculation turn() {
    return new Calculation(
        key("pin-turns"),
        "PWM frequency of the timers",
        TURN_HERTZ,
        "Hz",
        "clock ÷ 64 ÷ 256",
        List.of(given("clock", Controller.CLOCK_HZ, "Hz")),
        Source.partClass("timers of the controller"));
  }

  @Override
  public List<Calculation> ownNumbers() {
    return dims() ? List.of(turn()) : List.of();
  }

  private Finding turns() {
    List<String> unable =
        circuit.pins().stream()
            .filter(pin -> !circuit.able(brief.controller()).contains(pin))
            .toList();
    return unable.isEmpty()
        ? Finding.of(
                Step.CIRCUITS,
                key("pin-turns"),
                Verdict.HOLDS,
                phrase(
                    "Hardware PWM at %s, 256 steps, without load on the player.",
                    Quantity.text(TURN_HERTZ, "Hz")))
            .restingOn(turn())
        : Finding.of(
                Step.CIRCUITS,
                key("pin-turns"),
                Verdict.BREAKS,
                phrase("No free timer drives %s.", String.join(", ", unable)))
            .advising(
                circuit.able(brief.controller()).isEmpty()
                    ? "Use constant-current drivers with PWM, PWM chips, or a larger controller."
                    : phrase("Use %s.", String.join(", ", circuit.able(brief.controller()))));
  }

  private Finding missing() {
    int channels = map.channels().size();
    int has = circuit.able(brief.controller()).size();
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            key("pins-missing"),
            Verdict.BREAKS,
            phrase("%d channels need a pin each; %d named.", channels, circuit.pins().size()));
    return channels > has
        ? finding.advising(
            phrase(
                "This controller has %d pins%s: use registers, port expanders or a larger class.",
                has, dims() ? " with a timer" : ""))
        : finding
            .advising("Name more pins.")
            .mendedBy(List.of(new Remedy("Use the free pins", new Change.TakePins(circuit.id()))));
  }

  /** Timers that dim pins are planned for the usual clock. */
  @Override
  public boolean sendsAt(int hertz) {
    return !dims() || hertz >= Controller.CLOCK_HZ;
  }

  @Override
  public int wantedPins() {
    return channels();
  }

  /** A wire for each channel, and the other end of each fixture. */
  @Override
  public int wires(int fixtures) {
    return channels() + fixtures;
  }

  @Override
  public long frameBits() {
    return channels();
  }

  @Override
  public String about() {
    OutputStage stage = brief.controller().stage();
    return phrase(
        "One pin per channel, on or off, or hardware PWM with %d steps on timer pins. Design limit %s per pin, absolute maximum %s per pin, %s for the whole controller.",
        1 << PinDimming.BITS,
        Quantity.text(stage.planMilliamps() * 1e-3, "A"),
        Quantity.text(stage.mostMilliamps() * 1e-3, "A"),
        Quantity.text(stage.chipMilliamps() * 1e-3, "A"));
  }
}
