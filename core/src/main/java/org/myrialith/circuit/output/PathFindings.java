package org.myrialith.circuit.output;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.electrical.ConstantCurrentSink;
import org.myrialith.circuit.electrical.DriverChipLoad;
import org.myrialith.circuit.electrical.Filament;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SeriesResistor;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.SegmentDigits;

/** What is judged of the currents through LEDs and lamps, and of the resistors before them. */
record PathFindings(SwitchedPlan plan) {
  private static final double LAMP_TOLERANCE = 0.1;

  /** Below this share of what is wanted, an LED is seen to be dimmer (common practice). */
  private static final double DIM = 0.75;

  /**
   * Returns the judgements.
   *
   * @param holds whether nothing else breaks, so that what resistors there are is worth telling
   */
  List<Finding> all(boolean holds) {
    List<Finding> all = new ArrayList<>();
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      path(load).ifPresent(all::add);
    }
    shared().ifPresent(all::add);
    if (holds && all.stream().noneMatch(f -> f.verdict() == Verdict.BREAKS)) {
      resistorsHold().ifPresent(all::add);
    }
    return all;
  }

  /**
   * What one resistor for all segments of a digit would do: it gives a lone one all, and each of
   * many its part (common practice says so of boards that save resistors).
   */
  private Optional<Finding> shared() {
    List<SwitchedChannel> channels = plan.map().channels();
    long fields = channels.stream().filter(SwitchedChannel::startsField).count();
    boolean alike = plan.switching().loads().size() == 1;
    boolean digits = channels.stream().allMatch(c -> c.fixture().shape() instanceof SegmentDigits);
    if (!digits
        || !alike
        || !(plan.switching().loads().get(0).path() instanceof SeriesResistor resistor)) {
      return Optional.empty();
    }
    int each = (int) (channels.size() / fields);
    double part = resistor.amps() / each;
    Calculation working =
        new Calculation(
            plan.key("shared-resistor"),
            phrase("Current of each of %d segments sharing one resistor", each),
            part,
            "A",
            "one alone ÷ segments",
            List.of(
                Calculation.given("one alone", resistor.amps(), "A"),
                Calculation.given("segments", each, "")),
            Source.COMMON_PRACTICE);
    return Optional.of(
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("shared-resistor"),
                Verdict.HOLDS,
                phrase(
                    "One resistor per digit: a segment lit alone gets %s, each of %d lit together %s. Use a resistor per segment for even brightness.",
                    Quantity.text(resistor.amps(), "A"), each, Quantity.text(part, "A")))
            .restingOn(working));
  }

  private Calculation working(int load) {
    OutputLoad one = plan.switching().loads().get(load);
    String key = plan.key("resistor") + (load == 0 ? "" : "-" + (load + 1));
    return one.path().calculation(key, one.pathTitle());
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
    if (one.path() instanceof MultiplexedLoad turns) {
      return byTurns(turns, load, key);
    }
    return one.path() instanceof Filament lamp ? lamp(lamp, load, key) : rated(one, load, key);
  }

  /** What is kept is what flows: only the rating of the LED can be passed. */
  private Optional<Finding> rated(OutputLoad one, int load, String key) {
    if (one.shared()) {
      return Optional.of(shared(one, load, key));
    }
    boolean byTurns = one.path().pulsed();
    double rated = (byTurns ? one.die().pulseMilliamps() : one.die().ratedMilliamps()) * 1e-3;
    return one.path().mostAmps() <= rated
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Harm.PARTS,
                    Step.CIRCUITS,
                    key,
                    Verdict.BREAKS,
                    phrase(
                        "%s: current %s%s; rated current %s.",
                        one.title(),
                        Quantity.text(one.path().mostAmps(), "A"),
                        byTurns ? " peak" : "",
                        Quantity.text(rated, "A")))
                .advising("Set a lower current.")
                .restingOn(working(load)));
  }

  /** In its turn a light stands a pulse, and its mean as much as it is rated for. */
  private Optional<Finding> byTurns(MultiplexedLoad turns, int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
    double pulse = one.die().pulseMilliamps() * 1e-3;
    double rated = one.die().ratedMilliamps() * 1e-3;
    if (turns.mostAmps() > pulse || turns.amps() > rated) {
      return Optional.of(
          Finding.of(
                  Harm.PARTS,
                  Step.CIRCUITS,
                  key,
                  Verdict.BREAKS,
                  phrase(
                      "%s: peak current %s, mean %s; rated %s peak pulsed, %s continuous.",
                      one.title(),
                      Quantity.text(turns.mostAmps(), "A"),
                      Quantity.text(turns.amps(), "A"),
                      Quantity.text(pulse, "A"),
                      Quantity.text(rated, "A")))
              .advising("Set a lower current.")
              .restingOn(working(load)));
    }
    return turns.resistor().amps() < DIM * turns.resistor().wantedAmps()
        ? resistor(turns.resistor(), load, key)
        : Optional.empty();
  }

  private Finding shared(OutputLoad one, int load, String key) {
    return Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            key,
            Verdict.TIGHT,
            phrase(
                "%s share %s unevenly in parallel: no LED has a defined current.",
                one.title(), Quantity.text(one.amps(), "A")))
        .advising("In series each carries the full current, as far as the supply allows.")
        .restingOn(working(load));
  }

  private Finding dark(OutputLoad one, int load, String key) {
    double needs = one.path().leastVolts();
    return Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            key,
            Verdict.BREAKS,
            phrase(
                "%s: %s needed, supply %s: dark.",
                one.title(), Quantity.text(needs, "V"), Quantity.text(one.path().volts(), "V")))
        .advising(
            one.leds() > 1
                ? "Wire them in parallel with a resistor each, or use a higher supply."
                : "Use a higher supply, or LEDs of a lower forward voltage.")
        .restingOn(working(load));
  }

  private Optional<Finding> resistor(SeriesResistor resistor, int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
    if (resistor.exactOhms() < 0 || resistor.amps() < DIM * resistor.wantedAmps()) {
      return Optional.of(
          Finding.of(
                  Harm.PARTS,
                  Step.CIRCUITS,
                  key,
                  Verdict.TIGHT,
                  phrase(
                      "%s: only %s of the %s wanted, whatever the resistor: too little headroom above the forward voltage.",
                      one.title(),
                      Quantity.text(resistor.amps(), "A"),
                      Quantity.text(resistor.wantedAmps(), "A")))
              .advising("Set a lower current, or use a higher supply.")
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
                Harm.PARTS,
                Step.CIRCUITS,
                key,
                share > 1 ? Verdict.BREAKS : Verdict.TIGHT,
                phrase(
                    "%s: %s across a lamp rated for %s.",
                    plan.switching().loads().get(load).title(),
                    Quantity.text(lamp.across(), "V"),
                    Quantity.text(lamp.ratedVolts(), "V")))
            .advising(
                share > 1
                    ? "It burns out soon: use a lower rail, or lamps for a higher voltage."
                    : "It glows dimly: use a rail of its rated voltage, or lamps for a lower one.")
            .restingOn(working(load)));
  }

  /** What an LED off its typical volts gets, and whether it may carry that. */
  private Optional<Finding> spread(SeriesResistor resistor, int load, String key) {
    OutputLoad one = plan.switching().loads().get(load);
    double rated = one.die().ratedMilliamps() * 1e-3;
    if (resistor.mostAmps() > rated) {
      return Optional.of(
          Finding.of(
                  Harm.PARTS,
                  Step.CIRCUITS,
                  key,
                  resistor.amps() > rated ? Verdict.BREAKS : Verdict.TIGHT,
                  phrase(
                      "%s: current up to %s; rated current %s.",
                      one.title(),
                      Quantity.text(resistor.mostAmps(), "A"),
                      Quantity.text(rated, "A")))
              .advising("Set a lower current.")
              .restingOn(working(load)));
    }
    if (!resistor.cool()) {
      return Optional.of(
          Finding.of(
                  Harm.PARTS,
                  Step.CIRCUITS,
                  key,
                  Verdict.BREAKS,
                  phrase(
                      "%s: the resistor of %s dissipates up to %s, more than common packages allow.",
                      one.title(),
                      Quantity.text(resistor.ohms(), "ohm"),
                      Quantity.text(resistor.watts(), "W")))
              .advising(
                  "Use a constant-current driver, a supply nearer to the forward voltage, or more LEDs in series.")
              .restingOn(working(load)));
    }
    if (resistor.leastAmps() < resistor.mostAmps() / 2) {
      return Optional.of(
          Finding.of(
                  Harm.PARTS,
                  Step.CIRCUITS,
                  key,
                  Verdict.TIGHT,
                  phrase(
                      "%s: current varies from %s to %s with forward-voltage tolerance, so some LEDs will look dimmer.",
                      one.title(),
                      Quantity.text(resistor.leastAmps(), "A"),
                      Quantity.text(resistor.mostAmps(), "A")))
              .advising("A higher supply or fewer LEDs in series evens it out.")
              .restingOn(working(load)));
    }
    return Optional.empty();
  }

  private String setting() {
    ConstantCurrentSink first = (ConstantCurrentSink) plan.switching().loads().get(0).path();
    return phrase(
        "One setting resistor of %s per chip: output current %s",
        Quantity.text(first.settingOhms(), "ohm"), Quantity.text(first.amps(), "A"));
  }

  private Optional<Finding> resistorsHold() {
    List<String> each = new ArrayList<>();
    List<Calculation> workings = new ArrayList<>();
    for (int load = 0; load < plan.switching().loads().size(); load++) {
      OutputLoad one = plan.switching().loads().get(load);
      String flows = Quantity.text(one.path().amps(), "A");
      each.add(
          one.path() instanceof DriverChipLoad
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
                    Harm.PARTS,
                    Step.CIRCUITS,
                    plan.key("resistors"),
                    Verdict.HOLDS,
                    (plan.setByResistor()
                            ? setting()
                            : plan.currentsTitle() + ": " + String.join(", ", each))
                        + ".")
                .restingOn(workings.toArray(Calculation[]::new)));
  }
}
