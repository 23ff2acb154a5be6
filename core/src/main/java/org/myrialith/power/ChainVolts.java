package org.myrialith.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.brief.Brief;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Wiring;
import org.myrialith.frames.Sent;
import org.myrialith.parts.SupplyTree;
import org.myrialith.rail.RailPlan;

/**
 * The volts along chains of pixels as the show goes on, and what is drawn for parts of a frame
 * only.
 */
public record ChainVolts(Brief brief, PowerPlan power, Sent sent) {
  private Wiring wiring() {
    return sent.wiring();
  }

  private boolean chain(int circuit) {
    CircuitPlan plan = wiring().plans().get(circuit);
    return plan.chain().isPresent() && plan.emitters() > 0;
  }

  /** Returns those of all chains in the moment that draws most. */
  public List<RailPlan> all() {
    long peak = power.peakMoment();
    boolean plays = peak >= 0 && peak < sent.show().moments().size();
    List<Levels> levels = plays ? sent.levels((int) peak) : List.of();
    List<RailPlan> all = new ArrayList<>();
    for (int c = 0; c < wiring().plans().size(); c++) {
      if (chain(c)) {
        all.add(rail(c, plays ? Optional.of(levels.get(c)) : Optional.empty(), power.peakAmps()));
      }
    }
    return List.copyOf(all);
  }

  /** Returns those of a circuit in a listed moment; empty for no such. */
  public Optional<RailPlan> in(String circuit, int moment) {
    boolean listed = moment >= 0 && moment < sent.show().moments().size();
    return IntStream.range(0, wiring().plans().size())
        .filter(c -> wiring().plans().get(c).circuit().id().equals(circuit) && chain(c) && listed)
        .mapToObj(c -> rail(c, Optional.of(sent.levels(moment).get(c)), power.sentAmps(moment)))
        .findFirst();
  }

  private RailPlan rail(int c, Optional<Levels> levels, double allAmps) {
    CircuitPlan circuit = wiring().plans().get(c);
    return RailPlan.of(
        power.settings().toldOf(circuit.circuit().id()),
        circuit,
        wiring().line(circuit),
        brief.tree().lights().equals(SupplyTree.SUPPLY)
            ? power.cable(circuit, drawn(circuit, levels), allAmps)
            : RailPlan.Cable.NONE,
        LevelTable.of(power.colour()).whiteShare(),
        levels);
  }

  private static double drawn(CircuitPlan circuit, Optional<Levels> levels) {
    return circuit.darkAmps()
        + levels.map(l -> circuit.litAmps(l.sums(circuit.groups()))).orElse(0.0);
  }

  /**
   * Returns what is drawn for a part of a frame at the most beyond the moment that draws most on
   * its mean (A): by a row in its turn, by cold filaments.
   */
  public double surgeAmps() {
    double most = 0;
    boolean any = wiring().plans().stream().anyMatch(CircuitPlan::surges);
    for (int moment = 0; any && moment < sent.show().moments().size(); moment++) {
      List<Levels> levels = sent.levels(moment);
      double here = power.sentAmps(moment) - power.peakAmps();
      for (int c = 0; c < levels.size(); c++) {
        CircuitPlan plan = wiring().plans().get(c);
        here += plan.surges() ? plan.surgeAmps(levels.get(c)) : 0;
      }
      most = Math.max(most, here);
    }
    return most;
  }
}
