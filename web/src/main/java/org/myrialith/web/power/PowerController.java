package org.myrialith.web.power;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.CircuitKinds;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
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

  @GetMapping
  ModelAndView show(@PathVariable UUID id) {
    return page(id, null);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = pages.page(opened, Step.POWER);
    Map<String, String> values =
        new HashMap<>(new PartForm<>(PowerSettings.DESCRIPTION, gadget.power()).shown().values());
    Optional<Circuit> line = onlyLine(gadget);
    line.ifPresent(c -> values.putAll(new PartForm<>(CircuitKinds.ALL, c).shown().values()));
    page.addObject("oneLine", line.isPresent());
    page.addObject("form", typed != null ? typed : FormValues.of(values));
    page.addObject("schools", PlanningBasis.values());
    page.addObject("power", opened.plan().power());
    page.addObject("chart", PowerChart.of(opened.plan().power()));
    return page;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed how current is planned",
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
}
