package org.myrialith.web.circuits;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.myrialith.build.DriveMethodColumn;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.circuit.output.OutputMoves;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.EmitterKind;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** The page of the circuits. */
@Component
class CircuitsPage {
  private final ProjectPages pages;

  CircuitsPage(ProjectPages pages) {
    this.pages = pages;
  }

  /** A circuit to look at. */
  record Tab(String id, String name, boolean here) {}

  /** Returns the output that a channel of a fixture stands on, -1 when there is no such channel. */
  int outputOf(UUID id, String circuit, String fixture, int channel) {
    Gadget gadget = pages.open(id).plan().gadget();
    return circuit(gadget, circuit) instanceof SwitchedCircuit switched
        ? new OutputMoves(switched, switched.plan(gadget.layout(), gadget.brief()))
            .outputOf(fixture, channel)
        : -1;
  }

  /** Returns the page as it stands, or as it was typed. */
  ModelAndView page(UUID id, String circuit, FormValues typed) {
    return page(id, circuit, typed, -1);
  }

  /** Returns the page with an output picked. */
  ModelAndView page(UUID id, String circuit, FormValues typed, int output) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = pages.page(opened, Step.CIRCUITS);
    List<CircuitPlan> plans = opened.plan().wiring().plans();
    CircuitPlan plan =
        plans.stream()
            .filter(p -> p.circuit().id().equals(circuit))
            .findFirst()
            .orElse(plans.isEmpty() ? null : plans.get(0));
    page.addObject("starts", CircuitKinds.STARTS);
    page.addObject(
        "tabs",
        plans.stream().map(p -> new Tab(p.circuit().id(), p.circuit().name(), p == plan)).toList());
    page.addObject("loose", loose(gadget));
    page.addObject(
        "view",
        plan == null
            ? null
            : CircuitView.of(plan, gadget.layout(), opened.plan().layout(), typed, output));
    page.addObject("why", plan == null ? "" : gadget.circuits().why(plan.circuit().id()));
    page.addObject("pins", gadget.brief().controller().pins());
    page.addObject(
        "inputs", InputsView.of(gadget.circuits().inputs(), gadget.brief().controller(), null));
    return page;
  }

  /**
   * Ways for fixtures that were asked for; else, as long as the circuit that is shown drives
   * nothing, for the first that has none and a choice.
   */
  ModelAndView compared(ModelAndView page, String ways, String sort, FormValues typed) {
    Gadget gadget = (Gadget) page.getModel().get("gadget");
    CircuitView shown = (CircuitView) page.getModel().get("view");
    boolean nothing = shown == null || shown.links().isEmpty();
    List<String> asked =
        Arrays.stream(ways.split(","))
            .distinct()
            .filter(member -> isThere(gadget, member))
            .toList();
    List<String> fixtures = asked.isEmpty() ? undriven(gadget, nothing) : asked;
    if (!fixtures.isEmpty()) {
      page.addObject("ways", WaysView.of(gadget, fixtures, DriveMethodColumn.of(sort), typed));
    }
    return page;
  }

  /**
   * The first fixture on a circuit that can't drive its class; where nothing is shown, the first
   * that is on none.
   */
  private static List<String> undriven(Gadget gadget, boolean nothing) {
    Stream<String> wrong =
        gadget.fixtures().stream()
            .filter(fixture -> !gadget.layout().emitterOf(fixture).kind().pixel())
            .filter(
                fixture ->
                    gadget.circuits().circuits().stream()
                        .anyMatch(
                            circuit ->
                                circuit.has(fixture.id())
                                    && !circuit.drives(gadget.layout().emitterOf(fixture).kind())))
            .map(Fixture::id);
    Stream<String> loose =
        nothing
            ? loose(gadget).stream().filter(l -> !l.pixel()).map(Loose::member)
            : Stream.empty();
    return Stream.concat(wrong, loose).limit(1).toList();
  }

  /** Whether a text names a fixture, or a run of one, of the gadget. */
  private static boolean isThere(Gadget gadget, String member) {
    try {
      return gadget.fixture(FixtureRun.of(member).fixture()).isPresent();
    } catch (InputException e) {
      return false;
    }
  }

  /**
   * A fixture in no circuit, or a run of one.
   *
   * @param member as in the format
   * @param pixel whether its emitters keep their own levels
   */
  record Loose(String member, String name, boolean pixel, EmitterKind kind) {}

  private static List<Loose> loose(Gadget gadget) {
    List<Loose> all = new ArrayList<>();
    for (Fixture fixture : gadget.fixtures()) {
      EmitterKind kind = gadget.layout().emitterOf(fixture).kind();
      for (FixtureRun run : gadget.circuits().loose(fixture)) {
        all.add(new Loose(run.text(), run.in(gadget.layout()).name(), kind.pixel(), kind));
      }
    }
    return all;
  }

  /** Returns where a circuit is looked at. */
  static String there(String circuit) {
    return "circuits?circuit=" + ProjectPages.inQuery(circuit);
  }

  /** Returns a circuit, or that it is not there. */
  static Circuit circuit(Gadget gadget, String id) {
    return gadget.circuits().circuit(id).orElseThrow(NotThereException::new);
  }
}
