package org.myrialith.power.supply;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.PowerPlan;
import org.myrialith.voltagedrop.RailPlan;

/**
 * The volts along chains of pixels as the show goes on, and what is drawn for parts of a frame
 * only.
 *
 * @param tree what stands before the chains; empty as long as no supply is named
 */
public record ChainVolts(
    Brief brief, PowerPlan power, TransmittedFrames sent, Optional<TreePlan> tree) {
  /**
   * Pixels times moments that are looked at; of more moments, those in which a chain draws most.
   */
  private static final long MOST_PIXELS = 40_000_000;

  private Wiring wiring() {
    return sent.wiring();
  }

  private boolean chain(int circuit) {
    CircuitPlan plan = wiring().plans().get(circuit);
    return plan.chain().isPresent() && plan.emitters() > 0;
  }

  /** Returns those of all chains, each in the moment in which one of its pixels gets least. */
  public List<RailPlan> all() {
    List<RailPlan> all = new ArrayList<>();
    for (int c = 0; c < wiring().plans().size(); c++) {
      if (chain(c)) {
        int circuit = c;
        List<Integer> moments = moments(c);
        all.add(
            rail(
                c,
                visitor ->
                    moments.forEach(
                        m -> visitor.moment(m, sent.levels(m, circuit), otherAmps(circuit, m)))));
      }
    }
    return List.copyOf(all);
  }

  /** Returns those of a circuit in a listed moment; empty for no such. */
  public Optional<RailPlan> in(String circuit, int moment) {
    boolean listed = moment >= 0 && moment < sent.show().moments().size();
    return IntStream.range(0, wiring().plans().size())
        .filter(c -> wiring().plans().get(c).circuit().id().equals(circuit) && chain(c) && listed)
        .mapToObj(
            c ->
                rail(
                    c,
                    visitor ->
                        visitor.moment(moment, sent.levels(moment, c), otherAmps(c, moment))))
        .findFirst();
  }

  /** Listed moments in which the chain or what is drawn beside it differs, each once. */
  private List<Integer> moments(int circuit) {
    boolean alone = tree.isEmpty() || wiring().plans().get(circuit).ownRail();
    int[] own =
        IntStream.range(0, sent.clips().size())
            .filter(k -> sent.clips().get(k).circuit() == circuit || sent.limiter().isPresent())
            .toArray();
    Map<List<Number>, Integer> differ = new LinkedHashMap<>();
    List<Double> drawn = new ArrayList<>();
    for (int m = 0; m < sent.show().moments().size(); m++) {
      List<Integer> frames = sent.show().moments().get(m).frames();
      List<Number> key = new ArrayList<>(own.length + 1);
      for (int k : own) {
        key.add(frames.get(k));
      }
      if (!alone) {
        key.add(power.sentAmps(m));
      }
      differ.putIfAbsent(key, m);
      drawn.add(drawn(circuit, frames));
    }
    long most = Math.max(1, MOST_PIXELS / wiring().plans().get(circuit).emitters());
    return differ.values().stream()
        .sorted(Comparator.comparingDouble(m -> -drawn.get(m)))
        .limit(most)
        .sorted()
        .toList();
  }

  /** What the chain is asked for in a moment (A), before any limiter. */
  private double drawn(int circuit, List<Integer> frames) {
    CircuitPlan plan = wiring().plans().get(circuit);
    double amps = 0;
    for (int k = 0; k < frames.size(); k++) {
      ClipLevels clip = sent.clips().get(k);
      if (clip.circuit() == circuit) {
        long[] sums = clip.sums().get(frames.get(k));
        amps += plan.ownRail() ? plan.railLitAmps(sums) : plan.litAmps(sums);
      }
    }
    return amps;
  }

  /** What flows in a moment from where the feeds of a chain begin, beside the chain (A). */
  private double otherAmps(int circuit, int moment) {
    CircuitPlan plan = wiring().plans().get(circuit);
    if (plan.ownRail()) {
      return beside(plan);
    }
    Levels levels = sent.levels(moment, circuit);
    double own = plan.darkAmps() + plan.litAmps(levels.sums(plan.groups()));
    return Math.max(0, power.sentAmps(moment) - own);
  }

  /** What hangs on the node of a rail of its own beside the circuit (A). */
  private double beside(CircuitPlan plan) {
    return tree.map(
            t ->
                t.loadsOn(node(plan)).entrySet().stream()
                    .filter(load -> !load.getKey().equals(plan.circuit().name()))
                    .mapToDouble(Map.Entry::getValue)
                    .sum())
        .orElse(0.0);
  }

  private String node(CircuitPlan plan) {
    return plan.ownRail()
        ? brief.tree().own().stream()
            .filter(draw -> draw.name().equals(plan.circuit().id()))
            .map(SupplyTree.Draw::on)
            .findFirst()
            .orElse("")
        : brief.tree().lights();
  }

  private RailPlan rail(int c, RailPlan.Moments moments) {
    CircuitPlan circuit = wiring().plans().get(c);
    return RailPlan.of(
        power.settings().toldOf(circuit.circuit().id()),
        circuit,
        wiring().line(circuit),
        cable(circuit),
        LevelTable.of(power.colour()).whiteShare(),
        moments);
  }

  private RailPlan.Cable cable(CircuitPlan circuit) {
    double planned = circuit.chain().orElseThrow().volts();
    double share = LevelTable.of(power.colour()).whiteShare();
    String node = node(circuit);
    double others =
        circuit.ownRail()
            ? beside(circuit)
            : Math.max(0, power.worstAmps() - circuit.darkAmps() - circuit.mostLitAmps(share));
    if (tree.isEmpty() || node.isEmpty()) {
      return new RailPlan.Cable(amps -> planned, amps -> brief.logicVolts(), others);
    }
    TreePlan there = tree.get();
    double nominal = there.tree().volts(node, there.supply().volts());
    return new RailPlan.Cable(
        amps -> planned - nominal + there.voltsAt(node, amps, node),
        amps -> brief.controller().logicVolts(there.voltsAt(node, amps, there.tree().controller())),
        others);
  }

  /**
   * Returns what is drawn for a part of a frame at the most beyond the moment that draws most on
   * its mean (A): by a row in its turn, by cold filaments.
   */
  public static double surgeAmps(PowerPlan power, TransmittedFrames sent) {
    double most = 0;
    boolean any = sent.wiring().plans().stream().anyMatch(CircuitPlan::surges);
    for (int moment = 0; any && moment < sent.show().moments().size(); moment++) {
      List<Levels> levels = sent.levels(moment);
      double here = power.sentAmps(moment) - power.peakAmps();
      for (int c = 0; c < levels.size(); c++) {
        CircuitPlan plan = sent.wiring().plans().get(c);
        here += plan.surges() ? plan.surgeAmps(levels.get(c)) : 0;
      }
      most = Math.max(most, here);
    }
    return most;
  }
}
