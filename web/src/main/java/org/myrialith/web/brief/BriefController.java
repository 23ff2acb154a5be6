package org.myrialith.web.brief;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.myrialith.brief.Brief;
import org.myrialith.brief.BriefBuilder;
import org.myrialith.brief.Goals;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GoalWays;
import org.myrialith.layout.Site;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OwnController;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.DailyUse;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.Projects;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The brief. */
@org.springframework.stereotype.Controller
@RequestMapping("/gadgets/{id}/brief")
class BriefController {
  private static final double MM_PER_METRE = 1000;
  private static final Bounds VIEWING = Bounds.measure(0, Site.VIEWING.max() / MM_PER_METRE, "m");

  private final ProjectPages pages;
  private final Projects projects;

  BriefController(ProjectPages pages, Projects projects) {
    this.pages = pages;
    this.projects = projects;
  }

  /** The brief, with what reaches one of its goals where that is asked for. */
  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(defaultValue = "") String ways) {
    return page(id, null, ways);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    return page(id, typed, "");
  }

  private ModelAndView page(UUID id, FormValues typed, String ways) {
    var opened = pages.open(id);
    ModelAndView page = pages.page(opened, Step.BRIEF);
    page.addObject("form", typed != null ? typed : FormValues.of(values(opened.plan().gadget())));
    Brief brief = opened.plan().gadget().brief();
    page.addObject("controllers", brief.controllers());
    page.addObject("own", own(brief, null));
    page.addObject("supplies", Supply.all());
    page.addObject("kinds", kinds());
    page.addObject("clocks", clocks());
    page.addObject("goals", GoalView.of(opened.plan(), ways));
    return page;
  }

  private static Map<String, String> kinds() {
    Map<String, String> kinds = new LinkedHashMap<>();
    for (SupplyKind kind : SupplyKind.values()) {
      kinds.put(kind.key(), kind.title());
    }
    return kinds;
  }

  /**
   * The maker's own classes.
   *
   * @param open whether they are looked at or were refused
   */
  record Own(FormValues form, List<PartForm.Slot> slots, boolean open) {}

  private static Own own(Brief brief, FormValues typed) {
    PartForm<Brief> part = new PartForm<>(Brief.DESCRIPTION, brief);
    FormValues form = typed != null ? typed : part.shown();
    return new Own(
        form,
        part.slots(form).stream().filter(s -> s.name().equals("ownControllers")).toList(),
        typed != null || !brief.ownControllers().isEmpty());
  }

  /** Sets the maker's own classes of controller. */
  @PostMapping("/own")
  ModelAndView own(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    Map<String, String> rows = new HashMap<>(form);
    rows.keySet().removeIf(field -> !field.startsWith("ownControllers"));
    return pages.edit(
        id,
        base,
        "Changed own controller classes",
        g -> {
          // who renames the one in use goes on using it
          Brief free = g.brief().withController(Controller.AVR8_32K);
          List<OwnController> own =
              new PartForm<>(Brief.DESCRIPTION, free).read(rows).ownControllers();
          return g.with(g.brief().withOwn(own));
        },
        "brief",
        form,
        typed ->
            page(id, null).addObject("own", own(pages.open(id).plan().gadget().brief(), typed)));
  }

  private static Map<String, String> values(Gadget gadget) {
    Map<String, String> values = new LinkedHashMap<>();
    Brief brief = gadget.brief();
    values.put("title", brief.title());
    values.put("notes", brief.notes());
    values.put("controller", brief.controllerKey());
    values.put("clock", brief.clock().key());
    double metres = gadget.layout().site().viewingMm() / MM_PER_METRE;
    values.put("viewing", metres == 0 ? "" : TypedNumber.text(metres));
    Goals goals = brief.goals();
    List<Double> wanted =
        List.of(goals.framesPerSecond(), goals.milliamps(), gadget.power().day().wantedHours());
    for (int i = 0; i < GOALS.size(); i++) {
      values.put(GOALS.get(i), wanted.get(i) == 0 ? "" : TypedNumber.text(wanted.get(i)));
    }
    brief
        .supply()
        .ifPresent(
            s -> {
              values.put("name", s.name());
              values.put("volts", TypedNumber.text(s.volts()));
              values.put("amps", TypedNumber.text(s.amps()));
              values.put("kind", s.kind().key());
              values.put("milliampHours", TypedNumber.text(s.milliampHours()));
            });
    return values;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed the brief",
        gadget -> changed(gadget, form),
        "brief",
        form,
        typed -> page(id, typed));
  }

  /** Applies one of the ways to a goal. */
  @PostMapping("/ways")
  ModelAndView reach(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String goal,
      @RequestParam String way) {
    GoalWays ways = new GoalWays(projects.plan(id, base), GoalView.goal(goal));
    GoalWays.Way chosen =
        ways.of(way)
            .orElseThrow(
                () ->
                    new InputException(
                        "way", way, "one of those that are shown: the plan changed meanwhile"));
    return pages.edit(id, base, chosen.remedy().label(), gadget -> ways.applied(chosen), "brief");
  }

  /** Takes a supply from the classes. */
  @PostMapping("/supply")
  ModelAndView supply(
      @PathVariable UUID id, @RequestParam int base, @RequestParam("class") String name) {
    Supply chosen =
        Supply.all().stream()
            .filter(s -> s.name().equals(name))
            .findFirst()
            .orElseThrow(() -> new InputException("class", name, "one of the supplies listed"));
    return pages.edit(
        id,
        base,
        "Supply chosen: " + name,
        gadget -> gadget.with(gadget.brief().withSupply(Optional.of(chosen))),
        "brief");
  }

  /** What the form does not have, such as a field that was refused, stays as it is. */
  private static Gadget changed(Gadget gadget, Map<String, String> typed) {
    Map<String, String> form = new HashMap<>(values(gadget));
    form.putAll(typed);
    String key = form.getOrDefault("controller", "");
    if (!gadget.brief().controllers().containsKey(key)) {
      throw new InputException("controller", key, "one of the classes listed");
    }
    Brief brief =
        BriefBuilder.builder(gadget.brief())
            .title(form.getOrDefault("title", ""))
            .notes(form.getOrDefault("notes", ""))
            .controllerKey(key)
            .supply(supply(gadget, form))
            .clock(clock(gadget, form))
            .goals(new PartForm<>(Goals.DESCRIPTION, gadget.brief().goals()).read(zeroed(form)))
            .build();
    return gadget
        .with(brief)
        .with(gadget.power().with(gadget.power().day().wanting(wantedHours(gadget, form))))
        .with(gadget.layout().site().viewedFrom(viewingMm(gadget, form)));
  }

  /** Fields of goals, those of {@link Goals} and the battery life that goes with a day. */
  private static final List<String> GOALS = List.of("framesPerSecond", "milliamps", "wantedHours");

  private static double wantedHours(Gadget gadget, Map<String, String> form) {
    String typed = zeroed(form).getOrDefault("wantedHours", "0").strip();
    return typed.equals(values(gadget).get("wantedHours"))
        ? gadget.power().day().wantedHours()
        : TypedNumber.require("wantedHours", typed, DailyUse.WANTED);
  }

  /** A goal that is left empty is none. */
  private static Map<String, String> zeroed(Map<String, String> form) {
    Map<String, String> typed = new HashMap<>(form);
    GOALS.forEach(goal -> typed.replace(goal, "", "0"));
    return typed;
  }

  private static ClockRate clock(Gadget gadget, Map<String, String> form) {
    String key = form.getOrDefault("clock", gadget.brief().clock().key());
    return Arrays.stream(ClockRate.values())
        .filter(rate -> rate.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new InputException("clock", key, "one of the clocks listed"));
  }

  private static Map<String, String> clocks() {
    Map<String, String> clocks = new LinkedHashMap<>();
    for (ClockRate rate : ClockRate.values()) {
      clocks.put(rate.key(), rate.title());
    }
    return clocks;
  }

  /** Left empty: not said; as it was shown: as it was. */
  private static double viewingMm(Gadget gadget, Map<String, String> form) {
    String typed = form.getOrDefault("viewing", "").strip();
    if (typed.equals(values(gadget).get("viewing"))) {
      return gadget.layout().site().viewingMm();
    }
    return typed.isEmpty() ? 0 : MM_PER_METRE * TypedNumber.require("viewing", typed, VIEWING);
  }

  /** All three fields empty: no supply named. */
  private static Optional<Supply> supply(Gadget gadget, Map<String, String> form) {
    boolean none =
        List.of("name", "volts", "amps").stream().allMatch(f -> form.getOrDefault(f, "").isBlank());
    if (none) {
      return Optional.empty();
    }
    Map<String, String> typed = new HashMap<>(form);
    typed.putIfAbsent("name", "");
    Supply old = gadget.brief().supply().orElse(new Supply("Supply", 5, 1));
    typed.putIfAbsent("volts", "");
    typed.putIfAbsent("amps", "");
    if (typed.getOrDefault("milliampHours", "").isBlank()) {
      typed.put("milliampHours", "0"); // as their class; of what has no cells nothing is asked
    }
    PartForm<Supply> part = new PartForm<>(Supply.DESCRIPTION, old);
    OptionalDouble wattHours = TypedNumber.parse(typed.get("milliampHours"), "Wh");
    if (typed.get("milliampHours").contains("Wh") && wattHours.isPresent()) {
      typed.put("milliampHours", "0");
      Supply supply = part.read(typed);
      double capacity = Math.rint(supply.capacityOf(wattHours.getAsDouble()) * 10) / 10;
      return Optional.of(supply.holding(Supply.CAPACITY.require("milliampHours", capacity)));
    }
    return Optional.of(part.read(typed));
  }
}
