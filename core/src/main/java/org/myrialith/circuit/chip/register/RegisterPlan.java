package org.myrialith.circuit.chip.register;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.LogicLevel;
import org.myrialith.circuit.electrical.SwitchType;
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
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.GreyClock;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.RegisterClass;

/** What a chain of shift registers takes of time, memory, current and edges. */
public record RegisterPlan(ShiftRegisters circuit, Brief brief, Switching switching, OutputMap map)
    implements SwitchedPlan {
  /** Cycles of a byte, as the exported player sends it: 8 clocks of 13 cycles and the way on. */
  public static final int BYTE_CYCLES = 113;

  /**
   * Cycles of an output with grey scale, beside those of its bits, as the exported player sends it.
   */
  public static final int GREY_CYCLES = 23;

  /** Cycles of one of its bits. */
  public static final int GREY_BIT_CYCLES = 14;

  /** Settings of a pin for a bit in portable C: the data, the clock up and down. */
  private static final int PORTABLE_PINS = 3;

  /** Turns of the grey scale from which no eye sees flicker, still or moved (common practice). */
  private static final double STILL_HERTZ = 100;

  private static final double MOVED_HERTZ = 200;

  /** A turn of the grey scale that starts with a blank, and a little more (s). */
  private static final double BLANKED_SECONDS = 2.15e-3;

  /** In series with the clock, against ringing (ohm). */
  private static final double SERIES_OHMS = 100;

  /** Of a rise from a tenth to nine tenths through a resistor: ln 9. */
  private static final double RISE_FACTOR = Math.log(9);

  @Override
  public OutputWiring hookup() {
    return circuit.hookup();
  }

  @Override
  public boolean oneSinks() {
    return circuit.sort().oneSinks();
  }

  @Override
  public OutputStage chipStage() {
    return circuit.stage();
  }

  @Override
  public String chipWord() {
    return "chip";
  }

  @Override
  public double chipIdleAmps() {
    return RegisterClass.IDLE_AMPS;
  }

  @Override
  public double sendSeconds() {
    if (brief.controller().portable()) {
      return PORTABLE_PINS
          * brief.controller().pinSeconds()
          * map.chips()
          * map.width()
          * map.depth();
    }
    double cycles =
        dims() ? map.chips() * map.width() * outputCycles() : (double) map.bytes() * BYTE_CYCLES;
    return cycles * brief.controller().cycleSeconds();
  }

  private double outputCycles() {
    return GREY_CYCLES + GREY_BIT_CYCLES * map.depth();
  }

  /** All its currents are alike. */
  @Override
  public int groups() {
    return dims() ? 1 : SwitchedPlan.super.groups();
  }

  /** The next frame waits until a blank has shown this one. */
  @Override
  public double latchSeconds() {
    return circuit.sort().greyClock() == GreyClock.BLANKED ? BLANKED_SECONDS : 0;
  }

  @Override
  public Calculation dataTime() {
    if (brief.controller().portable()) {
      return new Calculation(
          key("data-time"),
          "Data time of one frame",
          dataSeconds(),
          "s",
          "outputs × bits × 3 × setting a pin",
          List.of(
              given("outputs", map.chips() * map.width(), ""),
              given("bits", map.depth(), ""),
              given("setting a pin", brief.controller().pinSeconds(), "s")),
          Source.partClass("from memory: boards differ"));
    }
    return dims()
        ? new Calculation(
            key("data-time"),
            "Data time of one frame",
            dataSeconds(),
            "s",
            "outputs × (bits × bit time + level look-up)",
            List.of(
                given("outputs", map.chips() * map.width(), ""),
                given("bits", map.depth(), ""),
                given("bit time", GREY_BIT_CYCLES * brief.controller().cycleSeconds(), "s"),
                given("level look-up", GREY_CYCLES * brief.controller().cycleSeconds(), "s")),
            Source.partClass("clocked by the exported player, 14 cycles a bit"))
        : new Calculation(
            key("data-time"),
            "Data time of one frame",
            dataSeconds(),
            "s",
            "bytes × time of 8 bits",
            List.of(
                given("bytes", map.bytes(), ""),
                given("time of 8 bits", BYTE_CYCLES * brief.controller().cycleSeconds(), "s")),
            Source.partClass("clocked by the exported player, 13 cycles a bit"));
  }

  private double greyHertz() {
    GreyClock clock = circuit.sort().greyClock();
    return clock.hertz() / (1 << map.depth()) * clock.parts();
  }

  private Calculation grey() {
    return new Calculation(
        key("grey-refresh"),
        "PWM frequency",
        greyHertz(),
        "Hz",
        "grey-scale clock ÷ 2^bits × parts; the on-time is spread over the parts",
        List.of(
            given("grey-scale clock", circuit.sort().greyClock().hertz(), "Hz"),
            given("bits", map.depth(), ""),
            given("parts", circuit.sort().greyClock().parts(), "")),
        Source.partClass("data of the class"));
  }

  private Calculation together() {
    return new Calculation(
        key("grey-peak"),
        "Current step at the start of each PWM cycle",
        railAmps(),
        "A",
        Calculation.FOUND_BY + "adding the currents of all outputs",
        List.of(given("outputs", map.channels().size(), "")),
        Source.ARITHMETIC);
  }

  private double riseSeconds() {
    return rise(map.chips(), circuit.wireMm());
  }

  private Calculation rise() {
    return new Calculation(
        key("clock-rise"),
        "Clock rise time at the chips",
        riseSeconds(),
        "s",
        "ln(9) × (pin output resistance + series resistor) × (chips × input capacitance + wire × 1 pF/cm)",
        List.of(
            given("pin output resistance", brief.controller().stage().sourceOhms(), "ohm"),
            given("series resistor", SERIES_OHMS, "ohm"),
            given("chips", map.chips(), ""),
            given("input capacitance", RegisterClass.INPUT_PF, "pF"),
            given("wire", circuit.wireMm(), "mm")),
        Source.partClass("HC: input capacitance 10 pF at most, edges within 500 ns at 4.5 V"));
  }

  @Override
  public List<Calculation> ownNumbers() {
    return dims()
        ? List.of(rise(), level().high(), level().margin(), grey(), together())
        : List.of(rise(), level().high(), level().margin());
  }

  @Override
  public List<Finding> ownFindings() {
    List<Finding> own = new ArrayList<>(List.of(edges(), logic()));
    if (dims()) {
      own.add(turns());
      own.add(peak());
    }
    greyClock().ifPresent(own::add);
    powerOn().ifPresent(own::add);
    own.addAll(
        circuit
            .shift()
            .judged(
                key("shift"), brief.controllerVolts(), map.chips(), RegisterClass.RISE_SECONDS));
    return List.copyOf(own);
  }

  /** Latches hold chance until the first frame: what is strong acts on it. */
  private Optional<Finding> powerOn() {
    boolean strong =
        hookup().through() != SwitchType.NONE
            || switching.loads().stream()
                .anyMatch(
                    load ->
                        load.emitter().kind() == EmitterKind.LAMP
                            || load.emitter().kind() == EmitterKind.HIGH_POWER);
    if (dims() || !strong && !circuit.held()) {
      return Optional.empty();
    }
    return Optional.of(
        circuit.held()
            ? Finding.of(
                Step.CIRCUITS,
                key("power-on"),
                Verdict.HOLDS,
                phrase(
                    "A pull-up holds output enable high; pin %s releases it after the first frame: nothing switches at power-on.",
                    circuit.blankPin()))
            : Finding.of(
                    Step.CIRCUITS,
                    key("power-on"),
                    Verdict.TIGHT,
                    "At power-on and in the boot loader, register outputs are random: loads switch on by chance until the first frame.")
                .advising(
                    "Hold output enable high until the first frame: set “At power-on” to dark, with a free pin."));
  }

  private Finding turns() {
    boolean steady = greyHertz() >= MOVED_HERTZ;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("grey-turns"),
                steady ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "PWM frequency %s: %s.",
                    Quantity.text(greyHertz(), "Hz"),
                    steady
                        ? "steady for still and moving eyes"
                        : greyHertz() >= STILL_HERTZ
                            ? "steady for a still eye; a moving eye or a camera may see it"
                            : "visible flicker"))
            .restingOn(grey());
    return steady ? finding : finding.advising("Use a class with fewer bits.");
  }

  private Finding peak() {
    return Finding.of(
            Step.CIRCUITS,
            key("grey-peak"),
            Verdict.HOLDS,
            phrase(
                "All lit outputs switch on together: up to %s at the start of each PWM cycle, at any level. Capacitors at the chips supply it.",
                Quantity.text(railAmps(), "A")))
        .restingOn(together());
  }

  /** Whether the controller can give the clock there that the class wants. */
  private Optional<Finding> greyClock() {
    List<String> able = brief.controller().clockPins();
    if (!circuit.sort().greyClock().fromController() || able.contains(circuit.greyClockPin())) {
      return Optional.empty();
    }
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            key("grey-clock"),
            Verdict.BREAKS,
            able.isEmpty()
                ? "This controller class has no free timer for a grey-scale clock."
                : phrase(
                    "Pin %s has no timer output for the grey-scale clock.",
                    circuit.greyClockPin()));
    return Optional.of(
        finding.advising(
            able.isEmpty()
                ? "Use constant-current drivers with their own oscillator, or a larger controller."
                : phrase("Use pin %s.", String.join(" or ", able))));
  }

  private Finding edges() {
    boolean quick = riseSeconds() <= RegisterClass.RISE_SECONDS;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("clock-edge"),
                quick ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Clock rise time %s with %d chips on the line; maximum %s.",
                    Quantity.text(riseSeconds(), "s"),
                    map.chips(),
                    Quantity.text(RegisterClass.RISE_SECONDS, "s")))
            .restingOn(rise());
    return quick ? finding : finding.advising(sharper());
  }

  private double rise(int chips, double wireMm) {
    double ohms = brief.controller().stage().sourceOhms() + SERIES_OHMS;
    double picofarads = chips * RegisterClass.INPUT_PF + wireMm * RegisterClass.WIRE_PF_PER_MM;
    return RISE_FACTOR * ohms * picofarads * 1e-12;
  }

  /** What makes the clock quick enough, in figures. */
  private String sharper() {
    double spare = RegisterClass.RISE_SECONDS - rise(0, circuit.wireMm());
    int chips = (int) Math.floor(spare / rise(1, 0));
    List<String> all = new ArrayList<>();
    if (chips >= 1) {
      all.add(
          phrase(
              "Buffer clock and latch every %d chips: %s.",
              chips, Quantity.text(rise(chips, circuit.wireMm()), "s")));
    }
    double left = RegisterClass.RISE_SECONDS - rise(map.chips(), 0);
    if (left > 0) {
      double wire = Math.floor(left / rise(0, 1));
      all.add(
          phrase(
              "A clock wire of %s: %s.",
              Quantity.text(wire, "mm"), Quantity.text(rise(map.chips(), wire), "s")));
    }
    if (all.isEmpty()) {
      all.add("Shorten the clock and latch wires, and buffer them.");
    }
    return String.join(" ", all);
  }

  private LogicLevel level() {
    return circuit
        .shift()
        .before(LogicLevel.ofChain(circuit.id(), brief, circuit.sort(), map.chips()));
  }

  private Finding logic() {
    return circuit.shift() == LevelShift.NONE
        ? level().judgedOf(circuit.sort())
        : level().judged(List::of);
  }

  /** A grey-scale clock is made for the usual clock; bits may be as slow as they want. */
  @Override
  public boolean sendsAt(int hertz) {
    return !circuit.sort().greyClock().fromController() || hertz >= Controller.CLOCK_HZ;
  }

  @Override
  public Map<PartSort, Integer> chipParts() {
    return Map.of(circuit.sort().part(), map.chips());
  }

  /** In series with clock and latch, and a setting one a chip where outputs keep their current. */
  @Override
  public int chipResistors() {
    return 2 + (circuit.sort().stage().keeps() ? map.chips() : 0);
  }

  @Override
  public boolean setByResistor() {
    return stage().keeps();
  }

  @Override
  public String about() {
    return dims() ? greyNotes() : plainNotes();
  }

  private static String greyNotes() {
    String settings =
        Arrays.stream(RegisterClass.values())
            .filter(sort -> sort.depth() > 1 && sort.stage().keeps())
            .map(sort -> Quantity.text(sort.stage().settingVolts(), "V"))
            .distinct()
            .collect(Collectors.joining(", "));
    return phrase(
        "A grey level per channel: the chip generates PWM itself. One setting resistor per chip sets the constant current of all its outputs: %s (by class) ÷ R. The PWM clock is an oscillator in the chip in one class, a free-running clock from the controller in another. In a third the counter stops until the next blank: clock and blank come from timers, and a new frame shows after the next blank.",
        settings);
  }

  private static String plainNotes() {
    OutputStage plain = RegisterClass.HC.stage();
    OutputStage power = RegisterClass.POWER.stage();
    return phrase(
        "One bit and one resistor per channel, on or off. The last byte sent stays in the chip next to the controller, its highest bit on the last output. HC and HCT: absolute maximum %s per output, %s through the supply pins of a chip. Power outputs sink %s each, %s in total. A constant-current driver has one setting resistor per chip: current %s ÷ R. Outputs are random until the first frame: disable them by output enable where that matters.",
        Quantity.text(plain.mostMilliamps() * 1e-3, "A"),
        Quantity.text(plain.chipMilliamps() * 1e-3, "A"),
        Quantity.text(power.planMilliamps() * 1e-3, "A"),
        Quantity.text(power.chipMilliamps() * 1e-3, "A"),
        Quantity.text(RegisterClass.SINK.stage().settingVolts(), "V"));
  }
}
