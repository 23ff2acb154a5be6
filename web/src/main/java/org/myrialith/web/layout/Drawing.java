package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;

/**
 * A gadget drawn to scale for SVG: one unit is one millimetre.
 *
 * @param viewBox as the attribute has it
 * @param unit a length (mm) that looks the same at every size of gadget: a sixtieth of the
 *     drawing's width
 * @param links dashed leads from the end of one fixture to the start of the next in the data line
 */
public record Drawing(
    String viewBox, double unit, List<Piece> pieces, List<String> links, Ruler ruler) {
  private static final int MOST_ARROWS = 16;

  /**
   * One fixture.
   *
   * @param path of the data through all its emitters
   * @param dots one stroke of no length for each emitter
   * @param dotMm diameter to draw them
   * @param arrows small chevrons along the way
   * @param first where the data enters, {@code x y}
   */
  public record Piece(
      String id,
      String name,
      String what,
      String path,
      String dots,
      double dotMm,
      List<String> arrows,
      double firstX,
      double firstY,
      double labelX,
      double labelY,
      double left,
      double top,
      double width,
      double height) {}

  /** A bar of a round length to read sizes by. */
  public record Ruler(double x, double y, int lengthMm) {}

  /** Draws the layout. */
  public static Drawing of(LayoutPlan plan) {
    LayoutPlan.Box box = plan.box();
    double pitch = plan.fixtures().stream().mapToDouble(Fixture::pitchMm).max().orElse(0);
    // room for half a pitch and a name above the topmost fixture
    double edge = 0.1 * Math.max(100, Math.max(box.widthMm(), box.heightMm())) + pitch / 2;
    double width = Math.max(box.widthMm(), 100) + 2 * edge;
    double height = Math.max(box.heightMm(), 40) + 2.3 * edge;
    // the drawing is shown at about 16 : 9; a taller one is scaled by its height
    double unit = Math.max(width, height * 16 / 9) / 60;
    List<Piece> pieces = new ArrayList<>();
    int from = 0;
    for (Fixture fixture : plan.fixtures()) {
      pieces.add(piece(fixture, plan.emitters().subList(from, from + fixture.count()), unit));
      from += fixture.count();
    }
    double left = box.leftMm() - edge;
    double top = box.topMm() - edge;
    Ruler ruler = new Ruler(left + 2 * unit, top + height - unit, rulerLength(width));
    return new Drawing(numbers(left, top, width, height), unit, pieces, links(plan), ruler);
  }

  private static int rulerLength(double width) {
    for (int length : new int[] {2000, 1000, 500, 200, 100, 50}) {
      if (length < width / 3) {
        return length;
      }
    }
    return 20;
  }

  private static Piece piece(Fixture fixture, List<Emitter> emitters, double unit) {
    StringBuilder path = new StringBuilder();
    StringBuilder dots = new StringBuilder();
    double left = Double.POSITIVE_INFINITY;
    double top = left;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = right;
    for (Emitter emitter : emitters) {
      double x = emitter.place().xMm();
      double y = emitter.place().yMm();
      path.append(path.isEmpty() ? "M" : "L").append(numbers(x, y));
      dots.append('M').append(numbers(x, y)).append("h0");
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
    Fixture.Place first = emitters.get(0).place();
    double grow = fixture.pitchMm() / 2;
    return new Piece(
        fixture.id(),
        fixture.name(),
        fixture.describe(),
        path.toString(),
        dots.toString(),
        0.56 * fixture.pitchMm(),
        arrows(emitters, fixture.pitchMm(), unit),
        first.xMm(),
        first.yMm(),
        left - grow,
        top - grow - 0.7 * unit,
        left - grow,
        top - grow,
        right - left + 2 * grow,
        bottom - top + 2 * grow);
  }

  private static List<String> arrows(List<Emitter> emitters, double pitch, double unit) {
    List<String> arrows = new ArrayList<>();
    // odd, so that arrows of an even matrix do not all stand in one column
    int stride = Math.max(1, emitters.size() / MOST_ARROWS) | 1;
    double size = Math.min(0.17 * pitch, 0.5 * unit);
    for (int i = stride / 2; i + 1 < emitters.size(); i += stride) {
      Fixture.Place a = emitters.get(i).place();
      Fixture.Place b = emitters.get(i + 1).place();
      double length = Math.max(1e-9, Math.hypot(b.xMm() - a.xMm(), b.yMm() - a.yMm()));
      double dx = (b.xMm() - a.xMm()) / length * size;
      double dy = (b.yMm() - a.yMm()) / length * size;
      double x = (a.xMm() + b.xMm()) / 2;
      double y = (a.yMm() + b.yMm()) / 2;
      arrows.add(
          "M"
              + numbers(x - dx - dy, y - dy + dx)
              + "L"
              + numbers(x + dx, y + dy)
              + "L"
              + numbers(x - dx + dy, y - dy - dx));
    }
    return arrows;
  }

  private static List<String> links(LayoutPlan plan) {
    List<String> links = new ArrayList<>();
    for (int i = 1; i < plan.chained().size(); i++) {
      Emitter from = plan.chained().get(i - 1);
      Emitter to = plan.chained().get(i);
      if (from.fixture() != to.fixture()) {
        links.add(
            "M"
                + numbers(from.place().xMm(), from.place().yMm())
                + "L"
                + numbers(to.place().xMm(), to.place().yMm()));
      }
    }
    return links;
  }

  private static String numbers(double... values) {
    StringBuilder text = new StringBuilder();
    for (double value : values) {
      text.append(text.isEmpty() ? "" : " ").append(String.format(Locale.ROOT, "%.2f", value));
    }
    return text.toString();
  }
}
