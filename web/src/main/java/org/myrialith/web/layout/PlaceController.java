package org.myrialith.web.layout;

import java.util.Map;
import java.util.UUID;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Point;
import org.myrialith.layout.place.HandPlacing;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/**
 * LooseEmitters emitters set on the drawing: among those that are picked, else the first of new
 * ones.
 */
@Controller
@RequestMapping("/gadgets/{id}/layout/place")
class PlaceController {
  private final ProjectPages pages;
  private final LayoutPage page;

  PlaceController(ProjectPages pages, LayoutPage page) {
    this.pages = pages;
    this.page = page;
  }

  @PostMapping
  ModelAndView place(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam(defaultValue = "") String picked,
      @RequestParam Map<String, String> form) {
    Gadget now = pages.open(id).plan().gadget();
    String fixture =
        now.fixture(picked).filter(PlaceController::loose).isPresent() ? picked : now.freeId("f");
    boolean moves =
        fixture.equals(picked)
            && !form.getOrDefault("fromX", "").isBlank()
            && !form.getOrDefault("fromY", "").isBlank();
    return pages.edit(
        id,
        base,
        moves ? "Moved an emitter" : "Placed an emitter",
        g ->
            g.with(
                moves
                    ? placing(g, fixture)
                        .moved(point(form, "fromX", "fromY"), point(form, "x", "y"))
                    : with(g, fixture, point(form, "x", "y"))),
        "layout?fixture=" + fixture,
        errors -> page.page(id, picked));
  }

  private static Point point(Map<String, String> form, String x, String y) {
    return new Point(
        TypedNumber.require(x, form.getOrDefault(x, ""), Fixture.PLACE),
        TypedNumber.require(y, form.getOrDefault(y, ""), Fixture.PLACE));
  }

  private static boolean loose(Fixture fixture) {
    return fixture.shape() instanceof LooseEmitters;
  }

  private static HandPlacing placing(Gadget gadget, String fixture) {
    return new HandPlacing(gadget.fixture(fixture).orElseThrow(NotThereException::new));
  }

  private static Fixture with(Gadget gadget, String fixture, Point at) {
    if (gadget.fixture(fixture).isPresent()) {
      return placing(gadget, fixture).with(at);
    }
    return HandPlacing.first(
        fixture, "LooseEmitters emitters " + (gadget.fixtures().size() + 1), at);
  }
}
