package org.myrialith.drive;

import java.util.ArrayList;
import java.util.List;
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
      List<Fixture> members =
          circuit.fixtures().stream().map(id -> layout.fixture(id).orElseThrow()).toList();
      plans.add(circuit.plan(members, brief));
    }
    return new Wiring(plan, plans);
  }

  /**
   * Where something stands on the wire.
   *
   * @param circuit position of the circuit, -1 for none
   * @param emitter index on its wire, -1 for none
   */
  public record Spot(int circuit, int emitter) {
    /** On no wire. */
    public static final Spot NONE = new Spot(-1, -1);

    /** Returns whether it is on a wire. */
    public boolean wired() {
      return circuit >= 0;
    }
  }

  /** Returns where a fixture begins. */
  public Spot first(Fixture fixture) {
    for (int c = 0; c < plans.size(); c++) {
      int first = plans.get(c).firstEmitter(fixture.id());
      if (first >= 0) {
        return new Spot(c, first);
      }
    }
    return Spot.NONE;
  }

  /** Returns where all emitters stand, in the order of the layout. */
  public List<Spot> spots() {
    List<Spot> all = new ArrayList<>(layout.emitters().size());
    for (Fixture fixture : layout.fixtures()) {
      Spot first = first(fixture);
      for (int i = 0; i < fixture.count(); i++) {
        all.add(first.wired() ? new Spot(first.circuit(), first.emitter() + i) : Spot.NONE);
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
