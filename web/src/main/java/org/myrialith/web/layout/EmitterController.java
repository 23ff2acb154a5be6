package org.myrialith.web.layout;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClass.Die;
import org.myrialith.parts.EmitterKind;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.OwnParts;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Classes of emitters with their data: those that come along, the gadget's own, those kept. */
@Controller
@RequestMapping("/gadgets/{id}/layout/emitters")
class EmitterController {
  private final ProjectPages pages;
  private final OwnParts parts;

  EmitterController(ProjectPages pages, OwnParts parts) {
    this.pages = pages;
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
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    List<EmitterClass> kept = parts.emitters();
    List<EmitterClass> all = EmitterShelf.of(gadget, kept).all();
    EmitterClass one =
        all.stream().filter(c -> c.id().equals(picked)).findFirst().orElse(all.get(0));
    ModelAndView page = pages.page(opened, Step.LAYOUT);
    page.setViewName("layout/emitters");
    page.addObject(
        "rows",
        all.stream()
            .map(c -> new Row(c, where(gadget, kept, c), c.id().equals(one.id())))
            .toList());
    page.addObject("one", one);
    page.addObject("isKept", kept.stream().anyMatch(c -> c.id().equals(one.id())));
    page.addObject("emitterKinds", EmitterKind.values());
    page.addObject(
        "form", typed != null ? typed : new PartForm<>(EmitterClass.DESCRIPTION, one).shown());
    return page;
  }

  private static String where(Gadget gadget, List<EmitterClass> kept, EmitterClass emitter) {
    if (gadget.layout().emitters().contains(emitter)) {
      return "this gadget";
    }
    return kept.contains(emitter) ? "kept for all gadgets" : "built-in";
  }

  /** Changes a class for this gadget, makes another of it, or keeps it for all gadgets. */
  @PostMapping("/{emitter}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String emitter,
      @RequestParam int base,
      @RequestParam(defaultValue = "change") String act,
      @RequestParam Map<String, String> form) {
    Gadget gadget = pages.open(id).plan().gadget();
    List<EmitterClass> all = EmitterShelf.of(gadget, parts.emitters()).all();
    EmitterClass old =
        all.stream()
            .filter(c -> c.id().equals(emitter))
            .findFirst()
            .orElseThrow(NotThereException::new);
    String target = act.equals("other") ? freeId(all) : emitter;
    EmitterClass[] changed = new EmitterClass[1];
    ModelAndView onward =
        pages.edit(
            id,
            base,
            "Changed the class " + form.getOrDefault("name", emitter),
            g -> {
              changed[0] = read(old, form).renamed(target, form.getOrDefault("name", ""));
              return g.with(changed[0]);
            },
            "layout/emitters?emitter=" + target,
            form,
            typed -> page(id, emitter, typed));
    if (act.equals("keep") && onward.getStatus() == HttpStatus.SEE_OTHER) {
      parts.keep(changed[0]);
    }
    return onward;
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
    Map<String, String> own = new HashMap<>(form);
    own.put("id", old.id());
    return new PartForm<>(EmitterClass.DESCRIPTION, old).read(own);
  }

  @PostMapping("/{emitter}/forget")
  String forget(@PathVariable UUID id, @PathVariable String emitter) {
    parts.drop(emitter);
    return "redirect:/gadgets/" + id + "/layout/emitters";
  }
}
