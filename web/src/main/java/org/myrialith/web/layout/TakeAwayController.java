package org.myrialith.web.layout;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.myrialith.build.EmitterMap;
import org.myrialith.build.Paper;
import org.myrialith.build.Template;
import org.myrialith.build.TemplateDxf;
import org.myrialith.build.TemplatePdf;
import org.myrialith.build.TemplateSvg;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.TakenFile;
import org.myrialith.web.store.Projects;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Maps and templates of a layout, as files. */
@Controller
@RequestMapping("/gadgets/{id}/r/{revision}")
class TakeAwayController {
  private final Projects projects;

  TakeAwayController(Projects projects) {
    this.projects = projects;
  }

  @GetMapping("/map.csv")
  ResponseEntity<byte[]> csv(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    return text(plan, "-map.csv", "text/csv;charset=UTF-8", map(plan).csv());
  }

  @GetMapping("/map.json")
  ResponseEntity<byte[]> json(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    return text(plan, "-map.json", "application/json", map(plan).json());
  }

  private static EmitterMap map(GadgetPlan plan) {
    return new EmitterMap(plan.layout(), plan.wiring());
  }

  @GetMapping("/pick-and-place.csv")
  ResponseEntity<byte[]> pickAndPlace(@PathVariable UUID id, @PathVariable int revision) {
    GadgetPlan plan = projects.plan(id, revision);
    return text(
        plan,
        "-pick-and-place.csv",
        "text/csv;charset=UTF-8",
        map(plan).pickAndPlace(fixture -> plan.gadget().layout().emitterOf(fixture).name()));
  }

  @GetMapping("/template.dxf")
  ResponseEntity<byte[]> dxf(
      @PathVariable UUID id,
      @PathVariable int revision,
      @RequestParam(defaultValue = "5") String hole) {
    GadgetPlan plan = projects.plan(id, revision);
    return text(
        plan,
        "-template.dxf",
        "image/vnd.dxf",
        new TemplateDxf(plan.layout(), millimetres(hole)).text());
  }

  @GetMapping("/template.svg")
  ResponseEntity<byte[]> svg(
      @PathVariable UUID id,
      @PathVariable int revision,
      @RequestParam(defaultValue = "5") String hole) {
    GadgetPlan plan = projects.plan(id, revision);
    return text(
        plan,
        "-template.svg",
        "image/svg+xml",
        new TemplateSvg(plan.layout(), millimetres(hole)).text());
  }

  @GetMapping("/template.pdf")
  ResponseEntity<byte[]> pdf(
      @PathVariable UUID id,
      @PathVariable int revision,
      @RequestParam(defaultValue = "5") String hole,
      @RequestParam(defaultValue = "a4") String paper) {
    GadgetPlan plan = projects.plan(id, revision);
    Paper chosen =
        Paper.of(paper).orElseThrow(() -> new InputException("paper", paper, "a4, a3 or letter"));
    Template template = new Template(plan.layout(), millimetres(hole), chosen);
    return TakenFile.of(
        plan,
        "-template.pdf",
        "application/pdf",
        new TemplatePdf(template, plan.gadget().title()).bytes());
  }

  private static double millimetres(String text) {
    return TypedNumber.require("hole", text, Template.HOLE);
  }

  private static ResponseEntity<byte[]> text(
      GadgetPlan plan, String ending, String type, String text) {
    return TakenFile.of(plan, ending, type, text.getBytes(StandardCharsets.UTF_8));
  }
}
