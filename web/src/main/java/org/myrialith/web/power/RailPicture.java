package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.finding.Quantity;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Position;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailPlan;
import org.myrialith.web.pages.RoundStep;

/**
 * Volts along a chain, drawn for SVG, and on the layout.
 *
 * @param worst line of everything at its most
 * @param shown line of a moment, empty for none
 * @param leastY height of what a pixel needs
 * @param feeds where wires meet the chain
 * @param shades pixels where they are, by what they get
 * @param dotMm how wide they are drawn
 * @param box view box of the dots
 */
record RailPicture(
    String worst,
    String shown,
    double leastY,
    List<Double> feeds,
    List<Tick> volts,
    List<Tick> pixels,
    String worstText,
    String shownText,
    String leastText,
    List<Shade> shades,
    double dotMm,
    String box) {
  private static final double LEFT = 62;
  private static final double RIGHT = 864;
  private static final double TOP = 14;
  private static final double BOTTOM = 226;
  private static final int MOST_POINTS = 800;
  private static final int MOST_DOTS = 3000;
  private static final int SHADES = 6;

  /** A mark on an axis. */
  record Tick(double at, String text) {}

  /** Pixels of one shade, as a path of dots. */
  record Shade(int shade, String path) {}

  /** Scales of one picture. */
  private record Scale(int pixels, double low, double high) {
    double x(double pixel) {
      return LEFT + pixel / Math.max(1, pixels - 1) * (RIGHT - LEFT);
    }

    double y(double volts) {
      double share = (Math.max(low, Math.min(high, volts)) - low) / (high - low);
      return BOTTOM - share * (BOTTOM - TOP);
    }
  }

  static RailPicture of(RailPlan plan, List<Emitter> line) {
    double least = plan.leastVolts();
    double top = plan.load().volts();
    double lowest = Math.min(least, plan.worst().leastVolts());
    double low = Math.max(0, Math.floor((lowest - 0.15 * (top - lowest)) * 2) / 2);
    Scale scale = new Scale(line.size(), low, Math.max(low + 0.5, top));
    Optional<RailPlan.Course> shown = plan.shown();
    return new RailPicture(
        path(plan.worst(), scale),
        shown.map(course -> path(course, scale)).orElse(""),
        scale.y(least),
        plan.settings().feeds().stream().map(Feed::at).map(at -> scale.x(at)).toList(),
        volts(scale),
        pixels(scale),
        told(plan.worst()),
        shown.map(RailPicture::told).orElse(""),
        Quantity.text(least, "V"),
        shades(plan, line),
        2 * radius(line),
        box(line));
  }

  private static String told(RailPlan.Course course) {
    return course.leastVolts() <= 0
        ? "collapses"
        : phrase(
            "%s at pixel %d, %s in all",
            Quantity.text(course.leastVolts(), "V"),
            course.weakest(),
            Quantity.text(course.chainAmps(), "A"));
  }

  /** Of many pixels, the one that gets least in each stretch. */
  private static String path(RailPlan.Course course, Scale scale) {
    int pixels = course.drops().length;
    int stretch = (pixels + MOST_POINTS - 1) / MOST_POINTS;
    StringBuilder path = new StringBuilder();
    for (int from = 0; from < pixels; from += stretch) {
      int at = from;
      for (int i = from; i < Math.min(pixels, from + stretch); i++) {
        at = course.volts(i) < course.volts(at) ? i : at;
      }
      path.append(
          phrase(
              "%s%.1f %.1f", path.isEmpty() ? "M" : "L", scale.x(at), scale.y(course.volts(at))));
    }
    return path.toString();
  }

  private static List<Tick> volts(Scale scale) {
    double step = RoundStep.atLeast((scale.high() - scale.low()) / 5);
    List<Tick> ticks = new ArrayList<>();
    for (double at = Math.ceil(scale.low() / step) * step; at <= scale.high() + 1e-9; at += step) {
      ticks.add(new Tick(scale.y(at), Quantity.text(at, "V")));
    }
    return ticks;
  }

  private static List<Tick> pixels(Scale scale) {
    int step = Math.max(1, (int) RoundStep.atLeast((scale.pixels() - 1) / 8.0));
    List<Tick> ticks = new ArrayList<>();
    for (int at = 0; at < scale.pixels(); at += step) {
      ticks.add(new Tick(scale.x(at), Integer.toString(at)));
    }
    return ticks;
  }

  private static List<Shade> shades(RailPlan plan, List<Emitter> line) {
    StringBuilder[] paths = new StringBuilder[SHADES];
    Arrays.setAll(paths, shade -> new StringBuilder());
    double top = plan.load().volts();
    int every = (line.size() + MOST_DOTS - 1) / MOST_DOTS;
    for (int i = 0; i < line.size(); i += every) {
      Position at = line.get(i).position();
      double share = (plan.worst().volts(i) - plan.leastVolts()) / (top - plan.leastVolts());
      int shade = share < 0 ? 0 : 1 + (int) Math.min(SHADES - 2, share * (SHADES - 1));
      paths[shade].append(phrase("M%.1f %.1fh0", at.xMm(), at.yMm()));
    }
    return IntStream.range(0, SHADES)
        .filter(shade -> !paths[shade].isEmpty())
        .mapToObj(shade -> new Shade(shade, paths[shade].toString()))
        .toList();
  }

  private static double radius(List<Emitter> line) {
    double nearest = line.size() < 2 ? 10 : line.get(0).pose().distanceTo(line.get(1).pose());
    return Math.max(0.8, 0.36 * nearest);
  }

  private static String box(List<Emitter> line) {
    var x = line.stream().mapToDouble(e -> e.position().xMm()).summaryStatistics();
    var y = line.stream().mapToDouble(e -> e.position().yMm()).summaryStatistics();
    double edge = 2 * radius(line);
    return phrase(
        "%.1f %.1f %.1f %.1f",
        x.getMin() - edge,
        y.getMin() - edge,
        x.getMax() - x.getMin() + 2 * edge,
        y.getMax() - y.getMin() + 2 * edge);
  }
}
