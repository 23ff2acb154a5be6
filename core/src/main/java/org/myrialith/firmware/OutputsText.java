package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.drive.BitMap;
import org.myrialith.drive.OutputLoad;
import org.myrialith.drive.Side;
import org.myrialith.drive.SwitchedChannel;
import org.myrialith.drive.SwitchedPlan;
import org.myrialith.finding.Quantity;

/** What hangs on which output, in words. */
record OutputsText(SwitchedPlan plan) {
  /** Writes the steps and returns the number of the next. */
  int write(StringBuilder out, int first) {
    int step = first;
    boolean sinks = plan.hookup().side() == Side.TO_SUPPLY;
    for (OutputLoad load : plan.switching().loads()) {
      out.append(
          phrase(
              "  %d. Each %s: %s through %s (%s, %s) to %s.\n",
              step++,
              load.title(),
              sinks ? "anode to plus, cathode" : "cathode to ground, anode",
              load.paths() > 1 ? phrase("%s for each", resistor(load)) : resistor(load),
              load.resistor().values().title(),
              load.resistor().packageName(),
              "its output"));
    }
    out.append(phrase("  %d. Outputs, the first of a chip is 0:\n", step++));
    BitMap map = plan.map();
    int[] byOutput = map.byOutput();
    for (int chip = 0; chip < map.chips(); chip++) {
      List<String> each = new ArrayList<>();
      for (int output = 0; output < map.width(); output++) {
        int channel = byOutput[chip * map.width() + output];
        each.add(output + " " + (channel < 0 ? "free" : name(map.channels().get(channel))));
      }
      out.append(phrase("       %s %d: ", plan.chipWord(), chip + 1))
          .append(String.join(", ", each))
          .append('\n');
    }
    return step;
  }

  private static String resistor(OutputLoad load) {
    double ohms = load.resistor().ohms();
    return ohms >= 1000 ? Quantity.number(ohms / 1000) + " kohm" : Quantity.number(ohms) + " ohm";
  }

  private String name(SwitchedChannel channel) {
    return plan.fixtures().size() > 1 ? plan.nameOf(channel) : channel.name();
  }
}
