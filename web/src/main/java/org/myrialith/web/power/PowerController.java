package org.myrialith.web.power;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.power.supply.BatteryLife;
import org.myrialith.voltagedrop.RailPlan;
import org.myrialith.voltagedrop.RailSettings;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The current. */
@Controller
@RequestMapping("/gadgets/{id}/power")
class PowerController {
  private final ProjectPages pages;

  PowerController(ProjectPages pages) {
    this.pages = pages;
  }

  /** A chain to look at. */
  record Tab(String id, String name, boolean here) {}

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam(defaultValue = "0") String moment) {
    return page(
        id,
        null,
        new Chain(circuit, moment.matches("\\d{1,6}") ? Integer.parseInt(moment) : 0, null));
  }

  /**
   * What of a chain is shown.
   *
   * @param moment counted from 1, 0 for the one that draws most
   * @param typed what was typed and refused, null for none
   */
  private record Chain(String circuit, int moment, FormValues typed) {
    static final Chain ANY = new Chain("", 0, null);
  }

  private static void rails(ModelAndView page, GadgetPlan plan, Chain chain) {
    List<RailPlan> rails = plan.rails();
    Optional<RailPlan> here =
        rails.stream()
            .filter(r -> r.settings().circuit().equals(chain.circuit()))
            .findFirst()
            .or(() -> rails.stream().findFirst());
    page.addObject(
        "chains",
        rails.stream()
            .map(r -> r.circuit().circuit())
            .map(
                c ->
                    new Tab(
                        c.id(),
                        c.name(),
                        here.filter(r -> r.settings().circuit().equals(c.id())).isPresent()))
            .toList());
    page.addObject("rail", here.orElse(null));
    page.addObject("bothEnds", here.filter(r -> !r.settings().closed()).isPresent());
    page.addObject("moments", plan.show().moments().size());
    page.addObject("moment", chain.moment());
    here.ifPresent(
        rail -> {
          RailPlan seen = plan.rail(rail.settings().circuit(), chain.moment() - 1).orElse(rail);
          page.addObject("volts", RailPicture.of(seen, plan.wiring().line(rail.circuit())));
          PartForm<RailSettings> part =
              new PartForm<>(
                  RailSettings.DESCRIPTION,
                  plan.gadget().power().railOf(rail.settings().circuit()));
          FormValues form = part.shown().over(chain.typed());
          page.addObject("railForm", form);
          page.addObject(
              "railSlots",
              part.slots(form).stream().filter(s -> !s.name().equals("circuit")).toList());
        });
  }

  private static void tree(ModelAndView page, GadgetPlan plan, FormValues typed) {
    page.addObject("tree", plan.tree().map(TreePicture::of).orElse(null));
    SupplyTree tree = plan.gadget().brief().tree();
    PartForm<SupplyTree> part = new PartForm<>(SupplyTree.DESCRIPTION, tree);
    FormValues form = part.shown().over(typed);
    page.addObject("treeForm", form);
    page.addObject("treeThere", tree.there() || typed != null);
    page.addObject("sorts", ConverterSort.values());
    Map<String, String> nodes = new LinkedHashMap<>();
    tree.nodes().forEach(node -> nodes.put(node, node));
    page.addObject("nodes", nodes);
    page.addObject(
        "treeSlots",
        part.slots(form).stream()
            .filter(s -> !List.of("lights", "controller").contains(s.name()))
            .toList());
    PartForm<DailyUse> day = new PartForm<>(DailyUse.DESCRIPTION, plan.gadget().power().day());
    page.addObject(
        "sleepSlots",
        day.slots(day.shown()).stream().filter(s -> s.name().equals("ownSleep")).toList());
    boolean cells = plan.gadget().brief().supply().filter(s -> s.kind().runsEmpty()).isPresent();
    page.addObject("cells", cells);
    page.addObject(
        "fades",
        plan.tree()
            .filter(t -> cells && t.power().load().emitters() > 0)
            .flatMap(t -> FadePicture.of(new BatteryLife(t)))
            .orElse(null));
    page.addObject(
        "shares",
        plan.tree()
            .filter(t -> cells && t.power().load().emitters() > 0)
            .map(t -> DayPicture.of(new BatteryLife(t)))
            .orElse(null));
  }

  /** Tells a day of the gadget. */
  @PostMapping("/day")
  ModelAndView day(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed a day of the gadget",
        g ->
            g.with(
                g.power().with(new PartForm<>(DailyUse.DESCRIPTION, g.power().day()).read(form))),
        "power",
        form,
        typed -> page(id, typed));
  }

  /** Puts something between the supply and what it feeds. */
  @PostMapping("/between")
  ModelAndView between(@PathVariable UUID id, @RequestParam int base, @RequestParam String sort) {
    ConverterSort found =
        Arrays.stream(ConverterSort.values())
            .filter(s -> s.key().equals(sort))
            .findFirst()
            .orElseThrow(() -> new InputException("sort", sort, "one of those listed"));
    return pages.edit(
        id,
        base,
        "Inserted: " + found.title(),
        g -> g.with(g.brief().with(g.brief().tree().with(found))),
        "power");
  }

  /** Changes the supply tree. */
  @PostMapping("/tree")
  ModelAndView tree(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed the supply tree",
        g ->
            g.with(
                g.brief()
                    .with(
                        new PartForm<>(SupplyTree.DESCRIPTION, g.brief().tree()).read(own(form)))),
        "power",
        form,
        typed -> {
          ModelAndView page = page(id, null);
          tree(page, pages.open(id).plan(), typed);
          return page;
        });
  }

  /** Tells how a chain is fed. */
  @PostMapping("/rail")
  ModelAndView rail(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String circuit,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed power injection",
        g -> {
          if (g.circuits().circuit(circuit).isEmpty()) {
            throw new InputException("circuit", circuit, "one of the circuits");
          }
          RailSettings now = g.power().railOf(circuit);
          return g.with(
              g.power().with(new PartForm<>(RailSettings.DESCRIPTION, now).read(own(form))));
        },
        "power?circuit=" + circuit,
        form,
        typed -> page(id, null, new Chain(circuit, 0, typed)));
  }

  /** Feeds a chain at its first and its last pixel. */
  @PostMapping("/rail/both")
  ModelAndView both(@PathVariable UUID id, @RequestParam int base, @RequestParam String circuit) {
    return pages.edit(
        id,
        base,
        "Power injection at both ends",
        g -> {
          int pixels =
              GadgetPlan.of(g).wiring().plans().stream()
                  .filter(plan -> plan.circuit().id().equals(circuit))
                  .mapToInt(CircuitPlan::emitters)
                  .findFirst()
                  .orElse(0);
          if (pixels < 2) {
            throw new InputException("circuit", circuit, "a chain of two pixels or more");
          }
          RailSettings now = g.power().railOf(circuit);
          return g.with(g.power().with(now.fedAt(List.of(0, pixels - 1))));
        },
        "power?circuit=" + circuit);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    return page(id, typed, Chain.ANY);
  }

  private ModelAndView page(UUID id, FormValues typed, Chain chain) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = pages.page(opened, Step.POWER);
    Map<String, String> values =
        new HashMap<>(new PartForm<>(PowerSettings.DESCRIPTION, gadget.power()).shown().values());
    Optional<Circuit> line = onlyLine(gadget);
    line.ifPresent(c -> values.putAll(new PartForm<>(CircuitKinds.ALL, c).shown().values()));
    page.addObject("oneLine", line.isPresent());
    page.addObject("form", FormValues.of(values).over(typed));
    page.addObject("schools", PlanningBasis.values());
    page.addObject("power", opened.plan().power());
    page.addObject("chart", PowerChart.of(opened.plan().power()));
    rails(page, opened.plan(), chain);
    tree(page, opened.plan(), null);
    page.addObject("wires", wires());
    page.addObject("plugs", plugs());
    return page;
  }

  private static Map<String, String> plugs() {
    Map<String, String> plugs = new LinkedHashMap<>();
    for (Connector plug : Connector.values()) {
      plugs.put(plug.key(), plug.title());
    }
    return plugs;
  }

  private static Map<String, String> wires() {
    Map<String, String> wires = new LinkedHashMap<>();
    for (Conductor wire : Conductor.values()) {
      if (!wire.track()) {
        wires.put(wire.key(), wire.title());
      }
    }
    return wires;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed current planning",
        g -> changed(g, form),
        "power",
        form,
        typed -> page(id, typed));
  }

  /**
   * Currents of pixels are asked here as long as there is one line; else each circuit has its own.
   */
  private static Optional<Circuit> onlyLine(Gadget gadget) {
    List<Circuit> all = gadget.circuits().circuits();
    return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
  }

  private static Gadget changed(Gadget gadget, Map<String, String> form) {
    Gadget planned =
        gadget.with(new PartForm<>(PowerSettings.DESCRIPTION, gadget.power()).read(form));
    Map<String, String> pixel = new HashMap<>(form);
    pixel.keySet().retainAll(Set.of("channelMilliamps", "idleMilliamps"));
    return onlyLine(gadget)
        .map(line -> planned.with(new PartForm<>(CircuitKinds.ALL, line).read(pixel)))
        .orElse(planned);
  }

  private static Map<String, String> own(Map<String, String> form) {
    Map<String, String> own = new HashMap<>(form);
    own.keySet().removeAll(Set.of("base", "_csrf", "here"));
    return own;
  }
}
