package org.myrialith.web.circuits;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.build.WayColumn;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.CircuitKinds;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.CircuitStart;
import org.myrialith.drive.InputList;
import org.myrialith.drive.OutputMoves;
import org.myrialith.drive.SwitchedCircuit;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.firmware.BitMapFile;
import org.myrialith.gadget.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.PriceList;
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
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** The circuits: which fixtures they drive, in which order, on which pin. */
@Controller
@RequestMapping("/gadgets/{id}/circuits")
class CircuitsController {
  private final ProjectPages pages;

  CircuitsController(ProjectPages pages) {
    this.pages = pages;
  }

  /** A circuit to look at. */
  record Tab(String id, String name, boolean here) {}

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam(defaultValue = "-1") int output,
      @RequestParam(defaultValue = "") String ways,
      @RequestParam(defaultValue = "") String sort) {
    ModelAndView page = page(id, circuit, null, output);
    return compared(page, ways, sort, null);
  }

  /**
   * Ways for fixtures that were asked for; else, as long as the circuit that is shown drives
   * nothing, for the first that has none and a choice.
   */
  private static ModelAndView compared(
      ModelAndView page, String ways, String sort, FormValues typed) {
    Gadget gadget = (Gadget) page.getModel().get("gadget");
    CircuitView shown = (CircuitView) page.getModel().get("view");
    boolean nothing = shown == null || shown.links().isEmpty();
    List<String> asked =
        Arrays.stream(ways.split(","))
            .distinct()
            .filter(id -> gadget.fixture(id).isPresent())
            .toList();
    List<String> fixtures =
        asked.isEmpty() && nothing
            ? gadget.fixtures().stream()
                .filter(f -> gadget.circuits().of(f).isEmpty())
                .filter(f -> !gadget.layout().emitterOf(f).kind().pixel())
                .limit(1)
                .map(Fixture::id)
                .toList()
            : asked;
    if (!fixtures.isEmpty()) {
      page.addObject("ways", WaysView.of(gadget, fixtures, WayColumn.of(sort), typed));
    }
    return page;
  }

  /** Makes a circuit of the way that was chosen, and keeps why. */
  @PostMapping("/choose")
  ModelAndView choose(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixtures,
      @RequestParam String way,
      @RequestParam(defaultValue = "") String why) {
    CircuitStart start = CircuitStart.of(way).orElseThrow(NotThereException::new);
    List<String> ids = List.of(fixtures.split(","));
    return pages.edit(
        id,
        base,
        "Chose " + start.title() + (why.isBlank() ? "" : ": " + why),
        g -> {
          ids.forEach(f -> g.fixture(f).orElseThrow(NotThereException::new));
          return g.drivenBy(start, ids, why);
        },
        "circuits/of?fixture=" + ProjectPages.inQuery(ids.get(0)),
        errors -> page(id, "", null));
  }

  /** Goes to the circuit of a fixture. */
  @GetMapping("/of")
  ModelAndView of(@PathVariable UUID id, @RequestParam String fixture) {
    Gadget gadget = pages.open(id).plan().gadget();
    String circuit =
        gadget.fixture(fixture).flatMap(gadget.circuits()::of).map(Circuit::id).orElse("");
    return ProjectPages.redirect("/gadgets/" + id + "/" + there(circuit));
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
        typed -> compared(page(id, "", null), ways, sort, typed));
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
        there(circuit),
        form,
        typed -> {
          ModelAndView page = page(id, circuit, null);
          Gadget gadget = (Gadget) page.getModel().get("gadget");
          return page.addObject(
              "inputs",
              InputsView.of(gadget.circuits().inputs(), gadget.brief().controller(), typed));
        });
  }

  private ModelAndView page(UUID id, String circuit, FormValues typed) {
    return page(id, circuit, typed, -1);
  }

  private ModelAndView page(UUID id, String circuit, FormValues typed, int output) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = pages.page(opened, Step.CIRCUITS);
    List<CircuitPlan> plans = opened.plan().wiring().plans();
    CircuitPlan plan =
        plans.stream()
            .filter(p -> p.circuit().id().equals(circuit))
            .findFirst()
            .orElse(plans.isEmpty() ? null : plans.get(0));
    page.addObject("starts", CircuitStart.values());
    page.addObject(
        "tabs",
        plans.stream().map(p -> new Tab(p.circuit().id(), p.circuit().name(), p == plan)).toList());
    page.addObject(
        "loose",
        gadget.fixtures().stream().filter(f -> gadget.circuits().of(f).isEmpty()).toList());
    page.addObject(
        "view", plan == null ? null : CircuitView.of(plan, opened.plan().layout(), typed, output));
    page.addObject("why", plan == null ? "" : gadget.circuits().why(plan.circuit().id()));
    page.addObject("pins", gadget.brief().controller().pins());
    page.addObject(
        "inputs", InputsView.of(gadget.circuits().inputs(), gadget.brief().controller(), null));
    return page;
  }

  /** Puts a channel on another output, or all back to where they stood by themselves. */
  @PostMapping("/bit")
  ModelAndView bit(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String circuit,
      @RequestParam(defaultValue = "") String fixture,
      @RequestParam(defaultValue = "0") int channel,
      @RequestParam(defaultValue = "") String output,
      @RequestParam(defaultValue = "false") boolean trade) {
    boolean back = fixture.isEmpty();
    return pages.edit(
        id,
        base,
        back ? "Put channels back in order" : "Moved a channel to another output",
        g -> {
          OutputMoves moves = moves(g, circuit);
          int to = back ? 0 : output(output);
          return g.with(
              back
                  ? moves.inOrder()
                  : trade ? moves.trade(fixture, channel, to) : moves.move(fixture, channel, to));
        },
        there(circuit) + (back ? "" : "&output=" + ProjectPages.inQuery(output.strip())),
        errors -> {
          Gadget gadget = pages.open(id).plan().gadget();
          int stays = moves(gadget, circuit).outputOf(fixture, channel);
          return page(id, circuit, null, stays).addObject("typedOutput", output);
        });
  }

  private static OutputMoves moves(Gadget gadget, String id) {
    if (circuit(gadget, id) instanceof SwitchedCircuit switched) {
      return new OutputMoves(switched, switched.plan(gadget.layout(), gadget.brief()));
    }
    throw new NotThereException();
  }

  private static int output(String typed) {
    try {
      return Integer.parseInt(typed.strip());
    } catch (NumberFormatException e) {
      throw new InputException("output", typed, "a whole number from 0");
    }
  }

  /** The bit map as a table, as firmware brings it along. */
  @GetMapping(path = "/bitmap.csv", produces = "text/csv;charset=UTF-8")
  @ResponseBody
  String bitmap(@PathVariable UUID id) {
    return new BitMapFile(pages.open(id).plan().wiring().plans()).csv();
  }

  /** The bit map as constants for C. */
  @GetMapping(path = "/bitmap.h", produces = "text/plain;charset=UTF-8")
  @ResponseBody
  String constants(@PathVariable UUID id) {
    return new BitMapFile(pages.open(id).plan().wiring().plans()).header();
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
        "Added a circuit of " + chosen.title(),
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
