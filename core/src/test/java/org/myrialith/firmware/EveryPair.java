package org.myrialith.firmware;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.gadget.plan.GadgetPlan;

/**
 * Few gadgets of many in which every two traits still meet that meet in any: class and clock of the
 * controller, drive method with its chips, side of the LEDs, depth, packing, effects, cues; and
 * every other choice of a circuit still comes once. Faults that want three traits at once are left
 * to a run of all: {@code -Dall}, or {@code ./myrialith test --all}.
 */
final class EveryPair {
  private static final boolean ALL = System.getProperty("all") != null;

  private EveryPair() {}

  /**
   * Returns the gadgets that are to be tried, in their order; with {@code -Dscenario=grey} all
   * those with that in their names.
   */
  static List<Named<GadgetPlan>> of(Stream<Named<GadgetPlan>> gadgets) {
    return chosen(gadgets, EveryPair::wanted);
  }

  /**
   * Returns fewer, in which each trait and each choice comes once: for what rests on the same code
   * as what is tried in pairs, such as sketches and bring-ups.
   */
  static List<Named<GadgetPlan>> once(Stream<Named<GadgetPlan>> gadgets) {
    return chosen(
        gadgets,
        plan -> {
          Set<String> wanted = new HashSet<>(choices(plan));
          wanted.addAll(traits(plan));
          return wanted;
        });
  }

  private static List<Named<GadgetPlan>> chosen(
      Stream<Named<GadgetPlan>> gadgets, Function<GadgetPlan, Set<String>> triedFor) {
    String named = System.getProperty("scenario", "");
    List<Named<GadgetPlan>> all = gadgets.filter(one -> one.getName().contains(named)).toList();
    if (ALL || !named.isEmpty()) {
      return all;
    }
    List<Set<String>> wanted = all.stream().map(Named::getPayload).map(triedFor).toList();
    Set<String> open = new HashSet<>();
    wanted.forEach(open::addAll);
    Set<Integer> chosen = new LinkedHashSet<>();
    while (!open.isEmpty()) {
      int next =
          Stream.iterate(0, i -> i < all.size(), i -> i + 1)
              .max(
                  Comparator.comparingLong(
                      i -> wanted.get(i).stream().filter(open::contains).count()))
              .orElseThrow();
      chosen.add(next);
      open.removeAll(wanted.get(next));
    }
    return chosen.stream().sorted().map(all::get).toList();
  }

  /** What a gadget is tried for: each pair of its traits, and each of its lesser choices. */
  private static Set<String> wanted(GadgetPlan plan) {
    List<String> traits = traits(plan);
    Set<String> wanted = new HashSet<>(choices(plan));
    for (String one : traits) {
      for (String other : traits) {
        if (one.compareTo(other) <= 0) {
          wanted.add(one + " & " + other);
        }
      }
    }
    return wanted;
  }

  /** Returns what a gadget is like, a word each. */
  static List<String> traits(GadgetPlan plan) {
    Set<String> traits = new LinkedHashSet<>();
    traits.add(plan.gadget().brief().controller().key());
    traits.add(plan.gadget().brief().controller().clockHz() / 1_000_000 + " MHz");
    for (CircuitPlan line : plan.wiring().plans()) {
      traits.add(method(line.circuit()));
      traits.add(line.levelBits() + " bits");
      if (line.circuit() instanceof SwitchedCircuit outputs) {
        traits.add("LEDs " + outputs.hookup().side());
      }
    }
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

  /** Its kind, with the class of its chips or what else tells two of a kind apart. */
  private static String method(Circuit circuit) {
    List<String> own = values((Record) circuit, false);
    return circuit.getClass().getSimpleName()
        + own.stream().filter(v -> v.matches("(sort|dimming|rowSwitch|together) .*")).toList();
  }

  private static Set<String> choices(GadgetPlan plan) {
    Set<String> all = new HashSet<>();
    for (CircuitPlan line : plan.wiring().plans()) {
      String kind = line.circuit().getClass().getSimpleName();
      values((Record) line.circuit(), true).forEach(value -> all.add(kind + " " + value));
    }
    return all;
  }

  /** What is chosen of few at a circuit, and at what belongs to it. */
  private static List<String> values(Record part, boolean within) {
    List<String> all = new ArrayList<>();
    for (RecordComponent field : part.getClass().getRecordComponents()) {
      try {
        field.getAccessor().setAccessible(true);
        Object value = field.getAccessor().invoke(part);
        if (value instanceof Enum || value instanceof Boolean) {
          all.add(field.getName() + " " + value);
        } else if (within && value instanceof Record inner) {
          all.addAll(values(inner, true));
        }
      } catch (ReflectiveOperationException e) {
        throw new AssertionError(e);
      }
    }
    return all;
  }
}
