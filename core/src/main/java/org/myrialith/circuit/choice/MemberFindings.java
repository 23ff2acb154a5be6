package org.myrialith.circuit.choice;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.EmitterKind;

/** Judges whether all of a fixture is driven, each emitter by what can. */
record MemberFindings(Layout layout, Circuits circuits, Fixture fixture) {
  /** More ways than these are compared in a table, not offered as remedies. */
  private static final int FEW_WAYS = 3;

  List<Finding> all() {
    EmitterKind kind = layout.emitterOf(fixture).kind();
    List<Finding> all = new ArrayList<>();
    for (Circuit circuit : circuits.circuits()) {
      if (circuit.has(fixture.id()) && !circuit.drives(kind)) {
        all.add(wrong(circuit, kind));
      }
      for (FixtureRun run : circuit.runs()) {
        if (run.fixture().equals(fixture.id()) && !run.whole()) {
          beyond(circuit, run).ifPresent(all::add);
          cut(circuit, run).ifPresent(all::add);
        }
      }
    }
    circuits.loose(fixture).forEach(run -> all.add(loose(run, kind)));
    return all;
  }

  private String key(String name, FixtureRun run) {
    return name + "-" + fixture.id() + (run.whole() ? "" : "-" + run.from());
  }

  private Finding loose(FixtureRun run, EmitterKind kind) {
    String name = run.in(layout).name();
    List<Remedy> fitting =
        circuits.circuits().stream()
            .filter(c -> c.drives(kind))
            .map(
                c ->
                    new Remedy(
                        "Connect it to " + c.name(), new Change.PutInCircuit(run.text(), c.id())))
            .toList();
    List<Remedy> own = own(run, kind);
    if (fitting.isEmpty() && own.isEmpty()) {
      return Finding.of(
          Step.CIRCUITS,
          key("no-circuit", run),
          Verdict.OPEN,
          phrase(
              "%s (%s) needs another kind of circuit: it is laid out, counted and exported, but not driven yet.",
              name, kind.title()));
    }
    Finding dark =
        Finding.of(
            Step.CIRCUITS,
            key("unchained", run),
            Verdict.TIGHT,
            name + " is in no circuit and stays dark.");
    if (!fitting.isEmpty()) {
      return dark.advising("Add it to a circuit.").mendedBy(fitting);
    }
    return dark.advising(
            own.size() > FEW_WAYS
                ? phrase("%d drive methods fit it: choose one in the table.", own.size())
                : "No circuit here drives its class, " + kind.title() + ".")
        .mendedBy(own.size() > FEW_WAYS ? List.of() : own);
  }

  /** Circuits that fit, as long as there is room for one more. */
  private List<Remedy> own(FixtureRun run, EmitterKind kind) {
    return circuits.circuits().size() >= Circuits.MOST
        ? List.of()
        : CircuitKinds.starts(kind).stream()
            .map(
                start ->
                    new Remedy(
                        "Add a circuit of " + start.title() + " for it",
                        new Change.DriveByItsOwn(run.text(), start.key())))
            .toList();
  }

  private Finding wrong(Circuit circuit, EmitterKind kind) {
    List<Remedy> own = own(FixtureRun.all(fixture.id()), kind);
    List<Remedy> remedies = new ArrayList<>(own.size() > FEW_WAYS ? List.of() : own);
    remedies.add(
        new Remedy("Remove it from " + circuit.name(), new Change.TakeOutOfCircuit(fixture.id())));
    return Finding.of(
            Step.CIRCUITS,
            "wrong-kind-" + fixture.id(),
            Verdict.BREAKS,
            phrase(
                "%s is on %s, but its class is %s.", fixture.name(), circuit.name(), kind.title()))
        .advising(
            phrase("Remove it, or choose a class that this circuit drives: %s.", circuit.drives()))
        .mendedBy(remedies);
  }

  /** A fixture may have got smaller since its run was set. */
  private Optional<Finding> beyond(Circuit circuit, FixtureRun run) {
    int last = fixture.count() - 1;
    return run.to() <= last
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    key("run-beyond", run),
                    Verdict.TIGHT,
                    phrase(
                        "%s takes LEDs %d to %d of %s, which ends at LED %d.",
                        circuit.name(), run.from(), run.to(), fixture.name(), last))
                .advising("Limit the section to the LEDs that exist."));
  }

  private Optional<Finding> cut(Circuit circuit, FixtureRun run) {
    int cut = run.in(layout).cut();
    return cut < 0
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    key("run-cuts", run),
                    Verdict.TIGHT,
                    phrase(
                        "LED %d of %s is wired together with others outside the section of %s: the circuit of the first of them drives them all.",
                        cut, fixture.name(), circuit.name()))
                .advising("Start and end the section at whole segments."));
  }
}
