package org.myrialith.power;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.CurrentTerm;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;

/**
 * A current as the sum of what its circuits draw, term by term, with the values put in.
 *
 * @param load what draws
 */
record CurrentSum(Load load) {
  /** What a circuit draws beyond its idle current, as a term. */
  private interface Lit {
    CurrentTerm of(CircuitPlan plan, int circuit, String name);
  }

  /** Returns the working of a current at a moment. */
  Calculation at(String key, String name, CurrentProfile.Peak peak) {
    double shared = peak.sharedAmps();
    CurrentTerm less =
        new CurrentTerm(
            " − saved by shared row switches",
            List.of(given("saved by shared row switches", shared, "A")));
    return working(
        key,
        name,
        peak.amps(),
        (plan, c, of) -> plan.litTerm(peak.sums(c, plan.groups()), of),
        shared > 0 ? Optional.of(less) : Optional.empty());
  }

  /** Returns the working of the current with everything white under the brightness limit. */
  Calculation all(String key, String name, double amps, ColourSettings colour) {
    return working(
        key,
        name,
        amps,
        (plan, c, of) -> plan.fullTerm(Load.whiteShare(colour, plan), of),
        Optional.empty());
  }

  private Calculation working(
      String key, String name, double amps, Lit lit, Optional<CurrentTerm> less) {
    List<CircuitPlan> plans = load.wiring().plans();
    StringBuilder formula = new StringBuilder();
    List<Calculation.Given> all = new ArrayList<>();
    for (int c = 0; c < plans.size(); c++) {
      CircuitPlan plan = plans.get(c);
      if (plan.emitters() > 0) {
        String of = plans.size() > 1 ? " of " + plan.circuit().name() : "";
        for (CurrentTerm term : List.of(lit.of(plan, c, of), plan.idleTerm(of))) {
          if (!term.formula().isEmpty()) {
            formula.append(term.formula()).append(" + ");
            all.addAll(term.given());
          }
        }
      }
    }
    formula.append("controller");
    all.add(given("controller", load.controllerMilliamps() / 1000, "A"));
    less.ifPresent(
        term -> {
          formula.append(term.formula());
          all.addAll(term.given());
        });
    return new Calculation(key, name, amps, "A", formula.toString(), all, Source.COMMON_PRACTICE);
  }
}
