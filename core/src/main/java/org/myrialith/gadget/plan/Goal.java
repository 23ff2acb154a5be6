package org.myrialith.gadget.plan;

import java.util.Locale;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;

/** A figure that the maker wants the gadget to reach. */
public enum Goal {
  BATTERY_LIFE("Battery life of the show", "h", Step.POWER, "cell-life"),
  CURRENT("Peak supply current", "A", Step.POWER, "goal-current"),
  FRAME_RATE("Frame rate", "fps", Step.CIRCUITS, "goal-frame-rate");

  private final String title;
  private final String unit;
  private final Step step;
  private final String findingKey;

  Goal(String title, String unit, Step step, String findingKey) {
    this.title = title;
    this.unit = unit;
    this.step = step;
    this.findingKey = findingKey;
  }

  /** Returns its name in addresses. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Returns the key of the finding that judges it. */
  public String findingKey() {
    return findingKey;
  }

  /** Returns what is to be reached, in words. */
  public String title() {
    return title;
  }

  /** Returns the unit of its figure. */
  public String unit() {
    return unit;
  }

  /** Returns the step that works the figure out. */
  public Step step() {
    return step;
  }

  /** Returns what is wanted of a gadget, in its unit; 0 for nothing. */
  public double wanted(Gadget gadget) {
    return switch (this) {
      case BATTERY_LIFE -> gadget.power().day().wantedHours();
      case CURRENT -> gadget.brief().goals().milliamps() * 1e-3;
      case FRAME_RATE -> gadget.brief().goals().framesPerSecond();
    };
  }

  /** Returns whether a figure reaches what is wanted. */
  public boolean reached(double figure, double wanted) {
    double step = 1e-9 * wanted;
    return this == CURRENT ? figure <= wanted + step : figure >= wanted - step;
  }

  /** Returns how much of the way a figure is (1: reached, less: further off). */
  double share(double figure, double wanted) {
    return this == CURRENT ? wanted / Math.max(figure, 1e-12) : figure / wanted;
  }
}
