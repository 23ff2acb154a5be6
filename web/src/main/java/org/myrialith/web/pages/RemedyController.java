package org.myrialith.web.pages;

import java.util.UUID;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Remedy;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.store.Projects;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Applies remedies of findings. */
@Controller
class RemedyController {
  private final ProjectPages pages;
  private final Projects projects;

  RemedyController(ProjectPages pages, Projects projects) {
    this.pages = pages;
    this.projects = projects;
  }

  @PostMapping("/gadgets/{id}/mend")
  ModelAndView mend(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String finding,
      @RequestParam String remedy,
      @RequestParam String here) {
    GadgetPlan plan = projects.plan(id, base);
    Remedy chosen =
        plan.remedy(finding, remedy)
            .orElseThrow(
                () ->
                    new InputException(
                        "remedy",
                        finding,
                        "one of those that are shown: the plan changed meanwhile"));
    return pages.edit(
        id,
        base,
        chosen.label(),
        gadget -> plan.mended(finding, remedy).orElseThrow(),
        WayBack.of(here));
  }
}
