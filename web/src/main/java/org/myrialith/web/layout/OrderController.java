package org.myrialith.web.layout;

import java.util.Map;
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

/** The order of the fixtures on the data line, dragged, by keys or by number. */
@Controller
@RequestMapping("/gadgets/{id}/layout/order")
class OrderController {
  private final ProjectPages pages;
  private final LayoutPage page;

  OrderController(ProjectPages pages, LayoutPage page) {
    this.pages = pages;
    this.page = page;
  }

  @PostMapping
  ModelAndView order(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String fixture,
      @RequestParam(defaultValue = "") String place,
      @RequestParam(defaultValue = "") String by,
      @RequestParam(defaultValue = "") String picked) {
    return pages.edit(
        id,
        base,
        by.equals("reverse") ? "Reversed the data direction" : "Changed the order of the data line",
        g -> changed(g, fixture, place, by),
        "layout?fixture=" + ProjectPages.inQuery(picked),
        errors -> page.page(id, picked).addObject("typedTurn", Map.of(fixture, place)));
  }

  /** A member is a fixture, or a run of one: reversing turns all of the fixture. */
  private static Gadget changed(Gadget gadget, String member, String place, String by) {
    Circuit line = gadget.circuits().having(member).orElseThrow(NotThereException::new);
    return switch (by) {
      case "reverse" -> {
        Fixture fixture = gadget.fixture(FixtureRun.of(member).fixture()).orElseThrow();
        yield gadget.with(fixture.with(fixture.mount().backwards()));
      }
      case "earlier" -> gadget.with(line.moved(member, -1));
      case "later" -> gadget.with(line.moved(member, 1));
      default -> gadget.with(line.with(member, whole(place)));
    };
  }

  private static int whole(String place) {
    return TypedNumber.whole(place)
        .orElseThrow(() -> new InputException("place", place, "a whole number from 1"));
  }
}
