package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;

/** What is judged of outputs that are on or off, whatever has them. */
record SwitchedFindings(SwitchedPlan plan) {
  /** Below this share of what is wanted, an LED is seen to be dimmer (common practice). */
  private static final double DIM = 0.75;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    all.add(outputs());
    clash().ifPresent(all::add);
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      resistor(load).ifPresent(all::add);
    }
    if (all.stream().noneMatch(f -> f.verdict() == Verdict.BREAKS)) {
      all.add(resistorsHold());
    }
    all.add(output());
    all.add(chip());
    return all;
  }

  private Finding outputs() {
    BitMap map = plan.map();
    return Finding.of(
            Step.CIRCUITS,
            plan.key("outputs"),
            Verdict.HOLDS,
            phrase(
                "%s on %s of %d outputs; %s.",
                counted(map.channels().size(), "channel"),
                counted(map.chips(), plan.chipWord()),
                map.width(),
                map.spare() == 0 ? "none is left over" : map.spare() + " left over"))
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
                    Step.CIRCUITS,
                    plan.key("two-on-one"),
                    Verdict.BREAKS,
                    phrase(
                        "%s and %s are on one output.",
                        plan.nameOf(two.get(0)), plan.nameOf(two.get(1))))
                .advising("Put one of them on an output that is free."));
  }

  private Reckoning working(int load) {
    OutputLoad one = plan.switching().loads().get(load);
    String key = plan.key("resistor") + (load == 0 ? "" : "-" + (load + 1));
    return one.resistor().reckoning(key, "Resistor for " + one.title());
  }

  /** What is wrong with a resistor; empty when it holds. */
  private Optional<Finding> resistor(int load) {
    OutputLoad one = plan.switching().loads().get(load);
    SeriesResistor resistor = one.resistor();
    String key = plan.key("forward-volts") + (load == 0 ? "" : "-" + (load + 1));
    if (!resistor.lights()) {
      return Optional.of(
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  Verdict.BREAKS,
                  phrase(
                      "%s need %s; the supply gives %s: they stay dark.",
                      one.title(),
                      Quantity.text(resistor.forwardVolts(), "V"),
                      Quantity.text(resistor.volts(), "V")))
              .advising(
                  one.leds() > 1
                      ? "Wire them in parallel, each with a resistor of its own, or take a higher supply for them."
                      : "Take a higher supply, or LEDs of a lower forward voltage.")
              .restingOn(working(load)));
    }
    if (resistor.exactOhms() < 0 || resistor.amps() < DIM * resistor.wantedAmps()) {
      return Optional.of(
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  Verdict.TIGHT,
                  phrase(
                      "%s get %s of the %s wanted, however small the resistor: the supply is too near to their forward volts.",
                      one.title(),
                      Quantity.text(resistor.amps(), "A"),
                      Quantity.text(resistor.wantedAmps(), "A")))
              .advising("Ask for less current, or take a higher supply.")
              .restingOn(working(load)));
    }
    return spread(load, key);
  }

  /** What an LED off its typical volts gets, and whether it may carry that. */
  private Optional<Finding> spread(int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
    SeriesResistor resistor = one.resistor();
    double rated = one.die().ratedMilliamps() * 1e-3;
    if (resistor.mostAmps() > rated) {
      return Optional.of(
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  resistor.amps() > rated ? Verdict.BREAKS : Verdict.TIGHT,
                  phrase(
                      "%s: up to %s flows, and the class is rated for %s.",
                      one.title(),
                      Quantity.text(resistor.mostAmps(), "A"),
                      Quantity.text(rated, "A")))
              .advising("Ask for less current.")
              .restingOn(working(load)));
    }
    if (resistor.leastAmps() < resistor.mostAmps() / 2) {
      return Optional.of(
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  Verdict.TIGHT,
                  phrase(
                      "%s: anything from %s to %s flows, as the forward volts of each LED fall out: some will be dimmer.",
                      one.title(),
                      Quantity.text(resistor.leastAmps(), "A"),
                      Quantity.text(resistor.mostAmps(), "A")))
              .advising("A higher supply or fewer LEDs in series make the resistor count for more.")
              .restingOn(working(load)));
    }
    return Optional.empty();
  }

  private Finding resistorsHold() {
    List<String> each = new ArrayList<>();
    List<Reckoning> workings = new ArrayList<>();
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      OutputLoad one = plan.switching().loads().get(load);
      each.add(
          phrase(
              "%s for %s (%s)",
              ohms(one.resistor().ohms()), one.title(), Quantity.text(one.resistor().amps(), "A")));
      workings.add(working(load));
    }
    return Finding.of(
            Step.CIRCUITS,
            plan.key("resistors"),
            Verdict.HOLDS,
            "Resistors: " + String.join(", ", each) + ".")
        .restingOn(workings.toArray(Reckoning[]::new));
  }

  /** Resistors as makers read them: 150 ohm, 4.7 kohm. */
  static String ohms(double ohms) {
    return ohms >= 1e6
        ? Quantity.number(ohms / 1e6) + " Mohm"
        : ohms >= 1e3 ? Quantity.number(ohms / 1e3) + " kohm" : Quantity.number(ohms) + " ohm";
  }

  private Finding output() {
    OutputStage stage = plan.stage();
    double most =
        plan.switching().loads().stream().mapToDouble(OutputLoad::mostAmps).max().orElse(0) * 1e3;
    Verdict verdict =
        most > stage.mostMilliamps()
            ? Verdict.BREAKS
            : most > stage.planMilliamps() ? Verdict.TIGHT : Verdict.HOLDS;
    Reckoning working =
        new Reckoning(
            plan.key("output-current"),
            "Most that an output carries",
            most * 1e-3,
            "A",
            "paths × current at the lower end of the spread",
            List.of(
                given("to plan with", stage.planMilliamps(), "mA"),
                given("at the very most", stage.mostMilliamps(), "mA")),
            Source.partClass("data of the class"));
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                plan.key("output-current"),
                verdict,
                phrase(
                    "An output carries up to %s; %s is planned with, %s is the very most.",
                    Quantity.text(most * 1e-3, "A"),
                    Quantity.text(stage.planMilliamps() * 1e-3, "A"),
                    Quantity.text(stage.mostMilliamps() * 1e-3, "A")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Ask for less current, or take outputs that carry more.");
  }

  /** Current of each chip with all its outputs lit (A). */
  private double[] chips() {
    double[] amps = new double[plan.map().chips()];
    for (int c = 0; c < plan.map().channels().size(); c++) {
      int load = plan.map().channels().get(c).load();
      amps[plan.map().chip(c)] += plan.switching().loads().get(load).amps();
    }
    return amps;
  }

  private Finding chip() {
    double[] amps = chips();
    int at =
        java.util.stream.IntStream.range(0, amps.length)
            .boxed()
            .max(Comparator.comparingDouble(c -> amps[c]))
            .orElse(0);
    double limit = plan.stage().chipMilliamps() * 1e-3;
    Reckoning working =
        new Reckoning(
            plan.key("chip-current"),
            phrase("%s %d with all its outputs lit", plan.chipWord(), at + 1),
            amps[at],
            "A",
            "sum of the currents of its outputs",
            List.of(given("at the very most", plan.stage().chipMilliamps(), "mA")),
            Source.partClass("data of the class"));
    boolean holds = amps[at] <= limit;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                plan.key("chip-current"),
                holds ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "With everything lit, %s carries %s; %s is the very most.",
                    plan.map().chips() == 1
                        ? "the " + plan.chipWord()
                        : phrase("%s %d", plan.chipWord(), at + 1),
                    Quantity.text(amps[at], "A"),
                    Quantity.text(limit, "A")))
            .restingOn(working);
    return holds
        ? finding
        : finding.advising(
            "Ask for less current, spread the channels over more chips, or take a class that carries more.");
  }
}
