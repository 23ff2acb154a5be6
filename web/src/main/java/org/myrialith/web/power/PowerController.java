package org.myrialith.web.power;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.power.School;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.desk.FormValues;
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
  private final Desk desk;

  PowerController(Desk desk) {
    this.desk = desk;
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id) {
    return page(id, null);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    var opened = desk.open(id);
    Gadget gadget = opened.plan().gadget();
    ModelAndView page = desk.page(opened, Step.POWER);
    Map<String, String> values =
        new HashMap<>(FormValues.of(GadgetJson.write(gadget.power())).values());
    gadget.chain().ifPresent(c -> values.putAll(FormValues.of(GadgetJson.write(c)).values()));
    page.addObject("form", typed != null ? typed : FormValues.of(values));
    page.addObject("schools", School.values());
    page.addObject("power", opened.plan().power());
    page.addObject("chart", PowerChart.of(opened.plan().power()));
    return page;
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return desk.edit(
        id,
        base,
        "Changed how current is planned",
        g -> changed(g, form),
        "power",
        form,
        typed -> page(id, typed));
  }

  private static Gadget changed(Gadget gadget, Map<String, String> form) {
    Gadget planned =
        gadget.withPower(GadgetJson.power(FormValues.over(GadgetJson.write(gadget.power()), form)));
    if (gadget.chain().isEmpty()) {
      return planned;
    }
    OneWirePixels chain = gadget.chain().get();
    Map<String, String> pixel = new HashMap<>(form);
    pixel.keySet().retainAll(Set.of("channelMilliamps", "idleMilliamps"));
    return planned.withChain(GadgetJson.circuit(FormValues.over(GadgetJson.write(chain), pixel)));
  }
}
