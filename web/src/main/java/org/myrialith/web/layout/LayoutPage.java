package org.myrialith.web.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Shape;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.Site;
import org.myrialith.layout.place.Arrangement;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.OwnParts;
import org.myrialith.web.store.Projects;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Makes the layout page. */
@Component
class LayoutPage {
  private final ProjectPages pages;
  private final OwnParts parts;

  LayoutPage(ProjectPages pages, OwnParts parts) {
    this.pages = pages;
    this.parts = parts;
  }

  /** Which form of the page was refused. */
  enum Part {
    FIXTURE,
    SITE,
    ARRANGE,
    GROUP
  }

  /**
   * A group as the page shows it.
   *
   * @param members a fixture and a run of indices a line
   */
  record GroupForm(String id, String name, int count, String members) {}

  /**
   * A fixture in the order of the data line.
   *
   * @param place from 1
   * @param first index in the chain of its first emitter
   * @param last index in the chain of its last
   */
  record Turn(int place, String id, String name, int first, int last, boolean reversed) {}

  /** A fixture in the order of the gadget with where its picks lead. */
  record Tab(String id, String name, String what, boolean picked, String toggled) {}

  /** Returns identifiers of fixtures parted by commas. */
  static List<String> ids(String picked) {
    return picked == null || picked.isBlank()
        ? List.of()
        : Arrays.stream(picked.split(",")).map(String::strip).distinct().toList();
  }

  /** Returns those fixtures of a gadget that were picked, the first one when none was. */
  static List<Fixture> picked(Gadget gadget, String ids) {
    List<Fixture> all = new ArrayList<>();
    ids(ids).forEach(id -> gadget.fixture(id).ifPresent(all::add));
    if (all.isEmpty() && !gadget.fixtures().isEmpty()) {
      all.add(gadget.fixtures().get(0));
    }
    return all;
  }

  ModelAndView page(UUID id, String picked) {
    return page(id, picked, null, null);
  }

  /** Returns the page with what was typed in one of its forms and refused. */
  ModelAndView page(UUID id, String picked, Part part, FormValues typed) {
    Projects.Opened opened = pages.open(id);
    GadgetPlan plan = opened.plan();
    Gadget gadget = plan.gadget();
    List<Fixture> fixtures = picked(gadget, picked);
    Site site = gadget.layout().site();
    ModelAndView page = pages.page(opened, Step.LAYOUT);
    page.addObject("drawing", Drawing.of(plan.layout(), plan.wiring().lines(), site.enclosure()));
    page.addObject("tabs", tabs(gadget, fixtures));
    page.addObject("pickedIds", String.join(",", fixtures.stream().map(Fixture::id).toList()));
    page.addObject("several", fixtures.size() > 1);
    Fixture one = fixtures.isEmpty() ? null : fixtures.get(0);
    page.addObject("picked", one);
    page.addObject("kinds", KindPicture.ALL);
    if (one != null) {
      PartForm<Fixture> whole = new PartForm<>(Fixture.DESCRIPTION, one);
      FormValues form = part == Part.FIXTURE ? typed : whole.shown();
      page.addObject("form", form);
      page.addObject("slots", shapeForm(one).slots(form));
      page.addObject("mountSlots", mountSlots(one, form));
      page.addObject("classes", classes(gadget));
      page.addObject(
          "fitting",
          fixtures.size() > 1 ? null : FittingCircuit.wantedBy(gadget, one).orElse(null));
      page.addObject("classTitle", gadget.layout().emitterOf(one).kind().title());
    }
    page.addObject("siteForm", part == Part.SITE ? typed : SiteForm.of(site));
    page.addObject("outlineKept", site.enclosure() instanceof Enclosure.Outline);
    page.addObject("arrangeForm", part == Part.ARRANGE ? typed : FormValues.of(Map.of()));
    page.addObject("groupForm", part == Part.GROUP ? typed : FormValues.of(Map.of()));
    page.addObject("opened", part == null ? "" : part.name());
    page.addObject("lines", Arrangement.Line.values());
    page.addObject("groups", gadget.layout().groups().stream().map(g -> group(gadget, g)).toList());
    page.addObject("leads", leads(plan));
    page.addObject("turns", turns(plan));
    page.addObject("diffused", site.diffuserMm() > 0 && one != null);
    return page;
  }

  /** The fields that only its kind has. */
  private static PartForm<Shape> shapeForm(Fixture fixture) {
    return new PartForm<>(ShapeKinds.ALL, fixture.shape());
  }

  /** How it is put up; its class is chosen from a list of its own. */
  private static List<PartForm.Slot> mountSlots(Fixture fixture, FormValues form) {
    return new PartForm<>(Mount.DESCRIPTION, fixture.mount())
        .slots(form).stream().filter(slot -> !slot.name().equals("emitter")).toList();
  }

  /** The fixtures of each circuit in their order. */
  private static List<Turn> turns(GadgetPlan plan) {
    List<Turn> turns = new ArrayList<>();
    boolean several = plan.wiring().plans().size() > 1;
    for (CircuitPlan circuit : plan.wiring().plans()) {
      int place = 1;
      int first = 0;
      for (int s = 0; s < circuit.sections().size(); s++) {
        FixtureRange section = circuit.sections().get(s);
        String name = several ? circuit.circuit().name() + ": " + section.name() : section.name();
        turns.add(
            new Turn(
                place++,
                circuit.circuit().fixtures().get(s),
                name,
                first,
                first + section.count() - 1,
                section.fixture().mount().reversed()));
        first += section.count();
      }
    }
    return turns;
  }

  private static List<Tab> tabs(Gadget gadget, List<Fixture> picked) {
    List<String> ids = picked.stream().map(Fixture::id).toList();
    List<Tab> tabs = new ArrayList<>();
    for (Fixture fixture : gadget.fixtures()) {
      List<String> toggled = new ArrayList<>(ids);
      if (!toggled.remove(fixture.id())) {
        toggled.add(fixture.id());
      }
      tabs.add(
          new Tab(
              fixture.id(),
              fixture.name(),
              fixture.describe(),
              ids.contains(fixture.id()),
              String.join(",", toggled)));
    }
    return tabs;
  }

  /**
   * Classes to choose from: those that come along, the gadget's own, those kept for all gadgets.
   */
  private Map<String, String> classes(Gadget gadget) {
    Map<String, String> names = new LinkedHashMap<>();
    EmitterShelf.of(gadget, parts.emitters()).all().forEach(c -> names.put(c.id(), c.name()));
    return names;
  }

  private static GroupForm group(Gadget gadget, Group group) {
    StringBuilder members = new StringBuilder();
    for (Group.Member member : group.members()) {
      Fixture fixture = gadget.fixture(member.fixture()).orElseThrow();
      boolean whole = member.from() == 0 && member.to() == fixture.count() - 1;
      members
          .append(member.fixture())
          .append(whole ? "" : ", " + member.from() + "-" + member.to())
          .append('\n');
    }
    return new GroupForm(group.id(), group.name(), group.count(), members.toString());
  }

  private static List<String> leads(GadgetPlan plan) {
    return plan.wiring().lines().stream()
        .flatMap(line -> LayoutPlan.leads(line).stream())
        .limit(40)
        .map(
            l ->
                phrase(
                    "%s %d to %s %d: %s",
                    plan.layout().fixtureOf(l.from()).name(),
                    l.from().index(),
                    plan.layout().fixtureOf(l.to()).name(),
                    l.to().index(),
                    Quantity.text(plan.gadget().layout().site().leadMm(l.straightMm()), "mm")))
        .toList();
  }
}
