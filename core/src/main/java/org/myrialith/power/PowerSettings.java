package org.myrialith.power;

import java.util.Objects;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.describe.Types;
import org.myrialith.finding.Bounds;

/**
 * How the current is planned.
 *
 * @param marginPercent share of the supply's rating that is kept back
 * @param controllerMilliamps what the controller itself draws (mA)
 */
public record PowerSettings(int marginPercent, PlanningBasis basis, double controllerMilliamps) {
  /** Allowed margin. */
  public static final Bounds MARGIN = Bounds.count(0, 80, "%");

  /** Allowed current of the controller. */
  public static final Bounds CONTROLLER = Bounds.measure(0, 2000, "mA");

  /** 20 % margin, worst case, 20 mA for an 8-bit controller at 16 MHz and 5 V (common practice). */
  public static final PowerSettings USUAL = new PowerSettings(20, PlanningBasis.WORST_CASE, 20);

  /** How they stand in the format. */
  public static final Description<PowerSettings> DESCRIPTION =
      Description.of(
          PowerSettings.class,
          Field.count("marginPercent", "Kept back", MARGIN),
          Field.of(
                  "school",
                  "Planned for",
                  Types.Choice.of(PlanningBasis.values(), PlanningBasis::key, PlanningBasis::title))
              .in("basis"),
          Field.measure("controllerMilliamps", "Controller draws", CONTROLLER));

  public PowerSettings {
    MARGIN.require("marginPercent", marginPercent);
    Objects.requireNonNull(basis, "basis");
    CONTROLLER.require("controllerMilliamps", controllerMilliamps);
  }
}
