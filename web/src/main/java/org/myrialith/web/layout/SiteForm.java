package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.EnclosureKinds;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Site;
import org.myrialith.schema.TypedNumber;
import org.myrialith.web.pages.FormValues;
import org.myrialith.web.pages.PartForm;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The form of the site: enclosure, diffuser, slack and rolls. */
final class SiteForm {
  private static final double ROOM_MM = 20;
  private static final double USUAL_DEPTH_MM = 60;

  private SiteForm() {}

  static FormValues of(Site site) {
    Map<String, String> values =
        new HashMap<>(new PartForm<>(Site.DESCRIPTION, site).shown().values());
    new PartForm<>(EnclosureKinds.ALL, site.enclosure())
        .shown()
        .values()
        .forEach((k, v) -> values.put("in-" + k, v));
    return FormValues.of(values);
  }

  /**
   * Returns the site as typed; an outline that was taken from a file stays as long as outline is
   * chosen.
   *
   * @throws InputException with every error, fields of the enclosure named as in the form
   */
  static Site read(Gadget gadget, Map<String, String> form) {
    Site old = gadget.layout().site();
    ObjectNode node = new PartForm<>(Site.DESCRIPTION, old).typed(form);
    String kind = form.getOrDefault("in-kind", "none");
    String was = EnclosureKinds.ALL.kindOf(old.enclosure()).key();
    if (kind.equals(was)) {
      Map<String, String> own = new HashMap<>();
      form.forEach((k, v) -> own.put(k.replaceFirst("^in-", ""), v));
      own.remove("points");
      node.set("enclosure", new PartForm<>(EnclosureKinds.ALL, old.enclosure()).typed(own));
    } else {
      node.set("enclosure", fresh(gadget, kind, form));
    }
    return site(node);
  }

  private static ObjectNode fresh(Gadget gadget, String kind, Map<String, String> form) {
    ObjectNode enclosure = JsonNodeFactory.instance.objectNode().put("kind", kind);
    EnclosureKinds.ALL
        .kind(kind)
        .filter(k -> !kind.equals("outline"))
        .ifPresent(
            k ->
                k.description()
                    .fields(k.usual())
                    .forEach(
                        field ->
                            TypedNumber.put(
                                enclosure,
                                field.name(),
                                form.getOrDefault(
                                    "in-" + field.name(), usual(gadget, kind, field.name())),
                                field.unit())));
    return enclosure;
  }

  /** An enclosure that was just chosen starts round everything that is there. */
  private static String usual(Gadget gadget, String kind, String field) {
    LayoutPlan.Box box = LayoutPlan.of(gadget.fixtures()).extent();
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
      return Site.DESCRIPTION.read(node);
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
