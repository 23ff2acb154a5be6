package org.myrialith.gadget;

import java.util.List;
import java.util.Map;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes enclosures. */
final class EnclosureReader {
  /** The kinds of enclosure. */
  enum Kind {
    NONE,
    RECTANGLE,
    BOX,
    CIRCLE,
    OUTLINE
  }

  static final Map<String, Kind> KINDS =
      ShapeReader.byKey(Kind.values(), kind -> kind.name().toLowerCase(java.util.Locale.ROOT));

  private EnclosureReader() {}

  /** Returns the enclosure, or null after an error. */
  static Enclosure enclosure(Fields fields) {
    Kind kind = fields.choice("kind", KINDS);
    if (kind == null) {
      return null;
    }
    return switch (kind) {
      case NONE -> fields.make(Enclosure.Unbounded::new);
      case RECTANGLE -> rectangle(fields);
      case BOX -> {
        double depth = fields.number("depthMm", Enclosure.SIDE);
        Enclosure.Rectangle front = rectangle(fields);
        yield fields.make(() -> new Enclosure.Box(front, depth));
      }
      case CIRCLE -> {
        double x = fields.number("xMm", Fixture.PLACE);
        double y = fields.number("yMm", Fixture.PLACE);
        double radius = fields.number("radiusMm", Enclosure.SIDE);
        yield fields.make(() -> new Enclosure.Circle(x, y, radius));
      }
      case OUTLINE -> {
        List<Point> points =
            ShapeReader.all(fields, "points", Enclosure.Outline.MOST_POINTS, ShapeReader::point);
        yield fields.make(() -> new Enclosure.Outline(points));
      }
    };
  }

  private static Enclosure.Rectangle rectangle(Fields fields) {
    double x = fields.number("xMm", Fixture.PLACE);
    double y = fields.number("yMm", Fixture.PLACE);
    double width = fields.number("widthMm", Enclosure.SIDE);
    double height = fields.number("heightMm", Enclosure.SIDE);
    return fields.make(() -> new Enclosure.Rectangle(x, y, width, height));
  }

  static ObjectNode write(Enclosure enclosure) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    if (enclosure instanceof Enclosure.Rectangle rectangle) {
      put(node.put("kind", "rectangle"), rectangle);
    } else if (enclosure instanceof Enclosure.Box box) {
      put(node.put("kind", "box"), box.front());
      node.put("depthMm", box.depthMm());
    } else if (enclosure instanceof Enclosure.Circle circle) {
      node.put("kind", "circle").put("xMm", circle.xMm()).put("yMm", circle.yMm());
      node.put("radiusMm", circle.radiusMm());
    } else if (enclosure instanceof Enclosure.Outline outline) {
      ArrayNode points = node.put("kind", "outline").putArray("points");
      outline.points().forEach(p -> points.addObject().put("xMm", p.xMm()).put("yMm", p.yMm()));
    } else {
      node.put("kind", "none");
    }
    return node;
  }

  private static void put(ObjectNode node, Enclosure.Rectangle rectangle) {
    node.put("xMm", rectangle.xMm()).put("yMm", rectangle.yMm());
    node.put("widthMm", rectangle.widthMm()).put("heightMm", rectangle.heightMm());
  }
}
