package org.myrialith.firmware.scan;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;

/** Lights between pins that are high, low or open, in portable C. */
record PolledOpenPins(ScannedPlan plan, Charlieplex circuit, int[] order) implements PolledWires {
  @Override
  public String source() {
    int lights = plan.lightsOfATurn();
    return SourceText.read("portable/scan_open.c")
        .replace("@PINS@", PolledWires.numbers(circuit.charliePins()))
        .replace("@ANODES@", PolledWires.byTurn(order, turn -> PolledWires.number(anode(turn))))
        .replace("@FIRSTANODE@", PolledWires.number(anode(order[0])))
        .replace(
            "@CATHODES@",
            IntStream.of(order)
                .mapToObj(
                    turn ->
                        IntStream.range(0, lights)
                            .mapToObj(column -> PolledWires.number(cathode(turn, column)))
                            .collect(Collectors.joining(", ", "  ", ",\n")))
                .collect(Collectors.joining()));
  }

  private int row(int turn) {
    return circuit.alone() ? turn / circuit.columns() : turn;
  }

  private String anode(int turn) {
    return circuit.rowOutput(row(turn));
  }

  private String cathode(int turn, int column) {
    return circuit.columnOutput(row(turn), circuit.alone() ? turn % circuit.columns() : column);
  }

  @Override
  public String start() {
    return new ScanOpenPins(plan, circuit).start(Dialect.PORTABLE);
  }

  @Override
  public CodeBill code(CodeBill bill) {
    int turns = plan.timing().turns();
    return bill.add("polled charlieplex")
        .addIf(turns == 1, "polled charlieplex of one turn")
        .exactly(circuit.pins().size() + turns * (1 + plan.lightsOfATurn()));
  }

  @Override
  public int ramBytes() {
    return 1;
  }
}
