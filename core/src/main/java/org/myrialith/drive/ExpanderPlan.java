package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;

/** What port expanders take of time, memory, current and the bus. */
public record ExpanderPlan(Expanders circuit, Brief brief, Switching switching, BitMap map)
    implements SwitchedPlan {
  /** A low wire is 0.4 V at 3 mA (UM10204). */
  private static final double LOW_VOLTS = 0.4;

  private static final double LOW_AMPS = 3e-3;

  /** Of a rise from 0.3 to 0.7 of the supply through a resistor (UM10204). */
  private static final double RISE_FACTOR = 0.8473;

  /** Most that a bus may have (pF), UM10204. */
  private static final double MOST_PF = 400;

  private static final double IDLE_AMPS = 100e-6;

  @Override
  public Hookup hookup() {
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

  @Override
  public double sendSeconds() {
    TwoWireSpeed speed = circuit.sort().speed();
    return map.chips() * speed.writeSeconds(circuit.sort().writeBytes()) - speed.restSeconds();
  }

  @Override
  public Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        "Data of one frame",
        dataSeconds(),
        "s",
        "expanders × (bytes × 9 bits, start and stop)",
        List.of(
            given("expanders", map.chips(), ""),
            given("bytes of a write", circuit.sort().writeBytes(), ""),
            given("time of a bit", circuit.sort().speed().bitSeconds(), "s")),
        Source.standard("UM10204, clocked by the exported player"));
  }

  private double busPf() {
    return (map.chips() + 1) * ExpanderClass.BUS_PF
        + circuit.wireMm() * ShiftRegisters.WIRE_PF_PER_MM;
  }

  private double leastOhms() {
    return (brief.volts() - LOW_VOLTS) / LOW_AMPS;
  }

  private double mostOhms() {
    return circuit.sort().speed().riseSeconds() / (RISE_FACTOR * busPf() * 1e-12);
  }

  private Reckoning pullUps() {
    return new Reckoning(
        key("pull-up-most"),
        "Pull-up at most",
        mostOhms(),
        "ohm",
        "rise that is allowed ÷ (0.8473 × bus capacitance); at least (supply − 0.4 V) ÷ 3 mA",
        List.of(
            given("rise that is allowed", circuit.sort().speed().riseSeconds(), "s"),
            given("bus capacitance", busPf(), "pF"),
            given("at least", leastOhms(), "ohm"),
            given("chosen", circuit.pullUpOhms(), "ohm")),
        Source.standard("UM10204"));
  }

  @Override
  public List<Reckoning> ownNumbers() {
    return List.of(pullUps());
  }

  @Override
  public List<Finding> ownFindings() {
    return List.of(addresses(), pullUp(), slow());
  }

  private Finding slow() {
    return Finding.of(
        Step.CIRCUITS,
        key("on-or-off"),
        Verdict.HOLDS,
        phrase(
            "On or off: the bus writes all of them %s a second at most, too few for dimming by the bus.",
            Quantity.text(Math.floor(refreshHz()), "times")));
  }

  private Finding addresses() {
    int last = circuit.firstAddress() + map.chips() - 1;
    boolean apart = map.chips() <= ExpanderClass.MOST_CHIPS;
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            key("addresses"),
            apart ? Verdict.HOLDS : Verdict.BREAKS,
            phrase(
                "%s at %s.",
                Quantity.text(map.chips(), "expanders"),
                map.chips() == 1
                    ? phrase("address %x hex", circuit.firstAddress())
                    : phrase("addresses %x to %x hex", circuit.firstAddress(), last)));
    return apart
        ? finding
        : finding.advising(
            "Three address pins tell eight apart: put the rest on a second bus, or use registers.");
  }

  private Finding pullUp() {
    double ohms = circuit.pullUpOhms();
    boolean within = ohms >= leastOhms() && ohms <= mostOhms() && busPf() <= MOST_PF;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("pull-ups"),
                within ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Pull-ups of %s on a bus of %s: %s to %s are right.",
                    Quantity.text(ohms, "ohm"),
                    Quantity.text(Math.rint(busPf()), "pF"),
                    Quantity.text(Math.ceil(leastOhms()), "ohm"),
                    Quantity.text(Math.floor(mostOhms()), "ohm")))
            .restingOn(pullUps());
    return within
        ? finding
        : finding.advising(
            leastOhms() > mostOhms() || busPf() > MOST_PF
                ? "The bus is too long or has too many chips for its speed: shorten it or part it."
                : "Use a pull-up within.");
  }
}
