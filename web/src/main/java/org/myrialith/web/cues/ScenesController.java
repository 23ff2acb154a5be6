package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Scenes, which of them is on the easel, and the values that they show. */
@Controller
@RequestMapping("/gadgets/{id}/cues/scene")
class ScenesController {
  private final ProjectPages pages;
  private final CuesPage page;

  ScenesController(ProjectPages pages, CuesPage page) {
    this.pages = pages;
    this.page = page;
  }

  private static String there(String scene) {
    return "cues?scene=" + ProjectPages.inQuery(scene);
  }

  /** Adds an empty scene; the first one is of the frames that there are. */
  @PostMapping
  ModelAndView add(
      @PathVariable UUID id, @RequestParam int base, @RequestParam(defaultValue = "") String name) {
    return pages.edit(
        id,
        base,
        "Added a scene",
        gadget -> {
          CueSheet sheet = gadget.cues();
          if (sheet.scenes().size() >= Scene.MOST) {
            throw new InputException("scenes", sheet.scenes().size() + 1, "at most " + Scene.MOST);
          }
          String called = name.isBlank() ? "Scene " + (sheet.scenes().size() + 1) : name;
          return gadget.with(sheet.with(Scene.empty(sheet.freeId("s"), called)));
        },
        "cues",
        errors -> page.page(id, "", "", null));
  }

  private ModelAndView edit(
      UUID id, int base, String scene, String summary, UnaryOperator<Gadget> edit, String then) {
    return pages.edit(
        id,
        base,
        summary,
        gadget -> {
          gadget.cues().scene(scene).orElseThrow(NotThereException::new);
          return edit.apply(gadget);
        },
        then,
        errors -> page.page(id, "", scene, null));
  }

  /** Puts a scene on the easel; its frames are drawn and judged in all steps from then on. */
  @PostMapping("/{scene}/open")
  ModelAndView open(@PathVariable UUID id, @PathVariable String scene, @RequestParam int base) {
    return edit(
        id, base, scene, "Selected a scene for editing", g -> g.opened(scene), there(scene));
  }

  @PostMapping("/{scene}/name")
  ModelAndView name(
      @PathVariable UUID id,
      @PathVariable String scene,
      @RequestParam int base,
      @RequestParam String name) {
    return edit(
        id,
        base,
        scene,
        "Named a scene",
        g -> g.with(g.cues().with(g.cues().scene(scene).orElseThrow().named(name))),
        there(scene));
  }

  /** Takes a scene out that is not on the easel. */
  @PostMapping("/{scene}/out")
  ModelAndView out(@PathVariable UUID id, @PathVariable String scene, @RequestParam int base) {
    return edit(id, base, scene, "Removed a scene", g -> without(g, scene), "cues");
  }

  private static Gadget without(Gadget gadget, String scene) {
    List<Scene> left = new ArrayList<>(gadget.cues().scenes());
    left.removeIf(s -> s.id().equals(scene));
    if (!scene.equals(gadget.cues().open())) {
      return gadget.with(gadget.cues().withScenes(left, gadget.cues().open()));
    }
    if (left.isEmpty()) {
      return gadget.with(gadget.cues().withScenes(left, "")); // its frames play as before
    }
    return without(gadget.opened(left.get(0).id()), scene);
  }

  @PostMapping("/{scene}/readout")
  ModelAndView addReadout(
      @PathVariable UUID id,
      @PathVariable String scene,
      @RequestParam int base,
      @RequestParam String fixture) {
    return edit(
        id,
        base,
        scene,
        "Added a value to a scene",
        g -> {
          Fixture on = g.fixture(fixture).orElseThrow(NotThereException::new);
          Scene old = g.cues().scene(scene).orElseThrow();
          List<Readout> all = new ArrayList<>(old.readouts());
          if (all.size() >= Readout.MOST) {
            throw new InputException("readouts", all.size() + 1, "at most " + Readout.MOST);
          }
          all.add(Readout.first(g.cues().freeId("r"), on, g.programme().fonts()));
          return g.with(g.cues().with(old.showing(all)));
        },
        there(scene));
  }

  @PostMapping("/{scene}/readout/{readout}")
  ModelAndView saveReadout(
      @PathVariable UUID id,
      @PathVariable String scene,
      @PathVariable String readout,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed a value of a scene",
        g -> g.with(g.cues().with(changed(g, scene, readout, form))),
        there(scene),
        form,
        typed -> page.page(id, "", scene, typed));
  }

  private static Scene changed(
      Gadget gadget, String scene, String readout, Map<String, String> form) {
    Scene old = gadget.cues().scene(scene).orElseThrow(NotThereException::new);
    List<Readout> all = new ArrayList<>(old.readouts());
    int at = all.stream().map(Readout::id).toList().indexOf(readout);
    if (at < 0) {
      throw new NotThereException();
    }
    Map<String, String> own = new HashMap<>();
    form.forEach(
        (name, value) -> {
          if (name.startsWith(readout + ".")) {
            own.put(name.substring(readout.length() + 1), value);
          }
        });
    try {
      all.set(at, new PartForm<>(Readout.DESCRIPTION, all.get(at)).read(own));
    } catch (InputException e) {
      throw new InputException(e.errors().stream().map(error -> error.below(readout)).toList());
    }
    return old.showing(all);
  }

  @PostMapping("/{scene}/readout/{readout}/out")
  ModelAndView removeReadout(
      @PathVariable UUID id,
      @PathVariable String scene,
      @PathVariable String readout,
      @RequestParam int base) {
    return edit(
        id,
        base,
        scene,
        "Removed a value of a scene",
        g -> {
          Scene old = g.cues().scene(scene).orElseThrow();
          List<Readout> left = new ArrayList<>(old.readouts());
          left.removeIf(r -> r.id().equals(readout));
          return g.with(g.cues().with(old.showing(left)));
        },
        there(scene));
  }
}
