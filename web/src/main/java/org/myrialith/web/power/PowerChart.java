package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Show;
import org.myrialith.power.PowerPlan;
import org.myrialith.web.pages.RoundStep;

/**
 * The current over the show, drawn for SVG.
 *
 * @param area filled outline of the current, as sent
 * @param over parts of it beyond the budget, one bar each
 * @param lines of the supply
 * @param above what lies off the top, empty when nothing does
 */
record PowerChart(
    int width,
    int height,
    String area,
    List<Bar> over,
    List<Line> lines,
    Mark peak,
    List<Tick> times,
    List<Tick> amps,
    String above) {
  private static final int WIDTH = 880;
  private static final int HEIGHT = 400;
  private static final int LEFT = 62;
  private static final int RIGHT = 16;
  private static final int TOP = 34;
  private static final int BOTTOM = 34;
  private static final double HEAD = 1.12;

  /** A stretch of time beyond the budget. */
  record Bar(double x, double y, double width, double height, Verdict verdict) {}

  /** A level line; its name and figure stand in the key above the chart, where nothing collides. */
  record Line(double y, String name, String figure, String kind) {}

  /** The moment that draws most. */
  record Mark(double x, double y, String name, String figure) {}

  /** A mark on an axis. */
  record Tick(double at, String text) {}

  static PowerChart of(PowerPlan plan) {
    return new Pen(plan).draw();
  }

  /** Scales of one chart. */
  private static final class Pen {
    private final PowerPlan plan;
    private final double length;
    private final double top;

    Pen(PowerPlan plan) {
      this.plan = plan;
      this.length = Math.max(1, listedMillis(plan.show()));
      double highest = Math.max(plan.peakAmps(), plan.supply().map(s -> s.amps()).orElse(0.0));
      this.top = Math.max(0.01, highest * HEAD);
    }

    /** A long show is drawn as far as its moments are listed. */
    private static long listedMillis(Show show) {
      if (show.listed() || show.moments().isEmpty()) {
        return show.lengthMillis();
      }
      Show.Moment last = show.moments().get(show.moments().size() - 1);
      return last.startMillis() + last.holdMillis();
    }

    private double x(double millis) {
      return LEFT + millis / length * (WIDTH - LEFT - RIGHT);
    }

    private double y(double amps) {
      return HEIGHT - BOTTOM - Math.min(amps, top) / top * (HEIGHT - TOP - BOTTOM);
    }

    PowerChart draw() {
      List<Line> lines = new ArrayList<>();
      plan.supply()
          .ifPresent(
              s -> {
                lines.add(line("supply", s.amps(), "rating"));
                lines.add(line("budget", plan.budgetAmps().orElseThrow(), "budget"));
              });
      lines.add(line("mean", plan.meanAmps(), "mean"));
      boolean fits = plan.worstAmps() <= top;
      String white = plan.load().most().toLowerCase(Locale.ROOT);
      if (fits) {
        lines.add(line(white, plan.worstAmps(), "worst"));
      }
      return new PowerChart(
          WIDTH,
          HEIGHT,
          area(),
          over(),
          lines,
          peak(),
          times(),
          amps(),
          fits ? "" : phrase("%s %s, off the chart", white, Quantity.text(plan.worstAmps(), "A")));
    }

    private Line line(String name, double amps, String kind) {
      return new Line(y(amps), name, Quantity.text(amps, "A"), kind);
    }

    private String area() {
      StringBuilder path = new StringBuilder(phrase("M%d %.1f", LEFT, y(0)));
      List<Show.Moment> moments = plan.show().moments();
      for (int i = 0; i < moments.size(); i++) {
        double y = y(plan.sentAmps(i));
        double from = x(moments.get(i).startMillis());
        double to = x(moments.get(i).startMillis() + moments.get(i).holdMillis());
        path.append(phrase("L%.1f %.1fL%.1f %.1f", from, y, to, y));
      }
      return path.append(phrase("L%.1f %.1fZ", x(listedMillis(plan.show())), y(0))).toString();
    }

    private List<Bar> over() {
      List<Bar> bars = new ArrayList<>();
      List<Show.Moment> moments = plan.show().moments();
      for (int i = 0; i < moments.size(); i++) {
        double amps = plan.sentAmps(i);
        Verdict verdict = plan.judge(amps);
        if (verdict == Verdict.TIGHT || verdict == Verdict.BREAKS) {
          double floor = y(plan.budgetAmps().orElseThrow());
          double x = x(moments.get(i).startMillis());
          bars.add(
              new Bar(
                  x,
                  y(amps),
                  Math.max(1, x(moments.get(i).startMillis() + moments.get(i).holdMillis()) - x),
                  floor - y(amps),
                  verdict));
        }
      }
      return bars;
    }

    private Mark peak() {
      int at = (int) plan.peakMoment();
      if (at < 0 || at >= plan.show().moments().size()) {
        return null;
      }
      Show.Moment moment = plan.show().moments().get(at);
      double x = x(moment.startMillis() + moment.holdMillis() / 2.0);
      return new Mark(
          x,
          y(plan.peakAmps()),
          phrase("peak at moment %d", at + 1),
          Quantity.text(plan.peakAmps(), "A"));
    }

    private List<Tick> times() {
      List<Tick> ticks = new ArrayList<>();
      if (plan.show().count() == 0) {
        return ticks; // nothing plays: there is no time to tell
      }
      double step = RoundStep.atLeast(length / 1000 / 6);
      for (double second = 0; second * 1000 <= length; second += step) {
        ticks.add(new Tick(x(second * 1000), Quantity.number(second) + " s"));
      }
      return ticks;
    }

    private List<Tick> amps() {
      double step = RoundStep.atLeast(top / 5);
      List<Tick> ticks = new ArrayList<>();
      for (int i = 0; i * step <= top; i++) {
        // one unit for the whole axis, that of the figures beside it
        String text =
            top < 1 ? Quantity.number(1000 * i * step) + " mA" : Quantity.number(i * step) + " A";
        ticks.add(new Tick(y(i * step), text));
      }
      return ticks;
    }
  }
}
