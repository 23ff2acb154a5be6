package org.myrialith.web.scan;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Step;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.flicker.ScanStep;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
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

/** What is seen of lights that have their turns, a strobe, and a moving bar. */
@Controller
@RequestMapping("/gadgets/{id}/scan")
class ScanController {
  /** Moments that are looked at for the brightest. */
  private static final int MOST_MOMENTS = 60;

  private final ProjectPages pages;

  ScanController(ProjectPages pages) {
    this.pages = pages;
  }

  /** A circuit to look at. */
  record Tab(String id, String name, boolean here) {}

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String circuit,
      @RequestParam(defaultValue = "0") String slot) {
    return page(id, circuit, number(slot), null);
  }

  private static int number(String text) {
    return text.matches("\\d{1,6}") ? Integer.parseInt(text) : 0;
  }

  private ModelAndView page(UUID id, String circuit, int slot, FormValues typed) {
    var opened = pages.open(id);
    GadgetPlan plan = opened.plan();
    Gadget gadget = plan.gadget();
    ScanStep step = (ScanStep) plan.step(Step.SCAN);
    ModelAndView page = pages.page(opened, Step.SCAN);
    List<ScannedPlan> scanned = step.scanned();
    Optional<ScannedPlan> here =
        scanned.stream()
            .filter(p -> p.circuit().id().equals(circuit))
            .findFirst()
            .or(() -> scanned.stream().findFirst());
    page.addObject(
        "tabs",
        scanned.stream()
            .map(
                p ->
                    new Tab(
                        p.circuit().id(), p.circuit().name(), here.filter(p::equals).isPresent()))
            .toList());
    page.addObject("scanned", here.orElse(null));
    page.addObject(
        "seen",
        here.map(p -> SeenPicture.of(p, step.places(p), brightest(plan, p), gadget.scan(), slot))
            .orElse(null));
    PartForm<ScanSettings> part = new PartForm<>(ScanSettings.DESCRIPTION, gadget.scan());
    FormValues form = part.shown().over(typed);
    List<PartForm.Slot> slots = part.slots(form);
    page.addObject("form", form);
    page.addObject("looks", slots(slots, name -> !ofStrobe(name) && !name.startsWith("bar")));
    boolean strobe =
        gadget.scan().strobe().there()
            || slots.stream().anyMatch(s -> ofStrobe(s.name()) && !form.error(s.name()).isEmpty());
    boolean bar =
        gadget.scan().bar().there()
            || slots.stream()
                .anyMatch(s -> s.name().startsWith("bar") && !form.error(s.name()).isEmpty());
    page.addObject(
        "strobeSlots",
        slots(slots, name -> ofStrobe(name) && (strobe || name.equals("strobeArms"))));
    page.addObject(
        "barSlots",
        slots(
            slots,
            name ->
                name.startsWith("bar")
                    && (bar || name.equals("barLeds"))
                    && !name.equals(gadget.scan().bar().turns() ? "barSweepMm" : "barHubMm")));
    moves(page, gadget);
    return page;
  }

  private static void moves(ModelAndView page, Gadget gadget) {
    ScanSettings settings = gadget.scan();
    page.addObject("settings", settings);
    page.addObject("body", settings.strobe().there() ? MovesPicture.body(settings.strobe()) : null);
    List<Integer> counts =
        gadget.clips().stream()
            .map(clip -> gadget.fixture(clip.fixture()).orElseThrow().count())
            .toList();
    Clip clip = MovesPicture.clip(gadget.clips(), counts, settings.bar().leds());
    page.addObject(
        "painted", settings.bar().there() ? MovesPicture.painted(settings.bar(), clip) : null);
  }

  private static boolean ofStrobe(String name) {
    return List.of(
            "strobeArms",
            "strobeTurnsHz",
            "everyArm",
            "flashMicros",
            "offHz",
            "radiusMm",
            "leds",
            "ledMilliamps",
            "ledVolts",
            "kelvinPerWatt")
        .contains(name);
  }

  private static List<PartForm.Slot> slots(List<PartForm.Slot> all, Predicate<String> of) {
    return all.stream().filter(slot -> of.test(slot.name())).toList();
  }

  /** The brightest moment of the show; everything full on where there is none. */
  private static Levels brightest(GadgetPlan plan, ScannedPlan circuit) {
    int at = plan.wiring().plans().indexOf(circuit);
    int[] full = new int[circuit.channels()];
    Arrays.fill(full, circuit.fullLevel());
    Levels best = Levels.of(circuit.levelBits(), full);
    long most = 0;
    int moments = Math.min(MOST_MOMENTS, plan.show().moments().size());
    for (int moment = 0; moment < moments; moment++) {
      Levels levels = plan.sent().levels(moment).get(at);
      if (levels.sum() > most) {
        most = levels.sum();
        best = levels;
      }
    }
    return best;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    String circuit = form.getOrDefault("circuit", "");
    return pages.edit(
        id,
        base,
        "Changed viewing conditions",
        g -> g.with(new PartForm<>(ScanSettings.DESCRIPTION, g.scan()).read(form)),
        "scan" + (circuit.isEmpty() ? "" : "?circuit=" + ProjectPages.inQuery(circuit)),
        form,
        typed -> page(id, circuit, 0, typed));
  }
}
