package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.myrialith.finding.InputException;
import org.myrialith.input.InputList;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PriceList;

/**
 * The circuits of a gadget. Immutable; a fixture is in one at most.
 *
 * @param circuits in the order they were added
 * @param chosen why some of them are the way they are
 * @param prices that ways are compared by
 * @param inputs what is read beside the lights, on pins of its own
 */
public record Circuits(
    List<Circuit> circuits, List<ChoiceReason> chosen, PriceList prices, InputList inputs) {
  /** Most circuits of a gadget. */
  public static final int MOST = 8;

  /** Most fixtures, and runs of some, in all circuits: the player counts them in a byte. */
  public static final int MOST_MEMBERS = 128;

  /** Circuits without reasons, and the usual prices. */
  public Circuits(List<Circuit> circuits) {
    this(circuits, List.of(), PriceList.USUAL, InputList.NONE);
  }

  public Circuits {
    circuits = List.copyOf(circuits);
    chosen = List.copyOf(chosen);
    Objects.requireNonNull(prices, "prices");
    Objects.requireNonNull(inputs, "inputs");
    Layout.requireUnique("circuits", circuits, Circuit::id);
    if (circuits.size() > MOST) {
      throw new InputException("circuits", circuits.size() + " circuits", "at most " + MOST);
    }
    int members = circuits.stream().mapToInt(c -> c.fixtures().size()).sum();
    if (members > MOST_MEMBERS) {
      throw new InputException(
          "circuits", members + " fixtures and sections in all", "at most " + MOST_MEMBERS);
    }
    List<String> before = new ArrayList<>();
    for (int c = 0; c < circuits.size(); c++) {
      before.addAll(circuits.get(c).fixtures());
      MemberList.requireApart(
          before,
          "circuits[" + c + "].fixtures",
          "each fixture, or section of one, in one circuit");
    }
  }

  /**
   * Checks that all fixtures are there.
   *
   * @throws InputException for the first that is not
   */
  public void requireFixtures(Layout layout) {
    for (int c = 0; c < circuits.size(); c++) {
      for (FixtureRun run : circuits.get(c).runs()) {
        if (layout.fixture(run.fixture()).isEmpty()) {
          throw new InputException(
              "circuits[" + c + "].fixtures", run.text(), "the id of a fixture of this gadget");
        }
      }
    }
  }

  /** Returns the circuit of that identifier. */
  public Optional<Circuit> circuit(String id) {
    return circuits.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** Returns the first circuit that has a fixture, or a run of it. */
  public Optional<Circuit> of(Fixture fixture) {
    return circuits.stream().filter(c -> c.has(fixture.id())).findFirst();
  }

  /** Returns the circuit that has just that fixture, or just that run. */
  public Optional<Circuit> having(String member) {
    return circuits.stream().filter(c -> c.fixtures().contains(member)).findFirst();
  }

  /** Returns the runs of a fixture that are in no circuit, in data order; none when all are. */
  public List<FixtureRun> loose(Fixture fixture) {
    List<FixtureRun> left = List.of(FixtureRun.all(fixture.id()));
    for (Circuit circuit : circuits) {
      for (FixtureRun run : circuit.runs()) {
        left = left.stream().flatMap(l -> l.less(run, fixture.count()).stream()).toList();
      }
    }
    return left;
  }

  /** Returns the first circuit that can drive emitters of a kind. */
  public Optional<Circuit> fitting(EmitterKind kind) {
    return circuits.stream().filter(c -> c.drives(kind)).findFirst();
  }

  private Circuits each(UnaryOperator<Circuit> change) {
    return new Circuits(circuits.stream().map(change).toList(), chosen, prices, inputs);
  }

  /** Returns the circuits with one in place of that of the same identifier, or added. */
  public Circuits with(Circuit circuit) {
    if (circuit(circuit.id()).isPresent()) {
      return each(c -> c.id().equals(circuit.id()) ? circuit : c);
    }
    List<Circuit> all = new ArrayList<>(circuits);
    all.add(circuit);
    return new Circuits(all, chosen, prices, inputs);
  }

  /** Returns the circuits without one. */
  public Circuits withoutCircuit(String id) {
    return new Circuits(
        circuits.stream().filter(c -> !c.id().equals(id)).toList(),
        chosen.stream().filter(c -> !c.circuit().equals(id)).toList(),
        prices,
        inputs);
  }

  /** Returns the circuits without a fixture, whatever each has of it. */
  public Circuits without(String fixture) {
    return each(c -> c.without(fixture));
  }

  /** Returns the circuits without a run; what is left of others stays where it is. */
  public Circuits without(FixtureRun run, Layout layout) {
    int count = layout.fixture(run.fixture()).orElseThrow().count();
    return each(
        c ->
            c.runs().stream().noneMatch(run::meets)
                ? c
                : c.withFixtures(
                    c.runs().stream()
                        .flatMap(own -> own.less(run, count).stream())
                        .map(FixtureRun::text)
                        .toList()));
  }

  /**
   * Returns the circuits with another run in the place of what a circuit has of a fixture; what it
   * takes from others is no longer there.
   *
   * @param member that it has
   */
  public Circuits withRun(String circuit, String member, FixtureRun run, Layout layout) {
    Circuit own = circuit(circuit).orElseThrow();
    int place = own.fixtures().indexOf(member) + 1;
    Circuits left = with(own.without(member)).without(run, layout);
    Circuit cleared = left.circuit(circuit).orElseThrow();
    int count = layout.fixture(run.fixture()).orElseThrow().count();
    String fitted = run.fitted(count).text();
    int at = Math.min(place, cleared.fixtures().size() + 1);
    return left.with(cleared.with(fitted, at));
  }

  /** Returns the circuits without some runs, and without those that had nothing else. */
  public Circuits clearedOf(List<FixtureRun> runs, Layout layout) {
    Circuits left = this;
    for (FixtureRun run : runs) {
      left = left.without(run, layout);
    }
    for (Circuit circuit : circuits) {
      boolean emptied = left.circuit(circuit.id()).orElseThrow().fixtures().isEmpty();
      if (emptied && !circuit.fixtures().isEmpty()) {
        left = left.withoutCircuit(circuit.id());
      }
    }
    return left;
  }

  /** Returns the circuits with a run at the end of one, taken out of any other. */
  public Circuits withAtEnd(FixtureRun run, String circuit, Layout layout) {
    return without(run, layout)
        .each(
            c -> {
              if (!c.id().equals(circuit)) {
                return c;
              }
              List<FixtureRun> runs = new ArrayList<>(c.runs());
              runs.add(run);
              return c.withFixtures(
                  FixtureRun.joined(runs, layout).stream().map(FixtureRun::text).toList());
            });
  }

  /** Returns the circuits with the reason for one of them. */
  public Circuits because(String id, String why) {
    List<ChoiceReason> all = new ArrayList<>(chosen);
    all.removeIf(c -> c.circuit().equals(id));
    if (!why.isBlank()) {
      all.add(new ChoiceReason(id, why));
    }
    return new Circuits(circuits, all, prices, inputs);
  }

  /** Returns why a circuit is the way it is; empty when nobody said. */
  public String why(String id) {
    return chosen.stream()
        .filter(c -> c.circuit().equals(id))
        .map(ChoiceReason::why)
        .findFirst()
        .orElse("");
  }

  /** Returns the circuits with other prices. */
  public Circuits with(PriceList other) {
    return new Circuits(circuits, chosen, other, inputs);
  }

  /** Returns the circuits beside other inputs. */
  public Circuits with(InputList other) {
    return new Circuits(circuits, chosen, prices, other);
  }

  /** Returns the pins that circuits and inputs take. */
  public Set<String> takenPins() {
    Set<String> taken = new HashSet<>(inputs.pins());
    circuits.forEach(c -> taken.addAll(c.pins()));
    return taken;
  }
}
