package org.myrialith.power.supply;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;

/** What is judged of the nodes of a supply tree. */
record TreeFindings(TreePlan plan) {
  private static final double AIR_CELSIUS = 25;

  /** Where silicon fails, and where it is too hot to touch for long (°C), common practice. */
  private static final double MOST_CELSIUS = 125;

  private static final double HOT_CELSIUS = 85;

  private SupplyTree tree() {
    return plan.tree();
  }

  private static String plain(String node) {
    return node.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  /** Nodes whose names come out alike in plain letters are told apart by their places. */
  String key(String name, String node) {
    List<String> nodes = tree().nodes();
    boolean alone = nodes.stream().filter(n -> plain(n).equals(plain(node))).count() <= 1;
    return name + "-" + (alone ? plain(node) : String.valueOf(nodes.indexOf(node)));
  }

  static Finding of(String key, Verdict verdict, String says) {
    return Finding.of(Harm.PARTS, Step.POWER, key, verdict, says);
  }

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    SourceFindings sources = new SourceFindings(this);
    sources.plug().ifPresent(all::add);
    sources.surge().ifPresent(all::add);
    boolean plain = plan.supply().kind() == SupplyKind.PLAIN && plan.settings().cableOhms() == 0;
    if (plain && !tree().there()) {
      return all;
    }
    sources.programming().ifPresent(all::add);
    sources.cable().ifPresent(all::add);
    sources.controller().ifPresent(all::add);
    TreeState worst = plan.worst();
    all.add(sources.judged(SupplyTree.SUPPLY, plan.supply(), worst));
    tree().sources().forEach(s -> all.add(sources.judged(s.name(), s, worst)));
    for (Converter converter : tree().converters()) {
      TreeState.Node node = worst.node(converter.name());
      if (node.inVolts() <= 0) {
        continue; // what feeds it is told to leave nothing
      }
      all.add(converter(converter, node));
      if (!converter.sort().passes()) {
        all.add(heat(converter, node));
      }
    }
    rails().forEach(all::add);
    sources.oversize(worst).ifPresent(all::add);
    if (plan.supply().kind().runsEmpty()) {
      all.addAll(new CellFindings(plan).all());
    }
    return all;
  }

  private Finding converter(Converter converter, TreeState.Node node) {
    double nominal = tree().volts(converter.name(), plan.supply().volts());
    boolean overloaded = !converter.sort().passes() && node.amps() > converter.amps();
    boolean low = !converter.sort().passes() && node.volts() < nominal - 1e-6;
    boolean high = converter.sort() == ConverterSort.BOOST && node.inVolts() > nominal + 1e-6;
    boolean passed = converter.sort() == ConverterSort.SWITCH && node.amps() > converter.amps();
    String flows =
        phrase(
            "%s: input %s, %s; output %s at %s",
            converter.name(),
            Quantity.text(node.inVolts(), "V"),
            Quantity.text(node.inAmps(), "A"),
            Quantity.text(node.amps(), "A"),
            Quantity.text(node.volts(), "V"));
    String ends =
        overloaded || passed
            ? phrase("; maximum %s.", Quantity.text(converter.amps(), "A"))
            : low
                ? phrase(
                    "; for %s it needs %s.",
                    Quantity.text(nominal, "V"),
                    Quantity.text(nominal + converter.dropVolts(), "V"))
                : high ? "; a step-up converter can't give less than its input." : ".";
    Finding finding =
        of(
                key("converter", converter.name()),
                overloaded || low || high || passed ? Verdict.BREAKS : Verdict.HOLDS,
                flows + ends)
            .restingOn(through(converter, node));
    return finding.verdict() == Verdict.HOLDS
        ? finding
        : finding.advising(
            overloaded || passed
                ? "Use a stronger one, or lower the brightness."
                : low
                    ? "Supply it with a higher voltage, or use a step-up converter."
                    : "Use a step-down converter.");
  }

  private Calculation through(Converter converter, TreeState.Node node) {
    return new Calculation(
        key("converter-amps", converter.name()),
        phrase("Input current of %s", converter.name()),
        node.inAmps(),
        "A",
        converter.sort().converts()
            ? "output current × output voltage ÷ efficiency ÷ input voltage + quiescent current"
            : "output current + quiescent current",
        converter.sort().converts()
            ? List.of(
                given("output current", node.amps(), "A"),
                given("output voltage", tree().volts(converter.name(), plan.supply().volts()), "V"),
                given("input voltage", node.inVolts(), "V"),
                given("efficiency", converter.percentAt(node.amps()), "%"),
                given("quiescent current", converter.idleMilliamps() * 1e-3, "A"))
            : List.of(
                given("output current", node.amps(), "A"),
                given("quiescent current", converter.idleMilliamps() * 1e-3, "A")),
        Source.ARITHMETIC);
  }

  private Finding heat(Converter converter, TreeState.Node node) {
    boolean entered = converter.kelvinPerWatt() > 0;
    double each = entered ? converter.kelvinPerWatt() : converter.sort().kelvinPerWatt();
    double celsius = AIR_CELSIUS + node.lostWatts() * each;
    Verdict verdict =
        celsius > MOST_CELSIUS
            ? Verdict.BREAKS
            : celsius > HOT_CELSIUS ? Verdict.TIGHT : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            key("converter-heat", converter.name()),
            phrase("Temperature of %s", converter.name()),
            celsius,
            "°C",
            "ambient + dissipation × thermal resistance",
            List.of(
                given("ambient", AIR_CELSIUS, "°C"),
                given("dissipation", node.lostWatts(), "W"),
                given(entered ? "thermal resistance" : "thermal resistance", each, "K/W")),
            Source.COMMON_PRACTICE);
    Finding finding =
        of(
                key("converter-heat", converter.name()),
                verdict,
                phrase(
                    "%s dissipates %s and reaches %s%s; it fails at %s.",
                    converter.name(),
                    Quantity.text(node.lostWatts(), "W"),
                    Quantity.text(celsius, "°C"),
                    entered
                        ? ""
                        : phrase(
                            " in its usual package (%s, none entered)", Quantity.text(each, "K/W")),
                    Quantity.text(MOST_CELSIUS, "°C")))
            .harming(Harm.PERSON)
            .restingOn(working);
    if (verdict == Verdict.HOLDS) {
      return finding;
    }
    double kelvin = (HOT_CELSIUS - AIR_CELSIUS) / node.lostWatts();
    return finding.advising(
        phrase(
            "With a total thermal resistance of %s it stays at %s%s.",
            Quantity.text(Math.floor(10 * kelvin) / 10, "K/W"),
            Quantity.text(HOT_CELSIUS, "°C"),
            converter.sort() == ConverterSort.LINEAR
                ? "; a step-down converter dissipates about a tenth"
                : ""));
  }

  /** Circuits that are told to hang on a node have its volts. */
  private List<Finding> rails() {
    List<Finding> all = new ArrayList<>();
    for (SupplyTree.Draw draw : tree().own()) {
      Optional<CircuitPlan> circuit = plan.circuit(draw.name());
      double there = tree().volts(draw.on(), plan.supply().volts());
      if (circuit.isPresent() && !circuit.get().ownRail()) {
        all.add(
            of(
                    key("hangs", draw.name()),
                    Verdict.BREAKS,
                    phrase(
                        "%s counts with the lights, but is supplied from %s.",
                        circuit.get().circuit().name(), draw.on()))
                .advising(
                    phrase(
                        "Give it a separate rail of %s under Circuits, or remove it from this list.",
                        Quantity.text(there, "V"))));
      } else if (circuit.isPresent() && Math.abs(circuit.get().railVolts() - there) > 0.5) {
        all.add(
            of(
                    key("hangs", draw.name()),
                    Verdict.BREAKS,
                    phrase(
                        "%s is planned for %s but supplied from %s (%s).",
                        circuit.get().circuit().name(),
                        Quantity.text(circuit.get().railVolts(), "V"),
                        draw.on(),
                        Quantity.text(there, "V")))
                .advising("Supply it from a node of its voltage."));
      }
    }
    return all;
  }
}
