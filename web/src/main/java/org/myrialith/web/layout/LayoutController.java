package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.finding.Text;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
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
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The layout. */
@Controller
@RequestMapping("/gadgets/{id}/layout")
class LayoutController {
  private static final double GAP_MM = 30;

  private final Desk desk;

  LayoutController(Desk desk) {
    this.desk = desk;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(required = false) String fixture) {
    return page(id, fixture, null);
  }

  private ModelAndView page(UUID id, String picked, FormValues typed) {
    var opened = desk.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = desk.page(opened, Step.LAYOUT);
    page.addObject("drawing", Drawing.of(opened.plan().layout()));
    Fixture fixture =
        gadget
            .fixture(picked == null ? "" : picked)
            .orElse(gadget.fixtures().isEmpty() ? null : gadget.fixtures().get(0));
    page.addObject("picked", fixture);
    page.addObject(
        "kind", fixture == null ? "" : GadgetJson.write(fixture).get("kind").stringValue());
    if (fixture != null) {
      page.addObject("form", typed != null ? typed : FormValues.of(GadgetJson.write(fixture)));
    }
    page.addObject("corners", Corner.values());
    return page;
  }

  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base, @RequestParam String kind) {
    Gadget gadget = desk.open(id).plan().gadget();
    Fixture fixture = fresh(gadget, kind);
    return desk.edit(
        id,
        base,
        "Added a " + kind,
        g -> g.withFixture(fixture.renamed(g.freeId("f"), fixture.name())),
        "layout?fixture=" + fixture.id());
  }

  /** Returns a fixture of usual size below everything that is there. */
  private static Fixture fresh(Gadget gadget, String kind) {
    LayoutPlan.Box box = LayoutPlan.of(gadget.fixtures(), List.of()).box();
    double top = gadget.fixtures().isEmpty() ? 0 : box.topMm() + box.heightMm() + GAP_MM;
    double left = box.leftMm();
    String id = gadget.freeId("f");
    long number = gadget.fixtures().size() + 1;
    if (kind.equals("strip")) {
      return new Strip(
          id,
          "Strip " + number,
          30,
          60,
          List.of(new Strip.Point(left, top), new Strip.Point(left + 500, top)));
    }
    if (kind.equals("panel")) {
      return new Panel(
          id, "Panel " + number, 8, 8, 10, 10, Corner.TOP_LEFT, false, true, 0, left, top);
    }
    if (kind.equals("ring")) {
      double radius = 30;
      return new Ring(
          id,
          "Ring " + number,
          List.of(new Ring.Circle(24, radius)),
          0,
          360,
          true,
          left + radius,
          top + radius);
    }
    throw new InputException("kind", kind, "panel, strip or ring");
  }

  @PostMapping("/{fixture}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed " + form.getOrDefault("name", fixture),
        g -> g.withFixture(read(g, fixture, form)),
        "layout?fixture=" + fixture,
        form,
        typed -> page(id, fixture, typed));
  }

  private static Fixture read(Gadget gadget, String id, Map<String, String> form) {
    ObjectNode part = GadgetJson.write(gadget.fixture(id).orElseThrow(NotThereException::new));
    ObjectNode node = FormValues.over(part, form);
    node.put("kind", part.get("kind").stringValue()).put("id", id);
    if (node.has("path") && form.containsKey("path")) {
      pairs(node.putArray("path"), "path", form.get("path"), "xMm", "yMm");
    }
    if (node.has("circles") && form.containsKey("circles")) {
      pairs(node.putArray("circles"), "circles", form.get("circles"), "count", "radiusMm");
    }
    return GadgetJson.fixture(node);
  }

  /** Two numbers a line; a comma stands between them, or a blank. */
  private static void pairs(
      ArrayNode list, String field, String text, String first, String second) {
    List<String> lines = text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
    List<InputError> errors = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      String[] parts = lines.get(i).split("\\s*[,;\\s]\\s*");
      if (parts.length != 2) {
        errors.add(
            new InputError(field + "[" + i + "]", lines.get(i), "two numbers, such as 120, 35"));
        continue;
      }
      ObjectNode entry = list.addObject();
      FormValues.putNumber(entry, first, parts[0]);
      FormValues.putNumber(entry, second, parts[1]);
    }
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
  }

  @PostMapping("/{fixture}/move")
  ModelAndView move(
      @PathVariable UUID id,
      @PathVariable String fixture,
      @RequestParam int base,
      @RequestParam String dx,
      @RequestParam String dy) {
    double right = distance("dx", dx);
    double down = distance("dy", dy);
    return desk.edit(
        id,
        base,
        "Moved a fixture",
        g ->
            g.withFixture(
                g.fixture(fixture).orElseThrow(NotThereException::new).movedBy(right, down)),
        "layout?fixture=" + fixture,
        errors -> page(id, fixture, null));
  }

  private static double distance(String field, String text) {
    try {
      return Fixture.PLACE.require(field, Double.parseDouble(text));
    } catch (NumberFormatException e) {
      throw new InputException(field, text, Fixture.PLACE.allowed());
    }
  }

  @PostMapping("/{fixture}/copy")
  ModelAndView copy(@PathVariable UUID id, @PathVariable String fixture, @RequestParam int base) {
    return desk.edit(
        id,
        base,
        "Copied a fixture",
        g -> {
          Fixture old = g.fixture(fixture).orElseThrow(NotThereException::new);
          LayoutPlan.Box box = LayoutPlan.of(List.of(old), List.of()).box();
          return g.withFixture(
              old.movedBy(0, box.heightMm() + GAP_MM)
                  .renamed(g.freeId("f"), shortened(old.name() + " copy")));
        },
        "layout?fixture=" + desk.open(id).plan().gadget().freeId("f"));
  }

  private static String shortened(String name) {
    return name.length() > Text.NAME ? name.substring(0, Text.NAME) : name;
  }

  @PostMapping("/{fixture}/remove")
  ModelAndView remove(@PathVariable UUID id, @PathVariable String fixture, @RequestParam int base) {
    return desk.edit(id, base, "Removed a fixture", g -> g.withoutFixture(fixture), "layout");
  }
}
