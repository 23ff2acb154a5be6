package org.myrialith.web.brief;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.Site;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.desk.FormValues;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The brief. */
@org.springframework.stereotype.Controller
@RequestMapping("/gadgets/{id}/brief")
class BriefController {
  private static final double MM_PER_METRE = 1000;
  private static final Bounds VIEWING = Bounds.measure(0, Site.VIEWING.max() / MM_PER_METRE, "m");

  private final Desk desk;

  BriefController(Desk desk) {
    this.desk = desk;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id) {
    return page(id, null);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    var opened = desk.open(id);
    ModelAndView page = desk.page(opened, Step.BRIEF);
    page.addObject("form", typed != null ? typed : FormValues.of(values(opened.plan().gadget())));
    page.addObject("controllers", Controller.values());
    page.addObject("supplies", Supply.CLASSES);
    return page;
  }

  private static Map<String, String> values(Gadget gadget) {
    Map<String, String> values = new LinkedHashMap<>();
    values.put("title", gadget.title());
    values.put("notes", gadget.notes());
    values.put("controller", gadget.controller().key());
    double metres = gadget.site().viewingMm() / MM_PER_METRE;
    values.put("viewing", metres == 0 ? "" : plain(metres));
    gadget
        .supply()
        .ifPresent(
            s -> {
              values.put("name", s.name());
              values.put("volts", Quantity.number(s.volts()));
              values.put("amps", Quantity.number(s.amps()));
            });
    return values;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed the brief",
        gadget -> changed(gadget, form),
        "brief",
        form,
        typed -> page(id, typed));
  }

  private static Gadget changed(Gadget gadget, Map<String, String> form) {
    Gadget named = gadget.withWords(form.getOrDefault("title", ""), form.getOrDefault("notes", ""));
    Controller controller = Controller.of(form.getOrDefault("controller", ""));
    if (controller == null) {
      throw new InputException(
          List.of(
              new InputError(
                  "controller", form.getOrDefault("controller", ""), "one of the classes listed")));
    }
    return named
        .withController(controller)
        .withSupply(supply(form))
        .withSite(gadget.site().viewedFrom(viewingMm(form)));
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
  }

  /** Left empty: not said. */
  private static double viewingMm(Map<String, String> form) {
    String typed = form.getOrDefault("viewing", "").strip().replace(',', '.');
    if (typed.isEmpty()) {
      return 0;
    }
    double metres =
        typed.matches("\\d{1,6}(\\.\\d{1,6})?") ? Double.parseDouble(typed) : Double.NaN;
    return MM_PER_METRE * VIEWING.require("viewing", metres);
  }

  /** All three fields empty: no supply named. */
  private static Optional<Supply> supply(Map<String, String> form) {
    boolean none =
        List.of("name", "volts", "amps").stream().allMatch(f -> form.getOrDefault(f, "").isBlank());
    if (none) {
      return Optional.empty();
    }
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    String name = form.getOrDefault("name", "");
    node.put("name", name.isBlank() ? "Supply" : name);
    FormValues.putNumber(node, "volts", form.getOrDefault("volts", ""));
    FormValues.putNumber(node, "amps", form.getOrDefault("amps", ""));
    return Optional.of(GadgetJson.supply(node));
  }
}
