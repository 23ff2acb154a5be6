package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.plan.CuesStep;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.presets.CueStart;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** What the page of cues shows. */
@Component
class CuesPage {
  /** Fields of the values and of chance. */
  static final List<String> VALUES = List.of("variables", "seed");

  private final ProjectPages pages;

  CuesPage(ProjectPages pages) {
    this.pages = pages;
  }

  /** A machine to begin with, and the fixtures that it can be on. */
  record Offer(CueStart start, Map<String, String> fixtures) {}

  static Map<String, String> only(Map<String, String> form, List<String> names) {
    Map<String, String> own = new LinkedHashMap<>(form);
    own.keySet().retainAll(names);
    return own;
  }

  ModelAndView page(UUID id, String cue, String scene, FormValues typed) {
    var opened = pages.open(id);
    Gadget gadget = opened.plan().gadget();
    CueSheet sheet = gadget.cues();
    ModelAndView page = pages.page(opened, Step.CUES);
    page.addObject("cues", sheet.cues());
    page.addObject("scenes", gadget.scenes());
    page.addObject("easel", sheet.open());
    page.addObject("names", CueForm.scenes(gadget.scenes(), ""));
    page.addObject("offers", sheet.used() ? List.of() : offers(gadget));
    page.addObject("ready", opened.plan().cueTable().isPresent());
    page.addObject("inputs", Inputs.of(opened.plan().cueTable()));
    page.addObject(
        "keeps",
        opened
            .plan()
            .cueTable()
            .map(table -> !table.kept().isEmpty() || !table.chip().isEmpty())
            .orElse(false));
    page.addObject("drawn", DrawnTable.of((CuesStep) opened.plan().step(Step.CUES)).orElse(null));
    PartForm<CueSheet> values = new PartForm<>(CueSheet.DESCRIPTION, sheet);
    FormValues valuesForm = values.shown().over(cue.isEmpty() && scene.isEmpty() ? typed : null);
    page.addObject("valuesForm", valuesForm);
    page.addObject(
        "valueSlots",
        values.slots(valuesForm).stream().filter(s -> VALUES.contains(s.name())).toList());
    Optional<Cue> here = sheet.cue(cue);
    page.addObject("here", here.orElse(null));
    here.ifPresent(
        one -> {
          CueForm form = new CueForm(one);
          FormValues shown = form.shown().over(typed);
          page.addObject("form", shown);
          page.addObject("triggers", form.triggers(shown));
          page.addObject("slots", form.slots(shown));
          page.addObject("kinds", CueForm.kinds());
          page.addObject("shows", CueForm.scenes(gadget.scenes(), one.scene()));
        });
    SceneView.on(page, gadget, scene, typed);
    return page;
  }

  private static List<Offer> offers(Gadget gadget) {
    List<Offer> all = new ArrayList<>();
    for (CueStart start : CueStart.values()) {
      Map<String, String> fixtures = new LinkedHashMap<>();
      start.fixtures(gadget).forEach(f -> fixtures.put(f.id(), f.name()));
      all.add(new Offer(start, fixtures));
    }
    return all;
  }
}
