package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.OutputStage;

/** What is judged of outputs that are on or off, whatever has them. */
record SwitchedFindings(SwitchedPlan plan) {
  private static final double LAMP_TOLERANCE = 0.1;

  /** Below this share of what is wanted, an LED is seen to be dimmer (common practice). */
  private static final double DIM = 0.75;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    all.add(outputs());
    clash().ifPresent(all::add);
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      path(load).ifPresent(all::add);
    }
    if (all.stream().noneMatch(f -> f.verdict() == Verdict.BREAKS)) {
      resistorsHold().ifPresent(all::add);
    }
    all.add(output());
    all.add(chip());
    if (plan instanceof RegisterPlan && plan.stage().keeps()) {
      all.add(chipHeat());
    }
    all.addAll(new SwitchFindings(plan).all());
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
    return one.path().reckoning(key, one.pathTitle());
  }

  /** What is wrong with the current of a load; empty when it holds. */
  private Optional<Finding> path(int load) {
    OutputLoad one = plan.switching().loads().get(load);
    String key = plan.key("forward-volts") + (load == 0 ? "" : "-" + (load + 1));
    if (!one.path().lights()) {
      return Optional.of(dark(one, load, key));
    }
    if (one.path() instanceof SeriesResistor resistor) {
      return resistor(resistor, load, key);
    }
    return one.path() instanceof Filament lamp ? lamp(lamp, load, key) : rated(one, load, key);
  }

  /** What is kept is what flows: only the rating of the LED can be passed. */
  private Optional<Finding> rated(OutputLoad one, int load, String key) {
    boolean byTurns = one.path() instanceof ScannedCurrent;
    double rated = (byTurns ? one.die().pulseMilliamps() : one.die().ratedMilliamps()) * 1e-3;
    return one.path().mostAmps() <= rated
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    key,
                    Verdict.BREAKS,
                    phrase(
                        "%s: %s flows%s, and the class is rated for %s.",
                        one.title(),
                        Quantity.text(one.path().mostAmps(), "A"),
                        byTurns ? " in its turn" : "",
                        Quantity.text(rated, "A")))
                .advising("Ask for less current.")
                .restingOn(working(load)));
  }

  private Finding dark(OutputLoad one, int load, String key) {
    double needs = one.path().leastVolts();
    return Finding.of(
            Step.CIRCUITS,
            key,
            Verdict.BREAKS,
            phrase(
                "%s: %s needed, %s are there: dark.",
                one.title(), Quantity.text(needs, "V"), Quantity.text(one.path().volts(), "V")))
        .advising(
            one.leds() > 1
                ? "Wire them in parallel, each with a resistor of its own, or use a higher supply for them."
                : "Use a higher supply, or LEDs of a lower forward voltage.")
        .restingOn(working(load));
  }

  private Optional<Finding> resistor(SeriesResistor resistor, int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
    if (resistor.exactOhms() < 0 || resistor.amps() < DIM * resistor.wantedAmps()) {
      return Optional.of(
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  Verdict.TIGHT,
                  phrase(
                      "%s: %s flows of the %s wanted, however small the resistor: the supply is too near to the forward volts.",
                      one.title(),
                      Quantity.text(resistor.amps(), "A"),
                      Quantity.text(resistor.wantedAmps(), "A")))
              .advising("Ask for less current, or use a higher supply.")
              .restingOn(working(load)));
    }
    return spread(resistor, load, key);
  }

  /** A lamp wants its volts within a tenth: beyond, it lives for a fraction of its time. */
  private Optional<Finding> lamp(Filament lamp, int load, String key) {
    double share = lamp.across() / lamp.ratedVolts();
    if (Math.abs(share - 1) <= LAMP_TOLERANCE) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of(
                Step.CIRCUITS,
                key,
                share > 1 ? Verdict.BREAKS : Verdict.TIGHT,
                phrase(
                    "%s: %s across a lamp for %s.",
                    plan.switching().loads().get(load).title(),
                    Quantity.text(lamp.across(), "V"),
                    Quantity.text(lamp.ratedVolts(), "V")))
            .advising(
                share > 1
                    ? "It burns out soon: use a lower rail, or lamps for more volts."
                    : "It glows dimly: use a rail of its own volts, or lamps for less.")
            .restingOn(working(load)));
  }

  /** What an LED off its typical volts gets, and whether it may carry that. */
  private Optional<Finding> spread(SeriesResistor resistor, int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
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

  private String setting() {
    ConstantCurrent first = (ConstantCurrent) plan.switching().loads().get(0).path();
    return phrase(
        "One setting resistor of %s a chip: %s an output",
        Quantity.text(first.settingOhms(), "ohm"), Quantity.text(first.amps(), "A"));
  }

  private Optional<Finding> resistorsHold() {
    List<String> each = new ArrayList<>();
    List<Reckoning> workings = new ArrayList<>();
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      OutputLoad one = plan.switching().loads().get(load);
      String flows = Quantity.text(one.path().amps(), "A");
      each.add(
          one.path() instanceof ScannedCurrent
              ? phrase("%s for %s", flows, one.title())
              : one.path().part().isEmpty()
                  ? phrase("none for %s (%s)", one.title(), flows)
                  : phrase("%s for %s (%s)", one.path().part(), one.title(), flows));
      workings.add(working(load));
    }
    return each.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    plan.key("resistors"),
                    Verdict.HOLDS,
                    (plan instanceof RegisterPlan && plan.stage().keeps()
                            ? setting()
                            : (plan instanceof DisplayPlan ? "Mean currents: " : "Resistors: ")
                                + String.join(", ", each))
                        + ".")
                .restingOn(workings.toArray(Reckoning[]::new)));
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
                    "%s carries up to %s; %s is planned with, %s is the very most.",
                    plan.hookup().through() == Through.NONE ? "An output" : "A switch",
                    Quantity.text(most * 1e-3, "A"),
                    Quantity.text(stage.planMilliamps() * 1e-3, "A"),
                    Quantity.text(stage.mostMilliamps() * 1e-3, "A")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Ask for less current, or use outputs that carry more.");
  }

  /** What the output itself carries: the LEDs, or what drives the switch behind it (A). */
  private double outputAmps(OutputLoad load) {
    Through through = plan.hookup().through();
    return through == Through.NONE ? load.amps() : through.driveAmps(load.amps());
  }

  /** Current of each chip with all its outputs lit (A). */
  private double[] chips() {
    double[] amps = new double[plan.map().chips()];
    for (int c = 0; c < plan.map().channels().size(); c++) {
      int load = plan.map().channels().get(c).load();
      amps[plan.map().chip(c)] += outputAmps(plan.switching().loads().get(load));
    }
    return amps;
  }

  /** Heat that a package without a sink gets rid of (W), common practice. */
  private static final double CHIP_WATTS = 1;

  /** Outputs that keep a current turn what the LEDs leave into heat. */
  private Finding chipHeat() {
    double[] watts = new double[plan.map().chips()];
    for (int c = 0; c < plan.map().channels().size(); c++) {
      OutputLoad load = plan.switching().loads().get(plan.map().channels().get(c).load());
      watts[plan.map().chip(c)] += load.paths() * ((ConstantCurrent) load.path()).watts();
    }
    double most = Arrays.stream(watts).max().orElse(0);
    boolean cool = most <= CHIP_WATTS;
    Reckoning working =
        new Reckoning(
            plan.key("chip-heat"),
            "Heat of the hottest chip, all its outputs on",
            most,
            "W",
            "sum over its outputs of current × (supply − forward volts)",
            List.of(given("without a sink", CHIP_WATTS, "W")),
            Source.COMMON_PRACTICE);
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                plan.key("chip-heat"),
                cool ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "With everything lit, a chip turns %s into heat; about %s is what it may.",
                    Quantity.text(most, "W"), Quantity.text(CHIP_WATTS, "W")))
            .restingOn(working);
    return cool
        ? finding
        : finding.advising(
            "Hang the LEDs on a supply nearer to their forward volts, or a resistor before them takes a part of it.");
  }

  private Finding chip() {
    double[] amps = chips();
    int at =
        IntStream.range(0, amps.length)
            .boxed()
            .max(Comparator.comparingDouble(c -> amps[c]))
            .orElse(0);
    double limit = plan.chipStage().chipMilliamps() * 1e-3;
    Reckoning working =
        new Reckoning(
            plan.key("chip-current"),
            phrase("%s %d with all its outputs lit", plan.chipWord(), at + 1),
            amps[at],
            "A",
            "sum of the currents of its outputs",
            List.of(given("at the very most", plan.chipStage().chipMilliamps(), "mA")),
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
            "Ask for less current, spread the channels over more chips, or use a class that carries more.");
  }
}
