package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.place.FreePlace;
import org.myrialith.schema.Kind;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.OwnParts;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The layout: fixtures added, changed, copied, removed; its site. */
@Controller
@RequestMapping("/gadgets/{id}/layout")
class LayoutController {
  static final double GAP_MM = 30;

  private final ProjectPages pages;
  private final LayoutPage page;
  private final OwnParts parts;

  LayoutController(ProjectPages pages, LayoutPage page, OwnParts parts) {
    this.pages = pages;
    this.page = page;
    this.parts = parts;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(required = false) String fixture) {
    return page.page(id, fixture);
  }

  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base, @RequestParam String kind) {
    Fixture fixture = fresh(pages.open(id).plan().gadget(), kind);
    return pages.edit(
        id,
        base,
        "Added: " + ShapeKinds.ALL.kind(kind).orElseThrow().title(),
        g -> driven(g, fresh(g, kind)),
        "layout?fixture=" + fixture.id());
  }

  /** Returns a fixture of usual size beside everything that is there. */
  private static Fixture fresh(Gadget gadget, String kind) {
    Kind<? extends Shape> found =
        ShapeKinds.ALL
            .kind(kind)
            .orElseThrow(() -> new InputException("kind", kind, ShapeKinds.ALL.allowed()));
    String word = found.title();
    String name =
        Character.toUpperCase(word.charAt(0))
            + word.substring(1)
            + " "
            + (gadget.fixtures().size() + 1);
    Fixture fixture = Fixture.of(gadget.freeId("f"), name, found.usual());
    return beside(gadget, fixture.with(fixture.mount().withEmitter(found.usual().usualEmitter())));
  }

  /** Returns the gadget with a new fixture on a circuit that fits it. */
  private static Gadget driven(Gadget gadget, Fixture fixture) {
    Gadget grown = gadget.with(fixture);
    return FittingCircuit.wantedBy(grown, fixture).map(FittingCircuit::gadget).orElse(grown);
  }

  /** Moves a fixture to a circuit that fits its class of emitter. */
  @PostMapping("/fixture/{fixture}/circuit")
  ModelAndView fit(@PathVariable UUID id, @PathVariable String fixture, @RequestParam int base) {
    return pages.edit(
        id,
        base,
        "Circuit that fits the class",
        g ->
            FittingCircuit.wantedBy(g, g.fixture(fixture).orElseThrow(NotThereException::new))
                .map(FittingCircuit::gadget)
                .orElse(g),
        "layout?fixture=" + ProjectPages.inQuery(fixture));
  }

  /** Returns a fixture moved to free room beside everything that is there. */
  static Fixture beside(Gadget gadget, Fixture fixture) {
    LayoutPlan.Box own = LayoutPlan.of(List.of(fixture)).extent();
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
    return pages.edit(
        id,
        base,
        "Changed " + form.getOrDefault("name", fixture),
        g -> {
          Fixture changed = read(g, fixture, form);
          return EmitterShelf.of(g, parts.emitters()).lent(changed.mount().emitter()).with(changed);
        },
        "layout?fixture=" + ProjectPages.inQuery(fixture),
        form,
        typed -> page.page(id, fixture, LayoutPage.Part.FIXTURE, typed));
  }

  private static Fixture read(Gadget gadget, String id, Map<String, String> form) {
    Fixture old = styled(gadget.fixture(id).orElseThrow(NotThereException::new), form);
    Map<String, String> own = new HashMap<>(form);
    own.put("id", id);
    return new PartForm<>(Fixture.DESCRIPTION, old).read(own);
  }

  /** What is drawn goes with the style: a form that changes the style has none for the new one. */
  private static Fixture styled(Fixture fixture, Map<String, String> form) {
    Optional<SegmentStyle> style = SegmentStyle.of(form.getOrDefault("style", ""));
    return fixture.shape() instanceof SegmentDigits digits && style.isPresent()
        ? fixture.with(digits.styled(style.get()))
        : fixture;
  }

  @PostMapping("/copy")
  ModelAndView copy(
      @PathVariable UUID id, @RequestParam int base, @RequestParam("picked") String picked) {
    Gadget now = pages.open(id).plan().gadget();
    List<Fixture> copies = new ArrayList<>();
    Gadget growing = now;
    LayoutPlan.Box box = LayoutPlan.boxOf(LayoutPage.picked(now, picked));
    for (Fixture old : LayoutPage.picked(now, picked)) {
      Fixture copy =
          old.movedBy(0, Math.rint(box.heightMm() + GAP_MM))
              .renamed(growing.freeId("f"), TextRules.shortened(old.name() + " copy"));
      copies.add(copy);
      growing = growing.with(copy);
    }
    return pages.edit(
        id,
        base,
        copies.size() == 1 ? "Copied a fixture" : "Copied fixtures",
        g -> g.withFixtures(copies),
        "layout?fixture=" + String.join(",", copies.stream().map(Fixture::id).toList()));
  }

  @PostMapping("/remove")
  ModelAndView remove(
      @PathVariable UUID id, @RequestParam int base, @RequestParam("picked") String picked) {
    return pages.edit(
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
    return pages.edit(
        id,
        base,
        "Changed enclosure, diffuser or wire slack",
        g -> g.with(SiteForm.read(g, form)),
        "layout?fixture=" + ProjectPages.inQuery(picked) + "#site",
        form,
        typed -> page.page(id, picked, LayoutPage.Part.SITE, typed));
  }
}
