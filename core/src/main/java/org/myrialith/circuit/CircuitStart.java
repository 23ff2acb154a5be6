package org.myrialith.circuit;

import java.util.List;
import java.util.function.Function;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;

/**
 * A circuit to begin with, in usual sizes.
 *
 * @param key its name in requests
 * @param title what it is made of, in the plural
 * @param usual the circuit of an identifier
 */
public record CircuitStart(String key, String title, Function<String, Circuit> usual) {
  /**
   * Returns a circuit beside others: on pins that are free as long as there are some, under a name
   * that none of them has.
   */
  public Circuit beside(Circuits others, Controller controller, String id) {
    Circuit usually = usual.apply(id);
    Circuit circuit = controller.portable() ? usually.forLowLogic() : usually;
    return CircuitPins.free(circuit, others.takenPins(), controller).called(name(circuit, others));
  }

  /** Returns the same for fixtures that it is to drive, with currents that they can carry. */
  public Circuit beside(
      Circuits others, Controller controller, String id, Layout layout, List<String> fixtures) {
    Circuit circuit = beside(others, controller, id).withFixtures(fixtures);
    return circuit.suited(
        circuit.members(layout).stream()
            .map(FixtureRange::fixture)
            .map(layout::emitterOf)
            .toList());
  }

  private static String name(Circuit circuit, Circuits others) {
    List<String> names = others.circuits().stream().map(Circuit::name).toList();
    String name = circuit.name();
    for (int number = 2; names.contains(name); number++) {
      name = circuit.name() + " " + number;
    }
    return name;
  }
}
