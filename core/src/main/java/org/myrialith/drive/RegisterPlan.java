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
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** What a chain of shift registers takes of time, memory, current and edges. */
public record RegisterPlan(ShiftRegisters circuit, Brief brief, Switching switching, BitMap map)
    implements SwitchedPlan {
  /** Cycles of a byte, as the exported player sends it: 8 clocks of 13 cycles and the way on. */
  public static final int BYTE_CYCLES = 113;

  /** In series with the clock, against ringing (ohm). */
  private static final double SERIES_OHMS = 100;

  /** Of a rise from a tenth to nine tenths through a resistor: ln 9. */
  private static final double RISE_FACTOR = Math.log(9);

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
    return "chip";
  }

  @Override
  public double chipIdleAmps() {
    return RegisterClass.IDLE_AMPS;
  }

  @Override
  public double sendSeconds() {
    return (double) map.bytes() * BYTE_CYCLES / Controller.CLOCK_HZ;
  }

  @Override
  public Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        "Data of one frame",
        dataSeconds(),
        "s",
        "bytes × time of 8 bits",
        List.of(
            given("bytes", map.bytes(), ""),
            given("time of 8 bits", (double) BYTE_CYCLES / Controller.CLOCK_HZ, "s")),
        Source.partClass("clocked by the exported player, 13 cycles a bit"));
  }

  private double clockFarads() {
    return (map.chips() * RegisterClass.INPUT_PF + circuit.wireMm() * ShiftRegisters.WIRE_PF_PER_MM)
        * 1e-12;
  }

  private double riseSeconds() {
    double ohms = brief.controller().stage().sourceOhms() + SERIES_OHMS;
    return RISE_FACTOR * ohms * clockFarads();
  }

  private Reckoning rise() {
    return new Reckoning(
        key("clock-rise"),
        "Rise of the clock at the chips",
        riseSeconds(),
        "s",
        "ln 9 × (inside the pin + in series) × (chips × input + wire × 1 pF a cm)",
        List.of(
            given("inside the pin", brief.controller().stage().sourceOhms(), "ohm"),
            given("in series", SERIES_OHMS, "ohm"),
            given("chips", map.chips(), ""),
            given("input, at most", RegisterClass.INPUT_PF, "pF"),
            given("wire", circuit.wireMm(), "mm")),
        Source.partClass("HC: 10 pF an input at most, edges within 500 ns at 4.5 V"));
  }

  /** The controller runs from the same supply: its pins reach no more than that. */
  private double logicVolts() {
    return Math.min(brief.volts(), Controller.MOST_VOLTS);
  }

  private Reckoning high() {
    return new Reckoning(
        key("data-high"),
        "Inputs take for high from",
        circuit.sort().highFrom(brief.volts()),
        "V",
        circuit.sort() == RegisterClass.HCT ? "2.0 V" : "0.7 × supply of the chips",
        List.of(
            given("supply of the chips", brief.volts(), "V"),
            given("the controller gives", logicVolts(), "V")),
        Source.standard("JESD7A"));
  }

  @Override
  public List<Reckoning> ownNumbers() {
    return List.of(rise(), high());
  }

  @Override
  public List<Finding> ownFindings() {
    return List.of(edges(), logic());
  }

  private Finding edges() {
    boolean quick = riseSeconds() <= RegisterClass.RISE_SECONDS;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("clock-edge"),
                quick ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "The clock rises in %s at %d chips on one line; the class allows %s.",
                    Quantity.text(riseSeconds(), "s"),
                    map.chips(),
                    Quantity.text(RegisterClass.RISE_SECONDS, "s")))
            .restingOn(rise());
    double perChip = RISE_FACTOR * (brief.controller().stage().sourceOhms() + SERIES_OHMS);
    int most =
        (int)
            ((RegisterClass.RISE_SECONDS / perChip * 1e12
                    - circuit.wireMm() * ShiftRegisters.WIRE_PF_PER_MM)
                / RegisterClass.INPUT_PF);
    return quick
        ? finding
        : finding.advising(
            most >= 1
                ? phrase(
                    "Put a buffer into clock and latch every %d chips, or shorten the wire.", most)
                : "Shorten the wire of clock and latch, or put a buffer at its far end.");
  }

  private Finding logic() {
    double needed = circuit.sort().highFrom(brief.volts());
    boolean high = logicVolts() >= needed;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("logic-level"),
                high ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Data, clock and latch reach %s; the chips need %s.",
                    Quantity.text(logicVolts(), "V"), Quantity.text(needed, "V")))
            .restingOn(high());
    return high ? finding : finding.advising("Use the HCT class, or a level shifter.");
  }
}
