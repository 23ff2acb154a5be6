package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Site;
import org.myrialith.web.desk.FormValues;
import tools.jackson.databind.node.ObjectNode;

/** The form of the site: enclosure, diffuser, slack and rolls. */
final class SiteForm {
  /** Fields that each kind of enclosure has. */
  private static final Map<String, List<String>> FIELDS =
      Map.of(
          "none", List.of(),
          "rectangle", List.of("xMm", "yMm", "widthMm", "heightMm"),
          "box", List.of("xMm", "yMm", "widthMm", "heightMm", "depthMm"),
          "circle", List.of("xMm", "yMm", "radiusMm"),
          "outline", List.of());

  private static final double ROOM_MM = 20;
  private static final double USUAL_DEPTH_MM = 60;

  private SiteForm() {}

  static FormValues of(Site site) {
    ObjectNode node = GadgetJson.write(site);
    Map<String, String> values = new HashMap<>(ShapeText.form(node).values());
    ObjectNode enclosure = (ObjectNode) node.get("enclosure");
    ShapeText.form(enclosure).values().forEach((k, v) -> values.put("in-" + k, v));
    return FormValues.of(values);
  }

  /**
   * Returns the site as typed; an outline that was taken from a file stays as long as outline is
   * chosen.
   *
   * @throws InputException with every error, fields of the enclosure named as in the form
   */
  static Site read(Gadget gadget, Map<String, String> form) {
    Site old = gadget.site();
    ObjectNode node = FormValues.over(GadgetJson.write(old), form);
    String kind = form.getOrDefault("in-kind", "none");
    if (!kind.equals("outline") || !node.get("enclosure").get("kind").asString().equals(kind)) {
      ObjectNode enclosure = node.putObject("enclosure").put("kind", kind);
      for (String field : FIELDS.getOrDefault(kind, List.of())) {
        String typed = form.getOrDefault("in-" + field, usual(gadget, kind, field));
        FormValues.putNumber(enclosure, field, typed);
      }
    }
    return site(node);
  }

  /** An enclosure that was just chosen starts round everything that is there. */
  private static String usual(Gadget gadget, String kind, String field) {
    LayoutPlan.Box box = LayoutPlan.of(gadget.fixtures(), List.of()).extent();
    boolean round = kind.equals("circle");
    double value =
        switch (field) {
          case "xMm" -> round ? box.middleXMm() : box.leftMm() - ROOM_MM;
          case "yMm" -> round ? box.middleYMm() : box.topMm() - ROOM_MM;
          case "widthMm" -> box.widthMm() + 2 * ROOM_MM;
          case "heightMm" -> box.heightMm() + 2 * ROOM_MM;
          case "radiusMm" -> Math.hypot(box.widthMm(), box.heightMm()) / 2 + ROOM_MM;
          default -> USUAL_DEPTH_MM;
        };
    return Long.toString(Math.round(value));
  }

  private static Site site(ObjectNode node) {
    try {
      return GadgetJson.site(node);
    } catch (InputException e) {
      List<InputError> errors = new ArrayList<>();
      e.errors()
          .forEach(
              error ->
                  errors.add(
                      new InputError(
                          error.field().replace("enclosure.", "in-"),
                          error.value(),
                          error.allowed())));
      throw new InputException(errors);
    }
  }
}
