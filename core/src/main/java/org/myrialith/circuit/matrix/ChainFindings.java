package org.myrialith.circuit.matrix;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.electrical.ChipHeat;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.LogicLevel;
import org.myrialith.circuit.electrical.MultiplexedSink;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.RegisterClass;

/** What is judged of the chips of a chain whose rows have turns. */
record ChainFindings(ScannedPlan plan, ScannedRegisters circuit) {
  List<Finding> all() {
    List<Finding> all = new ArrayList<>(List.of(current(), level()));
    if (circuit.sort().stage().keeps()) {
      all.add(heat());
    }
    all.addAll(
        circuit
            .shift()
            .judged(
                plan.key("shift"),
                plan.brief().controllerVolts(),
                circuit.chips(),
                RegisterClass.RISE_SECONDS));
    return all;
  }

  /** Registers of rows are of the same family, or plain ones beside sinks. */
  private Finding level() {
    LogicLevel plain =
        LogicLevel.ofChain(circuit.id(), plan.brief(), circuit.sort(), circuit.chips());
    return circuit.shift() == LevelShift.NONE
        ? plain.judgedOf(circuit.sort())
        : circuit.shift().before(plain).judged(List::of);
  }

  private OutputLoad load(int channel) {
    return plan.switching().loads().get(plan.map().channels().get(channel).load());
  }

  /** What each chip carries in each row with everything lit, in its turn (A). */
  private double[][] byRowAndChip() {
    double[][] amps = new double[plan.map().chips()][circuit.columnChips()];
    int together = Math.max(1, plan.mostOfARow());
    for (int channel = 0; channel < plan.map().channels().size(); channel++) {
      OutputLoad load = load(channel);
      int chip =
          Math.min(plan.map().output(channel) / circuit.sort().width(), circuit.columnChips() - 1);
      amps[plan.map().chip(channel)][chip] += load.paths() * load.path().rowAmps(together);
    }
    return amps;
  }

  private Finding current() {
    double most = Arrays.stream(byRowAndChip()).flatMapToDouble(Arrays::stream).max().orElse(0);
    double limit = circuit.sort().stage().chipMilliamps() * 1e-3;
    boolean carries = most <= limit;
    Calculation working =
        new Calculation(
            plan.key("chip-current"),
            "A chip with all its columns of a row lit",
            most,
            "A",
            Calculation.FOUND_BY
                + "adding the peak currents of its columns, in the row with the highest current",
            List.of(given("absolute maximum", circuit.sort().stage().chipMilliamps(), "mA")),
            Source.partClass("data of the class"));
    Finding finding =
        Finding.of(
                Harm.PARTS,
                Step.CIRCUITS,
                plan.key("chip-current"),
                carries ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "One row fully lit: chip current %s; absolute maximum %s.",
                    Quantity.text(most, "A"), Quantity.text(limit, "A")))
            .restingOn(working);
    return carries
        ? finding
        : finding.advising(
            "Set a lower LED current, use power registers or constant-current drivers, or fewer columns per chip.");
  }

  /** Outputs that keep a current turn what the LEDs leave into heat, each in its turn. */
  private Finding heat() {
    double[] watts = new double[circuit.columnChips()];
    for (int channel = 0; channel < plan.map().channels().size(); channel++) {
      if (load(channel).path() instanceof MultiplexedSink turns) {
        int chip = Math.min(plan.map().output(channel) / circuit.sort().width(), watts.length - 1);
        watts[chip] += load(channel).paths() * turns.kept().watts() * turns.duty();
      }
    }
    return new ChipHeat(
            plan.key("chip-heat"),
            Arrays.stream(watts).max().orElse(0),
            Calculation.FOUND_BY
                + "adding, for all its LEDs, current × (row voltage − forward voltage) × duty cycle")
        .finding();
  }
}
