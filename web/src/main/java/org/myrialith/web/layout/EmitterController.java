package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClass.Die;
import org.myrialith.parts.EmitterKind;
import org.myrialith.web.desk.Desk;
import org.myrialith.web.desk.FormValues;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.OwnParts;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Classes of emitters with their data: those that come along, the gadget's own, those kept. */
@Controller
@RequestMapping("/gadgets/{id}/layout/emitters")
class EmitterController {
  private final Desk desk;
  private final OwnParts parts;

  EmitterController(Desk desk, OwnParts parts) {
    this.desk = desk;
    this.parts = parts;
  }

  /**
   * A class in the list.
   *
   * @param where {@code comes along}, {@code this gadget} or {@code kept}
   */
  record Row(EmitterClass emitter, String where, boolean picked) {
    /** Returns the forward volts of its dies. */
    public String volts() {
      return told(Die::forwardVolts);
    }

    /** Returns the rated currents of its dies (mA). */
    public String rated() {
      return told(Die::ratedMilliamps);
    }

    /** Returns the intensities of its dies (mcd). */
    public String candela() {
      return told(Die::millicandela);
    }

    /** One value when all dies have the same. */
    private String told(ToDoubleFunction<Die> value) {
      List<String> all =
          emitter.dies().stream().map(d -> Quantity.number(value.applyAsDouble(d))).toList();
      return all.stream().distinct().count() == 1 ? all.get(0) : String.join(" · ", all);
    }
  }

  @GetMapping
  ModelAndView show(@PathVariable UUID id, @RequestParam(required = false) String emitter) {
    return page(id, emitter, null);
  }

  private ModelAndView page(UUID id, String picked, FormValues typed) {
    var opened = desk.open(id);
    Gadget gadget = opened.plan().gadget();
    List<EmitterClass> kept = parts.emitters();
    List<EmitterClass> all = EmitterShelf.of(gadget, kept).all();
    EmitterClass one =
        all.stream().filter(c -> c.id().equals(picked)).findFirst().orElse(all.get(0));
    ModelAndView page = desk.page(opened, Step.LAYOUT);
    page.setViewName("layout/emitters");
    page.addObject(
        "rows",
        all.stream()
            .map(c -> new Row(c, where(gadget, kept, c), c.id().equals(one.id())))
            .toList());
    page.addObject("one", one);
    page.addObject("isKept", kept.stream().anyMatch(c -> c.id().equals(one.id())));
    page.addObject("emitterKinds", EmitterKind.values());
    page.addObject("form", typed != null ? typed : ShapeText.form(GadgetJson.write(one)));
    return page;
  }

  private static String where(Gadget gadget, List<EmitterClass> kept, EmitterClass emitter) {
    if (gadget.emitters().contains(emitter)) {
      return "this gadget";
    }
    return kept.contains(emitter) ? "kept for all" : "comes along";
  }

  /** Changes a class for this gadget, makes another of it, or keeps it for all gadgets. */
  @PostMapping("/{emitter}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String emitter,
      @RequestParam int base,
      @RequestParam(defaultValue = "change") String act,
      @RequestParam Map<String, String> form) {
    Gadget gadget = desk.open(id).plan().gadget();
    List<EmitterClass> all = EmitterShelf.of(gadget, parts.emitters()).all();
    EmitterClass old =
        all.stream()
            .filter(c -> c.id().equals(emitter))
            .findFirst()
            .orElseThrow(NotThereException::new);
    String target = act.equals("other") ? freeId(all) : emitter;
    return desk.edit(
        id,
        base,
        "Changed the class " + form.getOrDefault("name", emitter),
        g -> {
          EmitterClass changed = read(old, form).renamed(target, form.getOrDefault("name", ""));
          if (act.equals("keep")) {
            parts.keep(changed);
          }
          return g.withEmitter(changed);
        },
        "layout/emitters?emitter=" + target,
        form,
        typed -> page(id, emitter, typed));
  }

  private static String freeId(List<EmitterClass> all) {
    int number = 1;
    while (taken(all, "own-" + number)) {
      number++;
    }
    return "own-" + number;
  }

  private static boolean taken(List<EmitterClass> all, String id) {
    return all.stream().anyMatch(c -> c.id().equals(id));
  }

  private static EmitterClass read(EmitterClass old, Map<String, String> form) {
    ObjectNode node = FormValues.over(GadgetJson.write(old), form);
    if (form.containsKey("dies")) {
      List<InputError> errors = new ArrayList<>();
      var dies = JsonNodeFactory.instance.arrayNode();
      ShapeText.read(dies, "dies", form.get("dies"), errors);
      if (!errors.isEmpty()) {
        throw new InputException(errors);
      }
      node.set("dies", dies);
    }
    return GadgetJson.emitter(node.put("id", old.id()));
  }

  @PostMapping("/{emitter}/forget")
  String forget(@PathVariable UUID id, @PathVariable String emitter) {
    parts.drop(emitter);
    return "redirect:/gadgets/" + id + "/layout/emitters";
  }
}
