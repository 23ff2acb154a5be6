package org.myrialith.circuit.choice;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.multiplex.SharedPortFindings;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;
import org.myrialith.input.Input;
import org.myrialith.input.InputFindings;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterClass;

/**
 * What the circuits have to say.
 *
 * @param playerSeconds the longest the player takes for a frame, composing and sending; empty when
 *     nothing plays
 * @param chipAmps the most that each chip carries in the show (A), by identifier of the circuit
 */
public record CircuitsStep(
    Layout layout,
    Brief brief,
    Circuits circuits,
    Wiring wiring,
    OptionalDouble playerSeconds,
    Map<String, double[]> chipAmps)
    implements StepPlan {
  /**
   * A frame buffer over this share of RAM leaves little for stack and variables (common practice).
   */
  private static final double ROOMY_SHARE = 0.75;

  @Override
  public Step step() {
    return Step.CIRCUITS;
  }

  @Override
  public String headline() {
    if (wiring.emitters() == 0) {
      return "nothing driven";
    }
    return Quantity.text(refreshHz(), "Hz");
  }

  /** Lines are sent one after the other; then all have their gap together. */
  private double wireSeconds() {
    double data = wiring.plans().stream().mapToDouble(CircuitPlan::dataSeconds).sum();
    return data + wiring.plans().stream().mapToDouble(CircuitPlan::latchSeconds).max().orElse(0);
  }

  private double refreshHz() {
    return 1 / Math.max(Math.max(wireSeconds(), slowestSeconds()), playerSeconds.orElse(0));
  }

  private double slowestSeconds() {
    return wiring.plans().stream().mapToDouble(CircuitPlan::frameSeconds).max().orElse(0);
  }

  @Override
  public List<Calculation> calculations() {
    List<Calculation> all = new ArrayList<>();
    playerSeconds.ifPresent(seconds -> all.add(player(seconds)));
    for (CircuitPlan plan : wiring.plans()) {
      plan.calculations().forEach(n -> all.add(n.about(about(plan))));
    }
    inputs().forEach(input -> all.add(input.working()));
    return List.copyOf(all);
  }

  /** The name of a circuit, where there are several to be told apart. */
  private String about(CircuitPlan plan) {
    return wiring.plans().size() > 1 ? plan.circuit().name() : "";
  }

  private Calculation player(double seconds) {
    return new Calculation(
        "player-refresh",
        "Highest frame rate of this show",
        refreshHz(),
        "Hz",
        "1 ÷ largest of(all lines with their gaps, slowest circuit, longest frame of the player)",
        List.of(
            Calculation.given("all lines with their gaps", wireSeconds(), "s"),
            Calculation.given("slowest circuit", slowestSeconds(), "s"),
            Calculation.given("longest frame of the player", seconds, "s")),
        Source.partClass("cycles of the player, measured on a simulated controller"));
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    PinFindings standing = new PinFindings(circuits, brief.controller());
    if (wiring.emitters() == 0) {
      all.add(
          Finding.of(Step.CIRCUITS, "no-chain", Verdict.OPEN, "No fixture is connected yet.")
              .advising("Add a fixture to a circuit."));
    } else {
      all.add(ram());
      for (CircuitPlan plan : wiring.plans()) {
        findings(plan).forEach(f -> all.add(f.about(about(plan))));
        if (plan.emitters() > 0) {
          standing.of(plan.circuit()).forEach(f -> all.add(f.about(about(plan))));
        }
      }
      all.addAll(standing.together());
      clock().ifPresent(all::add);
      all.addAll(new SharedPortFindings(wiring.plans()).all());
    }
    layout.fixtures().forEach(f -> all.addAll(new MemberFindings(layout, circuits, f).all()));
    currents(all);
    inputs().forEach(input -> all.addAll(input.all()));
    all.addAll(standing.ofInputs());
    return List.copyOf(all);
  }

  /** Data lines are timed for the usual clock. */
  private Optional<Finding> clock() {
    List<String> late =
        wiring.plans().stream()
            .filter(plan -> plan.emitters() > 0 && !plan.sendsAt(brief.controller().clockHz()))
            .map(plan -> plan.circuit().name())
            .toList();
    if (!brief.controller().slow() || late.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of(
                Step.CIRCUITS,
                "slow-clock",
                Verdict.BREAKS,
                phrase(
                    "%s can't run at %s: its bits or its grey-scale clock need a faster clock.",
                    String.join(", ", late), Quantity.text(brief.controller().clockHz(), "Hz")))
            .advising("No firmware is exported for this clock.")
            .mendedBy(List.of(new Remedy("Use the usual clock", new Change.UseClock("usual")))));
  }

  private List<Finding> findings(CircuitPlan plan) {
    return plan instanceof SwitchedPlan switched
        ? switched.findings(Optional.ofNullable(chipAmps.get(plan.circuit().id())))
        : plan.findings();
  }

  private Finding ram() {
    int ram = brief.controller().ramBytes();
    int takes = wiring.bufferBytes();
    Verdict verdict =
        takes > ram ? Verdict.BREAKS : takes > ROOMY_SHARE * ram ? Verdict.TIGHT : Verdict.HOLDS;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "buffer-ram",
                verdict,
                phrase(
                    "Frame buffer %s of the controller's %s of RAM.",
                    Quantity.text(takes, "bytes"), Quantity.text(ram, "bytes")))
            .restingOn(
                new Calculation(
                    "all-buffers",
                    "Frame buffer in RAM",
                    takes,
                    "bytes",
                    "sum of all values; of each circuit channels × bytes of a level, or a bit an output",
                    wiring.plans().stream()
                        .map(p -> Calculation.given(p.circuit().name(), p.bufferBytes(), "bytes"))
                        .toList(),
                    Source.ARITHMETIC));
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Use a controller class with more RAM, or fewer pixels.");
  }

  private List<InputFindings> inputs() {
    List<InputFindings> all = new ArrayList<>();
    double busy = wiring.plans().stream().mapToDouble(CircuitPlan::dataSeconds).sum();
    for (Input input : circuits.inputs().inputs()) {
      all.add(new InputFindings(input, all.size() + 1, brief.controller(), busy));
    }
    return all;
  }

  /** A class of the maker's own says what a channel draws; the circuit may say otherwise. */
  private void currents(List<Finding> all) {
    for (CircuitPlan plan : wiring.plans()) {
      double most = 0;
      EmitterClass from = null;
      for (Fixture fixture : plan.fixtures()) {
        EmitterClass own = layout.ownClass(fixture.mount().emitter()).orElse(null);
        if (own != null && plan.circuit().drives(own.kind())) {
          double rated =
              own.dies().stream().mapToDouble(EmitterClass.Die::ratedMilliamps).max().orElse(0);
          from = rated > most ? own : from;
          most = Math.max(most, rated);
        }
      }
      if (from != null && most != plan.channelMilliamps()) {
        all.add(otherCurrent(plan, from, most));
      }
    }
  }

  private static Finding otherCurrent(CircuitPlan plan, EmitterClass from, double most) {
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "class-current-" + plan.circuit().id(),
                Verdict.TIGHT,
                phrase(
                    "%s: %s per channel in the class; %s uses %s.",
                    from.name(),
                    Quantity.text(most, "mA"),
                    plan.circuit().name(),
                    Quantity.text(plan.channelMilliamps(), "mA")))
            .advising("Enter the current of the part you have in both places.");
    Change change = new Change.SetChannelCurrent(plan.circuit().id(), most);
    return org.myrialith.parts.PixelClass.CHANNEL.allow(most)
        ? finding.mendedBy(
            List.of(new Remedy("Use " + Quantity.text(most, "mA") + " per channel", change)))
        : finding;
  }
}
