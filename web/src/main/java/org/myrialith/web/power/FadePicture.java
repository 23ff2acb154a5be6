package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Quantity;
import org.myrialith.power.supply.BatteryLife;
import org.myrialith.web.pages.RoundStep;

/**
 * How cells go down over the hours of a show, drawn for SVG.
 *
 * @param line volts where their cable ends
 * @param light how light it looks beside full cells, empty where it stays as it is
 * @param leastY height of the least volts that are needed
 */
record FadePicture(
    String line,
    String light,
    double leastY,
    List<Tick> volts,
    List<Tick> hours,
    List<Tick> lights,
    String voltsText,
    String lightText,
    String leastText) {
  private static final double LEFT = 62;
  private static final double RIGHT = 834;
  private static final double TOP = 14;
  private static final double BOTTOM = 212;

  /** A mark on an axis. */
  record Tick(double at, String text) {}

  /** Returns the picture; empty where cells can't play it. */
  static Optional<FadePicture> of(BatteryLife life) {
    List<BatteryLife.Point> points = life.fades();
    return points.isEmpty() ? Optional.empty() : Optional.of(new Pen(life, points).draw());
  }

  /** Scales of one picture. */
  private record Pen(BatteryLife life, List<BatteryLife.Point> points) {
    private BatteryLife.Point last() {
      return points.get(points.size() - 1);
    }

    private double low() {
      double lowest = Math.min(last().volts(), life.leastVolts());
      return Math.max(0, Math.floor(lowest * 2 - 0.5) / 2);
    }

    private double high() {
      return Math.max(low() + 0.5, Math.ceil(points.get(0).volts() * 4) / 4);
    }

    private double x(double hours) {
      return LEFT + hours / Math.max(1e-9, last().hours()) * (RIGHT - LEFT);
    }

    private double y(double volts) {
      double share = Math.max(0, Math.min(1, (volts - low()) / (high() - low())));
      return BOTTOM - share * (BOTTOM - TOP);
    }

    private double lightness(BatteryLife.Point point) {
      double full = points.get(0).light();
      return full > 0 ? Lightness.of(Math.min(1, point.light() / full)) : 100;
    }

    private String path(ToDoubleFunction<BatteryLife.Point> y) {
      StringBuilder path = new StringBuilder();
      for (BatteryLife.Point point : points) {
        path.append(path.isEmpty() ? "M" : "L");
        path.append(phrase("%.1f %.1f", x(point.hours()), y.applyAsDouble(point)));
      }
      return path.toString();
    }

    FadePicture draw() {
      boolean fades = lightness(last()) < 99;
      return new FadePicture(
          path(point -> y(point.volts())),
          fades ? path(point -> BOTTOM - lightness(point) / 100 * (BOTTOM - TOP)) : "",
          y(life.leastVolts()),
          volts(),
          hours(),
          fades ? lights() : List.of(),
          phrase(
              "%s to %s",
              Quantity.text(points.get(0).volts(), "V"), Quantity.text(last().volts(), "V")),
          phrase("100 to %s of 100", Quantity.number(Math.round(lightness(last())))),
          Quantity.text(life.leastVolts(), "V"));
    }

    private List<Tick> volts() {
      List<Tick> ticks = new ArrayList<>();
      double step = RoundStep.atLeast((high() - low()) / 5);
      for (int i = (int) Math.ceil(low() / step); i * step <= high() + 1e-9; i++) {
        ticks.add(new Tick(y(i * step), Quantity.number(i * step) + " V"));
      }
      return ticks;
    }

    private List<Tick> hours() {
      List<Tick> ticks = new ArrayList<>();
      double step = RoundStep.atLeast(last().hours() / 7);
      for (int i = 0; i * step <= last().hours(); i++) {
        ticks.add(new Tick(x(i * step), Quantity.number(i * step) + " h"));
      }
      return ticks;
    }

    private static List<Tick> lights() {
      List<Tick> ticks = new ArrayList<>();
      for (int percent = 0; percent <= 100; percent += 25) {
        ticks.add(new Tick(BOTTOM - percent / 100.0 * (BOTTOM - TOP), Integer.toString(percent)));
      }
      return ticks;
    }
  }
}
