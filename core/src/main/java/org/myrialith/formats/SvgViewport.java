package org.myrialith.formats;

import java.awt.geom.AffineTransform;
import org.myrialith.finding.InputException;

/**
 * The area of an svg element and how its view box is fitted in (SVG 2, 8.2 and 8.6), in user units
 * of what is around it.
 *
 * @param width 0 when nothing says
 * @param height 0 when nothing says
 */
record SvgViewport(double x, double y, double width, double height) {

  /** Returns what holds inside. */
  SvgDrawing.Frame inside(String viewBox, String aspect, AffineTransform around, boolean visible) {
    AffineTransform way = new AffineTransform(around);
    way.translate(x, y);
    if (viewBox.isEmpty()) {
      return new SvgDrawing.Frame(way, width, height, visible);
    }
    double[] box = box(viewBox);
    fit(way, box, aspect);
    way.translate(-box[0], -box[1]);
    return new SvgDrawing.Frame(way, box[2], box[3], visible);
  }

  private static double[] box(String text) {
    String[] parts = text.split("[\\s,]+");
    double[] box = new double[parts.length];
    for (int i = 0; i < parts.length; i++) {
      box[i] = Double.parseDouble(parts[i]);
    }
    if (box.length != 4 || !(box[2] > 0) || !(box[3] > 0)) {
      throw new InputException("viewBox", text, "four numbers, width and height above 0");
    }
    return box;
  }

  private void fit(AffineTransform way, double[] box, String aspect) {
    double across = width > 0 ? width / box[2] : 0;
    double down = height > 0 ? height / box[3] : 0;
    if (across == 0 || down == 0) { // one that is not given follows the other; none: as drawn
      double both = across + down == 0 ? 1 : across + down;
      way.scale(both, both);
      return;
    }
    if (aspect.startsWith("none")) {
      way.scale(across, down);
      return;
    }
    double both = aspect.endsWith("slice") ? Math.max(across, down) : Math.min(across, down);
    way.translate(
        (width - box[2] * both) * share(aspect, "xMin", "xMax"),
        (height - box[3] * both) * share(aspect, "YMin", "YMax"));
    way.scale(both, both);
  }

  private static double share(String aspect, String least, String most) {
    return aspect.contains(least) ? 0 : aspect.contains(most) ? 1 : 0.5;
  }
}
