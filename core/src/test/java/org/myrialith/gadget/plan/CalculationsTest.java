package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.gadget.format.GadgetSamples;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.tool.PocketCalculator;

/**
 * Every number that a page shows follows from its formula with the values that stand beside it: all
 * formulas are read as text and evaluated by a general expression library.
 */
class CalculationsTest {
  private static final int SEEDS = 150;

  /**
   * Numbers that no expression gives: sums over many unequal parts, counts, networks and searches.
   * Each is held by a test of its own.
   */
  private static final Set<String> PROCEDURES =
      new TreeSet<>(
          List.of(
              // electrical networks
              "along-current",
              "rail",
              "rail-current",
              "source-amps",
              "stray",
              // sums over unequal parts, moments or scenes
              "chip-current",
              "chip-frames",
              "chip-heat",
              "crossing",
              "current",
              "grey-peak",
              "hands-draw",
              "mean",
              "path",
              "row-current",
              "scenes-together",
              // counts and packings
              "buy",
              "darkened",
              "day-mean",
              "day-peak",
              "distinct-levels",
              "moments",
              "packed-changes",
              "packed-dictionary",
              "packed-palette",
              "packed-raw",
              "packed-runs",
              "packed-stream",
              "resistors",
              // curves followed step by step
              "camera",
              "cell-fades",
              "cell-life",
              "outer",
              "ripple",
              "setting-resistor"));

  /** What is read has to be a good part of all there is. */
  private static final int LEAST_KINDS = 80;

  private static Stream<Gadget> gadgets() throws ReflectiveOperationException {
    List<Gadget> all = new ArrayList<>();
    for (Method method : DemoGadgets.class.getMethods()) {
      if (method.getReturnType() == Gadget.class && method.getParameterCount() == 0) {
        all.add((Gadget) method.invoke(null));
      }
    }
    LongStream.range(0, SEEDS).mapToObj(GadgetSamples::fromSeed).forEach(all::add);
    return all.stream();
  }

  private static Stream<Calculation> numbers(Gadget gadget) {
    GadgetPlan plan = GadgetPlan.of(gadget);
    return Stream.of(Step.values())
        .flatMap(
            step ->
                Stream.concat(
                    plan.step(step).calculations().stream(),
                    plan.findings(step).stream().map(Finding::calculations).flatMap(List::stream)));
  }

  private static String plain(Calculation number) {
    return number
        .key()
        .replaceAll("-(?=[a-z]*[0-9]).*|-[0-9].*", "")
        .replaceAll("^(source-amps|converter-amps|converter-heat)-.*", "$1");
  }

  /** Returns what is wrong with a number, nothing where it follows. */
  private static String wrong(Calculation number) {
    double shown = number.value() * PocketCalculator.si(number.unit());
    double follows;
    try {
      follows = PocketCalculator.evaluate(number);
    } catch (IllegalArgumentException e) {
      return plain(number) + ": " + number.formula() + " can't be read: " + e.getMessage();
    }
    boolean same = Math.abs(follows - shown) <= 1e-6 * Math.abs(shown) + 1e-12;
    return same
        ? ""
        : plain(number)
            + ": "
            + number.formula()
            + " gives "
            + follows
            + ", shown is "
            + shown
            + " with "
            + number.given();
  }

  @Test
  void everyNumberFollowsFromItsFormula() throws Exception {
    Set<String> wrong = new TreeSet<>();
    Set<String> found = new TreeSet<>();
    Set<String> kinds = new TreeSet<>();
    gadgets()
        .flatMap(CalculationsTest::numbers)
        .forEach(
            number -> {
              if (number.calculated()) {
                kinds.add(plain(number));
                String says = wrong(number);
                if (!says.isEmpty()
                    && wrong.stream().filter(w -> w.startsWith(plain(number) + ":")).count() < 2) {
                  wrong.add(says);
                }
              } else {
                found.add(plain(number));
              }
            });
    assertThat(kinds).hasSizeGreaterThan(LEAST_KINDS);
    assertThat(wrong).isEmpty();
    assertThat(PROCEDURES).containsAll(found);
  }
}
