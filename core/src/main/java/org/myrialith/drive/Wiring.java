package org.myrialith.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  /** Returns the position of the circuit that a fixture is in, -1 for none. */
  public int circuitOf(Fixture fixture) {
    for (int c = 0; c < plans.size(); c++) {
      if (plans.get(c).circuit().fixtures().contains(fixture.id())) {
        return c;
      }
    }
    return -1;
  }

  /** Returns what a fixture takes of the wire; empty when it is in no circuit. */
  public Optional<Stretch> stretch(Fixture fixture) {
    int circuit = circuitOf(fixture);
    return circuit < 0 ? Optional.empty() : plans.get(circuit).stretch(fixture.id());
  }

  /** Returns where all emitters stand, in the order of the layout. */
  public List<Spot> spots() {
    List<Spot> all = new ArrayList<>(layout.emitters().size());
    for (Fixture fixture : layout.fixtures()) {
      int circuit = circuitOf(fixture);
      Optional<Stretch> stretch = stretch(fixture);
      for (int i = 0; i < fixture.count(); i++) {
        int unit = stretch.isPresent() ? stretch.get().unit(i) : -1;
        all.add(unit < 0 ? Spot.NONE : new Spot(circuit, stretch.get().firstUnit() + unit));
      }
    }
    return all;
  }

  /** Returns the emitters of each circuit in the order of its wire. */
  public List<List<Emitter>> lines() {
    return plans.stream().map(this::line).toList();
  }

  private List<Emitter> line(CircuitPlan plan) {
    List<Emitter> line = new ArrayList<>(plan.emitters());
    plan.fixtures().forEach(f -> line.addAll(layout.emittersOf(f)));
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
