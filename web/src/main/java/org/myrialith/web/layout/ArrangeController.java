package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.place.Arrangement;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.store.NotThereException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What is done to fixtures that are picked together: by numbers, by keys and by mouse alike. */
@Controller
@RequestMapping("/gadgets/{id}/layout/arrange")
class ArrangeController {
  private final ProjectPages pages;
  private final LayoutPage page;

  ArrangeController(ProjectPages pages, LayoutPage page) {
    this.pages = pages;
    this.page = page;
  }

  @PostMapping
  ModelAndView arrange(
      @PathVariable UUID id,
      @RequestParam int base,
      @RequestParam String picked,
      @RequestParam String act,
      @RequestParam Map<String, String> form) {
    Edit edit = edit(act, form);
    return pages.edit(
        id,
        base,
        edit.summary(),
        g -> edit.apply().apply(g, arrangement(g, picked)),
        "layout?fixture=" + ProjectPages.inQuery(picked),
        form,
        typed -> page.page(id, picked, LayoutPage.Part.ARRANGE, typed));
  }

  private static Arrangement arrangement(Gadget gadget, String picked) {
    List<Fixture> fixtures =
        LayoutPage.ids(picked).stream()
            .map(each -> gadget.fixture(each).orElseThrow(NotThereException::new))
            .toList();
    if (fixtures.isEmpty()) {
      throw new InputException("picked", picked, "at least one fixture");
    }
    return new Arrangement(fixtures);
  }

  private interface Change {
    Gadget apply(Gadget gadget, Arrangement picked);
  }

  private record Edit(String summary, Change apply) {}

  private static Edit moving(String summary, Function<Arrangement, List<Fixture>> move) {
    return new Edit(summary, (gadget, picked) -> gadget.withFixtures(move.apply(picked)));
  }

  private static Edit edit(String act, Map<String, String> form) {
    return switch (act) {
      case "move" -> moving("Moved outputs", a -> a.moved(place(form, "dx"), place(form, "dy")));
      case "turn" ->
          moving(
              "Reversed", a -> a.turned(number(form, "degrees", org.myrialith.layout.Mount.TURN)));
      case "mirror" -> moving("Mirrored left to right", Arrangement::mirroredLeftToRight);
      case "flip" -> moving("Mirrored top to bottom", Arrangement::mirroredTopToBottom);
      case "align" -> moving("Aligned", a -> a.aligned(line(form.getOrDefault("line", ""))));
      case "across" -> moving("Distributed across", a -> a.distributed(true));
      case "down" -> moving("Distributed down", a -> a.distributed(false));
      case "grid" ->
          moving("Snapped to a grid", a -> a.snapped(number(form, "grid", Arrangement.GRID)));
      case "pitch" ->
          new Edit(
              "Snapped to a pitch",
              (g, a) ->
                  g.withFixtures(
                      a.snappedTo(
                          g.fixture(form.getOrDefault("to", ""))
                              .orElseThrow(
                                  () ->
                                      new InputException(
                                          "to",
                                          form.getOrDefault("to", ""),
                                          "a fixture of this gadget")))));
      case "reverse" ->
          moving(
              "Reversed the data direction",
              a -> a.picked().stream().map(f -> f.with(f.mount().backwards())).toList());
      case "line" ->
          new Edit(
              "Repeated in a line",
              (g, a) ->
                  copies(
                      g,
                      a.inLine(
                          (int) number(form, "copies", Arrangement.COPIES),
                          place(form, "stepX"),
                          place(form, "stepY"))));
      case "round" ->
          new Edit(
              "Repeated round a point",
              (g, a) ->
                  copies(
                      g,
                      a.around(
                          (int) number(form, "copies", Arrangement.COPIES),
                          place(form, "aboutX"),
                          place(form, "aboutY"),
                          number(form, "stepDegrees", org.myrialith.layout.Mount.TURN),
                          !form.getOrDefault("turning", "true").equals("false"))));
      default -> throw new InputException("act", act, "one of the actions of the page");
    };
  }

  /** Copies get names with a number behind, and identifiers that are free. */
  private static Gadget copies(Gadget gadget, List<Fixture> copies) {
    Gadget grown = gadget;
    List<String> names = new ArrayList<>(gadget.fixtures().stream().map(Fixture::name).toList());
    for (Fixture copy : copies) {
      int number = 2;
      while (names.contains(TextRules.shortened(copy.name() + " " + number))) {
        number++;
      }
      String name = TextRules.shortened(copy.name() + " " + number);
      names.add(name);
      grown = grown.with(copy.renamed(grown.freeId("f"), name));
    }
    return grown;
  }

  private static Arrangement.Line line(String key) {
    for (Arrangement.Line line : Arrangement.Line.values()) {
      if (line.key().equals(key)) {
        return line;
      }
    }
    throw new InputException("line", key, "left, centre, right, top, middle or bottom");
  }

  private static double place(Map<String, String> form, String field) {
    return number(form, field, Fixture.PLACE);
  }

  private static double number(Map<String, String> form, String field, Bounds bounds) {
    return TypedNumber.require(field, form.getOrDefault(field, ""), bounds);
  }
}
