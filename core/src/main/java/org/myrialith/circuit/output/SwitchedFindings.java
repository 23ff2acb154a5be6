package org.myrialith.circuit.output;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.circuit.electrical.ChipHeat;
import org.myrialith.circuit.electrical.ConstantCurrentSink;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;

/**
 * What is judged of outputs and of the chips that have them, whatever they are.
 *
 * @param inFrames the most that each chip carries in what is shown (A); empty when nothing is
 */
record SwitchedFindings(SwitchedPlan plan, Optional<double[]> inFrames) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    all.add(outputs());
    clash().ifPresent(all::add);
    all.addAll(new PathFindings(plan).all(clash().isEmpty()));
    all.add(output());
    if (plan.carriesTogether()) {
      all.add(chip());
    }
    if (plan.setByResistor()) {
      all.add(chipHeat());
    }
    all.addAll(new SwitchFindings(plan).all());
    return all;
  }

  private Finding outputs() {
    OutputMap map = plan.map();
    return Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            plan.key("outputs"),
            Verdict.HOLDS,
            phrase(
                "%s on %s, %d outputs; %s.",
                counted(map.channels().size(), "channel"),
                counted(map.chips(), plan.chipWord()),
                map.width(),
                map.spare() == 0 ? "none spare" : map.spare() + " spare"))
        .restingOn(plan.outputs());
  }

  private static String counted(int count, String what) {
    return Quantity.text(count, what + "s");
  }

  private Optional<Finding> clash() {
    List<SwitchedChannel> two = plan.map().clash();
    return two.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Harm.PARTS,
                    Step.CIRCUITS,
                    plan.key("two-on-one"),
                    Verdict.BREAKS,
                    phrase(
                        "%s and %s are on the same output.",
                        plan.nameOf(two.get(0)), plan.nameOf(two.get(1))))
                .advising("Move one of them to a free output."));
  }

  private Finding output() {
    OutputStage stage = plan.stage();
    Optional<OutputLoad> heaviest =
        plan.switching().loads().stream().max(Comparator.comparingDouble(OutputLoad::mostAmps));
    double most = heaviest.map(OutputLoad::mostAmps).orElse(0.0) * 1e3;
    Verdict verdict =
        most > stage.mostMilliamps()
            ? Verdict.BREAKS
            : most > stage.planMilliamps() ? Verdict.TIGHT : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            plan.key("output-current"),
            "Highest output current",
            most * 1e-3,
            "A",
            "paths × current of a path; at the lower end of the forward-voltage tolerance",
            List.of(
                given("paths", heaviest.map(OutputLoad::paths).orElse(0), ""),
                given("current of a path", heaviest.map(l -> l.path().mostAmps()).orElse(0.0), "A"),
                given("recommended maximum", stage.planMilliamps(), "mA"),
                given("absolute maximum", stage.mostMilliamps(), "mA")),
            Source.partClass("data of the class"));
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("output-current"),
                verdict,
                phrase(
                    "%s carries up to %s; design limit %s, absolute maximum %s.",
                    plan.hookup().through() == SwitchType.NONE ? "An output" : "A switch",
                    Quantity.text(most * 1e-3, "A"),
                    Quantity.text(stage.planMilliamps() * 1e-3, "A"),
                    Quantity.text(stage.mostMilliamps() * 1e-3, "A")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Set a lower current, or use outputs rated for more.");
  }

  /** Current of each chip with all its outputs lit (A). */
  private double[] chips() {
    double[] amps = new double[plan.map().chips()];
    for (int c = 0; c < plan.map().channels().size(); c++) {
      int load = plan.map().channels().get(c).load();
      amps[plan.map().chip(c)] += plan.outputAmps(plan.switching().loads().get(load));
    }
    return amps;
  }

  /** Outputs that keep a current turn what the LEDs leave into heat. */
  private Finding chipHeat() {
    double[] watts = new double[plan.map().chips()];
    for (int c = 0; c < plan.map().channels().size(); c++) {
      OutputLoad load = plan.switching().loads().get(plan.map().channels().get(c).load());
      watts[plan.map().chip(c)] += load.paths() * ((ConstantCurrentSink) load.path()).watts();
    }
    return new ChipHeat(
            plan.key("chip-heat"),
            Arrays.stream(watts).max().orElse(0),
            Calculation.FOUND_BY
                + "adding, for all its outputs, current × (supply − forward voltage)")
        .finding();
  }

  private Finding chip() {
    double[] amps = chips();
    int at =
        IntStream.range(0, amps.length)
            .boxed()
            .max(Comparator.comparingDouble(c -> amps[c]))
            .orElse(0);
    double limit = plan.chipStage().chipMilliamps() * 1e-3;
    Calculation working =
        new Calculation(
            plan.key("chip-current"),
            phrase("%s %d with all its outputs lit", plan.chipWord(), at + 1),
            amps[at],
            "A",
            Calculation.FOUND_BY + "adding the currents of its outputs",
            List.of(given("absolute maximum", plan.chipStage().chipMilliamps(), "mA")),
            Source.partClass("data of the class"));
    double shown = inFrames.map(all -> Arrays.stream(all).max().orElse(0)).orElse(amps[at]);
    Verdict verdict =
        amps[at] <= limit ? Verdict.HOLDS : shown <= limit ? Verdict.TIGHT : Verdict.BREAKS;
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("chip-current"),
                verdict,
                phrase(
                    "Everything lit: %s carries %s; absolute maximum %s.%s",
                    plan.map().chips() == 1
                        ? "the " + plan.chipWord()
                        : phrase("%s %d", plan.chipWord(), at + 1),
                    Quantity.text(amps[at], "A"),
                    Quantity.text(limit, "A"),
                    inFrames.isEmpty()
                        ? ""
                        : phrase(" In these frames: at most %s.", Quantity.text(shown, "A"))))
            .restingOn(
                inFrames.isEmpty()
                    ? new Calculation[] {working}
                    : new Calculation[] {working, inFrames(shown)});
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            verdict == Verdict.TIGHT
                ? "Other frames would exceed it: set a lower current, or spread the channels over more chips."
                : "Set a lower current, spread the channels over more chips, or use a class rated for more.");
  }

  private Calculation inFrames(double most) {
    return new Calculation(
        plan.key("chip-frames"),
        phrase("Highest current of a %s in these frames", plan.chipWord()),
        most,
        "A",
        Calculation.FOUND_BY
            + "adding, at each moment of the show, the currents of its outputs that are lit, and keeping the largest sum",
        List.of(),
        Source.ARITHMETIC);
  }
}
