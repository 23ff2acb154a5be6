package org.myrialith.web.circuits;

import java.util.List;
import java.util.UUID;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Says which circuit has what of the fixtures, and in which order. */
@Controller
@RequestMapping("/gadgets/{id}/circuits")
class MembersController {
  private final ProjectPages pages;
  private final CircuitsPage page;

  MembersController(ProjectPages pages, CircuitsPage page) {
    this.pages = pages;
    this.page = page;
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
        CircuitsPage.there(circuit));
  }

  /** Sets which of a fixture's emitters a circuit has. */
  @PostMapping("/run")
  ModelAndView run(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String circuit,
      @RequestParam String member,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to) {
    return pages.edit(
        id,
        base,
        "Changed the section of a circuit",
        g -> {
          if (!CircuitsPage.circuit(g, circuit).fixtures().contains(member)) {
            throw new NotThereException();
          }
          Fixture fixture = g.fixture(FixtureRun.of(member).fixture()).orElseThrow();
          FixtureRun run = FixtureRun.between(fixture, index("from", from), index("to", to));
          return g.with(g.circuits().withRun(circuit, member, run, g.layout()));
        },
        CircuitsPage.there(circuit),
        errors -> page.page(id, circuit, null).addObject("typedRun", List.of(member, from, to)));
  }

  private static int index(String field, String typed) {
    return TypedNumber.whole(typed)
        .orElseThrow(() -> new InputException(field, typed, "a whole number from 0"));
  }

  /** Moves one place, takes out, or puts at the end of a circuit. */
  private static Gadget moved(Gadget gadget, String id, String circuit, String to) {
    Fixture fixture =
        gadget.fixture(FixtureRun.of(id).fixture()).orElseThrow(NotThereException::new);
    return switch (to) {
      case "earlier", "later" -> {
        Circuit in = gadget.circuits().having(id).orElseThrow(NotThereException::new);
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
                : CircuitsPage.circuit(gadget, circuit).id();
        yield gadget.circuits().loose(fixture).contains(FixtureRun.of(id))
            ? gadget.with(gadget.circuits().withAtEnd(FixtureRun.of(id), on, gadget.layout()))
            : gadget;
      }
      default -> throw new InputException("to", to, "earlier, later, off or on");
    };
  }
}
