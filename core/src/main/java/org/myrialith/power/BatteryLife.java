package org.myrialith.power;

import org.myrialith.parts.Cell;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;

/**
 * How long cells last through days of a gadget.
 *
 * <p>Each hour takes its current of what the cells hold at that current; what they lose by
 * themselves comes on top. They count as empty when what hangs on them gets too little.
 */
public record BatteryLife(TreePlan plan) {
  /** Of what is in the cells of a bank this comes out at 5 V (common practice). */
  private static final double BANK_SHARE = 0.85;

  private static final double DAYS_A_YEAR = 365;

  /** The last fifth of a charge goes slowly (common practice). */
  private static final double CHARGE_LOSS = 1.2;

  private Supply supply() {
    return plan.supply();
  }

  private Cell cell() {
    return supply().kind().cell();
  }

  private Day day() {
    return plan.settings().day();
  }

  /** Returns what the cells hold at a load (mAh), those of a bank at its 5 V. */
  public double holds(double amps) {
    double own = supply().milliampHours();
    double scale = own > 0 ? own / cell().byLoad()[0][1] : 1;
    double bank =
        supply().kind() == SupplyKind.BANK ? BANK_SHARE * cell().volts() / supply().volts() : 1;
    return scale * bank * cell().milliampHours(Math.max(1e-6, amps));
  }

  /** Returns the volts of all cells below which something gets too little (V). */
  public double leastVolts() {
    double least = supply().cells() * cell().emptyVolts();
    SupplyTree tree = plan.tree();
    for (Converter converter : tree.converters()) {
      boolean steps =
          converter.sort() == ConverterSort.LINEAR || converter.sort() == ConverterSort.BUCK;
      if (steps && tree.straight(converter.from())) {
        least = Math.max(least, converter.volts() + converter.dropVolts());
      }
    }
    return tree.straight(tree.controller())
        ? Math.max(least, plan.brief().controller().leastVolts())
        : least;
  }

  /** Returns the share of the cells that can be used (0 to 1). */
  public double usable() {
    if (plan.mean().node(SupplyTree.SUPPLY).volts() <= 0) {
      return 0; // it can't carry what hangs on it
    }
    if (supply().kind() == SupplyKind.BANK) {
      return 1;
    }
    double sag = supply().ohms() * plan.peak().node(SupplyTree.SUPPLY).amps();
    return cell().usedAt((leastVolts() + sag) / supply().cells());
  }

  private static double amps(TreeState state) {
    return state.node(SupplyTree.SUPPLY).amps();
  }

  /** Cells that give watts give more amperes while they fall: as at the mean of their volts. */
  private double amps(TreeState state, double used) {
    double nominal = supply().volts();
    double mean =
        supply().kind() == SupplyKind.BANK ? nominal : supply().cells() * cell().meanVolts(used);
    boolean watts =
        plan.tree().converters().stream()
            .anyMatch(c -> c.sort().converts() && plan.tree().straight(c.from()));
    return watts && mean > 0
        ? amps(state) * state.node(SupplyTree.SUPPLY).volts() / mean
        : amps(state);
  }

  private double share(double hours, double amps) {
    return hours == 0 ? 0 : hours * amps * 1e3 / holds(amps);
  }

  /** Returns the days until they are empty. */
  public double days() {
    return days(plan.mean(), plan.asleep());
  }

  double days(TreeState show, TreeState asleep) {
    double used = usable();
    double aDay =
        share(day().showHours(), amps(show, used))
            + share(day().darkHours(), amps(plan.dark(), used))
            + share(day().sleepHours(), amps(asleep, used))
            + cell().selfPercentAYear() / 100 / DAYS_A_YEAR;
    return used / aDay;
  }

  /** Returns the hours of the show until they are empty. */
  public double showHours() {
    return hours(days());
  }

  private double hours(double days) {
    return days * (day().showHours() > 0 ? day().showHours() : 24);
  }

  /** Returns the same with lights at a share of what they draw. */
  double showHoursAt(double share) {
    return hours(days(plan.mean(share), plan.asleep()));
  }

  /** Returns the same with lights off while the controller sleeps. */
  double showHoursSwitched() {
    return hours(days(plan.mean(), plan.asleep(true)));
  }

  /** Returns what cells must hold for so many hours of the show (mAh), at the load of the show. */
  public double neededMilliampHours(double hours) {
    return holds(amps(plan.mean(), usable())) * hours / showHours();
  }

  /**
   * Returns the hours of the show of a day, those of the show, awake, asleep, by what they take
   * (%).
   */
  public double[] shares() {
    double used = usable();
    double[] all = {
      share(day().showHours(), amps(plan.mean(), used)),
      share(day().darkHours(), amps(plan.dark(), used)),
      share(day().sleepHours(), amps(plan.asleep(), used)),
      cell().selfPercentAYear() / 100 / DAYS_A_YEAR
    };
    double sum = all[0] + all[1] + all[2] + all[3];
    for (int i = 0; i < all.length; i++) {
      all[i] *= 100 / sum;
    }
    return all;
  }

  /** Returns the hours that a charge board takes to fill them; 0 where there is none. */
  public double chargeHours() {
    return plan.tree().converters().stream()
        .filter(c -> c.sort() == ConverterSort.CHARGER)
        .mapToDouble(c -> CHARGE_LOSS * holds(0) / (c.amps() * 1e3))
        .findFirst()
        .orElse(0);
  }
}
