package org.myrialith.power.supply;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleBiFunction;
import java.util.function.ToDoubleFunction;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.PowerPlan;
import org.myrialith.power.PowerSettings;

/**
 * The supply tree, with everything at its most, as the show draws most and on the mean, dark, and
 * asleep.
 *
 * @param rails what circuits draw from rails of their own
 * @param surgeAmps beyond the moment that draws most, for a part of a frame (A)
 */
public record TreePlan(
    Brief brief,
    Wiring wiring,
    PowerPlan power,
    PowerSettings settings,
    Supply supply,
    SeparateRails rails,
    double surgeAmps) {
  /** What is drawn and what sags are brought together so often at most, and so close. */
  private static final int ROUNDS = 12;

  private static final double SETTLED = 1e-9;

  /** Returns the plan of a gadget whose supply is named. */
  public static Optional<TreePlan> of(
      Brief brief, Wiring wiring, PowerPlan power, PowerSettings settings, double surgeAmps) {
    SeparateRails rails = SeparateRails.of(power, brief.volts());
    return brief
        .supply()
        .map(s -> new TreePlan(brief, wiring, power, settings, s, rails, surgeAmps));
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
  private Map<String, Double> loads(
      double lightsAmps, double controllerAmps, ToDoubleFunction<CircuitPlan> ownAmps) {
    Map<String, Double> loads = new HashMap<>();
    add(loads, tree().lights(), lightsAmps + (together() ? otherDrawAmps() : 0));
    add(loads, tree().controller(), controllerAmps);
    for (SupplyTree.Draw draw : tree().own()) {
      Optional<CircuitPlan> circuit = circuit(draw.name());
      double amps =
          circuit.isPresent() ? ownAmps.applyAsDouble(circuit.get()) : draw.milliamps() * 1e-3;
      add(loads, draw.on(), amps);
    }
    return loads;
  }

  private double meanOf(CircuitPlan circuit) {
    String id = circuit.circuit().id();
    return power
        .day()
        .map(day -> day.railMean().getOrDefault(id, 0.0))
        .orElseGet(() -> rails.mean().getOrDefault(id, 0.0));
  }

  private double peakOf(CircuitPlan circuit) {
    String id = circuit.circuit().id();
    double shown = rails.peak().getOrDefault(id, 0.0);
    return power
        .day()
        .map(day -> Math.max(shown, day.railPeak().getOrDefault(id, 0.0)))
        .orElse(shown);
  }

  /** With everything at its most; where only these frames are planned for, what they draw. */
  private double mostOf(CircuitPlan circuit) {
    return power.framesOnly() ? peakOf(circuit) : circuit.railAmps();
  }

  /** Whether a circuit hangs on another node than the lights, on a rail of its own. */
  private boolean apart() {
    return tree().own().stream()
        .anyMatch(draw -> circuit(draw.name()).filter(CircuitPlan::ownRail).isPresent());
  }

  /** What the lights draw in the moment that draws most of all. */
  private double peakLights() {
    return apart() && power.day().isEmpty() ? rails.lightsAmps() : power.playedPeakAmps();
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
    double lights = power.framesOnly() ? peakLights() : power.worstAmps();
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
            circuit.map(this::mostOf).orElse(draw.milliamps() * 1e-3));
      }
    }
    return all;
  }

  /** Returns it with the controller clocked otherwise, and what it draws then (mA). */
  TreePlan clocked(ClockRate rate, double milliamps) {
    return new TreePlan(
        brief.at(rate),
        wiring,
        power,
        settings.withController(milliamps),
        supply,
        rails,
        surgeAmps);
  }

  /** Whether its controller runs faster than that of another plan, or draws as much. */
  boolean quicker(TreePlan other) {
    return brief.controller().clockHz() > other.brief.controller().clockHz()
        || settings.controllerMilliamps() >= other.settings.controllerMilliamps();
  }

  /** The currents of the lights have the controller in them where it hangs with them. */
  private double otherDrawAmps() {
    return (settings.controllerMilliamps() - power.settings().controllerMilliamps()) * 1e-3;
  }

  private double controllerAmps() {
    return together() ? 0 : settings.controllerMilliamps() * 1e-3;
  }

  private TreeState state(Map<String, Double> loads) {
    return state(loads, supply.volts());
  }

  private TreeState state(Map<String, Double> loads, double openVolts) {
    return TreeState.of(tree(), supply, openVolts, settings.cableOhms(), loads);
  }

  /**
   * The means of the show while the supply has other volts inside: what nothing regulates draws by
   * them, and they sag by what is drawn. What is left of the light is where both agree, found by
   * secants.
   *
   * @param share of what lights draw at the volts that they are planned for
   */
  TreeState showAt(double openVolts, double share) {
    return agreeing(left -> meanAt(openVolts, share * left));
  }

  /** Finds what is left of the current of the lights when their volts are those that it leaves. */
  private TreeState agreeing(DoubleFunction<TreeState> at) {
    double before = 1;
    TreeState state = at.apply(1);
    double offBefore = lightsAt(state, CircuitPlan::shareAt) - before;
    double left = Math.max(0, before + offBefore);
    for (int round = 0; round < ROUNDS && Math.abs(left - before) > SETTLED; round++) {
      state = at.apply(left);
      double off = lightsAt(state, CircuitPlan::shareAt) - left;
      double steep = (off - offBefore) / (left - before);
      before = left;
      offBefore = off;
      left = Math.max(0, left - off / (steep < 0 ? steep : -1));
    }
    return state;
  }

  private TreeState meanAt(double openVolts, double share) {
    double dark = power.load().darkAmps();
    double lights = dark + share * (power.playedMeanAmps() - dark);
    return state(loads(lights, controllerAmps(), this::meanOf), openVolts);
  }

  /** Returns what is left of the light when lights get what they get there (0 to 1). */
  double lightAt(TreeState state) {
    return lightsAt(state, CircuitPlan::lightAt);
  }

  private double lightsAt(TreeState state, ToDoubleBiFunction<CircuitPlan, Double> of) {
    double less = brief.volts() - state.node(tree().lights()).volts();
    double all = 0;
    double left = 0;
    for (CircuitPlan plan : wiring.plans()) {
      double amps = plan.ownRail() ? 0 : plan.mostLitAmps(1);
      all += amps;
      left += amps * of.applyAsDouble(plan, less);
    }
    return all > 0 ? left / all : 1;
  }

  TreeState darkAt(double openVolts) {
    return state(
        loads(power.load().darkAmps(), controllerAmps(), CircuitPlan::railDarkAmps), openVolts);
  }

  /** Returns the tree with everything at its most. */
  public TreeState worst() {
    double lights = power.framesOnly() ? peakLights() : power.worstAmps();
    return state(loads(lights, controllerAmps(), this::mostOf));
  }

  /** Returns the tree in the moment that draws most. */
  public TreeState peak() {
    return state(loads(peakLights(), controllerAmps(), this::peakOf));
  }

  /** Returns the tree in the part of a frame that draws most. */
  public TreeState surge() {
    return surgeAt(supply.volts());
  }

  TreeState surgeAt(double openVolts) {
    return surgeAt(openVolts, 1);
  }

  /**
   * The part of a frame that draws most while the supply has other volts inside: what nothing
   * regulates draws less where they are less.
   */
  TreeState surgeSagging(double openVolts) {
    return agreeing(share -> surgeAt(openVolts, share));
  }

  private TreeState surgeAt(double openVolts, double share) {
    double dark = power.load().darkAmps();
    double lights = dark + share * (peakLights() + surgeAmps - dark);
    return state(loads(lights, controllerAmps(), c -> peakOf(c) + c.railInrushAmps()), openVolts);
  }

  /** What hangs on the node of the lights beside them and the controller (A). */
  private double drawnBeside(String node) {
    return tree().own().stream()
        .filter(draw -> draw.on().equals(node))
        .mapToDouble(draw -> circuit(draw.name()).map(this::mostOf).orElse(draw.milliamps() * 1e-3))
        .sum();
  }

  /** Returns the volts of a node when so much is drawn from it (A), the rest at its most. */
  double voltsAt(String node, double amps, String asked) {
    Map<String, Double> loads =
        loads(
            power.framesOnly() ? peakLights() : power.worstAmps(), controllerAmps(), this::mostOf);
    loads.put(node, amps + (node.equals(tree().lights()) ? drawnBeside(node) : 0));
    return state(loads).node(asked).volts();
  }

  /** Returns the tree with the means of the show. */
  public TreeState mean() {
    return meanAt(supply.volts(), 1);
  }

  /** Returns the tree awake and dark. */
  public TreeState dark() {
    return state(loads(power.load().darkAmps(), controllerAmps(), CircuitPlan::railDarkAmps));
  }

  /**
   * Returns the tree asleep: the controller sleeps, chips of the lights go on drawing unless a
   * switch takes them off.
   */
  public TreeState asleep() {
    return asleepAt(supply.volts(), tree().switchedOff(tree().lights()));
  }

  TreeState asleepAt(double openVolts, boolean lightsOff) {
    double own = together() ? settings.controllerMilliamps() * 1e-3 : 0;
    double chips = lightsOff ? 0 : Math.max(0, power.load().darkAmps() - own);
    Map<String, Double> loads = new HashMap<>();
    add(loads, tree().lights(), chips);
    add(loads, tree().controller(), settings.day().sleepMilliamps() * 1e-3);
    for (SupplyTree.Draw draw : tree().own()) {
      if (!tree().switchedOff(draw.on())) {
        double idle =
            circuit(draw.name()).map(CircuitPlan::railDarkAmps).orElse(draw.milliamps() * 1e-3);
        add(loads, draw.on(), idle);
      }
    }
    return state(loads, openVolts);
  }

  /** Returns the names of its nodes, sources first. */
  public List<String> names() {
    return worst().nodes().stream().map(TreeState.Node::name).toList();
  }
}
