package org.myrialith.circuit;

import java.util.List;
import org.myrialith.finding.Calculation;

/**
 * What a circuit draws, as one term of a sum.
 *
 * @param formula of the term; empty where it draws nothing from the supply of the lights
 * @param given the values put into it
 */
public record CurrentTerm(String formula, List<Calculation.Given> given) {
  /** Draws nothing there. */
  public static final CurrentTerm NONE = new CurrentTerm("", List.of());

  /** One value that stands for itself. */
  public static CurrentTerm of(String name, double amps) {
    return new CurrentTerm(name, List.of(Calculation.given(name, amps, "A")));
  }
}
