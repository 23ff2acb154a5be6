package org.myrialith.web.frames;

import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.frames.Show;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.gadget.plan.StackedView;
import org.myrialith.layout.Fixture;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The whole gadget, or a group, on one easel: painted in a moment of the show. */
@Controller
@RequestMapping("/gadgets/{id}/frames/together")
class TogetherController {
  private static final int MOST_POINTS = 10_000;

  private final ProjectPages pages;

  TogetherController(ProjectPages pages) {
    this.pages = pages;
  }

  /**
   * What the page draws.
   *
   * @param moment number of it, from 1, of {@code moments}
   * @param when it begins, and how long it is held
   * @param spots number, x and y of each place, in tenths of a millimetre
   * @param space the same in space, with z; empty where all is flat
   */
  record Bench(
      int moment,
      int moments,
      String when,
      String over,
      int places,
      String rgb,
      String spots,
      String space) {}

  private static int moments(GadgetPlan plan) {
    return Math.max(1, plan.show().moments().size());
  }

  @GetMapping
  ModelAndView show(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "1") String moment,
      @RequestParam(defaultValue = StackedView.ALL) String over) {
    GadgetPlan plan = pages.open(id).plan();
    try {
      return page(id, number(plan, moment), over);
    } catch (InputException e) {
      // a moment or a group that is gone
      ModelAndView page = page(id, 1, StackedView.ALL);
      page.addObject("refused", e.errors());
      return page;
    }
  }

  private static int number(GadgetPlan plan, String moment) {
    return (int) TypedNumber.require("moment", moment, Bounds.count(1, moments(plan)));
  }

  private ModelAndView page(UUID id, int moment, String over) {
    var opened = pages.open(id);
    GadgetPlan plan = opened.plan();
    StackedView together = StackedView.of(plan, moment - 1, over);
    ModelAndView page = pages.page(opened, Step.FRAMES);
    page.setViewName("frames/together");
    page.addObject("tabs", plan.gadget().fixtures().stream().map(TogetherController::tab).toList());
    page.addObject("overs", overs(plan.gadget()));
    page.addObject(
        "tools", Stream.of(Stroke.Tool.values()).filter(t -> t != Stroke.Tool.MOVE).toList());
    page.addObject("mirrors", Stroke.Mirror.values());
    page.addObject(
        "bench",
        new Bench(
            moment,
            moments(plan),
            when(plan, moment - 1),
            over,
            together.spots().size(),
            Base64.getEncoder().encodeToString(together.rgb()),
            spots(together),
            PlacesText.inSpace(
                together.spots().stream().map(StackedView.Spot::pose).toList(), place -> place)));
    return page;
  }

  private static FramesPage.Tab tab(Fixture fixture) {
    return new FramesPage.Tab(fixture.id(), fixture.name(), false, false);
  }

  private static Map<String, String> overs(Gadget gadget) {
    Map<String, String> all = new LinkedHashMap<>();
    all.put(StackedView.ALL, "the whole gadget");
    gadget.layout().groups().forEach(group -> all.put(group.id(), group.name()));
    return all;
  }

  private static String when(GadgetPlan plan, int moment) {
    if (plan.show().moments().isEmpty()) {
      return "nothing plays yet";
    }
    Show.Moment one = plan.show().moments().get(moment);
    return "from "
        + Quantity.text(one.startMillis() / 1000.0, "s")
        + ", for "
        + Quantity.text(one.holdMillis() / 1000.0, "s");
  }

  private static String spots(StackedView together) {
    List<StackedView.Spot> spots = together.spots();
    return PlacesText.flat(
        spots.size(), place -> place, i -> spots.get(i).xMm(), i -> spots.get(i).yMm());
  }

  @PostMapping("/{over}/{moment}/paint")
  ModelAndView paint(
      @PathVariable UUID id,
      @PathVariable String over,
      @PathVariable int moment,
      @RequestParam int base,
      @RequestParam(defaultValue = "false") boolean whole,
      Painting act) {
    return pages.edit(
        id,
        base,
        "Painted moment " + moment,
        gadget -> {
          StackedView together = StackedView.of(GadgetPlan.of(gadget), moment - 1, over);
          return whole
              ? together.painted(together.all(), Brush.colour(act.colour()))
              : together.painted(act.onPlaces(places(act.points())));
        },
        "frames/together?moment=" + moment + "&over=" + ProjectPages.inQuery(over),
        errors -> page(id, moment, over).addObject("typed", act.typed()));
  }

  /** Numbers of places as the easel sends them: a column, and row 0. */
  private static List<Integer> places(String points) {
    String[] all = points.isBlank() ? new String[0] : points.strip().split("\\s+");
    if (all.length == 0 || all.length > MOST_POINTS) {
      throw new InputException("points", all.length + " places", "1 to " + MOST_POINTS);
    }
    return Stream.of(all)
        .map(
            one -> {
              if (!one.matches("[0-9]{1,5}(,0)?")) {
                throw new InputException("points", one, "numbers of places, separated by blanks");
              }
              return Integer.parseInt(one.replaceFirst(",0$", ""));
            })
        .toList();
  }
}
