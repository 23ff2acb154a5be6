package org.myrialith.web.circuits;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.CircuitKinds;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.CircuitStart;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The circuits: which fixtures they drive, in which order, on which pin. */
@Controller
@RequestMapping("/gadgets/{id}/circuits")
class CircuitsController {
  private final ProjectPages pages;

  CircuitsController(ProjectPages pages) {
    this.pages = pages;
  }

  /**
   * A fixture in a circuit.
   *
   * @param first index of its first pixel on the wire
   * @param share of the data time of a frame, 0 to 1
   */
  record Link(String id, String name, String what, int first, int last, double share) {}

  /** A circuit to look at. */
  record Tab(String id, String name, boolean here) {}

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(defaultValue = "") String circuit) {
    return page(id, circuit, null);
  }

  private ModelAndView page(UUID id, String circuit, FormValues typed) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = pages.page(opened, Step.CIRCUITS);
    List<CircuitPlan> plans = opened.plan().wiring().plans();
    CircuitPlan plan =
        plans.stream()
            .filter(p -> p.circuit().id().equals(circuit))
            .findFirst()
            .orElse(plans.isEmpty() ? null : plans.get(0));
    page.addObject("plan", plan);
    page.addObject("starts", CircuitStart.values());
    page.addObject("links", plan == null ? List.of() : links(plan));
    page.addObject(
        "tabs",
        plans.stream().map(p -> new Tab(p.circuit().id(), p.circuit().name(), p == plan)).toList());
    page.addObject(
        "loose",
        gadget.fixtures().stream().filter(f -> gadget.circuits().of(f).isEmpty()).toList());
    if (plan != null) {
      PartForm<Circuit> form = new PartForm<>(CircuitKinds.ALL, plan.circuit());
      FormValues values = typed != null ? typed : form.shown();
      page.addObject("form", values);
      page.addObject(
          "slots",
          form.slots(values).stream()
              .filter(s -> !List.of("id", "dataPin", "clockPin", "fixtures").contains(s.name()))
              .filter(s -> plan.circuit().minds(s.name()))
              .toList());
      page.addObject("pins", gadget.brief().controller().pins());
    }
    return page;
  }

  private static List<Link> links(CircuitPlan plan) {
    List<Link> links = new ArrayList<>();
    for (Fixture fixture : plan.fixtures()) {
      int first = plan.firstEmitter(fixture.id());
      links.add(
          new Link(
              fixture.id(),
              fixture.name(),
              fixture.describe(),
              first,
              first + fixture.count() - 1,
              (double) fixture.count() / plan.emitters()));
    }
    return links;
  }

  private static String there(String circuit) {
    return "circuits?circuit=" + ProjectPages.inQuery(circuit);
  }

  private static Circuit circuit(Gadget gadget, String id) {
    return gadget.circuits().circuit(id).orElseThrow(NotThereException::new);
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = Gadget.FIRST_CIRCUIT) String circuit,
      @RequestParam Map<String, String> form) {
    Map<String, String> own = new HashMap<>(form);
    own.keySet().removeAll(List.of("id", "kind", "fixtures"));
    return pages.edit(
        id,
        base,
        "Changed a circuit",
        g -> g.with(new PartForm<>(CircuitKinds.ALL, circuit(g, circuit)).read(own)),
        there(circuit),
        form,
        typed -> page(id, circuit, typed));
  }

  /** Adds a circuit on pins that are free. */
  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base, @RequestParam String start) {
    CircuitStart chosen =
        CircuitStart.of(start)
            .orElseThrow(
                () ->
                    new InputException(
                        "start",
                        start,
                        String.join(
                            ", ",
                            Arrays.stream(CircuitStart.values()).map(CircuitStart::key).toList())));
    String fresh = pages.open(id).plan().gadget().freeId("c");
    return pages.edit(
        id,
        base,
        "Added a circuit: " + chosen.title(),
        g -> g.with(chosen),
        there(fresh),
        errors -> page(id, "", null));
  }

  @PostMapping("/remove")
  ModelAndView remove(@PathVariable UUID id, @RequestParam int base, @RequestParam String circuit) {
    return pages.edit(
        id,
        base,
        "Removed a circuit",
        g -> g.with(g.circuits().withoutCircuit(circuit(g, circuit).id())),
        "circuits",
        errors -> page(id, circuit, null));
  }

  @PostMapping("/order")
  ModelAndView order(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixture,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam String to) {
    return pages.edit(
        id,
        base,
        "Changed the order of a circuit",
        g -> moved(g, fixture, circuit, to),
        there(circuit));
  }

  /** Moves one place, takes out, or puts at the end of a circuit. */
  private static Gadget moved(Gadget gadget, String id, String circuit, String to) {
    Fixture fixture = gadget.fixture(id).orElseThrow(NotThereException::new);
    return switch (to) {
      case "earlier", "later" -> {
        Circuit in = gadget.circuits().of(fixture).orElseThrow(NotThereException::new);
        yield gadget.with(in.moved(id, to.equals("later") ? 1 : -1));
      }
      case "off" -> gadget.with(gadget.circuits().without(id));
      case "on" -> {
        String on =
            circuit.isEmpty()
                ? gadget
                    .circuits()
                    .fitting(gadget.layout().emitterOf(fixture).kind())
                    .orElseThrow(NotThereException::new)
                    .id()
                : circuit(gadget, circuit).id();
        yield gadget.circuits().of(fixture).isPresent()
            ? gadget
            : gadget.with(gadget.circuits().withAtEnd(id, on));
      }
      default -> throw new InputException("to", to, "earlier, later, off or on");
    };
  }
}
