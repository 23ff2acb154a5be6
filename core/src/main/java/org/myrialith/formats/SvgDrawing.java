package org.myrialith.formats;

import static org.myrialith.finding.Phrase.phrase;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.IllegalPathStateException;
import java.awt.geom.PathIterator;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.batik.parser.AWTTransformProducer;
import org.apache.batik.parser.ParseException;
import org.myrialith.finding.InputException;

/**
 * The circles and lines of an SVG file, in millimetres.
 *
 * <p>Read as plain XML: no document type is followed, no entity is resolved, nothing is fetched,
 * and scripts, styles, definitions and foreign content are passed over. Lengths follow SVG 2: a
 * width with a unit and a view box give the scale, as preserveAspectRatio says; without a unit a
 * user unit is 1/96 inch. Hidden parts are passed over; styles by class are not followed.
 *
 * @param circles in the order of the file
 * @param lines paths, polylines, polygons, lines and rectangles, curves flattened
 * @param passedOver what was not read, in words
 */
public record SvgDrawing(List<Circle> circles, List<Line> lines, List<String> passedOver) {
  /** Most elements that are read. */
  public static final int MOST_ELEMENTS = 200_000;

  /** Most corners of all lines. */
  public static final int MOST_CORNERS = 400_000;

  private static final int DEEPEST = 200;
  private static final int LONGEST_PATH = 2_000_000;

  /** How far a flattened curve may leave the true one (mm). */
  private static final double FLATNESS_MM = 0.05;

  private static final double MM_PER_USER_UNIT = 25.4 / 96;

  /** Elements whose content is not drawn, or not ours to read. */
  private static final Set<String> PASSED_OVER =
      Set.of(
          "defs",
          "symbol",
          "clipPath",
          "mask",
          "pattern",
          "marker",
          "metadata",
          "script",
          "style",
          "foreignObject",
          "title",
          "desc",
          "text",
          "image",
          "use",
          "linearGradient",
          "radialGradient",
          "filter");

  /** A circle or an ellipse by its middle (mm). */
  public record Circle(double xMm, double yMm, String name) {}

  /**
   * A line with corners.
   *
   * @param xMm of the corners
   * @param yMm of the corners
   * @param closed whether it ends where it began
   */
  public record Line(String name, double[] xMm, double[] yMm, boolean closed) {
    /** Returns the length, back to where it began if it is closed (mm). */
    public double lengthMm() {
      double length = 0;
      for (int i = 1; i < xMm.length; i++) {
        length += Math.hypot(xMm[i] - xMm[i - 1], yMm[i] - yMm[i - 1]);
      }
      return closed ? length + closingMm() : length;
    }

    /** Returns how far its ends are apart (mm). */
    public double closingMm() {
      int last = xMm.length - 1;
      return Math.hypot(xMm[last] - xMm[0], yMm[last] - yMm[0]);
    }
  }

  public SvgDrawing {
    circles = List.copyOf(circles);
    lines = List.copyOf(lines);
    passedOver = List.copyOf(passedOver);
  }

  /**
   * Reads a file.
   *
   * @throws InputException if it is no SVG, is cut off, or is beyond the limits
   */
  public static SvgDrawing read(byte[] file) {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    factory.setXMLResolver(
        (publicId, systemId, base, namespace) -> {
          throw new XMLStreamException("the file points to another one, which is not followed");
        });
    try {
      return new Reading(factory.createXMLStreamReader(new ByteArrayInputStream(file))).drawing();
    } catch (XMLStreamException e) {
      String why = e.getMessage() == null ? "" : e.getMessage().lines().findFirst().orElse("");
      throw new InputException("file", "XML that can't be read: " + why, "a whole SVG file");
    } catch (ParseException | NumberFormatException e) {
      throw new InputException("file", "a path or a number that can't be read", "a whole SVG file");
    }
  }

  /**
   * What holds within an element.
   *
   * @param way from its user units to millimetres
   * @param widthUnits of the nearest svg element, for percentages
   * @param heightUnits of it
   * @param visible whether what is drawn in it can be seen
   */
  record Frame(AffineTransform way, double widthUnits, double heightUnits, boolean visible) {}

  /** One reading. Mutable, lives within {@link #read}. */
  private static final class Reading {
    private final XMLStreamReader xml;
    private final Deque<Frame> frames = new ArrayDeque<>();
    private final List<Circle> circles = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
    private final List<String> passed = new ArrayList<>();
    private int elements;
    private int corners;

    Reading(XMLStreamReader xml) {
      this.xml = xml;
    }

    SvgDrawing drawing() throws XMLStreamException {
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamConstants.START_ELEMENT) {
          start();
        } else if (event == XMLStreamConstants.END_ELEMENT) {
          frames.pop();
        } else if (event == XMLStreamConstants.ENTITY_REFERENCE) {
          throw new InputException("file", "an entity of its own", "an SVG without entities");
        }
      }
      return new SvgDrawing(circles, lines, passed);
    }

    private void start() throws XMLStreamException {
      String name = xml.getLocalName();
      if (++elements > MOST_ELEMENTS || frames.size() > DEEPEST) {
        throw new InputException(
            "file",
            "more than " + MOST_ELEMENTS + " elements, or deeper than " + DEEPEST,
            "a smaller drawing");
      }
      if (frames.isEmpty() && !name.equals("svg")) {
        throw new InputException("file", "an XML file of kind " + name, "an SVG file");
      }
      if (PASSED_OVER.contains(name) || styled("display").equals("none")) {
        String what = PASSED_OVER.contains(name) ? name : "a hidden " + name;
        if (passed.size() < 10 && !name.equals("title") && !name.equals("metadata")) {
          passed.add(what);
        }
        skip();
        return;
      }
      Frame frame = inside(name);
      frames.push(frame);
      if (frame.visible()) {
        draw(name, frame.way());
      }
    }

    private Frame inside(String name) {
      Frame above =
          frames.isEmpty()
              ? new Frame(
                  AffineTransform.getScaleInstance(MM_PER_USER_UNIT, MM_PER_USER_UNIT), 0, 0, true)
              : frames.peek();
      AffineTransform way = new AffineTransform(above.way());
      String transform = xml.getAttributeValue(null, "transform");
      if (transform != null && !transform.isBlank()) {
        way.concatenate(AWTTransformProducer.createAffineTransform(transform));
      }
      String visibility = styled("visibility");
      boolean visible = visibility.isEmpty() ? above.visible() : visibility.equals("visible");
      if (!name.equals("svg")) {
        return new Frame(way, above.widthUnits(), above.heightUnits(), visible);
      }
      SvgViewport port =
          new SvgViewport(
              frames.isEmpty() ? 0 : number("x"),
              frames.isEmpty() ? 0 : number("y"),
              extent("width", above.widthUnits()),
              extent("height", above.heightUnits()));
      return port.inside(text("viewBox"), text("preserveAspectRatio"), way, visible);
    }

    /** A property by attribute or by style, the style first; empty when neither says. */
    private String styled(String property) {
      for (String part : text("style").split(";")) {
        int colon = part.indexOf(':');
        if (colon > 0 && part.substring(0, colon).strip().equals(property)) {
          return part.substring(colon + 1).strip();
        }
      }
      return text(property);
    }

    /** A width or height in user units; 0 when nothing says. */
    private double extent(String attribute, double whole) {
      String bare = text(attribute);
      if (bare.isEmpty() || bare.equals("auto")) {
        return whole;
      }
      return bare.endsWith("%")
          ? Double.parseDouble(bare.substring(0, bare.length() - 1)) / 100 * whole
          : length(bare) / MM_PER_USER_UNIT;
    }

    private void skip() throws XMLStreamException {
      int depth = 1;
      while (depth > 0) {
        int event = xml.next();
        depth +=
            event == XMLStreamConstants.START_ELEMENT
                ? 1
                : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
        if (depth > DEEPEST || ++elements > MOST_ELEMENTS) {
          throw new InputException("file", "content nested too deep", "a smaller drawing");
        }
      }
    }

    /** A length with its unit (mm); 0 for a percentage or nothing. */
    private static double length(String text) {
      String bare = text == null ? "" : text.strip();
      String number = bare.replaceAll("[a-z%]+$", "").strip();
      double unit =
          switch (bare.substring(Math.min(number.length(), bare.length())).strip()) {
            case "mm" -> 1;
            case "cm" -> 10;
            case "in" -> 25.4;
            case "pt" -> 25.4 / 72;
            case "pc" -> 25.4 / 6;
            case "px", "" -> MM_PER_USER_UNIT;
            default -> 0;
          };
      return number.isEmpty() ? 0 : Double.parseDouble(number) * unit;
    }

    private static double inUserUnits(String length) {
      if (!length.matches(".*[0-9.]\\s*(mm|cm|in|pt|pc|px)")) {
        throw new NumberFormatException(length);
      }
      return length(length) / MM_PER_USER_UNIT;
    }

    private double number(String attribute) {
      String text = xml.getAttributeValue(null, attribute);
      String bare = text == null ? "" : text.strip();
      if (bare.matches(".*[a-z]$")) {
        return inUserUnits(bare);
      }
      return bare.isEmpty() ? 0 : Double.parseDouble(bare);
    }

    private String text(String attribute) {
      String text = xml.getAttributeValue(null, attribute);
      return text == null ? "" : text.strip();
    }

    private void draw(String name, AffineTransform way) {
      switch (name) {
        case "circle", "ellipse" -> {
          double[] at = {number("cx"), number("cy")};
          way.transform(at, 0, at, 0, 1);
          circles.add(new Circle(finite(at[0]), finite(at[1]), text("id")));
        }
        case "path" -> path(text("d"), way);
        case "polyline" -> path(points(text("points"), ""), way);
        case "polygon" -> path(points(text("points"), "Z"), way);
        case "line" ->
            path(
                phrase("M%s,%sL%s,%s", number("x1"), number("y1"), number("x2"), number("y2")),
                way);
        case "rect" ->
            path(
                phrase(
                    "M%s,%sh%sv%sh%sZ",
                    number("x"), number("y"), number("width"), number("height"), -number("width")),
                way);
        default -> {}
      }
    }

    private static String points(String points, String end) {
      return points.isEmpty() ? "" : "M" + points + end;
    }

    private void path(String data, AffineTransform way) {
      if (data.isEmpty()) {
        return;
      }
      if (data.length() > LONGEST_PATH) {
        throw new InputException("path", data.length() + " characters", "at most " + LONGEST_PATH);
      }
      Shape shape;
      try {
        shape = AWTPathProducer.createShape(new StringReader(data), PathIterator.WIND_NON_ZERO);
      } catch (IllegalPathStateException e) {
        throw new InputException(
            "path",
            data.substring(0, Math.min(40, data.length())),
            "a path that begins with a move (M or m)");
      } catch (java.io.IOException e) {
        throw new java.io.UncheckedIOException("reading from memory", e);
      }
      flatten(new FlatteningPathIterator(shape.getPathIterator(way), FLATNESS_MM));
    }

    private void flatten(PathIterator steps) {
      List<double[]> points = new ArrayList<>();
      double[] at = new double[6];
      for (; !steps.isDone(); steps.next()) {
        int kind = steps.currentSegment(at);
        if (kind == PathIterator.SEG_MOVETO) {
          keep(points, false);
          points = new ArrayList<>();
        }
        if (kind == PathIterator.SEG_CLOSE) {
          // what follows without a move goes on from where the closed line began (SVG 2, 9.3.4)
          keep(points, true);
          points = new ArrayList<>(points.subList(0, Math.min(1, points.size())));
        } else {
          points.add(new double[] {finite(at[0]), finite(at[1])});
        }
        if (++corners > MOST_CORNERS) {
          throw new InputException(
              "file", "more than " + MOST_CORNERS + " corners", "a simpler drawing");
        }
      }
      keep(points, false);
    }

    private void keep(List<double[]> points, boolean closed) {
      List<double[]> apart = new ArrayList<>();
      for (double[] point : points) {
        double[] last = apart.isEmpty() ? null : apart.get(apart.size() - 1);
        if (last == null || Math.hypot(point[0] - last[0], point[1] - last[1]) > 1e-6) {
          apart.add(point);
        }
      }
      if (apart.size() > 1) {
        lines.add(
            new Line(
                text("id"),
                apart.stream().mapToDouble(p -> p[0]).toArray(),
                apart.stream().mapToDouble(p -> p[1]).toArray(),
                closed));
      }
    }

    private static double finite(double value) {
      if (!Double.isFinite(value) || Math.abs(value) > 1e7) {
        throw new InputException("file", "a coordinate of " + value, "coordinates within 10 km");
      }
      return value;
    }
  }
}
