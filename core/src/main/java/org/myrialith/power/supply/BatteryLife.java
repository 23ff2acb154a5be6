package org.myrialith.power.supply;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.myrialith.parts.Cell;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DailyUse;

/**
 * How long cells last through days of a gadget.
 *
 * <p>Each hour takes its current of what the cells hold at that current; what they lose by
 * themselves comes on top. On the way down what converts draws more, what nothing regulates less.
 * They count as empty when what hangs on them gets too little.
 */
public record BatteryLife(TreePlan plan) {
  /** Of what is in the cells of a bank this comes out at 5 V (common practice). */
  private static final double BANK_SHARE = 0.85;

  private static final double DAYS_A_YEAR = 365;

  /** Steps of the way down: curves of cells have some six corners. */
  private static final int STEPS = 40;

  /** Halvings that find the end: to a millionth of what they hold. */
  private static final int HALVINGS = 20;

  /** The last fifth of a charge goes slowly (common practice). */
  private static final double CHARGE_LOSS = 1.2;

  private Supply supply() {
    return plan.supply();
  }

  private Cell cell() {
    return supply().kind().cell();
  }

  private DailyUse day() {
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

  /**
   * Returns the volts of all cells below which something gets too little without load (V): what is
   * lost on the way comes on top.
   */
  public double leastVolts() {
    double least = supply().cells() * cell().emptyVolts();
    SupplyTree tree = plan.tree();
    for (Converter converter : tree.converters()) {
      if (regulates(converter) && tree.straight(converter.from())) {
        least = Math.max(least, converter.volts() + converter.dropVolts());
      }
    }
    return tree.straight(tree.controller()) ? Math.max(least, controllerVolts()) : least;
  }

  private double controllerVolts() {
    return plan.brief().controller().leastVolts(plan.brief().controllerVolts());
  }

  private static boolean regulates(Converter converter) {
    return converter.sort() == ConverterSort.LINEAR || converter.sort() == ConverterSort.BUCK;
  }

  /** What comes to an end first as cells run down. */
  public enum End {
    NONE(""),
    CARRIES("they can't supply the current any more"),
    EMPTY("they are empty under load"),
    CONVERTER("a converter's input voltage is too low"),
    CONTROLLER("the controller's supply is too low"),
    HALF("the lights are at half brightness");

    private final String says;

    End(String says) {
      this.says = says;
    }

    /** Returns it in words. */
    public String says() {
      return says;
    }
  }

  /** What has ended in the heaviest moment when a share of the cells is used. */
  private End end(double used, double fullLight) {
    double open = openVolts(used);
    TreeState state = plan.surgeSagging(open);
    TreeState.Node node = state.node(SupplyTree.SUPPLY);
    if (node.volts() <= 0) {
      return End.CARRIES;
    }
    if (supply().kind() == SupplyKind.BANK) {
      return End.NONE;
    }
    if (open - supply().ohms() * node.amps() < supply().cells() * cell().emptyVolts()) {
      return End.EMPTY;
    }
    for (Converter converter : plan.tree().converters()) {
      boolean cells = plan.tree().way(converter.name()).contains(SupplyTree.SUPPLY);
      double needs = converter.volts() + converter.dropVolts() - 1e-9;
      if (cells && regulates(converter) && state.node(converter.name()).inVolts() < needs) {
        return End.CONVERTER;
      }
    }
    boolean fed = plan.tree().way(plan.tree().controller()).contains(SupplyTree.SUPPLY);
    if (fed && state.node(plan.tree().controller()).volts() < controllerVolts() - 1e-9) {
      return End.CONTROLLER;
    }
    return plan.lightAt(plan.showAt(open, 1)) < fullLight / 2 ? End.HALF : End.NONE;
  }

  private double fullLight() {
    return plan.lightAt(plan.showAt(openVolts(0), 1));
  }

  /**
   * Returns the share of the cells that can be used (0 to 1): until what hangs on them gets too
   * little in the heaviest moment, with the current that flows then through what they have inside,
   * cable and contacts.
   */
  public double usable() {
    double light = fullLight();
    if (end(0, light) != End.NONE) {
      return 0; // it can't carry what hangs on it
    }
    if (end(1, light) == End.NONE) {
      return 1;
    }
    double does = 0;
    double fails = 1;
    for (int halving = 0; halving < HALVINGS; halving++) {
      double middle = (does + fails) / 2;
      if (end(middle, light) == End.NONE) {
        does = middle;
      } else {
        fails = middle;
      }
    }
    return does;
  }

  /** Returns what ends their life. */
  public End end() {
    double beyond = Math.min(1, usable() + 1e-6);
    End end = end(beyond, fullLight());
    return end == End.NONE ? End.EMPTY : end;
  }

  private static double amps(TreeState state) {
    return state.node(SupplyTree.SUPPLY).amps();
  }

  private double share(double hours, double amps) {
    return hours == 0 ? 0 : hours * amps * 1e3 / holds(amps);
  }

  /** The volts inside when a share is used: a bank keeps its own. */
  private double openVolts(double used) {
    return supply().kind() == SupplyKind.BANK
        ? supply().volts()
        : supply().cells() * cell().voltsAt(used);
  }

  /**
   * What a day takes of the cells while they have so many volts inside: of the show, awake, asleep,
   * by themselves.
   */
  private double[] aDay(double openVolts, double lights, boolean off) {
    return new double[] {
      share(day().showHours(), amps(plan.showAt(openVolts, lights))),
      share(day().awakeHours(), amps(plan.darkAt(openVolts))),
      share(day().sleepHours(), amps(plan.asleepAt(openVolts, off))),
      cell().selfPercentAYear() / 100 / DAYS_A_YEAR
    };
  }

  /**
   * Where cells are on their way down.
   *
   * @param hours of the show until there
   * @param volts where their cable ends, in the show
   * @param light of what lights give at the volts that they are planned for
   */
  public record Point(double hours, double volts, double light) {}

  private boolean off() {
    return plan.tree().switchedOff(plan.tree().lights());
  }

  /** Returns the days until they are empty. */
  public double days() {
    return days(1, off());
  }

  private double days(double lights, boolean off) {
    double used = usable();
    double days = 0;
    for (int step = 0; step < STEPS && used > 0; step++) {
      double volts = openVolts(used * (step + 0.5) / STEPS);
      days += used / STEPS / sum(aDay(volts, lights, off));
    }
    return days;
  }

  private static double sum(double[] all) {
    return Arrays.stream(all).sum();
  }

  /** Returns how volts and light go down, from full to what is the last that does. */
  public List<Point> fades() {
    List<Point> points = new ArrayList<>();
    double used = usable();
    double days = 0;
    for (int step = 0; step <= STEPS && used > 0; step++) {
      TreeState state = plan.showAt(openVolts(used * step / STEPS), 1);
      points.add(
          new Point(hours(days), state.node(SupplyTree.SUPPLY).volts(), plan.lightAt(state)));
      days += used / STEPS / sum(aDay(openVolts(used * (step + 0.5) / STEPS), 1, off()));
    }
    return List.copyOf(points);
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
    return hours(days(share, off()));
  }

  /** Returns the same with lights off while the controller sleeps. */
  double showHoursSwitched() {
    return hours(days(1, true));
  }

  /**
   * Returns what cells of the class must hold for so many hours of the show (mAh); empty where no
   * capacity does, as they lose more by themselves.
   */
  public OptionalDouble neededMilliampHours(double hours) {
    double used = usable();
    double[] drawn = new double[STEPS];
    for (int step = 0; step < STEPS; step++) {
      double[] day = aDay(openVolts(used * (step + 0.5) / STEPS), 1, off());
      drawn[step] = (day[0] + day[1] + day[2]) * supply().capacity();
    }
    double low = 1;
    double high = Supply.CAPACITY.max();
    if (used <= 0 || hoursHolding(high, used, drawn) < hours) {
      return OptionalDouble.empty();
    }
    while (high - low > 0.5) {
      double middle = (low + high) / 2;
      if (hoursHolding(middle, used, drawn) >= hours) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return OptionalDouble.of(Math.ceil(high));
  }

  /** What is drawn of a capacity goes with its inverse, what they lose by themselves does not. */
  private double hoursHolding(double milliampHours, double used, double[] drawn) {
    double self = cell().selfPercentAYear() / 100 / DAYS_A_YEAR;
    double days = 0;
    for (double one : drawn) {
      days += used / STEPS / (one / milliampHours + self);
    }
    return hours(days);
  }

  /**
   * Returns the hours of the show of a day, those of the show, awake, asleep, by what they take
   * (%).
   */
  public double[] shares() {
    double used = usable();
    double[] all = new double[4];
    double days = 0;
    for (int step = 0; step < STEPS && used > 0; step++) {
      double[] here = aDay(openVolts(used * (step + 0.5) / STEPS), 1, off());
      double lasts = used / STEPS / sum(here);
      for (int part = 0; part < all.length; part++) {
        all[part] += here[part] * lasts;
      }
    }
    double sum = Math.max(1e-12, sum(all));
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
