package org.myrialith.web.versions;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.myrialith.finding.Step;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.pages.Sheet;
import org.myrialith.web.store.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Undo, redo, history, and two versions side by side. */
@Controller
@RequestMapping("/gadgets/{id}")
class VersionsController {
  private final Projects projects;
  private final ProjectPages pages;

  VersionsController(Projects projects, ProjectPages pages) {
    this.projects = projects;
    this.pages = pages;
  }

  /** One figure in two versions. */
  record Pair(String step, String theirs, String mine, boolean differs) {}

  @PostMapping("/undo")
  ModelAndView undo(@PathVariable UUID id, @RequestParam int base, @RequestParam String here) {
    return pages.onward(id, projects.undo(id, base), Sheet.page(here));
  }

  @PostMapping("/redo")
  ModelAndView redo(@PathVariable UUID id, @RequestParam int base, @RequestParam String here) {
    return pages.onward(id, projects.redo(id, base), Sheet.page(here));
  }

  @GetMapping("/late/{kept}")
  ModelAndView late(@PathVariable UUID id, @PathVariable int kept) {
    Projects.Opened head = pages.open(id);
    ModelAndView page = new ModelAndView("versions/late", HttpStatus.CONFLICT);
    page.addObject("id", id);
    page.addObject("title", head.plan().gadget().title());
    page.addObject("head", head.revision());
    page.addObject("kept", kept);
    if (kept > 0) {
      page.addObject("pairs", pairs(head.plan(), projects.plan(id, kept)));
      page.addObject(
          "lines",
          projects.history(id).stream()
              .filter(l -> l.number() == kept || l.number() == head.revision())
              .toList());
    }
    return page;
  }

  private static List<Pair> pairs(GadgetPlan theirs, GadgetPlan mine) {
    return Arrays.stream(Step.values())
        .map(
            s ->
                pair(
                    s.title(),
                    theirs.headline(s) + ", " + theirs.verdict(s).word(),
                    mine.headline(s) + ", " + mine.verdict(s).word()))
        .toList();
  }

  private static Pair pair(String step, String theirs, String mine) {
    return new Pair(step, theirs, mine, !theirs.equals(mine));
  }

  @PostMapping("/take")
  ModelAndView take(@PathVariable UUID id, @RequestParam int base, @RequestParam int revision) {
    return pages.onward(id, projects.take(id, base, revision), "layout");
  }

  @GetMapping("/history")
  ModelAndView history(@PathVariable UUID id) {
    Projects.Opened head = pages.open(id);
    ModelAndView page = new ModelAndView("versions/history");
    page.addObject("id", id);
    page.addObject("title", head.plan().gadget().title());
    page.addObject("head", head.revision());
    page.addObject("lines", projects.history(id));
    return page;
  }
}
