package org.myrialith.web.versions;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.myrialith.finding.Step;
import org.myrialith.gadget.edit.Difference;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.pages.WayBack;
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

  /** What either version made otherwise than the one that both started from. */
  record Touched(String what, String before, String theirs, String mine, boolean both) {}

  @PostMapping("/undo")
  ModelAndView undo(@PathVariable UUID id, @RequestParam int base, @RequestParam String here) {
    return pages.onward(id, projects.undo(id, base), WayBack.of(here));
  }

  @PostMapping("/redo")
  ModelAndView redo(@PathVariable UUID id, @RequestParam int base, @RequestParam String here) {
    return pages.onward(id, projects.redo(id, base), WayBack.of(here));
  }

  @GetMapping("/late/{kept}")
  ModelAndView late(
      @PathVariable UUID id,
      @PathVariable int kept,
      @RequestParam(defaultValue = "layout") String here) {
    Projects.Opened head = pages.open(id);
    ModelAndView page = new ModelAndView("versions/late", HttpStatus.CONFLICT);
    page.addObject("id", id);
    page.addObject("title", head.plan().gadget().title());
    page.addObject("head", head.revision());
    page.addObject("kept", kept);
    page.addObject("here", WayBack.of(here));
    if (kept > 0) {
      page.addObject("touched", touched(id, head, kept));
      page.addObject("pairs", pairs(head.plan(), projects.plan(id, kept)));
      page.addObject(
          "lines",
          projects.history(id).stream()
              .filter(l -> l.number() == kept || l.number() == head.revision())
              .toList());
    }
    return page;
  }

  private List<Touched> touched(UUID id, Projects.Opened head, int kept) {
    Projects.Opened mine = projects.open(id, kept);
    if (mine.before().isEmpty()) {
      return List.of();
    }
    Gadget from = mine.before().get().gadget();
    Map<String, Difference> theirs = byName(from, head.plan().gadget());
    Map<String, Difference> own = byName(from, mine.plan().gadget());
    Set<String> all = new LinkedHashSet<>(own.keySet());
    all.addAll(theirs.keySet());
    return all.stream()
        .map(
            what -> {
              Difference one = theirs.get(what);
              Difference other = own.get(what);
              String before = one == null ? other.before() : one.before();
              return new Touched(
                  what,
                  before,
                  one == null ? before : said(one),
                  other == null ? before : said(other),
                  one != null && other != null);
            })
        .toList();
  }

  private static Map<String, Difference> byName(Gadget from, Gadget to) {
    Map<String, Difference> all = new LinkedHashMap<>();
    Difference.between(from, to).forEach(d -> all.putIfAbsent(d.what(), d));
    return all;
  }

  private static String said(Difference difference) {
    return difference.after().isEmpty() ? "changed" : difference.after();
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
  ModelAndView take(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam int revision,
      @RequestParam(defaultValue = "layout") String here) {
    return pages.onward(id, projects.take(id, base, revision), WayBack.of(here));
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
