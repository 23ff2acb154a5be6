package org.myrialith.build;

import java.util.EnumMap;
import java.util.Map;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.DisplayPlan;
import org.myrialith.drive.ExpanderPlan;
import org.myrialith.drive.LevelShift;
import org.myrialith.drive.RegisterClass;
import org.myrialith.drive.RegisterPlan;
import org.myrialith.drive.ScannedPlan;
import org.myrialith.drive.ScannedRegisters;
import org.myrialith.drive.Shifted;
import org.myrialith.drive.SwitchedPlan;
import org.myrialith.drive.Through;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PriceList;

/**
 * The parts that a circuit takes beside controller and lights, counted from its plan.
 *
 * @param counts of each sort
 */
public record BillOfParts(Map<PartSort, Integer> counts) {
  public BillOfParts {
    counts = Map.copyOf(counts);
  }

  /** Counts the parts of a circuit. */
  public static BillOfParts of(CircuitPlan plan) {
    Map<PartSort, Integer> counts = new EnumMap<>(PartSort.class);
    if (plan instanceof SwitchedPlan switched) {
      count(switched, counts);
    } else {
      counts.put(PartSort.RESISTOR, plan.circuit().pins().size());
    }
    shifting(plan, counts);
    counts.values().removeIf(count -> count == 0);
    return new BillOfParts(counts);
  }

  private static void count(SwitchedPlan plan, Map<PartSort, Integer> counts) {
    int chips = plan.chips();
    if (plan instanceof ScannedPlan scanned
        && scanned.circuit() instanceof ScannedRegisters registers) {
      counts.merge(register(registers.sort()), registers.columnChips(), Integer::sum);
      counts.merge(PartSort.REGISTER, registers.rowChips(), Integer::sum);
      counts.put(PartSort.CAPACITOR, chips);
    } else if (chips > 0) {
      counts.put(chip(plan), chips);
      counts.put(PartSort.CAPACITOR, chips);
    }
    int resistors = plan.resistorCount() + chipResistors(plan);
    if (plan instanceof ScannedPlan scanned) {
      resistors += rows(scanned, counts);
    }
    Through through = plan.hookup().through();
    int channels = plan.map().channels().size();
    switch (through) {
      case NONE -> {}
      case BIPOLAR -> {
        counts.put(PartSort.TRANSISTOR, channels);
        resistors += channels;
      }
      case DARLINGTON -> {
        int each = through.in().switches();
        counts.put(PartSort.DARLINGTON_ARRAY, (channels + each - 1) / each);
      }
      default -> {
        counts.put(PartSort.MOSFET, channels);
        resistors += channels;
      }
    }
    counts.put(PartSort.RESISTOR, resistors);
  }

  /** What stands in its lines: a buffer has four, a MOSFET one with a resistor on either side. */
  private static void shifting(CircuitPlan plan, Map<PartSort, Integer> counts) {
    int lines = plan.circuit().pins().size();
    switch (shift(plan)) {
      case NONE -> {}
      case HCT -> {
        int buffers = (lines + BUFFER_LINES - 1) / BUFFER_LINES;
        counts.merge(PartSort.BUFFER, buffers, Integer::sum);
        counts.merge(PartSort.CAPACITOR, buffers, Integer::sum);
      }
      case MOSFET -> {
        counts.merge(PartSort.MOSFET, lines, Integer::sum);
        counts.merge(PartSort.RESISTOR, 2 * lines, Integer::sum);
      }
    }
  }

  private static LevelShift shift(CircuitPlan plan) {
    return plan.circuit() instanceof Shifted shifted ? shifted.shift() : LevelShift.NONE;
  }

  private static final int BUFFER_LINES = 4;

  /** What rows are switched by, and the resistors before that. */
  private static int rows(ScannedPlan plan, Map<PartSort, Integer> counts) {
    int rows = plan.map().chips();
    return switch (plan.circuit().rowSwitch()) {
      case NONE, PIN -> 0;
      case TRANSISTOR -> {
        counts.put(PartSort.TRANSISTOR, rows);
        yield rows;
      }
      case MOSFET -> {
        counts.put(PartSort.MOSFET, rows);
        yield rows;
      }
    };
  }

  /** Setting resistors, pull-ups, and those in series with clock and latch. */
  private static int chipResistors(SwitchedPlan plan) {
    if (plan instanceof RegisterPlan registers) {
      return 2 + (registers.circuit().sort().stage().keeps() ? plan.map().chips() : 0);
    }
    if (plan instanceof ScannedPlan scanned) {
      return scanned.circuit() instanceof ScannedRegisters registers ? chain(registers) : 0;
    }
    if (plan instanceof DisplayPlan display) {
      return display.circuit().sort().chained() ? plan.map().chips() : 2;
    }
    return plan instanceof ExpanderPlan ? 2 : 0;
  }

  /** In series with clock and latch, the one that keeps all dark at first, and setting ones. */
  private static int chain(ScannedRegisters registers) {
    return 2
        + (registers.rowSwitch().turns() ? 1 : 0)
        + (registers.sort().stage().keeps() ? registers.columnChips() : 0);
  }

  private static PartSort register(RegisterClass sort) {
    return switch (sort) {
      case HC, HCT -> PartSort.REGISTER;
      case POWER -> PartSort.POWER_REGISTER;
      case SINK -> PartSort.SINK;
      case GREY_12, GREY_16 -> PartSort.GREY_SINK;
      case GREY_24 -> PartSort.GREY_SINK_24;
    };
  }

  private static PartSort chip(SwitchedPlan plan) {
    if (plan instanceof RegisterPlan registers) {
      return register(registers.circuit().sort());
    }
    if (plan instanceof ExpanderPlan expanders) {
      return switch (expanders.circuit().sort()) {
        case QUASI_8 -> PartSort.EXPANDER_8;
        case REGISTER_A, REGISTER_B -> PartSort.EXPANDER_16;
        case PWM_16 -> PartSort.PWM_16;
      };
    }
    return switch (((DisplayPlan) plan).circuit().sort()) {
      case TWO_WIRE -> PartSort.TWO_WIRE_DRIVER;
      case THREE_WIRE -> PartSort.THREE_WIRE_DRIVER;
      case I2C -> PartSort.I2C_DRIVER;
    };
  }

  /** Returns how many of a sort there are. */
  public int count(PartSort part) {
    return counts.getOrDefault(part, 0);
  }

  /** Returns the switches: transistors and MOSFETs, arrays by what they switch. */
  public int switches() {
    return count(PartSort.TRANSISTOR) + count(PartSort.MOSFET) + count(PartSort.DARLINGTON_ARRAY);
  }

  /** Returns the leads that are soldered. */
  public int leads() {
    return counts.entrySet().stream().mapToInt(e -> e.getKey().leads() * e.getValue()).sum();
  }

  /** Returns what they cost; no number when one of them has no price. */
  public double cost(PriceList prices) {
    if (!counts.keySet().stream().allMatch(prices::has)) {
      return Double.NaN;
    }
    return counts.entrySet().stream().mapToDouble(e -> prices.cost(e.getKey(), e.getValue())).sum();
  }
}
