package org.myrialith.web.layout;

import java.util.List;
import java.util.Optional;
import org.myrialith.build.DriveMethodTable;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.EmitterKind;

/**
 * A circuit that drives a fixture: one of the gadget that fits its class of emitter, else the drive
 * method that is recommended first. The maker compares and changes it under Circuits.
 *
 * @param title what the circuit is
 * @param why it is offered; may be empty
 * @param gadget with the fixture on it
 */
record FittingCircuit(String title, String why, Gadget gadget) {
  /** Returns it for a fixture; empty where nothing drives its class. */
  static Optional<FittingCircuit> of(Gadget gadget, Fixture fixture) {
    EmitterKind kind = gadget.layout().emitterOf(fixture).kind();
    FixtureRun whole = FixtureRun.all(fixture.id());
    Circuits left = gadget.circuits().without(whole, gadget.layout());
    Optional<Circuit> there = left.fitting(kind);
    if (there.isPresent()) {
      return there.map(
          circuit ->
              new FittingCircuit(
                  circuit.name(),
                  "",
                  gadget.with(left.withAtEnd(whole, circuit.id(), gadget.layout()))));
    }
    return CircuitKinds.onlyStart(kind)
        .map(
            start ->
                new FittingCircuit(
                    start.title(), "", gadget.drivenBy(start, List.of(fixture.id()), "")))
        .or(() -> recommended(gadget, fixture));
  }

  private static Optional<FittingCircuit> recommended(Gadget gadget, Fixture fixture) {
    return DriveMethodTable.of(
            gadget.layout(), gadget.circuits(), gadget.brief(), List.of(fixture.id()))
        .recommended(1)
        .stream()
        .findFirst()
        .flatMap(
            best ->
                CircuitKinds.start(best.way().key())
                    .map(
                        start -> {
                          String why = best.merits().get(0).title();
                          return new FittingCircuit(
                              start.title(),
                              why,
                              gadget.drivenBy(start, List.of(fixture.id()), why));
                        }));
  }

  /**
   * Returns it where no circuit drives the class of a fixture, or one that does not; else empty.
   */
  static Optional<FittingCircuit> wantedBy(Gadget gadget, Fixture fixture) {
    EmitterKind kind = gadget.layout().emitterOf(fixture).kind();
    List<Circuit> own =
        gadget.circuits().circuits().stream().filter(c -> c.has(fixture.id())).toList();
    boolean fits = !own.isEmpty() && own.stream().allMatch(c -> c.drives(kind));
    return fits ? Optional.empty() : of(gadget, fixture);
  }
}
