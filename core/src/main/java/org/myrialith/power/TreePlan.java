package org.myrialith.power;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Wiring;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;

/**
 * The supply tree, with everything at its most, as the show draws most and on the mean, dark, and
 * asleep.
 */
public record TreePlan(
    Brief brief, Wiring wiring, PowerPlan power, PowerSettings settings, Supply supply) {
  /** Returns the plan of a gadget whose supply is named. */
  public static Optional<TreePlan> of(
      Brief brief, Wiring wiring, PowerPlan power, PowerSettings settings) {
    return brief.supply().map(s -> new TreePlan(brief, wiring, power, settings, s));
  }

  /** Returns the tree. */
  public SupplyTree tree() {
    return brief.tree();
  }

  private boolean together() {
    return tree().lights().equals(tree().controller());
  }

  private static void add(Map<String, Double> loads, String node, double amps) {
    loads.merge(node, amps, Double::sum);
  }

  /** Loads by node, lights drawing so much, with the controller where that hangs with them. */
  private Map<String, Double> loads(double lightsAmps, double controllerAmps, boolean lit) {
    Map<String, Double> loads = new HashMap<>();
    add(loads, tree().lights(), lightsAmps);
    add(loads, tree().controller(), controllerAmps);
    for (SupplyTree.Draw draw : tree().own()) {
      Optional<CircuitPlan> circuit = circuit(draw.name());
      double amps =
          circuit.isPresent() ? (lit ? circuit.get().railAmps() : 0) : draw.milliamps() * 1e-3;
      add(loads, draw.on(), amps);
    }
    return loads;
  }

  /** Returns the circuit that an entry names. */
  Optional<CircuitPlan> circuit(String id) {
    return wiring.plans().stream().filter(p -> p.circuit().id().equals(id)).findFirst();
  }

  /**
   * Returns what hangs on a node itself, by name, and what it draws with everything at its most.
   */
  public Map<String, Double> loadsOn(String node) {
    Map<String, Double> all = new LinkedHashMap<>();
    double lights = power.limiter().isPresent() ? power.peakAmps() : power.worstAmps();
    if (tree().lights().equals(node)) {
      all.put(together() ? "Lights and controller" : "Lights", lights);
    }
    if (tree().controller().equals(node) && !together()) {
      all.put("Controller", controllerAmps());
    }
    for (SupplyTree.Draw draw : tree().own()) {
      if (draw.on().equals(node)) {
        Optional<CircuitPlan> circuit = circuit(draw.name());
        all.put(
            circuit.map(c -> c.circuit().name()).orElse(draw.name()),
            circuit.map(CircuitPlan::railAmps).orElse(draw.milliamps() * 1e-3));
      }
    }
    return all;
  }

  private double controllerAmps() {
    return together() ? 0 : settings.controllerMilliamps() * 1e-3;
  }

  private TreeState state(Map<String, Double> loads) {
    return TreeState.of(tree(), supply, settings.cableOhms(), loads);
  }

  /** Returns the tree with everything at its most. */
  public TreeState worst() {
    double lights = power.limiter().isPresent() ? power.peakAmps() : power.worstAmps();
    return state(loads(lights, controllerAmps(), true));
  }

  /** Returns the tree in the moment that draws most. */
  public TreeState peak() {
    return state(loads(power.peakAmps(), controllerAmps(), true));
  }

  /** Returns the tree with the means of the show. */
  public TreeState mean() {
    return mean(1);
  }

  /** Returns the same with lights at a share of what they draw. */
  TreeState mean(double share) {
    double dark = power.load().darkAmps();
    return state(loads(dark + share * (power.meanAmps() - dark), controllerAmps(), true));
  }

  /** Returns the tree awake and dark. */
  public TreeState dark() {
    return state(loads(power.load().darkAmps(), controllerAmps(), false));
  }

  /**
   * Returns the tree asleep: the controller sleeps, chips of the lights go on drawing unless a
   * switch takes them off.
   */
  public TreeState asleep() {
    return asleep(tree().switchedOff(tree().lights()));
  }

  TreeState asleep(boolean lightsOff) {
    double own = together() ? settings.controllerMilliamps() * 1e-3 : 0;
    double chips = lightsOff ? 0 : Math.max(0, power.load().darkAmps() - own);
    Map<String, Double> loads = new HashMap<>();
    add(loads, tree().lights(), chips);
    add(loads, tree().controller(), settings.day().sleepMilliamps() * 1e-3);
    for (SupplyTree.Draw draw : tree().own()) {
      if (circuit(draw.name()).isEmpty() && !tree().switchedOff(draw.on())) {
        add(loads, draw.on(), draw.milliamps() * 1e-3);
      }
    }
    return state(loads);
  }

  /** Returns the names of its nodes, sources first. */
  public List<String> names() {
    return worst().nodes().stream().map(TreeState.Node::name).toList();
  }
}
