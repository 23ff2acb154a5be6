package org.myrialith.circuit.charlieplex;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SeriesResistor;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * What flows where nothing should: from the pin that is high through two lights in a row, by way of
 * a pin that is open, to one that is low. Lights go by {@code I = rated × exp((V − forward volts) ÷
 * (2 × 25.85 mV))}, the Shockley law with an emission coefficient of 2 (common practice for LEDs).
 */
public record Ghosting(ScannedPlan plan) {
  /** Thermal volts at 300 K, times the emission coefficient. */
  private static final double SLOPE_VOLTS = 2 * 0.025852;

  /** From here on it is seen beside what is lit, and from there in the dark (common practice). */
  private static final double SEEN = 1.0 / 100;

  private static final double SEEN_IN_THE_DARK = 1.0 / 1000;

  private static final int HALVINGS = 80;

  private Charlieplex circuit() {
    return (Charlieplex) plan.circuit();
  }

  private static double volts(OutputLoad load, double amps) {
    double rated = load.die().ratedMilliamps() * 1e-3;
    return load.die().forwardVolts() + SLOPE_VOLTS * Math.log(amps / rated);
  }

  private static MultiplexedLoad path(OutputLoad load) {
    return (MultiplexedLoad) load.path();
  }

  /**
   * Returns what flows through two lights in a row (A).
   *
   * @param volts across both, and the resistors at them
   * @param ohms of those
   */
  private static double stray(OutputLoad first, OutputLoad second, double volts, double ohms) {
    double low = -60; // of the logarithm
    double high = 1;
    for (int step = 0; step < HALVINGS; step++) {
      double middle = (low + high) / 2;
      double amps = Math.exp(middle);
      double takes = volts(first, amps) + volts(second, amps) + ohms * amps;
      if (takes > volts) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return Math.exp(low);
  }

  /** Current of a light that is lit alone, by the same law (A). */
  private double litAmps(OutputLoad load) {
    SeriesResistor resistor = path(load).resistor();
    double ohms = resistor.alike() * resistor.ohms() + resistor.insideOhms();
    double low = 0;
    double high = resistor.volts() / ohms;
    for (int step = 0; step < HALVINGS; step++) {
      double amps = (low + high) / 2;
      if (amps * ohms + volts(load, amps) > resistor.volts()) {
        high = amps;
      } else {
        low = amps;
      }
    }
    return low;
  }

  private boolean atLights() {
    return circuit().resistorsAt() == Charlieplex.ResistorsAt.LIGHTS;
  }

  /** A lit light, and two in a row that lead past it, by their loads. */
  private record Way(int lit, int first, int second) {}

  /** By anode and cathode; -1 for none. */
  private int[][] loads() {
    int pins = circuit().rows();
    int[][] all = new int[pins][pins];
    for (int[] row : all) {
      Arrays.fill(row, -1);
    }
    for (int channel = 0; channel < plan.map().channels().size(); channel++) {
      int anode = plan.map().chip(channel);
      int cathode = plan.map().output(channel);
      if (anode < pins) {
        all[anode][cathode < anode ? cathode : cathode + 1] =
            plan.map().channels().get(channel).load();
      }
    }
    return all;
  }

  /** All sorts of ways that there are. */
  private Set<Way> ways() {
    int[][] loads = loads();
    Set<Way> all = new HashSet<>();
    for (int anode = 0; anode < loads.length; anode++) {
      for (int open = 0; open < loads.length; open++) {
        for (int cathode = 0; cathode < loads.length; cathode++) {
          Way way = new Way(loads[anode][cathode], loads[anode][open], loads[open][cathode]);
          if (way.lit >= 0 && way.first >= 0 && way.second >= 0) {
            all.add(way);
          }
        }
      }
    }
    return all;
  }

  /**
   * Returns the most that flows through two lights that are not lit, as a share of what flows
   * through the one that is.
   */
  public double worst() {
    List<OutputLoad> loads = plan.switching().loads();
    double worst = 0;
    for (Way way : ways()) {
      OutputLoad lit = loads.get(way.lit);
      OutputLoad first = loads.get(way.first);
      OutputLoad second = loads.get(way.second);
      double amps = litAmps(lit);
      // resistors at pins carry the current of the lit one, those at lights each its own
      double across = volts(lit, amps) + (atLights() ? path(lit).resistor().ohms() * amps : 0);
      double ohms = atLights() ? path(first).resistor().ohms() + path(second).resistor().ohms() : 0;
      worst = Math.max(worst, stray(first, second, across, ohms) / amps);
    }
    return worst;
  }

  /** Returns the lights that can be lit in one turn. */
  private int together() {
    return circuit().alone() ? 1 : circuit().columns();
  }

  Finding finding() {
    if (plan.switching().loads().stream().anyMatch(l -> !(l.path() instanceof MultiplexedLoad))
        || plan.switching().loads().stream().anyMatch(l -> !l.path().lights())) {
      return Finding.of(
          Step.CIRCUITS,
          plan.key("stray"),
          Verdict.OPEN,
          "Ghosting can be judged once the circuit drives LEDs.");
    }
    double share = worst();
    Verdict verdict =
        share > SEEN ? Verdict.BREAKS : share > SEEN_IN_THE_DARK ? Verdict.TIGHT : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            plan.key("stray"),
            "Ghost current through two unlit LEDs in series",
            share * 100,
            "%",
            Calculation.FOUND_BY
                + "solving for the current at which two unlit LEDs in series share the voltage across a lit one, as a share of its current",
            List.of(
                given("voltage for a current e times larger", SLOPE_VOLTS, "V"),
                given("LEDs that can be lit at a time", together(), ""),
                given("visible beside other LEDs from", SEEN * 100, "%"),
                given("visible in the dark from", SEEN_IN_THE_DARK * 100, "%")),
            Source.COMMON_PRACTICE);
    String least = share < 1e-6 ? "less than a millionth" : Quantity.text(share * 100, "%");
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                plan.key("stray"),
                verdict,
                phrase(
                    "Ghosting: two unlit LEDs in series get %s of the current of a lit one.",
                    least))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            atLights()
                ? "Place the resistors at the pins: two LEDs in series then get only the voltage of one lit LED."
                : "LEDs of different colours share these pins: put those with the higher forward voltage in a circuit of their own.");
  }
}
