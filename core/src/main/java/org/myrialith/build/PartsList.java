package org.myrialith.build;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PriceList;

/**
 * The parts that a circuit takes beside controller and lights, counted from its plan.
 *
 * @param counts of each sort
 */
public record PartsList(Map<PartSort, Integer> counts) {
  public PartsList {
    // in the order of the sorts, so that sums come out the same each time
    Map<PartSort, Integer> ordered = new EnumMap<>(PartSort.class);
    ordered.putAll(counts);
    counts = Collections.unmodifiableMap(ordered);
  }

  /** Counts the parts of a circuit. */
  public static PartsList of(CircuitPlan plan) {
    Map<PartSort, Integer> counts = new EnumMap<>(PartSort.class);
    counts.putAll(plan.parts());
    plan.circuit()
        .shift()
        .parts(plan.circuit().pins().size())
        .forEach((part, count) -> counts.merge(part, count, Integer::sum));
    counts.values().removeIf(count -> count == 0);
    return new PartsList(counts);
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
