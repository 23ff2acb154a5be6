package org.myrialith.firmware.export;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.finding.Quantity;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Fuse;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.PowerPlan;
import org.myrialith.power.supply.TreePlan;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailPlan;

/**
 * What is supplied from where, in words: the same tree, chains and currents as on the pages.
 *
 * @param tree empty as long as no supply is named
 * @param rails of chains of pixels
 * @param driven circuits that the firmware drives
 */
public record SupplyText(
    Brief brief,
    PowerPlan power,
    Optional<TreePlan> tree,
    List<RailPlan> rails,
    List<CircuitPlan> driven) {

  private List<CircuitPlan> apart() {
    return driven.stream().filter(CircuitPlan::ownRail).toList();
  }

  private Optional<String> nodeOf(CircuitPlan circuit) {
    return brief.tree().own().stream()
        .filter(draw -> draw.name().equals(circuit.circuit().id()))
        .map(SupplyTree.Draw::on)
        .findFirst();
  }

  /** Returns the grounds that are joined first. */
  public String grounds(String ofLights) {
    List<String> all = new ArrayList<>(List.of("the controller", ofLights));
    brief.tree().sources().forEach(source -> all.add(source.name()));
    brief.tree().converters().stream()
        .filter(c -> c.sort() != ConverterSort.SWITCH)
        .forEach(c -> all.add(c.name() + " (input and output)"));
    apart().stream()
        .filter(c -> nodeOf(c).isEmpty())
        .forEach(
            c ->
                all.add(
                    phrase(
                        "the %s rail of %s",
                        Quantity.text(c.railVolts(), "V"), c.circuit().name())));
    return phrase("Ground of the supply to ground of %s.", String.join(", of ", all));
  }

  /** Returns the capacitors where power enters. */
  public List<String> capacitors(boolean pixels) {
    List<String> all = new ArrayList<>();
    for (RailPlan rail : rails) {
      all.add(
          phrase(
              "%s: a capacitor of %s or more, rated above %s, across plus and minus %s; observe its polarity.",
              rail.circuit().circuit().name(),
              Quantity.text(rail.bulkMicrofarads(), "µF"),
              Quantity.text(rail.load().volts(), "V"),
              rail.settings().feeds().size() > 1
                  ? "at each of its injection points"
                  : "at its power input"));
    }
    if (rails.size() < driven.size()) {
      all.add(
          "A capacitor of 470 to 1000 uF across the supply where it enters the boards; observe its polarity.");
    }
    return all;
  }

  /** Returns the converters, from the supply on, to be set before any load is connected. */
  public List<String> converters() {
    return brief.tree().converters().stream().map(this::converter).toList();
  }

  private String converter(Converter converter) {
    String from = brief.node(converter.from());
    return switch (converter.sort()) {
      case CHARGER -> phrase("%s (charge board): its cell side to %s.", converter.name(), from);
      case SWITCH ->
          phrase(
              "%s (enable switch): in the plus from %s; it carries up to %s.",
              converter.name(), from, Quantity.text(converter.amps(), "A"));
      default ->
          phrase(
              "%s (%s): input to %s. Set and measure %s at its output before anything is connected to it; it gives up to %s.",
              converter.name(),
              converter.sort().title(),
              from,
              Quantity.text(converter.volts(), "V"),
              Quantity.text(converter.amps(), "A"));
    };
  }

  /** Returns how chains are fed, as far as that is entered. */
  public List<String> feeds() {
    List<String> all = new ArrayList<>();
    for (RailPlan rail : rails) {
      if (!rail.said()) {
        continue;
      }
      String node =
          rail.load().ownRail()
              ? nodeOf(rail.circuit())
                  .map(brief::node)
                  .orElse(phrase("its rail (%s)", Quantity.text(rail.load().volts(), "V")))
              : brief.lightsNode();
      double[] amps = rail.feedAmps(power.framesOnly());
      for (int f = 0; f < amps.length; f++) {
        all.add(feed(rail, rail.settings().feeds().get(f), amps[f], node));
      }
    }
    return all;
  }

  private static String feed(RailPlan rail, Feed feed, double amps, String node) {
    double fuse = Fuse.carrying(amps);
    return phrase(
        "%s: plus and minus from %s to pixel %d, each %s, %s long%s, up to %s%s.",
        rail.circuit().circuit().name(),
        node,
        feed.at(),
        feed.wire().title(),
        Quantity.text(feed.lengthMm() * 1e-3, "m"),
        feed.connector() == Connector.NONE ? "" : " with a " + feed.connector().title(),
        Quantity.text(amps, "A"),
        Fuse.guards(fuse, feed.wire().carriesAmps())
            ? phrase("; a fuse of %s near where it begins", Quantity.text(fuse, "A"))
            : "");
  }

  /** Returns which node goes to what, the supply last. */
  public List<String> nodes() {
    List<String> all = new ArrayList<>();
    for (CircuitPlan circuit : apart()) {
      if (nodeOf(circuit).isEmpty()) {
        all.add(
            phrase(
                "%s: plus of a rail of %s for up to %s, for which no supply is named yet.",
                circuit.circuit().name(),
                Quantity.text(circuit.railVolts(), "V"),
                Quantity.text(circuit.railAmps(), "A")));
      }
    }
    List<String> nodes = new ArrayList<>(brief.tree().nodes());
    nodes.remove(SupplyTree.SUPPLY);
    for (String node : nodes) {
      List<String> loads = loads(node);
      if (!loads.isEmpty()) {
        all.add(phrase("Plus of %s to %s.", brief.node(node), String.join(", and to ", loads)));
      }
    }
    all.add(supply());
    return all;
  }

  private List<String> loads(String node) {
    List<String> all = new ArrayList<>();
    if (brief.tree().controller().equals(node)) {
      all.add(
          brief.controller().straight(brief.controllerVolts())
              ? "the 3.3 V pin of the controller"
              : "the controller");
    }
    List<CircuitPlan> lights = driven.stream().filter(c -> !c.ownRail()).toList();
    if (brief.tree().lights().equals(node) && !lights.isEmpty()) {
      all.add(
          lights.size() == driven.size()
              ? "the lights"
              : "the lights of "
                  + String.join(", ", lights.stream().map(c -> c.circuit().name()).toList()));
    }
    for (SupplyTree.Draw draw : brief.tree().own()) {
      if (draw.on().equals(node)) {
        all.add(
            driven.stream()
                .filter(c -> c.circuit().id().equals(draw.name()))
                .map(c -> "the lights of " + c.circuit().name())
                .findFirst()
                .orElse(draw.name()));
      }
    }
    return all;
  }

  private String supply() {
    List<String> to = loads(SupplyTree.SUPPLY);
    brief.tree().converters().stream()
        .filter(c -> c.from().equals(SupplyTree.SUPPLY))
        .forEach(c -> to.add("the input of " + c.name()));
    String named =
        brief
            .supply()
            .map(
                s ->
                    phrase(
                        " (%s, %s, %s)",
                        s.name(), Quantity.text(s.volts(), "V"), Quantity.text(s.amps(), "A")))
            .orElse(", which is not named yet,");
    return phrase(
        "Last: plus of the supply%s%s to %s.", named, cable(), String.join(", and to ", to));
  }

  private String cable() {
    if (power.settings().cableMm() == 0 || tree.isEmpty()) {
      return "";
    }
    double amps = tree.get().worst().node(SupplyTree.SUPPLY).amps();
    double fuse = Fuse.carrying(amps);
    return phrase(
        " by a cable of %s each, %s long,%s",
        power.settings().cable().title(),
        Quantity.text(power.settings().cableMm() * 1e-3, "m"),
        Fuse.guards(fuse, power.settings().cable().carriesAmps())
            ? phrase(" with a fuse of %s near the supply,", Quantity.text(fuse, "A"))
            : "");
  }

  /** Returns what is drawn from each source at the most. */
  public List<String> currents() {
    List<String> all = new ArrayList<>();
    tree.ifPresent(
        plan -> {
          Map<String, Supply> sources = new LinkedHashMap<>();
          sources.put(SupplyTree.SUPPLY, plan.supply());
          brief.tree().sources().forEach(s -> sources.put(s.name(), s));
          sources.forEach(
              (node, source) ->
                  all.add(
                      phrase(
                          "%s: up to %s; rated %s.",
                          source.name(),
                          Quantity.text(plan.worst().node(node).amps(), "A"),
                          Quantity.text(source.amps(), "A"))));
        });
    for (CircuitPlan circuit : apart()) {
      all.add(
          phrase(
              "%s has a separate rail of %s: up to %s from %s.",
              circuit.circuit().name(),
              Quantity.text(circuit.railVolts(), "V"),
              Quantity.text(circuit.railAmps(), "A"),
              nodeOf(circuit).map(brief::node).orElse("a supply that is not named yet")));
    }
    return all;
  }

  /**
   * Returns what is unplugged before a computer's port supplies the loads on the controller's node.
   */
  public String programming() {
    return brief.tree().lights().equals(brief.tree().controller())
        ? phrase(
            "Before you connect a computer for programming: unplug %s, then disconnect the plus of the lights; leave grounds and data connected. The port must not supply the lights.",
            brief.supply().map(Supply::name).orElse("the supply"))
        : phrase(
            "Before you connect a computer for programming: unplug %s%s; the port supplies all loads on the controller's node.",
            brief.supply().map(Supply::name).orElse("the supply"),
            brief.tree().controller().equals(SupplyTree.SUPPLY)
                ? ""
                : ", and disconnect the output of "
                    + brief.tree().controller()
                    + " from the controller");
  }
}
