package org.myrialith.power.supply;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;

/**
 * A supply tree under load. Behind a linear regulator as many amperes flow as come out of it;
 * through what converts go watts.
 *
 * <p>At a source, loads of constant current and of constant power pull at its volts through what it
 * has inside and its cable: {@code V² − (V₀ − R·I)·V + R·P = 0}, of which the larger root holds;
 * where there is none, it can't carry them.
 */
public final class TreeState {
  private final SupplyTree tree;
  private final Map<String, Supply> sources;
  private final Map<String, Double> ohms;
  private final Map<String, Double> loads;
  private final double supplyVolts;
  private final double openVolts;
  private final Map<String, Node> nodes = new LinkedHashMap<>();

  /**
   * What flows at a node.
   *
   * @param volts that it has; 0 where it can't carry what hangs on it
   * @param amps that it gives (A)
   * @param inVolts that it gets; of a source those it has inside (V)
   * @param inAmps that it takes (A)
   * @param lostWatts that warm it (W)
   */
  public record Node(
      String name, double volts, double amps, double inVolts, double inAmps, double lostWatts) {
    /** Returns what it gives (W). */
    public double watts() {
      return volts * amps;
    }
  }

  /** What is drawn from a node: amperes whatever its volts, and watts whatever its volts. */
  private record Draw(double amps, double watts) {
    Draw and(Draw other) {
      return new Draw(amps + other.amps, watts + other.watts);
    }

    double at(double volts) {
      return volts > 0 ? amps + watts / volts : amps;
    }
  }

  private TreeState(
      SupplyTree tree,
      Map<String, Supply> sources,
      Map<String, Double> ohms,
      Map<String, Double> loads,
      double openVolts) {
    this.tree = tree;
    this.openVolts = openVolts;
    this.sources = sources;
    this.ohms = ohms;
    this.loads = loads;
    this.supplyVolts = sources.get(SupplyTree.SUPPLY).volts();
    sources.keySet().forEach(this::solve);
  }

  /**
   * Solves a tree.
   *
   * @param supply of the gadget
   * @param cableOhms of its cable, plus and minus (ohm)
   * @param loads that hang on nodes (A), by their names
   */
  public static TreeState of(
      SupplyTree tree, Supply supply, double cableOhms, Map<String, Double> loads) {
    return of(tree, supply, supply.volts(), cableOhms, loads);
  }

  /**
   * Solves a tree whose supply has other volts inside than it is called by, as cells have.
   *
   * @param openVolts that it has inside (V)
   */
  static TreeState of(
      SupplyTree tree,
      Supply supply,
      double openVolts,
      double cableOhms,
      Map<String, Double> loads) {
    Map<String, Supply> sources = new LinkedHashMap<>();
    Map<String, Double> ohms = new HashMap<>();
    sources.put(SupplyTree.SUPPLY, supply);
    ohms.put(SupplyTree.SUPPLY, supply.ohms() + cableOhms);
    tree.sources()
        .forEach(
            source -> {
              sources.put(source.name(), source);
              ohms.put(source.name(), source.ohms());
            });
    return new TreeState(tree, sources, ohms, loads, openVolts);
  }

  private List<Converter> behind(String node) {
    return tree.converters().stream().filter(c -> c.from().equals(node)).toList();
  }

  private Draw drawn(String node) {
    Draw all = new Draw(loads.getOrDefault(node, 0.0), 0);
    for (Converter converter : behind(node)) {
      all = all.and(drawn(converter));
    }
    return all;
  }

  private Draw drawn(Converter converter) {
    Draw out = drawn(converter.name());
    double idle = converter.idleMilliamps() * 1e-3;
    if (converter.sort().passes()) {
      return out.and(new Draw(idle, 0));
    }
    double volts = tree.volts(converter.name(), supplyVolts);
    double amps = out.at(volts);
    return converter.sort().converts()
        ? new Draw(idle, volts * amps * 100 / converter.percentAt(amps))
        : new Draw(amps + idle, 0);
  }

  private void solve(String source) {
    Draw draw = drawn(source);
    double inside = source.equals(SupplyTree.SUPPLY) ? openVolts : sources.get(source).volts();
    double volts = terminal(inside, ohms.get(source), draw);
    // of what can't be carried, what is asked for
    double amps = draw.at(volts > 0 ? volts : inside);
    nodes.put(source, new Node(source, volts, amps, inside, amps, ohms.get(source) * amps * amps));
    behind(source).forEach(converter -> solve(converter, volts));
  }

  /** Volts of a source under load; 0 where it can't carry it. */
  static double terminal(double inside, double ohms, double amps, double watts) {
    double open = inside - ohms * amps;
    double root = open * open - 4 * ohms * watts;
    return open <= 0 || root < 0 ? 0 : (open + Math.sqrt(root)) / 2;
  }

  private static double terminal(double inside, double ohms, Draw draw) {
    return terminal(inside, ohms, draw.amps(), draw.watts());
  }

  private void solve(Converter converter, double inVolts) {
    double nominal = tree.volts(converter.name(), supplyVolts);
    double volts = converter.sort().passes() ? inVolts : reached(converter, nominal, inVolts);
    Draw draw = drawn(converter.name());
    double amps = draw.at(converter.sort().passes() ? inVolts : nominal);
    double inAmps = drawn(converter).at(inVolts);
    double lost = Math.max(0, inVolts * inAmps - volts * amps);
    nodes.put(converter.name(), new Node(converter.name(), volts, amps, inVolts, inAmps, lost));
    behind(converter.name()).forEach(next -> solve(next, volts));
  }

  /** What drops out follows what it is fed with. */
  private static double reached(Converter converter, double nominal, double inVolts) {
    return converter.sort() == ConverterSort.BOOST
        ? inVolts > 0 ? Math.max(nominal, inVolts) : 0
        : Math.max(0, Math.min(nominal, inVolts - converter.dropVolts()));
  }

  /** Returns its nodes, each source with what is behind it. */
  public List<Node> nodes() {
    return List.copyOf(nodes.values());
  }

  /** Returns a node. */
  public Node node(String name) {
    return nodes.get(name);
  }
}
