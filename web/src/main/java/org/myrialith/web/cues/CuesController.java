package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.presets.CueStart;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The table of cues, the values, and machines to begin with. */
@Controller
@RequestMapping("/gadgets/{id}/cues")
class CuesController {
  private final ProjectPages pages;
  private final CuesPage page;

  CuesController(ProjectPages pages, CuesPage page) {
    this.pages = pages;
    this.page = page;
  }

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String cue,
      @RequestParam(defaultValue = "") String scene) {
    return page.page(id, cue, scene, null);
  }

  /** Puts a machine to begin with on a fixture. */
  @PostMapping("/start")
  ModelAndView start(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String start,
      @RequestParam String fixture) {
    CueStart chosen = CueStart.of(start).orElseThrow(NotThereException::new);
    return pages.edit(
        id,
        base,
        "Started with: " + chosen.title(),
        gadget -> {
          if (gadget.cues().used()) {
            throw new InputException("start", chosen.title(), "a gadget without cues");
          }
          Fixture on = gadget.fixture(fixture).orElseThrow(NotThereException::new);
          return chosen.on(gadget, on);
        },
        "cues",
        errors -> page.page(id, "", "", null));
  }

  private static String there(String cue) {
    return "cues?cue=" + ProjectPages.inQuery(cue);
  }

  @PostMapping("/add")
  ModelAndView add(@PathVariable UUID id, @RequestParam int base) {
    String fresh = pages.open(id).plan().gadget().cues().freeId("u");
    return pages.edit(
        id,
        base,
        "Added a cue",
        gadget -> {
          CueSheet sheet = gadget.cues();
          if (sheet.cues().size() >= Cue.MOST) {
            throw new InputException("cues", sheet.cues().size() + 1, "at most " + Cue.MOST);
          }
          String own = sheet.cue(fresh).isPresent() ? sheet.freeId("u") : fresh;
          int number = sheet.cues().size() + 1;
          return gadget.with(
              sheet.with(Cue.showing(own, "Cue " + number, new PowerOn(), sheet.open())));
        },
        there(fresh),
        errors -> page.page(id, "", "", null));
  }

  @PostMapping("/cue/{cue}")
  ModelAndView save(
      @PathVariable UUID id,
      @PathVariable String cue,
      @RequestParam int base,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed a cue",
        gadget -> gadget.with(gadget.cues().with(new CueForm(cue(gadget, cue)).read(form))),
        there(cue),
        form,
        typed -> page.page(id, cue, "", typed));
  }

  private static Cue cue(Gadget gadget, String cue) {
    return gadget.cues().cue(cue).orElseThrow(NotThereException::new);
  }

  /** Moves a cue, copies it, or takes it out. */
  @PostMapping("/cue/{cue}/order")
  ModelAndView order(
      @PathVariable UUID id,
      @PathVariable String cue,
      @RequestParam int base,
      @RequestParam String to) {
    UnaryOperator<CueSheet> edit = sheet -> sheet.withCues(moved(sheet, cue, to));
    return pages.edit(
        id,
        base,
        "Changed the order of cues",
        gadget -> {
          cue(gadget, cue);
          return gadget.with(edit.apply(gadget.cues()));
        },
        to.equals("out") ? "cues" : there(cue),
        errors -> page.page(id, cue, "", null));
  }

  private static List<Cue> moved(CueSheet sheet, String id, String to) {
    List<Cue> all = new ArrayList<>(sheet.cues());
    int at = all.stream().map(Cue::id).toList().indexOf(id);
    Cue cue = all.remove(at);
    switch (to) {
      case "earlier" -> all.add(Math.max(0, at - 1), cue);
      case "later" -> all.add(Math.min(all.size(), at + 1), cue);
      case "out" -> {}
      default -> throw new InputException("to", to, "one of earlier, later, out");
    }
    return all;
  }

  @PostMapping("/values")
  ModelAndView values(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed values",
        gadget ->
            gadget.with(
                new PartForm<>(CueSheet.DESCRIPTION, gadget.cues())
                    .read(CuesPage.only(form, CuesPage.VALUES))),
        "cues",
        form,
        typed -> page.page(id, "", "", typed));
  }
}
