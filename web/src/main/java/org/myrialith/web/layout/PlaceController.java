package org.myrialith.web.layout;

import java.util.UUID;
import org.myrialith.gadget.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.HandPlacing;
import org.myrialith.layout.Loose;
import org.myrialith.layout.Point;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Loose emitters set on the drawing: among those that are picked, else the first of new ones. */
@Controller
@RequestMapping("/gadgets/{id}/layout/place")
class PlaceController {
  private final Desk desk;
  private final LayoutPage page;

  PlaceController(Desk desk, LayoutPage page) {
    this.desk = desk;
    this.page = page;
  }

  @PostMapping
  ModelAndView place(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String picked,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam(required = false) Double fromX,
      @RequestParam(required = false) Double fromY) {
    Gadget now = desk.open(id).plan().gadget();
    String fixture =
        now.fixture(picked).filter(PlaceController::loose).isPresent() ? picked : now.freeId("f");
    Point at = new Point(x, y);
    boolean moves = fixture.equals(picked) && fromX != null && fromY != null;
    return desk.edit(
        id,
        base,
        moves ? "Moved an emitter" : "Placed an emitter",
        g ->
            g.withFixture(
                moves
                    ? placing(g, fixture).moved(new Point(fromX, fromY), at)
                    : with(g, fixture, at)),
        "layout?fixture=" + fixture,
        errors -> page.page(id, picked));
  }

  private static boolean loose(Fixture fixture) {
    return fixture.shape() instanceof Loose;
  }

  private static HandPlacing placing(Gadget gadget, String fixture) {
    return new HandPlacing(gadget.fixture(fixture).orElseThrow(NotThereException::new));
  }

  private static Fixture with(Gadget gadget, String fixture, Point at) {
    if (gadget.fixture(fixture).isPresent()) {
      return placing(gadget, fixture).with(at);
    }
    return HandPlacing.first(fixture, "Loose emitters " + (gadget.fixtures().size() + 1), at);
  }
}
