package org.myrialith.power.supply;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Fuse;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.PowerSettings;
import org.myrialith.voltagedrop.Plug;

/** What is judged of what gives: supplies with their cables and plugs. */
record SourceFindings(TreeFindings of) {
  /** A port of a computer, USB 2.0 (A). */
  private static final double PORT_AMPS = 0.5;

  /** So many times what is drawn is a danger, not a reserve (common practice). */
  private static final double OVERSIZE = 10;

  private TreePlan plan() {
    return of.plan();
  }

  Optional<Finding> plug() {
    Connector plug = plan().settings().connector();
    return plug == Connector.NONE
        ? Optional.empty()
        : Optional.of(
            Plug.judged(
                "supply-plug",
                "the supply",
                plug,
                plan().worst().node(SupplyTree.SUPPLY).amps(),
                "Use a connector rated for it, two of them, or lower the brightness."));
  }

  /** The cable of the supply carries all that is drawn; a fuse near the supply guards it. */
  Optional<Finding> cable() {
    PowerSettings settings = plan().settings();
    if (settings.cableMm() == 0) {
      return Optional.empty();
    }
    double amps = plan().worst().node(SupplyTree.SUPPLY).amps();
    double carries = settings.cable().carriesAmps();
    double fuse = Fuse.carrying(amps);
    boolean fused = Fuse.guards(fuse, carries);
    Verdict verdict = amps > carries ? Verdict.BREAKS : fused ? Verdict.HOLDS : Verdict.TIGHT;
    Calculation working =
        new Calculation(
            "supply-cable",
            "Supply cable current",
            amps,
            "A",
            "drawn from the supply",
            List.of(given("drawn from the supply", amps, "A"), given("wire rating", carries, "A")),
            Source.standard("IEC 60335-1, table 11; thin wires 6 A/mm², common practice"));
    Finding finding =
        TreeFindings.of(
                "supply-cable",
                verdict,
                phrase(
                    "Supply cable up to %s; %s is rated for %s continuous.%s",
                    Quantity.text(amps, "A"),
                    settings.cable().title(),
                    Quantity.text(carries, "A"),
                    fuse == 0
                        ? ""
                        : phrase(
                            " A fuse of %s near the supply %s.",
                            Quantity.text(fuse, "A"),
                            fused ? "protects it" : "would blow later than the wire")))
            .harming(Harm.PERSON)
            .restingOn(working);
    return Optional.of(
        verdict == Verdict.HOLDS
            ? finding
            : finding.advising(
                phrase(
                    "Use a cable rated for %s, or lower the brightness.",
                    Quantity.text(fuse == 0 ? amps : fuse, "A"))));
  }

  /** What is lost on the way is missing at the controller too. */
  Optional<Finding> controller() {
    Controller controller = plan().brief().controller();
    String node = plan().tree().controller();
    double volts = plan().surge().node(node).volts();
    double nominal = plan().brief().controllerVolts();
    double least = controller.leastVolts(nominal);
    if (volts >= least || nominal < least || volts <= 0) {
      return Optional.empty(); // the class at these volts, and what carries nothing, are told
    }
    Calculation working =
        new Calculation(
            "controller-volts",
            "Controller supply at peak current",
            volts,
            "V",
            "at its node under load",
            List.of(
                given("at its node under load", volts, "V"),
                given("without load", nominal, "V"),
                given("needs", least, "V")),
            Source.partClass("minimum supply of the class at its clock"));
    return Optional.of(
        TreeFindings.of(
                "controller-volts-loaded",
                Verdict.BREAKS,
                phrase(
                    "Controller supply %s at peak current; at %s it needs %s and may reset.",
                    Quantity.text(volts, "V"),
                    Quantity.text(controller.clockHz(), "Hz"),
                    Quantity.text(least, "V")))
            .restingOn(working)
            .advising(
                "Use a shorter or thicker cable, supply the controller by separate wires, or lower the brightness."));
  }

  /** What is drawn for a part of a frame is beyond what a supply is rated for. */
  Optional<Finding> surge() {
    double amps = plan().surge().node(SupplyTree.SUPPLY).amps();
    double steady = plan().peak().node(SupplyTree.SUPPLY).amps();
    boolean within = amps <= steady + 1e-9 || amps <= plan().supply().amps();
    return within || plan().supply().kind().runsEmpty()
        ? Optional.empty()
        : Optional.of(
            TreeFindings.of(
                    "surge",
                    Verdict.TIGHT,
                    phrase(
                        "Short peaks of %s while one row is on or filaments are cold; %s is rated %s.",
                        Quantity.text(amps, "A"),
                        plan().supply().name(),
                        Quantity.text(plan().supply().amps(), "A")))
                .advising(
                    "A capacitor at the LEDs covers scan peaks; switch lamps on one after the other."));
  }

  /** A computer's port feeds whatever hangs where the controller does. */
  Optional<Finding> programming() {
    double amps = plan().worst().node(plan().tree().controller()).amps();
    return !plan().tree().lights().equals(plan().tree().controller()) || amps <= PORT_AMPS
        ? Optional.empty()
        : Optional.of(
            TreeFindings.of(
                    "programming",
                    Verdict.HOLDS,
                    phrase(
                        "A computer port used for programming would supply all its loads, up to %s; it gives %s.",
                        Quantity.text(amps, "A"), Quantity.text(PORT_AMPS, "A")))
                .advising(
                    "Before programming, unplug the supply, then disconnect the plus of the LEDs; leave ground and data connected."));
  }

  Finding judged(String name, Supply supply, TreeState state) {
    TreeState.Node node = state.node(name);
    if (node.volts() <= 0) {
      return TreeFindings.of(
              of.key("source", name),
              Verdict.BREAKS,
              phrase(
                  "%s collapses under its loads: internal and cable resistance take all of its voltage.",
                  supply.name()))
          .advising("Use a stronger supply, a thicker cable, or lower the brightness.");
    }
    double plan80 = supply.amps() * (100 - plan().settings().marginPercent()) / 100;
    Verdict verdict =
        node.amps() <= plan80 + 1e-12
            ? Verdict.HOLDS
            : node.amps() <= supply.amps() ? Verdict.TIGHT : Verdict.BREAKS;
    Calculation working =
        new Calculation(
            of.key("source-amps", name),
            phrase("Current from %s", supply.name()),
            node.amps(),
            "A",
            Calculation.FOUND_BY
                + "solving the supply tree: the currents of all loads; for converters output power ÷ efficiency ÷ input voltage",
            List.of(
                given("rating", supply.amps(), "A"),
                given("source voltage", node.inVolts(), "V"),
                given("voltage at the end of the cable", node.volts(), "V"),
                given(
                    "source and cable resistance",
                    (node.inVolts() - node.volts()) / Math.max(1e-12, node.amps()),
                    "ohm")),
            Source.ARITHMETIC);
    Finding finding =
        TreeFindings.of(
                of.key("source", name),
                verdict,
                phrase(
                    "%s: up to %s, %s at the end of its cable; rated %s.",
                    supply.name(),
                    Quantity.text(node.amps(), "A"),
                    Quantity.text(node.volts(), "V"),
                    Quantity.text(supply.amps(), "A")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Use a stronger supply, or lower the brightness.");
  }

  Optional<Finding> oversize(TreeState worst) {
    double draws = worst.node(SupplyTree.SUPPLY).amps();
    boolean large =
        plan().supply().kind() == SupplyKind.COMPUTER && plan().supply().amps() > OVERSIZE * draws;
    return large
        ? Optional.of(
            TreeFindings.of(
                    "oversize",
                    Verdict.TIGHT,
                    phrase(
                        "%s supplies up to %s, the gadget draws %s: a short circuit burns wires first.",
                        plan().supply().name(),
                        Quantity.text(plan().supply().amps(), "A"),
                        Quantity.text(draws, "A")))
                .harming(Harm.PERSON)
                .advising(
                    phrase(
                        "Put a fuse of about %s near it.",
                        Quantity.text(Math.ceil(1.5 * draws), "A"))))
        : Optional.empty();
  }
}
