package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.FreePlace;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.UsualShapes;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.OwnParts;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.node.ObjectNode;

/** The layout: fixtures added, changed, copied, removed; its site. */
@Controller
@RequestMapping("/gadgets/{id}/layout")
class LayoutController {
  static final double GAP_MM = 30;

  private final Desk desk;
  private final LayoutPage page;
  private final OwnParts parts;

  LayoutController(Desk desk, LayoutPage page, OwnParts parts) {
    this.desk = desk;
    this.page = page;
    this.parts = parts;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(required = false) String fixture) {
    return page.page(id, fixture);
  }

  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base, @RequestParam String kind) {
    Fixture fixture = fresh(desk.open(id).plan().gadget(), kind);
    return desk.edit(
        id,
        base,
        "Added: " + KindNames.ALL.get(kind),
        g -> g.withFixture(fixture.renamed(g.freeId("f"), fixture.name())),
        "layout?fixture=" + fixture.id());
  }

  /** Returns a fixture of usual size beside everything that is there. */
  private static Fixture fresh(Gadget gadget, String kind) {
    Shape shape = UsualShapes.BY_KIND.get(kind);
    if (shape == null) {
      throw new InputException("kind", kind, String.join(", ", UsualShapes.BY_KIND.keySet()));
    }
    String word = KindNames.ALL.get(kind);
    String name =
        Character.toUpperCase(word.charAt(0))
            + word.substring(1)
            + " "
            + (gadget.fixtures().size() + 1);
    return beside(gadget, Fixture.of(gadget.freeId("f"), name, shape));
  }

  /** Returns a fixture moved to free room beside everything that is there. */
  static Fixture beside(Gadget gadget, Fixture fixture) {
    LayoutPlan.Box own = LayoutPlan.of(List.of(fixture), List.of()).extent();
    Point free = FreePlace.beside(gadget.fixtures(), GAP_MM).forBox(own.widthMm(), own.heightMm());
    return fixture.movedBy(
        Math.rint(free.xMm() - own.leftMm()), Math.rint(free.yMm() - own.topMm()));
  }

  @PostMapping("/fixture/{fixture}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed " + form.getOrDefault("name", fixture),
        g -> {
          Fixture changed = read(g, fixture, form);
          return EmitterShelf.of(g, parts.emitters())
              .lent(changed.mount().emitter())
              .withFixture(changed);
        },
        "layout?fixture=" + fixture,
        form,
        typed -> page.page(id, fixture, LayoutPage.Part.FIXTURE, typed));
  }

  private static Fixture read(Gadget gadget, String id, Map<String, String> form) {
    Fixture old = styled(gadget.fixture(id).orElseThrow(NotThereException::new), form);
    ObjectNode part = GadgetJson.write(old);
    ObjectNode node = ShapeText.over(part, form);
    node.put("kind", part.get("kind").stringValue()).put("id", id);
    if (old.shape() instanceof SegmentDigits digits && digits.custom().isEmpty()) {
      node.putArray("custom");
    }
    return GadgetJson.fixture(node);
  }

  /** What is drawn goes with the style: a form that changes the style has none for the new one. */
  private static Fixture styled(Fixture fixture, Map<String, String> form) {
    SegmentStyle style = SegmentStyle.of(form.getOrDefault("style", ""));
    return fixture.shape() instanceof SegmentDigits digits && style != null
        ? fixture.with(digits.styled(style))
        : fixture;
  }

  @PostMapping("/copy")
  ModelAndView copy(
      @PathVariable UUID id, @RequestParam int base, @RequestParam("picked") String picked) {
    Gadget now = desk.open(id).plan().gadget();
    List<Fixture> copies = new ArrayList<>();
    Gadget growing = now;
    LayoutPlan.Box box = LayoutPlan.boxOf(LayoutPage.picked(now, picked));
    for (Fixture old : LayoutPage.picked(now, picked)) {
      Fixture copy =
          old.movedBy(0, Math.rint(box.heightMm() + GAP_MM))
              .renamed(growing.freeId("f"), shortened(old.name() + " copy"));
      copies.add(copy);
      growing = growing.withFixture(copy);
    }
    return desk.edit(
        id,
        base,
        copies.size() == 1 ? "Copied a fixture" : "Copied fixtures",
        g -> g.withFixtures(copies),
        "layout?fixture=" + String.join(",", copies.stream().map(Fixture::id).toList()));
  }

  static String shortened(String name) {
    return name.length() > Text.NAME ? name.substring(0, Text.NAME) : name;
  }

  @PostMapping("/remove")
  ModelAndView remove(
      @PathVariable UUID id, @RequestParam int base, @RequestParam("picked") String picked) {
    return desk.edit(
        id,
        base,
        "Removed " + LayoutPage.ids(picked).size() + " of the fixtures",
        g -> {
          Gadget left = g;
          for (String each : LayoutPage.ids(picked)) {
            left = left.withoutFixture(each);
          }
          return left;
        },
        "layout");
  }

  @PostMapping("/site")
  ModelAndView site(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String picked,
      @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed enclosure, diffuser or wire",
        g -> g.withSite(SiteForm.read(g, form)),
        "layout?fixture=" + picked + "#site",
        form,
        typed -> page.page(id, picked, LayoutPage.Part.SITE, typed));
  }
}
