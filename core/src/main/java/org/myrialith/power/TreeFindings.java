package org.myrialith.power;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Cell;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;

/** What is judged of the nodes of a supply tree, and of cells. */
record TreeFindings(TreePlan plan) {
  private static final double AIR_CELSIUS = 25;

  /** Where silicon fails, and where it is too hot to touch for long (°C), common practice. */
  private static final double MOST_CELSIUS = 125;

  private static final double HOT_CELSIUS = 85;

  /** A power bank takes less for nothing and switches off (A), common practice. */
  private static final double BANK_LEAST_AMPS = 0.05;

  /** So many times what is drawn is a danger, not a reserve (common practice). */
  private static final double OVERSIZE = 10;

  private SupplyTree tree() {
    return plan.tree();
  }

  private static String key(String name, String node) {
    return name + "-" + node.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  private static Finding of(String key, Verdict verdict, String says) {
    return Finding.of(Step.POWER, key, verdict, says);
  }

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    boolean plain = plan.supply().kind() == SupplyKind.PLAIN && plan.settings().cableMm() == 0;
    if (plain && !tree().there()) {
      return all;
    }
    TreeState worst = plan.worst();
    all.add(source(SupplyTree.SUPPLY, plan.supply(), worst));
    tree().sources().forEach(s -> all.add(source(s.name(), s, worst)));
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
    oversize(worst).ifPresent(all::add);
    bank().ifPresent(all::add);
    if (plan.supply().kind().runsEmpty()) {
      all.add(pulse());
      all.add(life());
    }
    return all;
  }

  private Finding source(String name, Supply supply, TreeState state) {
    TreeState.Node node = state.node(name);
    if (node.volts() <= 0) {
      return of(
              key("source", name),
              Verdict.BREAKS,
              phrase(
                  "%s cannot carry what hangs on it: what it has inside and its cable leave nothing.",
                  supply.name()))
          .advising("Use a stronger supply, a thicker cable, or ask for less light.");
    }
    double plan80 = supply.amps() * (100 - plan.settings().marginPercent()) / 100;
    Verdict verdict =
        node.amps() <= plan80 + 1e-12
            ? Verdict.HOLDS
            : node.amps() <= supply.amps() ? Verdict.TIGHT : Verdict.BREAKS;
    Reckoning working =
        new Reckoning(
            key("source-amps", name),
            phrase("Drawn from %s", supply.name()),
            node.amps(),
            "A",
            "sum of the currents behind it; through what converts, watts ÷ volts where the cable ends",
            List.of(
                given("rating", supply.amps(), "A"),
                given("volts inside", node.inVolts(), "V"),
                given("volts at the end of the cable", node.volts(), "V"),
                given(
                    "inside and cable",
                    (node.inVolts() - node.volts()) / Math.max(1e-12, node.amps()),
                    "ohm")),
            Source.ARITHMETIC);
    Finding finding =
        of(
                key("source", name),
                verdict,
                phrase(
                    "%s gives up to %s, %s where its cable ends; it is rated %s.",
                    supply.name(),
                    Quantity.text(node.amps(), "A"),
                    Quantity.text(node.volts(), "V"),
                    Quantity.text(supply.amps(), "A")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Use a stronger supply, or ask for less light.");
  }

  private Finding converter(Converter converter, TreeState.Node node) {
    double nominal = tree().volts(converter.name(), plan.supply().volts());
    boolean overloaded = !converter.sort().passes() && node.amps() > converter.amps();
    boolean low = !converter.sort().passes() && node.volts() < nominal - 1e-6;
    boolean high = converter.sort() == ConverterSort.BOOST && node.inVolts() > nominal + 1e-6;
    boolean passed = converter.sort() == ConverterSort.SWITCH && node.amps() > converter.amps();
    String flows =
        phrase(
            "%s gets %s and %s, gives %s at %s",
            converter.name(),
            Quantity.text(node.inVolts(), "V"),
            Quantity.text(node.inAmps(), "A"),
            Quantity.text(node.amps(), "A"),
            Quantity.text(node.volts(), "V"));
    String ends =
        overloaded || passed
            ? phrase("; %s is the most.", Quantity.text(converter.amps(), "A"))
            : low
                ? phrase(
                    "; for %s it needs %s.",
                    Quantity.text(nominal, "V"),
                    Quantity.text(nominal + converter.dropVolts(), "V"))
                : high ? "; a step-up converter can't give less than it gets." : ".";
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
                ? "Use a stronger one, or ask for less light."
                : low
                    ? "Feed it with more volts, or use one that steps up."
                    : "Use one that steps down.");
  }

  private Reckoning through(Converter converter, TreeState.Node node) {
    return new Reckoning(
        key("converter-amps", converter.name()),
        phrase("Taken by %s", converter.name()),
        node.inAmps(),
        "A",
        converter.sort().converts()
            ? "volts × amperes that it gives ÷ what comes out ÷ volts that it gets + own draw: watts pass through it"
            : "amperes that it gives + own draw: they pass through it",
        List.of(
            given("gives", node.amps(), "A"),
            given("at", node.volts(), "V"),
            given("gets", node.inVolts(), "V"),
            given("comes out", converter.percent(), "%"),
            given("own draw", converter.idleMilliamps() * 1e-3, "A")),
        Source.ARITHMETIC);
  }

  private Finding heat(Converter converter, TreeState.Node node) {
    double celsius = AIR_CELSIUS + node.lostWatts() * converter.kelvinPerWatt();
    Verdict verdict =
        celsius > MOST_CELSIUS
            ? Verdict.BREAKS
            : celsius > HOT_CELSIUS ? Verdict.TIGHT : Verdict.HOLDS;
    Reckoning working =
        new Reckoning(
            key("converter-heat", converter.name()),
            phrase("Inside %s", converter.name()),
            celsius,
            "°C",
            "air + watts lost × kelvin a watt",
            List.of(
                given("air", AIR_CELSIUS, "°C"),
                given("lost", node.lostWatts(), "W"),
                given("warmer by", converter.kelvinPerWatt(), "K/W")),
            Source.COMMON_PRACTICE);
    Finding finding =
        of(
                key("converter-heat", converter.name()),
                verdict,
                phrase(
                    "%s loses %s and gets %s warm; it fails at %s.",
                    converter.name(),
                    Quantity.text(node.lostWatts(), "W"),
                    Quantity.text(celsius, "°C"),
                    Quantity.text(MOST_CELSIUS, "°C")))
            .restingOn(working);
    if (verdict == Verdict.HOLDS) {
      return finding;
    }
    double kelvin = (HOT_CELSIUS - AIR_CELSIUS) / node.lostWatts();
    return finding.advising(
        phrase(
            "With a heat sink of %s in all it stays at %s%s.",
            Quantity.text(Math.floor(10 * kelvin) / 10, "K/W"),
            Quantity.text(HOT_CELSIUS, "°C"),
            converter.sort() == ConverterSort.LINEAR
                ? "; a step-down converter loses some tenth of that"
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
                        "%s is reckoned with the lights, and told to hang on %s.",
                        circuit.get().circuit().name(), draw.on()))
                .advising(
                    phrase(
                        "Give it a rail of its own of %s under Circuits, or take it off this list.",
                        Quantity.text(there, "V"))));
      } else if (circuit.isPresent() && Math.abs(circuit.get().railVolts() - there) > 0.5) {
        all.add(
            of(
                    key("hangs", draw.name()),
                    Verdict.BREAKS,
                    phrase(
                        "%s is planned for %s and hangs on %s, which has %s.",
                        circuit.get().circuit().name(),
                        Quantity.text(circuit.get().railVolts(), "V"),
                        draw.on(),
                        Quantity.text(there, "V")))
                .advising("Hang it on a node of its volts."));
      }
    }
    return all;
  }

  private Optional<Finding> oversize(TreeState worst) {
    double draws = worst.node(SupplyTree.SUPPLY).amps();
    boolean large =
        plan.supply().kind() == SupplyKind.COMPUTER && plan.supply().amps() > OVERSIZE * draws;
    return large
        ? Optional.of(
            of(
                    "oversize",
                    Verdict.TIGHT,
                    phrase(
                        "%s gives %s, %s is drawn: a short burns wires before it gives up.",
                        plan.supply().name(),
                        Quantity.text(plan.supply().amps(), "A"),
                        Quantity.text(draws, "A")))
                .advising(
                    phrase(
                        "Put a fuse of some %s near it.",
                        Quantity.text(Math.ceil(1.5 * draws), "A"))))
        : Optional.empty();
  }

  private Optional<Finding> bank() {
    double least =
        Math.min(
            amps(plan.dark()), plan.settings().day().sleepHours() > 0 ? amps(plan.asleep()) : 1);
    return plan.supply().kind() == SupplyKind.BANK && least < BANK_LEAST_AMPS
        ? Optional.of(
            of(
                    "bank-sleeps",
                    Verdict.TIGHT,
                    phrase(
                        "Dark or asleep, %s is drawn: a power bank switches itself off below some %s.",
                        Quantity.text(least, "A"), Quantity.text(BANK_LEAST_AMPS, "A")))
                .advising("Use one that stays on, or let the lights glow a little."))
        : Optional.empty();
  }

  private static double amps(TreeState state) {
    return state.node(SupplyTree.SUPPLY).amps();
  }

  /** The moment that draws most, through what cells have inside. */
  private Finding pulse() {
    Cell cell = plan.supply().kind().cell();
    double most = cell.mostAmps();
    TreeState.Node node = plan.peak().node(SupplyTree.SUPPLY);
    double least = new BatteryLife(plan).leastVolts();
    boolean sags = node.volts() < least;
    boolean beyond = node.amps() > most;
    Finding finding =
        of(
            "cell-pulse",
            sags || beyond ? Verdict.BREAKS : Verdict.HOLDS,
            phrase(
                "In the moment that draws most, %s flows from %s%s; %s is the most for a moment, %s is needed.",
                Quantity.text(node.amps(), "A"),
                plan.supply().name(),
                node.volts() > 0
                    ? phrase(", and it sags to %s", Quantity.text(node.volts(), "V"))
                    : ", which it cannot carry",
                Quantity.text(most, "A"),
                Quantity.text(least, "V")));
    return sags || beyond
        ? finding.advising("Ask for less light, use larger cells, or put a capacitor across them.")
        : finding;
  }

  private static String lasts(double hours) {
    return hours >= 96
        ? phrase(
            "%s h, %s",
            Quantity.number(Math.floor(hours)), Quantity.text(Math.floor(hours / 24), "days"))
        : hours < 1 ? Quantity.text(Math.floor(60 * hours), "min") : Quantity.text(hours, "h");
  }

  private Finding life() {
    BatteryLife life = new BatteryLife(plan);
    Day day = plan.settings().day();
    double hours = life.showHours();
    double amps = amps(plan.mean());
    Verdict verdict =
        life.usable() <= 0
            ? Verdict.BREAKS
            : day.wantedHours() > 0 && hours < day.wantedHours() ? Verdict.BREAKS : Verdict.HOLDS;
    Reckoning working =
        new Reckoning(
            "cell-life",
            "Hours of the show",
            hours,
            "h",
            "share that can be used ÷ (sum over a day of hours × current ÷ what the cells hold at it + what they lose by themselves) × hours of the show a day",
            List.of(
                given("share that can be used", life.usable() * 100, "%"),
                given("drawn in the show", amps, "A"),
                given("held at that", life.holds(amps), "mAh"),
                given("empty at", life.leastVolts(), "V"),
                given("show", day.showHours(), "h a day"),
                given("asleep", amps(plan.asleep()), "A")),
            Source.partClass(
                "cells of the class; between loads by decades, as Peukert's rule has it"));
    String says =
        life.usable() <= 0
            ? phrase(
                "%s cannot start it: full they have %s, it needs %s.",
                plan.supply().name(),
                Quantity.text(plan.supply().cells() * plan.supply().kind().cell().fullVolts(), "V"),
                Quantity.text(life.leastVolts(), "V"))
            : phrase(
                "%s: %s of the show%s.",
                plan.supply().name(),
                lasts(hours),
                day.showHours() < 24
                    ? phrase(", %s", Quantity.text(Math.floor(10 * life.days()) / 10, "days"))
                    : "");
    if (day.wantedHours() > 0 && life.usable() > 0) {
      says +=
          phrase(
              " %s want cells of %s at this load.",
              lasts(day.wantedHours()),
              Quantity.text(Math.ceil(life.neededMilliampHours(day.wantedHours())), "mAh"));
    }
    return of("cell-life", verdict, says).restingOn(working).advising(longer(life));
  }

  /** Something that makes cells last. */
  private record Way(String says, double hours) {}

  /** What would make them last, the best first. */
  private String longer(BatteryLife life) {
    List<Way> ways = new ArrayList<>();
    ways.add(new Way("lights at half", life.showHoursAt(0.5)));
    ways.add(new Way("lights at a quarter", life.showHoursAt(0.25)));
    if (plan.settings().day().sleepHours() > 0 && !tree().switchedOff(tree().lights())) {
      ways.add(new Way("lights off by a switch in sleep", life.showHoursSwitched()));
    }
    double now = life.showHours();
    List<String> told =
        ways.stream()
            .filter(way -> way.hours() > 1.02 * now)
            .sorted(Comparator.comparingDouble(Way::hours).reversed())
            .map(way -> phrase("%s: %s", way.says(), lasts(way.hours())))
            .toList();
    double charge = life.chargeHours();
    String charging =
        charge > 0 ? phrase(" Charging takes some %s.", Quantity.text(charge, "h")) : "";
    return told.isEmpty()
        ? charging.strip()
        : phrase("It would last with %s.", String.join("; ", told)) + charging;
  }
}
