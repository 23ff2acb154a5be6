package org.myrialith.web.pages;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.store.Projects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.view.RedirectView;
import org.springframework.web.util.UriUtils;

/** Opens pages and carries edits to the store. */
@Component
public class ProjectPages {
  private final Projects projects;

  ProjectPages(Projects projects) {
    this.projects = projects;
  }

  /** Opens a project at its head. */
  public Projects.Opened open(UUID id) {
    return projects.open(id);
  }

  /** Returns a page of a project with strata and calculations; the controller adds its bench. */
  public ModelAndView page(Projects.Opened opened, Step step) {
    ModelAndView page = new ModelAndView(Sheet.path(step) + "/page");
    page.addObject("sheet", Sheet.of(opened, step));
    page.addObject("gadget", opened.plan().gadget());
    return page;
  }

  /**
   * Edits and goes on to {@code then}; when the edit is refused, shows the page again with the
   * errors; when it came too late, goes to where both versions can be looked at.
   *
   * @param base the revision the maker saw
   * @param then last part of the address to go on to
   * @param again makes the page again from the errors
   */
  public ModelAndView edit(
      UUID id,
      int base,
      String summary,
      UnaryOperator<Gadget> edit,
      String then,
      Function<List<InputError>, ModelAndView> again) {
    try {
      return onward(id, projects.join(id, base, summary, edit), then);
    } catch (InputException e) {
      ModelAndView page = again.apply(e.errors());
      page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
      page.addObject("refused", e.errors());
      return page;
    }
  }

  /**
   * Edits by a form; when it is refused, shows the page again with what was typed and the errors
   * beside the fields.
   *
   * @param again makes the page again from what its fields show
   */
  public ModelAndView edit(
      UUID id,
      int base,
      String summary,
      UnaryOperator<Gadget> edit,
      String then,
      Map<String, String> form,
      Function<FormValues, ModelAndView> again) {
    Map<String, String> typed = new HashMap<>(form);
    return edit(
        id,
        base,
        summary,
        edit,
        then,
        errors -> {
          boolean others = savedWithout(id, base, summary, edit, form, errors);
          ModelAndView page = again.apply(FormValues.refused(typed, errors));
          page.addObject("othersSaved", others);
          return page;
        });
  }

  /**
   * Takes the fields that were refused out of the form and edits once more, so that what is valid
   * beside them is saved.
   *
   * @param form what {@code edit} reads
   * @return whether something was saved
   */
  private boolean savedWithout(
      UUID id,
      int base,
      String summary,
      UnaryOperator<Gadget> edit,
      Map<String, String> form,
      List<InputError> errors) {
    Set<String> refused =
        errors.stream().map(e -> e.field().replaceAll("\\[.*", "")).collect(Collectors.toSet());
    if (form.isEmpty() || !form.keySet().removeAll(refused)) {
      return false;
    }
    try {
      return projects.join(id, base, summary, edit) instanceof Projects.Outcome.Saved saved
          && saved.revision() > base;
    } catch (InputException e) {
      return false; // what is left does not stand alone: nothing of it is saved
    }
  }

  /**
   * Edits where nothing is typed that could be refused field by field; errors go to the error page.
   */
  public ModelAndView edit(
      UUID id, int base, String summary, UnaryOperator<Gadget> edit, String then) {
    return onward(id, projects.join(id, base, summary, edit), then);
  }

  /** Returns the way on from an edit. */
  public ModelAndView onward(UUID id, Projects.Outcome outcome, String then) {
    if (outcome instanceof Projects.Outcome.Late late) {
      return redirect("/gadgets/" + id + "/late/" + late.kept() + "?here=" + inQuery(then));
    }
    return redirect("/gadgets/" + id + "/" + then);
  }

  /** Returns the way to an address of this application; braces in it are characters like others. */
  public static ModelAndView redirect(String address) {
    RedirectView there = new RedirectView(address);
    there.setExpandUriTemplateVariables(false);
    there.setStatusCode(HttpStatus.SEE_OTHER);
    ModelAndView view = new ModelAndView(there);
    view.setStatus(HttpStatus.SEE_OTHER);
    return view;
  }

  /** Returns a value as it stands in the query of an address. */
  public static String inQuery(String value) {
    return UriUtils.encodeQueryParam(value, StandardCharsets.UTF_8).replace("+", "%2B");
  }
}
