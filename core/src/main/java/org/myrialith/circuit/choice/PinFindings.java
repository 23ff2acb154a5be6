package org.myrialith.circuit.choice;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.Circuits;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.input.Input;
import org.myrialith.parts.Controller;

/** What is judged of the pins and timers of a controller that circuits and inputs stand on. */
record PinFindings(Circuits circuits, Controller controller) {
  /** Pins that the controller does not have, or that have other work. */
  List<Finding> of(Circuit circuit) {
    List<Finding> all = new ArrayList<>();
    List<String> wrong =
        circuit.pins().stream().filter(pin -> controller.whyNot(pin).isPresent()).toList();
    if (!wrong.isEmpty()) {
      String why =
          wrong.stream()
              .map(pin -> controller.whyNot(pin).orElseThrow())
              .collect(Collectors.joining("; "));
      all.add(
          Finding.of(
                  Step.CIRCUITS,
                  phrase("pin-%s-%s", wrong.get(0), circuit.id()),
                  Verdict.BREAKS,
                  phrase(
                      "%s %s can't be used: %s.",
                      wrong.size() == 1 ? "Pin" : "Pins", String.join(", ", wrong), why))
              .advising("Choose from " + String.join(", ", circuit.able(controller)) + ".")
              .mendedBy(moves(circuit)));
    }
    if (wrong.isEmpty()) {
      circuit
          .wrongOutput(controller)
          .map(finding -> finding.mendedBy(moves(circuit)))
          .ifPresent(all::add);
    }
    return all;
  }

  /** One press moves circuits to pins that they can stand on, if there are such. */
  private List<Remedy> moves(Circuit circuit) {
    Circuit moved = CircuitPins.fitted(circuits, controller).circuit(circuit.id()).orElseThrow();
    return moved.able(controller).containsAll(moved.pins())
        ? List.of(
            new Remedy(
                "Move the circuits to valid pins", new Change.UseController(controller.key())))
        : List.of();
  }

  /** Inputs among themselves and beside circuits. */
  List<Finding> ofInputs() {
    List<Finding> all = new ArrayList<>();
    Map<String, String> users = new HashMap<>();
    circuits.circuits().forEach(c -> c.pins().forEach(pin -> users.putIfAbsent(pin, c.name())));
    for (Input input : circuits.inputs().inputs()) {
      for (String pin : input.pinNames()) {
        String other = users.putIfAbsent(pin, input.name());
        if (other != null) {
          all.add(
              Finding.of(
                      Step.CIRCUITS,
                      "input-same-pin-" + pin,
                      Verdict.BREAKS,
                      phrase("%s and %s both use pin %s.", other, input.name(), pin))
                  .advising("Move one of them to another pin."));
        }
      }
    }
    return all;
  }

  /** What circuits want of each other: a pin, a timer. */
  List<Finding> together() {
    List<Finding> all = new ArrayList<>();
    samePins(all);
    sameTimers(all);
    return all;
  }

  private void samePins(List<Finding> all) {
    Map<String, Circuit> users = new HashMap<>();
    for (Circuit circuit : circuits.circuits()) {
      List<String> pins = new ArrayList<>(circuit.pins());
      pins.addAll(circuit.alsoTakes(controller));
      for (String pin : pins) {
        Circuit other = users.putIfAbsent(pin, circuit);
        if (other != null) {
          all.add(
              Finding.of(
                      Step.CIRCUITS,
                      "same-pin-"
                          + circuit.id()
                          + (pin.equals(circuit.pins().get(0)) ? "" : "-" + pin),
                      Verdict.BREAKS,
                      phrase("%s and %s both use pin %s.", other.name(), circuit.name(), pin))
                  .advising("Move one of them to another pin."));
        }
      }
    }
  }

  private void sameTimers(List<Finding> all) {
    Map<String, Circuit> users = new HashMap<>();
    for (Circuit circuit : circuits.circuits()) {
      Map<String, String> wanted = circuit.timers(controller);
      wanted.forEach(
          (timer, what) -> {
            Circuit other = users.putIfAbsent(timer, circuit);
            String before = other == null ? what : other.timers(controller).get(timer);
            if (!before.equals(what)) {
              all.add(
                  Finding.of(
                          Step.CIRCUITS,
                          "same-timer-" + circuit.id() + "-" + timer,
                          Verdict.BREAKS,
                          phrase(
                              "Timer %s is needed twice: %s by %s, %s by %s.",
                              timer, before, other.name(), what, circuit.name()))
                      .advising(
                          "Move one of them to pins of another timer, or use another drive method."));
            }
          });
    }
  }
}
