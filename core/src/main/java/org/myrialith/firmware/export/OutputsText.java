package org.myrialith.firmware.export;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.electrical.ConstantCurrentSink;
import org.myrialith.circuit.electrical.DriverChipLoad;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.MultiplexedSink;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SeriesResistor;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.finding.Quantity;

/** What hangs on which output, in words. */
public record OutputsText(SwitchedPlan plan) {
  /** Writes the steps and returns the number of the next. */
  public int write(StringBuilder out, int first) {
    int step = first;
    for (OutputLoad load : plan.switching().loads()) {
      out.append(phrase("  %d. Each %s: %s.\n", step++, load.title(), path(load)));
    }
    if (plan.hookup().through() != SwitchType.NONE) {
      out.append(phrase("  %d. Each output: %s.\n", step++, behind()));
    }
    out.append(phrase("  %d. Connections of each output:\n", step++));
    OutputMap map = plan.map();
    int[] byOutput = map.byOutput();
    for (int chip = 0; chip < map.chips(); chip++) {
      List<String> each = new ArrayList<>();
      for (int output = 0; output < map.width(); output++) {
        int channel = byOutput[chip * map.width() + output];
        each.add(
            plan.outputName(chip * map.width() + output)
                + " "
                + (channel < 0 ? "free" : name(map.channels().get(channel))));
      }
      out.append(
              plan instanceof ScannedPlan
                  ? phrase("       %s: ", plan.groupName(chip))
                  : map.chips() == 1
                      ? phrase("       %s: ", plan.chipWord())
                      : phrase("       %s %d: ", plan.chipWord(), chip + 1))
          .append(String.join(", ", each))
          .append('\n');
    }
    return step;
  }

  private String path(OutputLoad load) {
    String plus =
        plan.hookup().ownRail()
            ? phrase("plus of its rail of %s", Quantity.text(plan.hookup().railVolts(), "V"))
            : "plus of " + plan.brief().lightsNode();
    String switched = plan.hookup().through() == SwitchType.NONE ? "its output" : "its switch";
    if (load.path() instanceof DriverChipLoad) {
      return "between the two lines of its output, without a resistor";
    }
    if (load.path() instanceof ConstantCurrentSink kept) {
      return phrase(
          "anode to %s, cathode to its output; the setting resistor of each chip is %s ohm",
          plus, Quantity.number(kept.settingOhms()));
    }
    if (plan instanceof ScannedPlan scanned) {
      return byTurns(scanned, load, plus);
    }
    if (!(load.path() instanceof SeriesResistor resistor)) {
      return phrase("between %s and %s", plus, switched);
    }
    String through =
        phrase(
            "%s%s (%s, %s)",
            resistor.part(),
            load.paths() > 1 ? " for each" : "",
            resistor.values().title(),
            resistor.packageName());
    return plan.hookup().side() == Side.TO_SUPPLY
        ? phrase("anode to %s, cathode through %s to %s", plus, through, switched)
        : phrase("cathode to ground, anode through %s to %s", through, switched);
  }

  /** What has turns stands between its row and its column, or between two pins. */
  private static String byTurns(ScannedPlan plan, OutputLoad load, String plus) {
    boolean feeds = plan.hookup().side() == Side.TO_SUPPLY;
    boolean turns = plan.circuit().rowSwitch().turns();
    String row = turns ? "its row" : feeds ? plus : "ground";
    String ends = feeds ? "anode to %s, cathode to %s" : "cathode to %s, anode to %s";
    if (load.path() instanceof MultiplexedSink kept) {
      return phrase(ends, row, "its output")
          + phrase(
              "; the setting resistor of each chip is %s ohm",
              Quantity.number(kept.kept().settingOhms()));
    }
    if (!(load.path() instanceof MultiplexedLoad lit)) {
      return phrase(ends, row, "its output");
    }
    String part =
        phrase(
            "%s (%s, %s)",
            lit.part(), lit.resistor().values().title(), lit.resistor().packageName());
    boolean each = !turns || load.paths() > 1;
    return plan.circuit()
        .resistorPlace(part)
        .orElseGet(
            () ->
                each
                    ? phrase(ends, row, "its output") + phrase("; %s in series with each", part)
                    : phrase(ends, row, "its column")
                        + phrase("; %s from each column to its output", part));
  }

  /** What stands behind an output. */
  private String behind() {
    SwitchType through = plan.hookup().through();
    double carries =
        plan.switching().loads().stream().mapToDouble(OutputLoad::amps).max().orElse(0);
    double volts = plan.brief().logicVolts();
    double ohms = through.baseOhms(carries, volts, plan.hookup().resistors());
    return switch (through) {
      case BIPOLAR ->
          phrase(
              "through %s ohm to the base of its transistor, emitter to ground, collector to its load",
              Quantity.number(ohms));
      case DARLINGTON ->
          "to an input of the array, its ground to ground, the output of that input to its load";
      default ->
          "to the gate of its MOSFET, 10 kohm from gate to ground, source to ground, drain to its load";
    };
  }

  private String name(SwitchedChannel channel) {
    return plan.fixtures().size() > 1 ? plan.nameOf(channel) : channel.name();
  }
}
