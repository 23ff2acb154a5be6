package org.myrialith.web.colour;

import static org.myrialith.finding.Phrase.phrase;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import org.myrialith.web.pages.ProjectPages;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.databind.node.ObjectNode;

/** The curve from asked values to levels. */
@Controller
@RequestMapping("/gadgets/{id}/colour")
class ColourController {
  private static final String USUAL_EXPONENT = "2.2";

  private final ProjectPages pages;

  ColourController(ProjectPages pages) {
    this.pages = pages;
  }

  /** A step of the ramp: what is asked beside what a lit emitter looks like. */
  record Shade(int asked, int level, String askedColour, String seenColour) {}

  @GetMapping
  ModelAndView show(@PathVariable UUID id) {
    return page(id, null);
  }

  private ModelAndView page(UUID id, FormValues typed) {
    var opened = pages.open(id);
    LevelTable table = opened.plan().table();
    ModelAndView page = pages.page(opened, Step.COLOUR);
    Map<String, String> values =
        new HashMap<>(
            new PartForm<>(ColourSettings.DESCRIPTION, table.settings()).shown().values());
    values.putIfAbsent("exponent", USUAL_EXPONENT);
    page.addObject("form", typed != null ? typed : FormValues.of(values));
    page.addObject("table", table);
    page.addObject("curve", curve(table));
    page.addObject("darkTo", table.darkenedValues());
    page.addObject(
        "shades",
        IntStream.rangeClosed(0, 16).mapToObj(i -> shade(table, Math.min(255, i * 16))).toList());
    return page;
  }

  private static String curve(LevelTable table) {
    StringBuilder path = new StringBuilder();
    for (int asked = 0; asked < LevelTable.SIZE; asked++) {
      path.append(asked == 0 ? "M" : "H")
          .append(asked)
          .append(asked == 0 ? " " : "V")
          .append(255 - table.level(asked));
    }
    return path.toString();
  }

  private static Shade shade(LevelTable table, int asked) {
    return new Shade(
        asked, table.level(asked), grey(asked), grey(LevelTable.screenValue(table.level(asked))));
  }

  private static String grey(int value) {
    return phrase("#%02x%02x%02x", value, value, value);
  }

  @PostMapping
  ModelAndView save(
      @PathVariable UUID id, @RequestParam int base, @RequestParam Map<String, String> form) {
    return pages.edit(
        id,
        base,
        "Changed the colour curve",
        g -> {
          ObjectNode node = new PartForm<>(ColourSettings.DESCRIPTION, g.colour()).typed(form);
          String transfer = form.getOrDefault("transfer", "");
          if (!transfer.equals("power")) {
            refuseExponent(form, node);
            node.remove("exponent");
          } else if (!node.has("exponent")) {
            TypedNumber.put(node, "exponent", form.getOrDefault("exponent", ""));
          }
          return g.with(ColourSettings.DESCRIPTION.read(node.put("transfer", transfer)));
        },
        "colour",
        form,
        typed -> page(id, typed));
  }

  /** An exponent that was typed while another curve is picked is not put back without a word. */
  private static void refuseExponent(Map<String, String> form, ObjectNode node) {
    String shown =
        node.has("exponent") && node.get("exponent").isNumber()
            ? TypedNumber.text(node.get("exponent").asDouble())
            : USUAL_EXPONENT;
    String typed = form.getOrDefault("exponent", shown).strip();
    if (!typed.isEmpty() && !typed.equals(shown) && !typed.equals(USUAL_EXPONENT)) {
      throw new InputException(
          "exponent", typed, "a number for the power law only: select that curve first");
    }
  }
}
