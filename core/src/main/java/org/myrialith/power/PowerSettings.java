package org.myrialith.power;

import java.util.Objects;
import org.myrialith.finding.Bounds;

/**
 * How the current is planned.
 *
 * @param marginPercent share of the supply's rating that is kept back
 * @param controllerMilliamps what the controller itself draws (mA)
 */
public record PowerSettings(int marginPercent, School school, double controllerMilliamps) {
  /** Allowed margin. */
  public static final Bounds MARGIN = Bounds.count(0, 80, "%");

  /** Allowed current of the controller. */
  public static final Bounds CONTROLLER = Bounds.measure(0, 2000, "mA");

  /** 20 % margin, worst case, 20 mA for an 8-bit controller at 16 MHz and 5 V (common practice). */
  public static final PowerSettings USUAL = new PowerSettings(20, School.WORST_CASE, 20);

  public PowerSettings {
    MARGIN.require("marginPercent", marginPercent);
    Objects.requireNonNull(school, "school");
    CONTROLLER.require("controllerMilliamps", controllerMilliamps);
  }
}
