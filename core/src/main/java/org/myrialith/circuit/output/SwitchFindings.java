package org.myrialith.circuit.output;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.SeparateRail;
import org.myrialith.circuit.electrical.Filament;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * What is judged of transistors behind outputs, and of a rail that the LEDs have for themselves.
 */
record SwitchFindings(SwitchedPlan plan) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    rail().ifPresent(all::add);
    volts().ifPresent(all::add);
    if (through() != SwitchType.NONE) {
      openDrain().ifPresent(all::add);
      drive().ifPresent(all::add);
      gate().ifPresent(all::add);
      all.add(heat());
    }
    inrush().ifPresent(all::add);
    return all;
  }

  private SwitchType through() {
    return plan.hookup().through();
  }

  private List<OutputLoad> loads() {
    return plan.switching().loads();
  }

  private double mostAmps() {
    return loads().stream().mapToDouble(OutputLoad::mostAmps).max().orElse(0);
  }

  private double logicVolts() {
    return plan.brief().logicVolts();
  }

  /** What hangs on a rail of its own is not the supply's to carry. */
  private Optional<Finding> rail() {
    if (!plan.hookup().ownRail()) {
      return Optional.empty();
    }
    return Optional.of(
        SeparateRail.finding(plan, plan.key("rail"), plan.hookup().railVolts(), plan.railAmps()));
  }

  private Optional<Finding> volts() {
    if (plan.hookup().side() == Side.TO_GROUND || plan.betweenPins()) {
      return Optional.empty();
    }
    double rail = plan.hookup().volts(plan.brief().volts());
    double most = plan.stage().mostVolts();
    return rail <= most
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Harm.PARTS,
                    Step.CIRCUITS,
                    plan.key("rail-volts"),
                    Verdict.BREAKS,
                    phrase(
                        "Supply of the LEDs %s; rating of the outputs that switch them %s.",
                        Quantity.text(rail, "V"), Quantity.text(most, "V")))
                .advising("Switch them through a transistor, or use outputs rated for it."));
  }

  /** An open drain only pulls down: what is to turn a transistor on has to come from elsewhere. */
  private Optional<Finding> openDrain() {
    if (!plan.oneSinks()) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("open-drain"),
                Verdict.BREAKS,
                "Open-drain outputs can't drive a base or gate high: without a pull-up the transistors never conduct.")
            .advising(
                "Connect the LEDs straight to the outputs, or use HC registers before the transistors."));
  }

  /** What an output gives to the base of a transistor. */
  private Optional<Finding> drive() {
    double carries = loads().stream().mapToDouble(OutputLoad::amps).max().orElse(0);
    double gives = through().driveAmps(carries);
    if (gives == 0) {
      return Optional.empty();
    }
    double ohms = through().baseOhms(carries, logicVolts(), plan.hookup().resistors());
    double plans = plan.chipStage().planMilliamps() * 1e-3;
    double most = plan.chipStage().mostMilliamps() * 1e-3;
    Verdict verdict = gives > most ? Verdict.BREAKS : gives > plans ? Verdict.TIGHT : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            plan.key("base-current"),
            "Output current into its switch",
            gives,
            "A",
            ohms > 0 ? "current of the load ÷ 15" : "(5 V − 1.4 V) ÷ 2.7 kohm",
            List.of(
                given("current of the load", carries, "A"), given("before the base", ohms, "ohm")),
            Source.COMMON_PRACTICE);
    String says =
        ohms > 0
            ? phrase(
                "Base current %s through %s.",
                Quantity.text(gives, "A"), Quantity.text(ohms, "ohm"))
            : phrase("Input current of the array %s.", Quantity.text(gives, "A"));
    Finding finding =
        Finding.of(Harm.PARTS, Step.CIRCUITS, plan.key("base"), verdict, says).restingOn(working);
    return Optional.of(
        verdict == Verdict.HOLDS
            ? finding
            : finding.advising("High for an output: use a MOSFET or a Darlington array."));
  }

  /** A MOSFET is only fully on at the gate volts that its data are given for. */
  private Optional<Finding> gate() {
    double needs = through().gateVolts();
    if (needs == 0) {
      return Optional.empty();
    }
    boolean on = logicVolts() >= needs;
    Finding finding =
        Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            plan.key("gate"),
            on ? Verdict.HOLDS : Verdict.BREAKS,
            phrase(
                "Gate voltage %s; the MOSFET is fully on from %s.",
                Quantity.text(logicVolts(), "V"), Quantity.text(needs, "V")));
    return Optional.of(
        on
            ? finding
            : finding.advising(
                "Use a MOSFET whose on-resistance is specified at this logic voltage."));
  }

  private Finding heat() {
    SwitchType.Package in = through().in();
    double watts = in.switches() * through().watts(mostAmps());
    boolean cool = watts <= in.watts();
    Calculation working =
        new Calculation(
            plan.key("switch-heat"),
            in.switches() > 1
                ? "Dissipation of a package, all its switches on"
                : "Dissipation of a switch",
            watts,
            "W",
            "switches × current × (saturation voltage + current × on-resistance)",
            List.of(
                given("switches", in.switches(), ""),
                given("current", mostAmps(), "A"),
                given("saturation voltage", plan.stage().lostVolts(), "V"),
                given("on-resistance", plan.stage().sinkOhms(), "ohm"),
                given("without heat sink", in.watts(), "W")),
            Source.partClass("data of the class"));
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("switch-heat"),
                cool ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "%s dissipates %s; limit %s.",
                    in.switches() > 1 ? "A package with all its switches on" : "A switch",
                    Quantity.text(watts, "W"),
                    Quantity.text(in.watts(), "W")))
            .restingOn(working);
    return cool
        ? finding
        : finding.advising("Use MOSFETs, or light fewer outputs of a package at once.");
  }

  /** Cold lamps against what the switch stands for a moment. */
  private Optional<Finding> inrush() {
    double most =
        loads().stream()
            .filter(load -> load.path() instanceof Filament)
            .mapToDouble(load -> load.paths() * ((Filament) load.path()).inrushAmps())
            .max()
            .orElse(0);
    if (most == 0) {
      return Optional.empty();
    }
    double stands = plan.stage().mostMilliamps() * 1e-3;
    boolean holds = most <= stands;
    Finding finding =
        Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            plan.key("inrush"),
            holds ? Verdict.HOLDS : Verdict.TIGHT,
            phrase(
                "Inrush of a cold lamp %s for 10 to 100 ms; rated current of the switch %s.",
                Quantity.text(most, "A"), Quantity.text(stands, "A")));
    return Optional.of(
        holds
            ? finding
            : finding.advising("Use a stronger switch, or keep the lamps glowing faintly."));
  }
}
