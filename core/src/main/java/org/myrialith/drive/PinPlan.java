package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;

/** What pins take of time, memory and current. */
public record PinPlan(DirectPins circuit, Brief brief, Switching switching, BitMap map)
    implements SwitchedPlan {
  /** Cycles of a pin, as the exported player sets it. */
  public static final double PIN_CYCLES = 7;

  @Override
  public Hookup hookup() {
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
    return circuit.pins().size() * PIN_CYCLES / Controller.CLOCK_HZ;
  }

  @Override
  public Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        "Setting all pins",
        dataSeconds(),
        "s",
        "pins × time of a pin",
        List.of(
            given("pins", circuit.pins().size(), ""),
            given("time of a pin", PIN_CYCLES / Controller.CLOCK_HZ, "s")),
        Source.partClass("set by the exported player"));
  }

  @Override
  public List<Finding> ownFindings() {
    return map.channels().size() > circuit.pins().size() ? List.of(missing()) : List.of();
  }

  private Finding missing() {
    int channels = map.channels().size();
    int has = brief.controller().pins().size();
    Finding finding =
        Finding.of(
            Step.CIRCUITS,
            key("pins-missing"),
            Verdict.BREAKS,
            phrase(
                "%d channels want as many pins; %d are named.", channels, circuit.pins().size()));
    return channels > has
        ? finding.advising(
            phrase("This controller has %d pins: use registers, expanders or a larger class.", has))
        : finding
            .advising("Name more pins.")
            .mendedBy(
                List.of(
                    new Remedy("Use the pins that are free", new Change.TakePins(circuit.id()))));
  }
}
