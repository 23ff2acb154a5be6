package org.myrialith.web.circuits;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.drive.ChainPlan;
import org.myrialith.drive.ColourOrder;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.Fixture;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.desk.FormValues;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.node.ObjectNode;

/** The data line. */
@Controller
@RequestMapping("/gadgets/{id}/circuits")
class CircuitsController {
  private final Desk desk;

  CircuitsController(Desk desk) {
    this.desk = desk;
  }

  /**
   * A fixture in the data line.
   *
   * @param first index of its first pixel in the chain
   * @param share of the data time of a frame, 0 to 1
   */
  record Link(String id, String name, String what, int first, int last, double share) {}

  @GetMapping
  ModelAndView show(@PathVariable UUID id) {
    return page(id, null);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    var opened = desk.open(id);
    Gadget gadget = opened.plan().gadget();
    OneWirePixels chain = chain(gadget);
    ModelAndView page = desk.page(opened, Step.CIRCUITS);
    page.addObject("form", typed != null ? typed : FormValues.of(GadgetJson.write(chain)));
    page.addObject("chain", chain);
    page.addObject("plan", opened.plan().chain().orElse(null));
    page.addObject("links", links(gadget, chain, opened.plan().chain()));
    page.addObject(
        "loose",
        gadget.fixtures().stream().filter(f -> !chain.fixtures().contains(f.id())).toList());
    page.addObject("orders", ColourOrder.values());
    page.addObject("pins", gadget.controller().pins());
    return page;
  }

  private static OneWirePixels chain(Gadget gadget) {
    return gadget.chain().orElse(OneWirePixels.usual(Gadget.FIRST_CIRCUIT, List.of()));
  }

  private static List<Link> links(Gadget gadget, OneWirePixels chain, Optional<ChainPlan> plan) {
    List<Link> links = new ArrayList<>();
    int first = 0;
    int all = Math.max(1, plan.map(ChainPlan::pixels).orElse(1));
    for (String id : chain.fixtures()) {
      Fixture fixture = gadget.fixture(id).orElseThrow(NotThereException::new);
      links.add(
          new Link(
              id,
              fixture.name(),
              fixture.describe(),
              first,
              first + fixture.count() - 1,
              (double) fixture.count() / all));
      first += fixture.count();
    }
    return links;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed the data line",
        g -> {
          ObjectNode part = GadgetJson.write(chain(g));
          ObjectNode node = FormValues.over(part, form);
          node.put("kind", part.get("kind").stringValue()).put("id", part.get("id").stringValue());
          return g.withChain(GadgetJson.circuit(node));
        },
        "circuits",
        form,
        typed -> page(id, typed));
  }

  @PostMapping("/order")
  ModelAndView order(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixture,
      @RequestParam String to) {
    return desk.edit(
        id,
        base,
        "Changed the order of the data line",
        g -> g.withChain(moved(chain(g), fixture, to)),
        "circuits");
  }

  /** Moves one place, takes off the line, or puts at its end. */
  private static OneWirePixels moved(OneWirePixels line, String fixture, String to) {
    return switch (to) {
      case "earlier" -> line.moved(fixture, -1);
      case "later" -> line.moved(fixture, 1);
      case "off" -> line.without(fixture);
      case "on" -> line.fixtures().contains(fixture) ? line : line.withAtEnd(fixture);
      default -> throw new InputException("to", to, "earlier, later, off or on");
    };
  }
}
