package org.myrialith.web.shelf;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.myrialith.demo.StartingPoint;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.demo.DemoShelf;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.myrialith.web.store.Project;
import org.myrialith.web.store.Projects;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** All gadgets. */
@Controller
class ShelfController {
  private static final long PATIENCE_NANOS = 1_500_000_000L;

  private static final Logger LOG = LoggerFactory.getLogger(ShelfController.class);

  private final Projects projects;
  private final DemoShelf demo;

  ShelfController(Projects projects, DemoShelf demo) {
    this.projects = projects;
    this.demo = demo;
  }

  /** A gadget on the shelf. */
  record Entry(
      UUID id,
      int revision,
      String title,
      Verdict verdict,
      String size,
      String peak,
      String supply,
      String says,
      Optional<String> undoes,
      boolean pending) {
    /** Returns the word for it: none while it is not known. */
    public String word() {
      return pending ? "calculating" : verdict.word();
    }
  }

  @GetMapping("/")
  ModelAndView shelf() {
    return page(FormValues.of(Map.of()));
  }

  private ModelAndView page(FormValues form) {
    ModelAndView page = new ModelAndView("shelf/page");
    page.addObject("entries", entries());
    page.addObject("form", form);
    page.addObject("starts", StartingPoint.values());
    page.addObject("demo", demo.onTheShelf());
    page.addObject("drawer", projects.drawer());
    page.addObject("keptDays", Projects.KEPT_DAYS);
    return page;
  }

  /** Those that are not worked out within a moment get their figures later, each by itself. */
  private List<Entry> entries() {
    long end = System.nanoTime() + PATIENCE_NANOS;
    List<Entry> all = new ArrayList<>();
    for (Project project : projects.shelf()) {
      boolean late = System.nanoTime() > end;
      if (late && !projects.known(project.getId(), project.getHead())) {
        all.add(bare(project, "Figures are being calculated.", Optional.empty(), true));
      } else {
        all.add(entry(project));
      }
    }
    return all;
  }

  private Entry entry(Project project) {
    try {
      return worked(project);
    } catch (InputException | NotThereException e) {
      return stuck(project, "This version can't be read: " + e.getMessage());
    } catch (RuntimeException e) { // whatever a plan stumbles over, the shelf stays
      LOG.error("the plan of gadget {} fails", project.getId(), e);
      return stuck(project, "This version can't be planned; that is an error in Myrialith.");
    }
  }

  /** One gadget of the shelf, for those whose figures were not worked out with the page. */
  @GetMapping("/gadgets/{id}/slab")
  ModelAndView slab(@PathVariable UUID id) {
    Project project =
        projects.shelf().stream()
            .filter(one -> one.getId().equals(id))
            .findFirst()
            .orElseThrow(NotThereException::new);
    return new ModelAndView("shelf/page :: slab", "entry", entry(project));
  }

  private Entry stuck(Project project, String says) {
    return bare(
        project, says, projects.stuck(project.getId()).flatMap(Projects.Stuck::undoes), false);
  }

  private static Entry bare(
      Project project, String says, Optional<String> undoes, boolean pending) {
    return new Entry(
        project.getId(),
        project.getHead(),
        project.getTitle(),
        Verdict.OPEN,
        "",
        "",
        "",
        says,
        undoes,
        pending);
  }

  private Entry worked(Project project) {
    GadgetPlan plan = projects.plan(project);
    List<Finding> problems = plan.problems();
    String more = problems.size() > 1 ? " And " + (problems.size() - 1) + " more." : "";
    String says = problems.isEmpty() ? "No problems found." : problems.get(0).says() + more;
    return new Entry(
        project.getId(),
        project.getHead(),
        project.getTitle(),
        plan.verdict(),
        plan.headline(Step.LAYOUT),
        plan.headline(Step.POWER),
        plan.gadget()
            .brief()
            .supply()
            .map(s -> "on " + Quantity.text(s.amps(), "A"))
            .orElse("no supply"),
        says,
        Optional.empty(),
        false);
  }

  @PostMapping("/gadgets")
  ModelAndView create(@RequestParam(defaultValue = "") String title) {
    try {
      String called = title.isBlank() ? "New gadget" : title;
      UUID id = projects.create(Gadget.blank(called), "Started");
      return ProjectPages.redirect("/gadgets/" + id + "/layout");
    } catch (InputException e) {
      return refused(Map.of("title", title), e.errors());
    }
  }

  @PostMapping("/gadgets/start")
  String start(@RequestParam String kind) {
    StartingPoint from = StartingPoint.of(kind).orElseThrow(NotThereException::new);
    UUID id = projects.create(from.gadget(), "Started from: " + from.title());
    return "redirect:/gadgets/" + id + "/layout";
  }

  @PostMapping("/demo/remove")
  String removeDemo() {
    demo.remove();
    return "redirect:/";
  }

  @PostMapping("/demo/add")
  String addDemo() {
    demo.add();
    return "redirect:/";
  }

  private ModelAndView refused(Map<String, String> typed, List<InputError> errors) {
    ModelAndView page = page(FormValues.refused(typed, errors));
    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
    page.addObject("refused", errors);
    return page;
  }

  @PostMapping("/gadgets/bring")
  ModelAndView bring(@RequestParam MultipartFile file) throws IOException {
    try {
      Gadget gadget = GadgetJson.read(new String(file.getBytes(), StandardCharsets.UTF_8));
      return ProjectPages.redirect(
          "/gadgets/" + projects.create(gadget, "Imported from a file") + "/layout");
    } catch (InputException e) {
      return refused(Map.of(), e.errors());
    }
  }

  @GetMapping("/gadgets/{id}")
  String gadget(@PathVariable UUID id) {
    return "redirect:/gadgets/" + id + "/layout";
  }

  @PostMapping("/gadgets/{id}/delete")
  String delete(@PathVariable UUID id) {
    projects.delete(id);
    return "redirect:/";
  }

  @PostMapping("/gadgets/{id}/bring-back")
  String bringBack(@PathVariable UUID id) {
    projects.bringBack(id);
    return "redirect:/";
  }

  @PostMapping("/gadgets/{id}/delete-for-good")
  String deleteForGood(@PathVariable UUID id) {
    projects.deleteForGood(id);
    return "redirect:/";
  }
}
