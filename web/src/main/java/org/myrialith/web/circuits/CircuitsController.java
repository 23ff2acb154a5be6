package org.myrialith.web.circuits;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.InputList;
import org.myrialith.parts.PriceList;
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
  private final CircuitsPage page;

  CircuitsController(ProjectPages pages, CircuitsPage page) {
    this.pages = pages;
    this.page = page;
  }

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam(defaultValue = "-1") int output,
      @RequestParam(defaultValue = "") String fixture,
      @RequestParam(defaultValue = "-1") int channel,
      @RequestParam(defaultValue = "") String ways,
      @RequestParam(defaultValue = "") String sort) {
    return page.compared(
        page.page(
            id, circuit, null, channel < 0 ? output : page.outputOf(id, circuit, fixture, channel)),
        ways,
        sort,
        null);
  }

  /** Makes a circuit of the way that was chosen, and keeps why. */
  @PostMapping("/choose")
  ModelAndView choose(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixtures,
      @RequestParam String way,
      @RequestParam(defaultValue = "") String why) {
    CircuitStart start = CircuitKinds.start(way).orElseThrow(NotThereException::new);
    List<String> ids = List.of(fixtures.split(","));
    return pages.edit(
        id,
        base,
        "Chose " + start.title() + (why.isBlank() ? "" : ": " + why),
        g -> {
          ids.forEach(
              f -> g.fixture(FixtureRun.of(f).fixture()).orElseThrow(NotThereException::new));
          return g.drivenBy(start, ids, why);
        },
        "circuits/of?fixture=" + ProjectPages.inQuery(ids.get(0)),
        errors -> page.page(id, "", null));
  }

  /** Goes to the circuit of a fixture. */
  @GetMapping("/of")
  ModelAndView of(@PathVariable UUID id, @RequestParam String fixture) {
    Gadget gadget = pages.open(id).plan().gadget();
    String circuit =
        gadget
            .circuits()
            .having(fixture)
            .or(
                () ->
                    gadget.fixture(FixtureRun.of(fixture).fixture()).flatMap(gadget.circuits()::of))
            .map(Circuit::id)
            .orElse("");
    return ProjectPages.redirect("/gadgets/" + id + "/" + CircuitsPage.there(circuit));
  }

  /** Sets the prices that ways are compared by. */
  @PostMapping("/prices")
  ModelAndView prices(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String ways,
      @RequestParam(defaultValue = "") String sort,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed prices",
        g ->
            g.with(
                g.circuits()
                    .with(new PartForm<>(PriceList.DESCRIPTION, g.circuits().prices()).read(form))),
        "circuits?ways=" + ProjectPages.inQuery(ways) + "&sort=" + ProjectPages.inQuery(sort),
        form,
        typed -> page.compared(page.page(id, "", null), ways, sort, typed));
  }

  /** Sets what is read beside the lights. */
  @PostMapping("/inputs")
  ModelAndView inputs(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed inputs",
        g ->
            g.with(
                g.circuits()
                    .with(new PartForm<>(InputList.DESCRIPTION, g.circuits().inputs()).read(form))),
        CircuitsPage.there(circuit),
        form,
        typed -> {
          ModelAndView shown = page.page(id, circuit, null);
          Gadget gadget = (Gadget) shown.getModel().get("gadget");
          return shown.addObject(
              "inputs",
              InputsView.of(gadget.circuits().inputs(), gadget.brief().controller(), typed));
        });
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = Gadget.FIRST_CIRCUIT) String circuit,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed a circuit",
        g ->
            g.with(
                new PartForm<>(CircuitKinds.ALL, CircuitsPage.circuit(g, circuit)).read(own(form))),
        CircuitsPage.there(circuit),
        form,
        typed -> page.page(id, circuit, typed));
  }

  /** Adds a circuit on pins that are free. */
  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base, @RequestParam String start) {
    CircuitStart chosen =
        CircuitKinds.start(start)
            .orElseThrow(
                () ->
                    new InputException(
                        "start",
                        start,
                        String.join(
                            ", ", CircuitKinds.STARTS.stream().map(CircuitStart::key).toList())));
    String fresh = pages.open(id).plan().gadget().freeId("c");
    return pages.edit(
        id,
        base,
        "Added a circuit of " + chosen.title(),
        g -> g.with(chosen),
        CircuitsPage.there(fresh),
        errors -> page.page(id, "", null));
  }

  @PostMapping("/remove")
  ModelAndView remove(@PathVariable UUID id, @RequestParam int base, @RequestParam String circuit) {
    return pages.edit(
        id,
        base,
        "Removed a circuit",
        g -> g.with(g.circuits().withoutCircuit(CircuitsPage.circuit(g, circuit).id())),
        "circuits",
        errors -> page.page(id, circuit, null));
  }

  private static Map<String, String> own(Map<String, String> form) {
    Map<String, String> own = new HashMap<>(form);
    own.keySet().removeAll(List.of("id", "kind", "fixtures"));
    return own;
  }
}
