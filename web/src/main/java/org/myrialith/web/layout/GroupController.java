package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Groups of emitters across fixtures. */
@Controller
@RequestMapping("/gadgets/{id}/layout/groups")
class GroupController {
  private final ProjectPages pages;
  private final LayoutPage page;

  GroupController(ProjectPages pages, LayoutPage page) {
    this.pages = pages;
    this.page = page;
  }

  /** Makes a group of the fixtures picked, whole. */
  @PostMapping
  ModelAndView add(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String picked,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Added a group",
        g -> {
          List<Group.Member> members =
              LayoutPage.picked(g, picked).stream()
                  .map(f -> new Group.Member(f.id(), 0, f.count() - 1))
                  .toList();
          return g.with(new Group(g.freeId("g"), form.getOrDefault("groupName", ""), members));
        },
        "layout?fixture=" + ProjectPages.inQuery(picked) + "#groups",
        form,
        typed -> page.page(id, picked, LayoutPage.Part.GROUP, typed));
  }

  @PostMapping("/{group}")
  ModelAndView change(
      @PathVariable UUID id,
      @PathVariable String group,
      @RequestParam int base,
      @RequestParam String picked,
      @RequestParam String act,
      @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        act.equals("remove") ? "Removed a group" : "Changed a group",
        g ->
            act.equals("remove")
                ? g.withoutGroup(group)
                : g.with(
                    new Group(
                        group,
                        form.getOrDefault("name-" + group, ""),
                        members(g, group, form.getOrDefault("members-" + group, "")))),
        "layout?fixture=" + ProjectPages.inQuery(picked) + "#groups",
        form,
        typed -> page.page(id, picked, LayoutPage.Part.GROUP, typed));
  }

  /** A fixture a line, by its id or name, and behind a comma the indices when it is not whole. */
  private static List<Group.Member> members(Gadget gadget, String group, String text) {
    List<Group.Member> members = new ArrayList<>();
    List<InputError> errors = new ArrayList<>();
    for (String line : text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList()) {
      String[] parts = line.split("\\s*,\\s*", 2);
      Fixture fixture =
          gadget.fixtures().stream()
              .filter(f -> f.id().equals(parts[0]) || f.name().equals(parts[0]))
              .findFirst()
              .orElse(null);
      String run =
          parts.length == 2 ? parts[1] : fixture == null ? "" : "0-" + (fixture.count() - 1);
      if (fixture == null || !run.matches("\\d{1,5}(-\\d{1,5})?")) {
        errors.add(
            new InputError(
                "members-" + group,
                line,
                "a fixture's id or name, then its LEDs, such as f1, 0-11"));
        continue;
      }
      String[] ends = run.split("-");
      members.add(
          new Group.Member(
              fixture.id(), Integer.parseInt(ends[0]), Integer.parseInt(ends[ends.length - 1])));
    }
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
    return members;
  }
}
