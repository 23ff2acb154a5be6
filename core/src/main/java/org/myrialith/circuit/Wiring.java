package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.brief.Brief;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;

/**
 * All circuits of a gadget worked out, and where each emitter stands on them.
 *
 * @param plans in the order of the circuits
 */
public record Wiring(LayoutPlan layout, List<CircuitPlan> plans) {
  public Wiring {
    plans = List.copyOf(plans);
  }

  /** Works the circuits out. */
  public static Wiring of(Layout layout, LayoutPlan plan, Circuits circuits, Brief brief) {
    List<CircuitPlan> plans = new ArrayList<>();
    for (Circuit circuit : circuits.circuits()) {
      plans.add(circuit.plan(layout, brief));
    }
    return new Wiring(plan, plans);
  }

  /**
   * Where an emitter stands on the wire.
   *
   * @param circuit position of the circuit, -1 for none
   * @param unit index on its wire, -1 for none; several emitters may be one unit
   */
  public record Spot(int circuit, int unit) {
    /** On no wire. */
    public static final Spot NONE = new Spot(-1, -1);

    /** Returns whether it is on a wire. */
    public boolean wired() {
      return circuit >= 0;
    }
  }

  /** Returns whether any of a fixture is in a circuit. */
  public boolean drives(Fixture fixture) {
    return plans.stream().anyMatch(plan -> plan.circuit().has(fixture.id()));
  }

  /** Returns where all emitters stand, in the order of the layout. */
  public List<Spot> spots() {
    List<Spot> all = new ArrayList<>(layout.emitters().size());
    Map<String, Spot[]> known = new HashMap<>();
    for (int c = 0; c < plans.size(); c++) {
      for (ChannelRange stretch : plans.get(c).stretches()) {
        Spot[] spots =
            known.computeIfAbsent(
                stretch.fixture().id(), id -> new Spot[stretch.fixture().count()]);
        for (int i = 0; i < spots.length; i++) {
          int unit = stretch.unit(i);
          spots[i] = unit < 0 ? spots[i] : new Spot(c, stretch.firstUnit() + unit);
        }
      }
    }
    for (Fixture fixture : layout.fixtures()) {
      Spot[] spots = known.getOrDefault(fixture.id(), new Spot[fixture.count()]);
      for (Spot spot : spots) {
        all.add(spot == null ? Spot.NONE : spot);
      }
    }
    return all;
  }

  /** Returns the emitters of each circuit in the order of its wire. */
  public List<List<Emitter>> lines() {
    return plans.stream().map(this::line).toList();
  }

  /** Returns the emitters of a circuit in the order of its wire. */
  public List<Emitter> line(CircuitPlan plan) {
    List<Emitter> line = new ArrayList<>(plan.emitters());
    plan.sections()
        .forEach(
            s ->
                line.addAll(
                    layout.emittersOf(s.fixture()).subList(s.from(), s.from() + s.count())));
    return line;
  }

  /** Returns the number of emitters on all wires. */
  public int emitters() {
    return plans.stream().mapToInt(CircuitPlan::emitters).sum();
  }

  /** Returns where the levels of a circuit begin in a buffer of all circuits (channels). */
  public int firstChannel(int circuit) {
    return plans.subList(0, circuit).stream().mapToInt(CircuitPlan::channels).sum();
  }

  /** Returns the channels of all circuits. */
  public int channels() {
    return firstChannel(plans.size());
  }

  /** Returns the buffer of all circuits (bytes). */
  public int bufferBytes() {
    return plans.stream().mapToInt(CircuitPlan::bufferBytes).sum();
  }
}
