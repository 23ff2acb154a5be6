package org.myrialith.firmware;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.gadget.plan.GadgetPlan;

/**
 * Few gadgets of many in which every two traits still meet that meet in any: class and clock of the
 * controller, kind, sort and depth of each circuit, packing, effects, cues. Faults that want three
 * traits at once are left to a run of all: {@code -Dall}, or {@code ./myrialith test --all}.
 */
final class EveryPair {
  private static final boolean ALL = System.getProperty("all") != null;

  private EveryPair() {}

  /**
   * Returns the gadgets that are to be tried, in their order; with {@code -Dscenario=grey} all
   * those with that in their names.
   */
  static List<Named<GadgetPlan>> of(Stream<Named<GadgetPlan>> gadgets) {
    String named = System.getProperty("scenario", "");
    List<Named<GadgetPlan>> all = gadgets.filter(one -> one.getName().contains(named)).toList();
    if (ALL || !named.isEmpty()) {
      return all;
    }
    List<Set<String>> pairs = all.stream().map(one -> pairs(traits(one.getPayload()))).toList();
    Set<String> open = new HashSet<>();
    pairs.forEach(open::addAll);
    Set<Integer> chosen = new LinkedHashSet<>();
    while (!open.isEmpty()) {
      int next =
          Stream.iterate(0, i -> i < all.size(), i -> i + 1)
              .max(
                  Comparator.comparingLong(
                      i -> pairs.get(i).stream().filter(open::contains).count()))
              .orElseThrow();
      chosen.add(next);
      open.removeAll(pairs.get(next));
    }
    return chosen.stream().sorted().map(all::get).toList();
  }

  private static Set<String> pairs(List<String> traits) {
    Set<String> pairs = new HashSet<>();
    for (String one : traits) {
      for (String other : traits) {
        if (one.compareTo(other) <= 0) {
          pairs.add(one + " & " + other);
        }
      }
    }
    return pairs;
  }

  /** Returns what a gadget is like, a word each. */
  static List<String> traits(GadgetPlan plan) {
    Set<String> traits = new LinkedHashSet<>();
    traits.add(plan.gadget().brief().controller().key());
    traits.add(plan.gadget().brief().controller().clockHz() / 1_000_000 + " MHz");
    plan.wiring().plans().stream()
        .map(CircuitPlan::circuit)
        .forEach(circuit -> traits.addAll(sorts(circuit)));
    plan.wiring().plans().forEach(line -> traits.add(line.levelBits() + " bits"));
    plan.firmware()
        .ifPresent(
            firmware -> {
              firmware.packed().packings().forEach(way -> traits.add("packed " + way));
              if (!firmware.work().programs().isEmpty()) {
                traits.add("effects");
              }
              if (firmware.work().cues().isPresent()) {
                traits.add("cues");
              }
            });
    return List.copyOf(traits);
  }

  /** What is chosen of few, at a circuit and what belongs to it. */
  private static List<String> sorts(Object part) {
    List<String> sorts = new ArrayList<>();
    String name = part.getClass().getSimpleName();
    if (part instanceof Circuit) {
      sorts.add(name);
    }
    for (RecordComponent field : part.getClass().getRecordComponents()) {
      try {
        field.getAccessor().setAccessible(true);
        Object value = field.getAccessor().invoke(part);
        if (value instanceof Enum || value instanceof Boolean) {
          sorts.add((name + "." + field.getName() + " " + value).toLowerCase(Locale.ROOT));
        } else if (value instanceof Record) {
          sorts.addAll(sorts(value));
        }
      } catch (ReflectiveOperationException e) {
        throw new AssertionError(e);
      }
    }
    return sorts;
  }
}
